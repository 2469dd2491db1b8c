/** What is on the front edges of a case: one line each. */
export { faceFrame } from './face-frame';
export { lipped } from './lipped';
export { plain } from './plain';
