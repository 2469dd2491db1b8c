/** A point of a flat outline, mm. */
export type Flat = readonly [number, number];

/** From this corner to the next: straight, or on an arc that bulges by its sagitta to the right of the way, mm. */
export interface OutlineCorner {
  at: Flat;
  sagitta?: number;
}

/** A closed outline that runs anticlockwise, so that an arc with a sagitta above zero bulges outward. */
export type Outline = readonly OutlineCorner[];

/** Radius of an arc from its chord and its sagitta: c²/8s + s/2, mm. */
export const radiusOf = (chord: number, sagitta: number): number =>
  chord ** 2 / (8 * Math.abs(sagitta)) + Math.abs(sagitta) / 2;

/** How far the ends of an arc may lie beside its chord when it is drawn with straight lines, mm. */
const SMOOTH = 0.05;

/** Points along one side of an outline, its first corner with them and its last not. */
function alongSide(from: OutlineCorner, to: Flat, smooth: number): Flat[] {
  const { at, sagitta = 0 } = from;
  const chord = Math.hypot(to[0] - at[0], to[1] - at[1]);
  if (Math.abs(sagitta) < 1e-9 || chord < 1e-9) return [at];
  const radius = radiusOf(chord, sagitta);
  const half = 2 * Math.atan2(2 * Math.abs(sagitta), chord);
  // An even number, so that the middle of the arc is one of them and nothing is lost of its sagitta.
  const step = 2 * Math.acos(Math.max(-1, 1 - Math.min(smooth, radius) / radius));
  const count = 2 * Math.max(1, Math.ceil(half / step));
  const [ux, uy] = [(to[0] - at[0]) / chord, (to[1] - at[1]) / chord];
  // To the right of the way lies (uy, −ux).
  const side = Math.sign(sagitta);
  return Array.from({ length: count }, (_, i): Flat => {
    const angle = -half + (2 * half * i) / count;
    const along = chord / 2 + radius * Math.sin(angle);
    const out = side * (radius * Math.cos(angle) - (radius - Math.abs(sagitta)));
    return [at[0] + ux * along + uy * out, at[1] + uy * along - ux * out];
  });
}

/** The outline as straight lines, arcs to within a twentieth of a millimetre. */
export function polygonOf(outline: Outline, smooth = SMOOTH): Flat[] {
  return outline.flatMap((corner, i) => alongSide(corner, outline[(i + 1) % outline.length]?.at ?? corner.at, smooth));
}

export const rectangleOutline = (length: number, width: number): Outline => curvedOutline(length, width, 0, 0);

/** A rectangle whose long sides and ends bulge by a sagitta; length and width are over all. */
export function curvedOutline(length: number, width: number, side: number, end: number): Outline {
  const [l, w] = [length / 2 - end, width / 2 - side];
  return [
    { at: [-l, -w], sagitta: side },
    { at: [l, -w], sagitta: end },
    { at: [l, w], sagitta: side },
    { at: [-l, w], sagitta: end },
  ];
}

/** An ellipse over its length and width; a circle where they are the same, then of two true arcs. */
export function ovalOutline(length: number, width: number, smooth = SMOOTH): Outline {
  const [a, b] = [length / 2, width / 2];
  if (Math.abs(a - b) < 1e-9) {
    return [
      { at: [-a, 0], sagitta: a },
      { at: [a, 0], sagitta: a },
    ];
  }
  // Steps even in the angle of the trammel; its chords stay within `smooth` of the ellipse.
  const steps = 4 * Math.ceil(Math.PI / 4 / Math.acos(1 - Math.min(0.5, smooth / Math.max(a, b))));
  return Array.from({ length: steps }, (_, i) => {
    const angle = (2 * Math.PI * i) / steps;
    return { at: [a * Math.cos(angle), b * Math.sin(angle)] as Flat };
  });
}

/** A polygon of equal sides, two of them (or a corner and a side) square to the width; the width is over its flats. */
export function regularOutline(sides: number, acrossFlats: number): Outline {
  const radius = acrossFlats / 2 / Math.cos(Math.PI / sides);
  const first = -Math.PI / 2 - Math.PI / sides;
  return Array.from({ length: sides }, (_, i) => {
    const angle = first + (2 * Math.PI * i) / sides;
    return { at: [radius * Math.cos(angle), radius * Math.sin(angle)] as Flat };
  });
}

export function boundsOfFlat(points: readonly Flat[]): { left: number; right: number; low: number; high: number } {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  return { left: Math.min(...xs), right: Math.max(...xs), low: Math.min(...ys), high: Math.max(...ys) };
}

