/** The kinds of bases: one line each. */
export { box } from './frames/box';
export { splayed } from './frames/splayed';
export { steel } from './frames/steel';
export { xFrame } from './frames/x-frame';
export { legApron } from './leg-apron/leg-apron';
export { postBrace } from './post-brace/post-brace';
export { trestle } from './trestle/trestle';
