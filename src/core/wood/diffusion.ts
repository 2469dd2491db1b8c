import type { Diffusivity } from './diffusivity';

const SECONDS_PER_DAY = 86_400;
/** Of the implicit step that is taken by the trapezoidal rule before the backward difference (TR-BDF2). */
const GAMMA = 2 - Math.SQRT2;
/** The two weights of the backward difference: of the middle stage, and of the start. */
const OF_MIDDLE = 1 / (GAMMA * (2 - GAMMA));
const OF_START = OF_MIDDLE - 1;
/** The first two stages in the whole step; the last has γ/2. */
const OF_STAGE = Math.SQRT2 / 4;
/** Leading coefficient of its error. */
const ERROR = (-3 * GAMMA ** 2 + 4 * GAMMA - 2) / (12 * (2 - GAMMA));
/** What a step may be off in the mean, % moisture, and the least share of the step that is asked for that is tried. */
const TOLERANCE = 5e-4;
const SHORTEST = 1 / 4096;
/** After new faces steps begin so short: a new surface starts with a very steep slope. */
const AFRESH = 1 / 64;
const TABLE_STEP = 0.25;
const TABLE_SIZE = 161; // 0 … 40 %

/** The air along the way, one value a step; the last one holds on. */
export interface AirSeries {
  /** Equilibrium moisture content of the air, %. */
  moisture: ArrayLike<number>;
  /** °C; left out where the diffusivity does not depend on it. */
  temperature?: ArrayLike<number>;
}

export interface DiffusionInput {
  /** mm */
  thickness: number;
  diffusivity: Diffusivity;
  /** m/s through each face, {@link FINISHES}; several phases, each until the step it ends at. */
  faces: FaceCoefficients | readonly { untilStep: number; faces: FaceCoefficients }[];
  air: AirSeries;
  /** % through the whole thickness at the start, or one value a cell. */
  start: number | ArrayLike<number>;
  steps: number;
  /** Days a step. */
  step: number;
  /** Cells through the thickness; finer towards the faces. */
  cells?: number;
  /** Keep the profile of every so many steps. */
  profileEvery?: number;
}

export interface FaceCoefficients {
  upper: number;
  lower: number;
}

export interface DiffusionResult {
  /** Mean moisture after each step, %; the first value is the start. */
  mean: Float64Array;
  /** Slope of the moisture through the thickness (its first moment), % per mm, wetter above positive. */
  slope: Float64Array;
  /** Moisture of every cell at the end, from the lower face to the upper, %. */
  profile: Float64Array;
  /** Middles of the cells from the lower face, mm. */
  depth: Float64Array;
  profiles: { step: number; moisture: Float64Array }[];
  /** What the balance of mass lacks at the end, relative to the water that was in the board. */
  massError: number;
}

/**
 * Moisture through the thickness of a board in changing air: ∂M/∂t = ∂/∂z(D(M,T) ∂M/∂z), at each face
 * −D ∂M/∂z = S·(M_surface − EMC). Finite volumes, cells finer towards the faces, implicit in time: a trapezoidal stage and
 * a backward difference (TR-BDF2; R. Bank and others, 1985; error estimate of M. Hosea and L. Shampine, 1996; both from
 * memory), stable whatever the step. A step asked for is taken in as many parts as keep the error of the mean small, many
 * after the faces or the air have changed and few later; D is that of the start of a part.
 *
 * @returns series of `steps` + 1 values
 */
