/** For a page whose worker does not start: the same, on the page's own thread; fetched only then. */
export { deriveJob } from '@/core';
