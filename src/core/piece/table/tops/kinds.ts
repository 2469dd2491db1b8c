/** The kinds of tops: one line each. */
export { breadboard } from './breadboard';
export { channel } from './channel';
export { extending } from './extending';
export { framed } from './framed';
export { gluedPanel } from './glued-panel';
export { halves } from './halves';
export { pieced } from './pieced';
export { slatted } from './slatted';