export function diffuse(input: DiffusionInput): DiffusionResult {
  const { thickness, diffusivity, air, steps, step } = input;
  const n = input.cells ?? 20;
  const width = cellWidths(n, thickness);
  const depth = new Float64Array(n);
  let edge = 0;
  for (let i = 0; i < n; i += 1) {
    depth[i] = edge + at(width, i) / 2;
    edge += at(width, i);
  }
  const m = new Float64Array(n);
  for (let i = 0; i < n; i += 1) m[i] = typeof input.start === 'number' ? input.start : (input.start[i] ?? 0);

  // mm²/day by moisture, so that no exponential is taken in the loop.
  const table = new Float64Array(TABLE_SIZE + 1);
  for (let i = 0; i <= TABLE_SIZE; i += 1)
    table[i] = diffusivity.at10 * 1e6 * SECONDS_PER_DAY * Math.exp(diffusivity.moisture * (i * TABLE_STEP - 10));
  const phases = Array.isArray(input.faces)
    ? input.faces
    : [{ untilStep: Number.POSITIVE_INFINITY, faces: input.faces as FaceCoefficients }];
  const perDay = (coefficient: number) => coefficient * 1000 * SECONDS_PER_DAY;
  const warmthAt = (temperature: number) =>
    diffusivity.warmth === 0 ? 1 : Math.exp(diffusivity.warmth * (1 / 293.15 - 1 / (273.15 + temperature)));

  const mean = new Float64Array(steps + 1);
  const slope = new Float64Array(steps + 1);
  const profiles: DiffusionResult['profiles'] = [];
  const slab = newSlab(m, width, depth, table);

  const keep = (index: number) => {
    mean[index] = at(slab.sums, 0);
    slope[index] = at(slab.sums, 1);
  };
  keep(0);
  const water = (mean[0] ?? 0) * thickness;
  let lost = 0;
  let phase = 0;
  /** Days of a part of a step that is about right. */
  let part = step * AFRESH;
  for (let s = 0; s < steps; s += 1) {
    while (phase < phases.length - 1 && s >= (phases[phase]?.untilStep ?? 0)) {
      phase += 1;
      part = step * AFRESH;
    }
    const faces = phases[phase]?.faces ?? { upper: 0, lower: 0 };
    const emc = air.moisture[Math.min(s, air.moisture.length - 1)] ?? 0;
    const temperature = air.temperature?.[Math.min(s, air.temperature.length - 1)] ?? 20;
    conduct(slab, warmthAt(temperature), perDay(faces.lower), perDay(faces.upper));
    for (let left = step; left > step * 1e-9; ) {
      // Parts of one length, so that none is left over that is very short.
      const days = left / Math.ceil(left / part - 1e-9);
      const { error, gained } = advance(slab, emc, days);
      if (error > TOLERANCE && days > step * SHORTEST) {
        undo(slab);
        part = Math.max(step * SHORTEST, days * Math.max(0.2, 0.85 * Math.cbrt(TOLERANCE / error)));
        continue;
      }
      left -= days;
      lost += Math.abs((at(slab.sums, 0) - at(slab.sums, 2)) * thickness - gained);
      part = Math.min(step, days * Math.min(2.5, 0.85 * Math.cbrt(TOLERANCE / Math.max(1e-12, error))));
      if (left > step * 1e-9) conduct(slab, warmthAt(temperature), perDay(faces.lower), perDay(faces.upper));
    }
    keep(s + 1);
    if (input.profileEvery && (s + 1) % input.profileEvery === 0) {
      profiles.push({ step: s + 1, moisture: Float64Array.from(m) });
    }
  }
  return { mean, slope, profile: m, depth, profiles, massError: lost / Math.max(1e-9, Math.abs(water)) };
}

/** The equations of one step; the arrays are written over at every step, so that the loops allocate nothing. */
interface Slab {
  /** Moisture now, and at the start of the step, %. */
  m: Float64Array;
  before: Float64Array;
  /** mm */
  width: Float64Array;
  /** mm²/day at 20 °C by moisture. */
  table: Float64Array;
  d: Float64Array;
  /** Conductances between neighbours, from the air below the first cell to that above the last, mm a day. */
  flow: Float64Array;
  /** Days for which the equations are eliminated; 0 where they are not. */
  days: number;
  /** What a cell keeps of its own past, takes from the cell below, and from the cell above. */
  kept: Float64Array;
  passed: Float64Array;
  ratio: Float64Array;
  carried: Float64Array;
  /** Of each cell in the mean, and in the slope through the thickness (its first moment, 12/L³ ∫ M·(z − L/2) dz). */
  weight: Float64Array;
  moment: Float64Array;
  /** Mean and slope as they are now, and as they were at the start of the step. */
  sums: Float64Array;
  /** What a step came to; written over. */
  outcome: { error: number; gained: number };
}

function newSlab(m: Float64Array, width: Float64Array, depth: Float64Array, table: Float64Array): Slab {
  const thickness = width.reduce((sum, w) => sum + w, 0);
  const weight = width.map((w) => w / thickness);
  const moment = width.map((w, i) => (12 / thickness ** 3) * w * (at(depth, i) - thickness / 2));
  const weighted = (by: Float64Array) => by.reduce((sum, w, i) => sum + w * at(m, i), 0);
  const empty = () => new Float64Array(m.length);
  const [d, kept, passed, ratio, carried] = [empty(), empty(), empty(), empty(), empty()];
  return {
    ...{ m, before: m.slice(), width, table, d, kept, passed, ratio, carried, weight, moment },
    ...{ flow: new Float64Array(m.length + 1), days: 0, outcome: { error: 0, gained: 0 } },
    sums: Float64Array.of(weighted(weight), weighted(moment), 0, 0),
  };
}

