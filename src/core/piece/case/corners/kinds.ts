/** The kinds of corners of a case: one line each. */
export { dovetails } from './dovetails';
export { rabbets } from './rabbets';
