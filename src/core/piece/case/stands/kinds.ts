/** The kinds of stands of a case: one line each. */
export { feet } from './feet';
export { legFrame } from './leg-frame';
export { levellers } from './levellers';
export { plinth } from './plinth';
export { sides } from './sides';
export { wall } from './wall';
