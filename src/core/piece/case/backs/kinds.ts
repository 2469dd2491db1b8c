/** The kinds of backs of a case: one line each. */
export { boards } from './boards';
export { framed } from './framed';
export { grooved } from './grooved';
export { open } from './open';
export { panel } from './panel';
export { sheet } from './sheet';