/** Conductances in the wood as it is now. */
function conduct(slab: Slab, warmth: number, sLower: number, sUpper: number): void {
  const { m, width, table, d, flow } = slab;
  const n = m.length;
  for (let i = 0; i < n; i += 1) {
    const place = Math.min(Math.max(m[i]! / TABLE_STEP, 0), TABLE_SIZE - 1);
    const low = place | 0;
    d[i] = (table[low]! + (table[low + 1]! - table[low]!) * (place - low)) * warmth;
  }
  flow[0] = sLower > 0 ? 1 / (1 / sLower + width[0]! / (2 * d[0]!)) : 0;
  flow[n] = sUpper > 0 ? 1 / (1 / sUpper + width[n - 1]! / (2 * d[n - 1]!)) : 0;
  for (let i = 0; i < n - 1; i += 1) {
    const [here, next] = [d[i]!, d[i + 1]!];
    flow[i + 1] = (2 * here * next) / (width[i]! * next + width[i + 1]! * here);
  }
  slab.days = 0;
}

/** Eliminates the equations of both stages of a step forward (Thomas algorithm): they are the same. */
function eliminate(slab: Slab, days: number): void {
  const { width, flow, kept, passed, ratio } = slab;
  const n = width.length;
  const share = (GAMMA / 2) * days;
  for (let i = 0; i < n; i += 1) {
    // The air is one more neighbour at either end: it is coupled like a cell, and its moisture is given.
    const [down, up] = [flow[i]!, flow[i + 1]!];
    const held = width[i]! / share;
    const pivot = 1 / (held + up + down - (i > 0 ? down * ratio[i - 1]! : 0));
    kept[i] = held * pivot;
    passed[i] = down * pivot;
    ratio[i] = up * pivot;
  }
  slab.days = days;
}

// The loops below index directly: so many calls of a function, however small, are not inlined.

/** What flows in from the air, mm·% a day. */
function inflow({ m, flow }: Slab, emc: number): number {
  const n = m.length;
  return flow[0]! * (emc - m[0]!) + flow[n]! * (emc - m[n - 1]!);
}

/** Puts back what a step that was too long has changed. */
function undo({ m, before, sums }: Slab): void {
  m.set(before);
  sums[0] = sums[2]!;
  sums[1] = sums[3]!;
}

/** One step of so many days: how far its mean may be off, %, and what came in, mm·%. */
function advance(slab: Slab, emc: number, days: number): Slab['outcome'] {
  const { m, before, width, flow, kept, passed, ratio, carried, weight, moment, sums, outcome } = slab;
  if (slab.days !== days) eliminate(slab, days);
  const n = m.length;
  const share = (GAMMA / 2) * days;
  sums[2] = sums[0]!;
  sums[3] = sums[1]!;
  const atStart = inflow(slab, emc);
  let carry = emc;
  let below = emc;
  for (let i = 0; i < n; i += 1) {
    const here = m[i]!;
    const above = i < n - 1 ? m[i + 1]! : emc;
    const change = flow[i]! * (below - here) + flow[i + 1]! * (above - here);
    carry = kept[i]! * (here + (share * change) / width[i]!) + passed[i]! * carry;
    carried[i] = carry;
    before[i] = here;
    below = here;
  }
  let next = emc;
  for (let i = n - 1; i >= 0; i -= 1) {
    next = carried[i]! + ratio[i]! * next;
    m[i] = next;
  }
  const atMiddle = inflow(slab, emc);
  carry = emc;
  for (let i = 0; i < n; i += 1) {
    carry = kept[i]! * (OF_MIDDLE * m[i]! - OF_START * before[i]!) + passed[i]! * carry;
    carried[i] = carry;
  }
  next = emc;
  let sum = 0;
  let first = 0;
  for (let i = n - 1; i >= 0; i -= 1) {
    next = carried[i]! + ratio[i]! * next;
    m[i] = next;
    sum += weight[i]! * next;
    first += moment[i]! * next;
  }
  sums[0] = sum;
  sums[1] = first;
  const atEnd = inflow(slab, emc);
  outcome.gained = days * (OF_STAGE * (atStart + atMiddle) + (GAMMA / 2) * atEnd);
  const thickness = width[0]! / weight[0]!;
  outcome.error = Math.abs(
    ((2 * ERROR * days) / thickness) * (atStart / GAMMA - atMiddle / (GAMMA * (1 - GAMMA)) + atEnd / (1 - GAMMA)),
  );
  return outcome;
}

/** A cell that is known to be there. */
const at = (cells: Float64Array, i: number): number => cells[i]!;

/** Widths of the cells, mm: half even, half cosine-spaced, so that the faces are finely divided. */
function cellWidths(n: number, thickness: number): Float64Array {
  const edge = (i: number) => {
    const even = i / n;
    return thickness * (0.4 * even + 0.6 * 0.5 * (1 - Math.cos(Math.PI * even)));
  };
  return Float64Array.from({ length: n }, (_, i) => edge(i + 1) - edge(i));
}
