/**
 * Tenons side by side on the end of a post: each a third of the post's thickness (common practice), with a shoulder at
 * both sides and as much wood between two of them as a tenon is thick. mm.
 */
export function postTenons(given: { width: number; thickness: number; count: number; into: number }) {
  const { width, thickness, count, into } = given;
  const thick = Math.max(6, Math.round((thickness * 2) / 3) / 2);
  const shoulder = Math.max(6, Math.round(width / 12));
  const each = (width - 2 * shoulder - (count - 1) * thick) / count;
  return {
    thickness: thick,
    width: Math.floor(each * 2) / 2,
    /** Two thirds of what it goes into, but so that 10 mm stay behind it. */
    length: Math.max(5, Math.floor(Math.min((into * 2) / 3, into - 10))),
    /** Middles across the post, from its own middle. */
    places: Array.from({ length: count }, (_, i) => (i - (count - 1) / 2) * (each + thick)),
  };
}

/** A through tenon of a stretcher: shoulders above and below, a third of the post it goes through at most. mm; common practice. */
export function stretcherTenon(given: { height: number; thickness: number; postWidth: number }) {
  const { height, thickness, postWidth } = given;
  const shoulder = Math.max(6, Math.min(12, Math.round(height / 10)));
  return {
    width: height - 2 * shoulder,
    thickness: Math.max(6, Math.min(thickness - 6, Math.floor(postWidth / 3))),
  };
}

/** A tusk wants so much tenon beyond the post that its own mortise does not break out, mm; common practice. */
export const TUSK_BEYOND = 70;
/** A stub that only keeps a bolted stretcher from turning, mm. */
export const BOLTED_STUB = 12;
