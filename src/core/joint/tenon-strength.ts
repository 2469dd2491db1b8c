/**
 * Section modulus of the root of a joint that a moment bends, mm³: tenons of one thickness, as high as they are along the
 * moment, at their places from the middle. I = Σ (t·w³/12 + t·w·d²), over the distance of the outermost fibre.
 */
export function tenonModulus(given: { thickness: number; width: number; places?: readonly number[] }): number {
  const { thickness, width, places = [0] } = given;
  const second = places.reduce((sum, d) => sum + (thickness * width ** 3) / 12 + thickness * width * d ** 2, 0);
  const outermost = Math.max(...places.map(Math.abs)) + width / 2;
  return second / outermost;
}
