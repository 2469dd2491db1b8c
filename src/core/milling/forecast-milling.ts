import type { Problem } from '../measure/problem';

/** Heights over a flat reference, mm: three along the board (from the tagged end) by three across it (from the near edge). */
export type Heights = readonly [
  readonly [number, number, number],
  readonly [number, number, number],
  readonly [number, number, number],
];

/**
 * A board as it lies on the bench between winding sticks: how high its upper face stands at corners, middles of the
 * edges and middle, `heights[along][across]`, and how thick it is there. mm
 */
export interface MeasuredBoard {
  length: number;
  width: number;
  heights: Heights;
  /** One thickness for the whole board, or one for each point. */
  thickness: number | Heights;
}

export interface MillingLimits {
  /** What one pass takes, mm. */
  passDepth: number;
  jointerWidth: number;
  planerWidth: number;
  /** Shortest piece the planer feeds safely, mm. */
  planerShortest: number;
}

/** A way of flattening a piece: its plane, what it costs and what it leaves. mm */
export interface Flattening {
  /** Tilt of the plane, mm of rise per mm along and across. */
  tilt: { along: number; across: number };
  /** Clean on both faces. */
  finishedThickness: number;
  /** Greatest depth taken from the upper and from the lower face. */
  taken: { upper: number; lower: number };
  passes: { upper: number; lower: number };
  /** What to put under the four corners on a sled, near and far edge at the tagged end, then at the other. */
  shims: readonly [number, number, number, number];
}

export interface MillingForecast extends Flattening {
  /** mm of thickness gained by cutting the board in two first; the pieces are milled one by one. */
  gained: { crosscutFirst: number; ripFirst: number };
  /** How it must be done where the machines are too small, and what to do first. */
  advice: readonly Problem[];
}

/**
 * What a crooked board comes down to: the two parallel planes, one under every point of the upper face and one over
 * every point of the lower, that lie farthest apart. That is a linear programme in two tilts and two levels; with
 * nine points a face its best corner is found by trying every four that can be touched at once.
 *
 * @throws never; a board that vanishes has a finished thickness of 0
 */
export function forecastMilling(board: MeasuredBoard, limits: MillingLimits): MillingForecast {
  const whole = flatten(board, limits.passDepth);
  const least = (parts: readonly MeasuredBoard[]) =>
    Math.min(...parts.map((part) => flatten(part, limits.passDepth).finishedThickness));
  const gained = {
    crosscutFirst: Math.max(0, least(halves(board, 'length')) - whole.finishedThickness),
    ripFirst: Math.max(0, least(halves(board, 'width')) - whole.finishedThickness),
  };
  return { ...whole, gained, advice: adviceFor(board, limits) };
}

/** Share of the upper face that a plane cleans when it takes only so much at the highest place, 0–1; mm. */
export function cleanedShare(board: MeasuredBoard, taken: number): number {
  const { tilt } = flatten(board, 1);
  const fine = 40;
  const rest: number[] = [];
  for (let i = 0; i <= fine; i += 1) {
    for (let j = 0; j <= fine; j += 1) {
      const [x, y] = [i / fine, j / fine];
      rest.push(heightAt(board.heights, x, y) - tilt.along * x * board.length - tilt.across * y * board.width);
    }
  }
  const level = Math.max(...rest) - taken;
  return rest.filter((height) => height >= level - 1e-9).length / rest.length;
}

/**
 * Heights that a board's measured twist (one corner out of wind), bow (hollow along) and cup (hollow across) amount to:
 * the best guess until it is measured point by point. mm
 */
export function heightsFromCrook(crook: { twist: number; bow: number; cup: number } | null): Heights {
  const { twist, bow, cup } = crook ?? { twist: 0, bow: 0, cup: 0 };
  const at = (x: number, y: number) => twist * x * y + bow * 4 * (x - 0.5) ** 2 + cup * 4 * (y - 0.5) ** 2;
  const row = (x: number): [number, number, number] => [at(x, 0), at(x, 0.5), at(x, 1)];
  return [row(0), row(0.5), row(1)];
}

