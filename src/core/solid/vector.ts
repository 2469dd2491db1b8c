/** Three numbers: mm in the axes of a piece or a part, or a direction. */
export type Vec = readonly [number, number, number];

export const plus = (a: Vec, b: Vec): Vec => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
export const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
// Nought added: a turned-about nought must not differ from one.
export const times = (a: Vec, s: number): Vec => [a[0] * s + 0, a[1] * s + 0, a[2] * s + 0];
export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
export const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
export const norm = (a: Vec): number => Math.sqrt(dot(a, a));
export const unit = (a: Vec): Vec => times(a, 1 / norm(a));
export const between = (a: Vec, b: Vec, share: number): Vec => plus(a, times(minus(b, a), share));

/** Turned about the z axis by an angle in radians, x toward y. */
export const turnedAboutZ = (a: Vec, angle: number): Vec => {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [c * a[0] - s * a[1], s * a[0] + c * a[1], a[2]];
};