/** All the way round, mm. */
export function roundOf(points: readonly Flat[]): number {
  return points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    return sum + Math.hypot(nx - x, ny - y);
  }, 0);
}

/** Where a line across the outline at a height y meets it, from the first point to the last; null where it misses. */
export function chordAt(points: readonly Flat[], y: number): { from: number; to: number } | null {
  const xs: number[] = [];
  points.forEach(([x, py], i) => {
    const [nx, ny] = points[(i + 1) % points.length]!;
    if ((py <= y && ny >= y) || (py >= y && ny <= y)) {
      if (Math.abs(ny - py) < 1e-12) xs.push(x, nx);
      else xs.push(x + ((nx - x) * (y - py)) / (ny - py));
    }
  });
  return xs.length < 2 ? null : { from: Math.min(...xs), to: Math.max(...xs) };
}

/** How far a point lies inside an outline, mm: the distance of its nearest edge; below zero outside. */
export function insideBy(points: readonly Flat[], [x, y]: Flat): number {
  let nearest = Number.POSITIVE_INFINITY;
  let inside = false;
  let a = points.at(-1) as Flat;
  for (const b of points) {
    const dx = b[0] - a[0];
    const dy = b[1] - a[1];
    const long = dx * dx + dy * dy;
    const along = long === 0 ? 0 : ((x - a[0]) * dx + (y - a[1]) * dy) / long;
    const t = Math.max(0, Math.min(1, along));
    const ex = x - a[0] - t * dx;
    const ey = y - a[1] - t * dy;
    const square = ex * ex + ey * ey;
    if (square < nearest) nearest = square;
    if (a[1] > y !== b[1] > y && x < a[0] + (dx * (y - a[1])) / dy) inside = !inside;
    a = b;
  }
  return inside ? Math.sqrt(nearest) : -Math.sqrt(nearest);
}

/** How far a loop lies outside of that side of another which it is farthest outside of, both convex and anticlockwise; mm */
function outsideOf(loop: readonly Flat[], other: readonly Flat[]): number {
  let most = Number.NEGATIVE_INFINITY;
  let a = loop.at(-1) as Flat;
  for (const b of loop) {
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
    const long = Math.hypot(dx, dy);
    if (long > 1e-9) {
      let least = Number.POSITIVE_INFINITY;
      for (const p of other) least = Math.min(least, (dy * (p[0] - a[0]) - dx * (p[1] - a[1])) / long);
      most = Math.max(most, least);
    }
    a = b;
  }
  return most;
}

/** The least distance between two convex loops, both anticlockwise; below 0 how deep they are in one another. mm */
export function gapBetween(a: readonly Flat[], b: readonly Flat[]): number {
  const apart = Math.max(outsideOf(a, b), outsideOf(b, a));
  if (apart <= 0) return apart;
  let least = Number.POSITIVE_INFINITY;
  for (const p of b) least = Math.min(least, -insideBy(a, p));
  for (const p of a) least = Math.min(least, -insideBy(b, p));
  return least;
}

/** The smallest loop without hollows round some points, anticlockwise (A. Andrew's monotone chain, 1979). */
export function hullOf(points: readonly Flat[]): Flat[] {
  const sorted = outer(points).sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const turn = (o: Flat, a: Flat, b: Flat) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
  const half = (list: readonly Flat[]) => {
    const chain: Flat[] = [];
    for (const p of list) {
      while (chain.length >= 2 && turn(chain.at(-2) as Flat, chain.at(-1) as Flat, p) <= 1e-9) chain.pop();
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return sorted.length < 3 ? sorted : [...half(sorted), ...half(sorted.reverse())];
}

/** Fewer points than this are quickly sorted. */
const FEW = 24;

/** The points without those well inside the quadrangle of the outermost four (S. Akl, G. Toussaint, 1978). */
function outer(points: readonly Flat[]): Flat[] {
  const first = points[0];
  if (!first || points.length < FEW) return [...points];
  let [left, right, low, high] = [first, first, first, first];
  for (const p of points) {
    // Over the diagonals: rectangles along the axes, which most shapes are, have their corners there.
    if (p[0] + p[1] < left[0] + left[1]) left = p;
    if (p[0] + p[1] > right[0] + right[1]) right = p;
    if (p[0] - p[1] > low[0] - low[1]) low = p;
    if (p[0] - p[1] < high[0] - high[1]) high = p;
  }
  const sides = [
    [left, low],
    [low, right],
    [right, high],
    [high, left],
  ] as const;
  return points.filter(([x, y]) =>
    sides.some(([a, b]) => (b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0]) <= 1e-6),
  );
}
