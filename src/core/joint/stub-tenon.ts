/**
 * A stub tenon of a cross rail into the inside of an apron: half the apron's thickness deep, so that at least as much
 * stays behind it (common practice). mm.
 */
export function stubTenonLength(apronThickness: number): number {
  return Math.floor(apronThickness / 2);
}
