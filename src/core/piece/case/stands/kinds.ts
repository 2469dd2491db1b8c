/** The kinds of stands of a case: one line each. */
export { bevelledCleats } from './bevelled-cleats';
export { bracketFeet } from './bracket-feet';
export { feet } from './feet';
export { legFrame } from './leg-frame';
export { levellers } from './levellers';
export { onCase } from './on-case';
export { plinth } from './plinth';
export { sides } from './sides';
export { turnedFeet } from './turned-feet';
export { wall } from './wall';
