/** What lies over a case: one line each. */
export { lid } from './lid';
export { none } from './none';
export { overhanging } from './overhanging';
