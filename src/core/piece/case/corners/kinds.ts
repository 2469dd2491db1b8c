/** The kinds of corners of a case: one line each. */
export { betweenLegs } from './between-legs';
export { boxJoints } from './box-joints';
export { butted } from './butted';
export { dovetails } from './dovetails';
export { framedSides } from './framed-sides';
export { halfBlind } from './half-blind';
export { mitred } from './mitred';
export { postAndRail } from './post-and-rail';
export { rabbets } from './rabbets';
