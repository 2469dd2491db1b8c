/** The kinds of stands of a case: one line each. */
export { plinth } from './plinth';
export { sides } from './sides';
