/** The ways in which shelves and uprights are fixed: one line each. */
export { butted } from './butted';
export { cleats } from './cleats';
export { housed } from './housed';
export { slidingDovetails } from './sliding-dovetails';