/** The twist, bow and cup that measured heights come to, the greatest of each: what a layout counts of the board. mm */
export function crookOfHeights(heights: Heights): { twist: number; bow: number; cup: number } {
  const at = (i: number, j: number) => heights[i]?.[j] ?? 0;
  const sag = (a: number, middle: number, b: number) => (a + b) / 2 - middle;
  const three = [0, 1, 2];
  // A trough and a hump want the same planing.
  const greatest = (values: readonly number[]) => Math.round(10 * Math.max(...values.map(Math.abs))) / 10;
  return {
    twist: greatest([at(2, 2) - at(0, 2) - at(2, 0) + at(0, 0)]),
    bow: greatest(three.map((j) => sag(at(0, j), at(1, j), at(2, j)))),
    cup: greatest(three.map((i) => sag(at(i, 0), at(i, 1), at(i, 2)))),
  };
}

/** What of a thick board comes out as thinner pieces on the band saw, mm. */
export function forecastResaw(given: {
  /** Flat on both faces before it is sawn. */
  thickness: number;
  /** Finished thickness of each piece. */
  wanted: number;
  kerf: number;
  /** Over-thickness of each piece, for the cup it takes and for cleaning it. */
  allowance: number;
}): { pieces: number; left: number; sawn: number } {
  const sawn = given.wanted + given.allowance;
  const pieces = Math.max(0, Math.floor((given.thickness + given.kerf + 1e-9) / (sawn + given.kerf)));
  return { pieces, sawn, left: Math.max(0, given.thickness - pieces * sawn - Math.max(0, pieces - 1) * given.kerf) };
}

const STEPS = [0, 0.5, 1] as const;

interface Point {
  x: number;
  y: number;
  upper: number;
  lower: number;
}

function pointsOf({ length, width, heights, thickness }: MeasuredBoard): Point[] {
  return STEPS.flatMap((along, i) =>
    STEPS.map((across, j) => {
      const upper = heights[i]?.[j] ?? 0;
      const thick = typeof thickness === 'number' ? thickness : (thickness[i]?.[j] ?? 0);
      return { x: along * length, y: across * width, upper, lower: upper - thick };
    }),
  );
}

function flatten(board: MeasuredBoard, passDepth: number): Flattening {
  const points = pointsOf(board);
  const { along, across } = bestTilt(points, board);
  const off = (p: Point) => along * p.x + across * p.y;
  const uppers = points.map((p) => p.upper - off(p));
  const lowers = points.map((p) => p.lower - off(p));
  const [top, bottom] = [Math.min(...uppers), Math.max(...lowers)];
  const lowest = Math.min(...lowers);
  const taken = { upper: Math.max(...uppers) - top, lower: bottom - lowest };
  const passes = (depth: number) => Math.max(0, Math.ceil(depth / passDepth - 1e-9));
  const shim = (x: number, y: number) => {
    const corner = points.find((p) => p.x === x && p.y === y);
    return corner ? corner.lower - off(corner) - lowest : 0;
  };
  const { length, width } = board;
  return {
    tilt: { along, across },
    finishedThickness: Math.max(0, top - bottom),
    taken,
    passes: { upper: passes(taken.upper), lower: passes(taken.lower) },
    shims: [shim(0, 0), shim(0, width), shim(length, 0), shim(length, width)],
  };
}

/**
 * The tilt for which the lowest of the upper points and the highest of the lower ones, both measured from the tilted
 * plane, lie farthest apart.
 */
