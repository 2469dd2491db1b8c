/** What lies over a case: one line each. */
export { breadboardLid } from './breadboard-lid';
export { lid } from './lid';
export { none } from './none';
export { overhanging } from './overhanging';
export { sawnOff } from './sawn-off';
