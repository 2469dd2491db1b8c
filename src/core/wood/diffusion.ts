import type { Diffusivity } from './diffusivity';

const SECONDS_PER_DAY = 86_400;
/** Parts of the first step after a change of the faces. */
const START_STEPS = 24;
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
 * −D ∂M/∂z = S·(M_surface − EMC). Finite volumes, cells finer towards the faces, implicit in time (second-order backward
 * differences; the first step of each phase in many short ones), D taken from the step before: never unstable, whatever
 * the step.
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
  // Diffusivity and warmth change slowly: a quarter of a day old is new enough.
  const renewEvery = Math.max(1, Math.round(0.25 / step));

  const keep = (index: number) => {
    mean[index] = at(slab.sums, 0);
    slope[index] = at(slab.sums, 1);
  };
  keep(0);
  const water = (mean[0] ?? 0) * thickness;
  let lost = 0;
  let phase = 0;
  let fresh = true;
  let afterFresh = false;
  for (let s = 0; s < steps; s += 1) {
    while (phase < phases.length - 1 && s >= (phases[phase]?.untilStep ?? 0)) {
      phase += 1;
      fresh = true;
    }
    const faces = phases[phase]?.faces ?? { upper: 0, lower: 0 };
    const emc = air.moisture[Math.min(s, air.moisture.length - 1)] ?? 0;
    const temperature = air.temperature?.[Math.min(s, air.temperature.length - 1)] ?? 20;
    let gained: number;
    let flowed = 0;
    if (fresh) {
      // A new surface starts with an infinite slope: short steps first, growing with the square of their number.
      const whole = Float64Array.from(m);
      for (let k = 0; k < START_STEPS; k += 1) {
        const days = (step * (2 * k + 1)) / START_STEPS ** 2;
        prepare(slab, days, warmthAt(temperature), perDay(faces.lower), perDay(faces.upper), 1);
        flowed += days * advance(slab, emc, 1, 0);
      }
      slab.before.set(whole);
      keep(s + 1);
      gained = at(mean, s + 1) - at(mean, s);
    } else {
      if (afterFresh || s % renewEvery === 0)
        prepare(slab, step, warmthAt(temperature), perDay(faces.lower), perDay(faces.upper), 1.5);
      flowed = step * advance(slab, emc, 2, 0.5);
      keep(s + 1);
      gained = 1.5 * at(mean, s + 1) - 2 * at(mean, s) + 0.5 * at(mean, s - 1);
    }
    // What came in, by the same differences as the board is reckoned with, so that nothing gets lost in between.
    lost += Math.abs(gained * thickness - flowed);
    afterFresh = fresh;
    fresh = false;
    if (input.profileEvery && (s + 1) % input.profileEvery === 0) {
      profiles.push({ step: s + 1, moisture: Float64Array.from(m) });
    }
  }
  return { mean, slope, profile: m, depth, profiles, massError: lost / Math.max(1e-9, Math.abs(water)) };
}

/** The equations of one step; the arrays are written over at every step, so that the loops allocate nothing. */
interface Slab {
  /** Moisture now and one step before, %. */
  m: Float64Array;
  before: Float64Array;
  /** mm */
  width: Float64Array;
  /** mm²/day at 20 °C by moisture. */
  table: Float64Array;
  d: Float64Array;
  /** What a cell keeps of its own past, takes from the cell below, and from the cell above. */
  kept: Float64Array;
  passed: Float64Array;
  ratio: Float64Array;
  carried: Float64Array;
  /** Of each cell in the mean, and in the slope through the thickness (its first moment, 12/L³ ∫ M·(z − L/2) dz). */
  weight: Float64Array;
  moment: Float64Array;
  /** Mean and slope as they are now. */
  sums: Float64Array;
  /** Conductances from the outer cells' middles into the air, mm a day. */
  faces: Float64Array;
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
    ...{ sums: Float64Array.of(weighted(weight), weighted(moment)), faces: new Float64Array(2) },
  };
}

/** Sets up the equations of a step of `days` in the wood as it is now, and eliminates forward (Thomas algorithm). */
function prepare(slab: Slab, days: number, warmth: number, sLower: number, sUpper: number, lead: number): void {
  const { m, width, table, d, kept, passed, ratio, faces } = slab;
  const n = m.length;
  for (let i = 0; i < n; i += 1) {
    const place = Math.min(Math.max((m[i] as number) / TABLE_STEP, 0), TABLE_SIZE - 1);
    const low = place | 0;
    d[i] = ((table[low] as number) + ((table[low + 1] as number) - (table[low] as number)) * (place - low)) * warmth;
  }
  faces[0] = sLower > 0 ? 1 / (1 / sLower + (width[0] as number) / (2 * (d[0] as number))) : 0;
  faces[1] = sUpper > 0 ? 1 / (1 / sUpper + (width[n - 1] as number) / (2 * (d[n - 1] as number))) : 0;
  let down = faces[0] as number;
  for (let i = 0; i < n; i += 1) {
    let up = faces[1] as number;
    if (i < n - 1) {
      const [here, next] = [d[i] as number, d[i + 1] as number];
      up = (2 * here * next) / ((width[i] as number) * next + (width[i + 1] as number) * here);
    }
    // The air is one more neighbour at either end: it is coupled like a cell, and its moisture is given.
    const held = (width[i] as number) / days;
    const pivot = 1 / (held * lead + up + down - (i > 0 ? down * (ratio[i - 1] as number) : 0));
    kept[i] = held * pivot;
    passed[i] = down * pivot;
    ratio[i] = up * pivot;
    down = up;
  }
}

// The two loops below index directly: so many calls of a function, however small, are not inlined.
/** One implicit step out of `then`·M − `old`·M₋₁. Returns what flows in at its end, mm·% a day. */
function advance(slab: Slab, emc: number, then: number, old: number): number {
  const { m, before, kept, passed, ratio, carried, weight, moment, sums, faces } = slab;
  const lower = faces[0] as number;
  const upper = faces[1] as number;
  const n = m.length;
  let carry = emc;
  for (let i = 0; i < n; i += 1) {
    carry =
      (kept[i] as number) * (then * (m[i] as number) - old * (before[i] as number)) + (passed[i] as number) * carry;
    carried[i] = carry;
  }
  let next = emc;
  let sum = 0;
  let first = 0;
  for (let i = n - 1; i >= 0; i -= 1) {
    before[i] = m[i] as number;
    next = (carried[i] as number) + (ratio[i] as number) * next;
    m[i] = next;
    sum += (weight[i] as number) * next;
    first += (moment[i] as number) * next;
  }
  sums[0] = sum;
  sums[1] = first;
  return lower * (emc - (m[0] as number)) + upper * (emc - (m[n - 1] as number));
}

/** A cell that is known to be there. */
const at = (cells: Float64Array, i: number): number => cells[i] as number;

/** Widths of the cells, mm: half even, half cosine-spaced, so that the faces are finely divided. */
function cellWidths(n: number, thickness: number): Float64Array {
  const edge = (i: number) => {
    const even = i / n;
    return thickness * (0.4 * even + 0.6 * 0.5 * (1 - Math.cos(Math.PI * even)));
  };
  return Float64Array.from({ length: n }, (_, i) => edge(i + 1) - edge(i));
}