function bestTilt(points: readonly Point[], { length, width }: MeasuredBoard): { along: number; across: number } {
  // Unknown: tilts (over the whole board, so that they are of one size) and the two levels.
  const touches = [
    ...points.map((p) => ({ row: [p.x / length, p.y / width, 1, 0], value: p.upper })),
    ...points.map((p) => ({ row: [p.x / length, p.y / width, 0, 1], value: p.lower })),
  ];
  const n = points.length;
  let best = { gap: Number.NEGATIVE_INFINITY, along: 0, across: 0 };
  const consider = (along: number, across: number) => {
    let [top, bottom] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
    for (const p of points) {
      const off = along * (p.x / length) + across * (p.y / width);
      top = Math.min(top, p.upper - off);
      bottom = Math.max(bottom, p.lower - off);
    }
    // Of planes as good, the one tilted least.
    const gap = top - bottom;
    const less = Math.abs(along) + Math.abs(across) < Math.abs(best.along) + Math.abs(best.across);
    if (gap > best.gap + 1e-9 || (gap > best.gap - 1e-9 && less)) best = { gap, along, across };
  };
  consider(0, 0);
  for (let a = 0; a < 2 * n; a += 1)
    for (let b = a + 1; b < 2 * n; b += 1)
      for (let c = b + 1; c < 2 * n; c += 1)
        for (let d = c + 1; d < 2 * n; d += 1) {
          // Both levels must be touched.
          if (a >= n || d < n) continue;
          const solved = solve([a, b, c, d].map((i) => touches[i]!));
          if (solved) consider(solved[0]!, solved[1]!);
        }
  return { along: best.along / length, across: best.across / width };
}

/** Four equations with four unknowns; undefined where they do not settle them. */
function solve(equations: readonly { row: readonly number[]; value: number }[]): number[] | undefined {
  const m = equations.map(({ row, value }) => [...row, value]);
  for (let i = 0; i < 4; i += 1) {
    let pivot = i;
    for (let r = i + 1; r < 4; r += 1) {
      if (Math.abs(m[r]?.[i] ?? 0) > Math.abs(m[pivot]?.[i] ?? 0)) pivot = r;
    }
    const row = m[pivot]!;
    if (Math.abs(row[i]!) < 1e-12) return undefined;
    m[pivot] = m[i]!;
    m[i] = row;
    for (let r = 0; r < 4; r += 1) {
      if (r === i) continue;
      const other = m[r]!;
      const factor = other[i]! / row[i]!;
      for (let k = i; k < 5; k += 1) other[k] = other[k]! - factor * row[k]!;
    }
  }
  return m.map((row, i) => row[4]! / row[i]!);
}

/** Height of the face between the measured points: a curve of the second degree through three, along and across. */
export function heightAt(heights: Heights, along: number, across: number): number {
  const through = (a: number, b: number, c: number, t: number) =>
    a * (2 * t - 1) * (t - 1) + b * 4 * t * (1 - t) + c * t * (2 * t - 1);
  const [first, second, third] = heights;
  const at = (row: readonly [number, number, number]) => through(row[0], row[1], row[2], across);
  return through(at(first), at(second), at(third), along);
}

function halves(board: MeasuredBoard, cut: 'length' | 'width'): MeasuredBoard[] {
  const spans = [0, 0.5].map((from) => STEPS.map((t) => from + t / 2));
  return spans.map((span) => {
    const part = (heights: Heights): Heights => {
      const row = (along: number): [number, number, number] => {
        const across = cut === 'width' ? span : STEPS;
        const [a = 0, b = 0, c = 0] = across.map((t) => heightAt(heights, along, t));
        return [a, b, c];
      };
      const [a = 0, b = 0, c = 0] = cut === 'length' ? span : STEPS;
      return [row(a), row(b), row(c)];
    };
    return {
      ...board,
      [cut]: board[cut] / 2,
      heights: part(board.heights),
      thickness: typeof board.thickness === 'number' ? board.thickness : part(board.thickness),
    };
  });
}

function adviceFor({ length, width }: MeasuredBoard, limits: MillingLimits): Problem[] {
  const { jointerWidth, planerWidth, planerShortest } = limits;
  const where = 'milling';
  return [
    ...(width > planerWidth
      ? [
          {
            problem: 'The board is wider than the planer.',
            where,
            wayOut: 'Rip it first, or flatten it by hand or with a router on rails.',
          },
        ]
      : width > jointerWidth
        ? [
            {
              problem: 'The board is wider than the jointer.',
              where,
              wayOut: 'Shim it on a sled and let the planer flatten the first face, or plane it by hand.',
            },
          ]
        : []),
    ...(length < planerShortest
      ? [
          {
            problem: 'The board is too short for the planer to hold it between its rollers.',
            where,
            wayOut: 'Mill it joined to a longer piece, or plane it by hand.',
          },
        ]
      : []),
  ];
}
