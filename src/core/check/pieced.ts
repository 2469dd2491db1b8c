import { seamTenons } from '../joint/end-seam';
import { mm, say } from '../measure/quantity';
import type { Part } from '../piece/part';
import type { TablePiece } from '../piece/piece';
import { GRAVITY, weightOf } from '../piece/weight';
import { boundsOf } from '../solid/convex';
import { type Check, judge, type TableContext, weakestOf } from './check';
import { STRESS_FACTOR } from './stiffness';

/** A seam nearer to a rail than this lies on it, mm. */
const BESIDE_RAIL = 20;
const megapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });

interface SeamPlace {
  x: number;
  parts: readonly string[];
}

/** Seams in which end grain meets anything, from left to right: a stripe has one at either side. */
const seamsOf = (piece: TablePiece): SeamPlace[] =>
  piece.joints.flatMap(({ kind, ties, into, from }) => {
    const at = ties[0]?.at;
    return kind === 'end-seam' && at ? [{ x: at.x, parts: [from, into] }] : [];
  });

/** A top of fields end to end: what its seams hold, and what carries them. */
export function piecedSeams(context: TableContext): Check[] {
  const { top } = context.document.form;
  if (top.kind !== 'pieced') return [];
  // Where nothing but glue is, there are no tenons to be bent.
  return [endGrain(context, top.stripe > 0), ...(top.seam === 'tenons' ? carriedSeams(context) : [])];
}

/** End grain that is glued and nothing more. */
function endGrain({ document, piece }: TableContext, stripe: boolean): Check {
  const { top } = document.form;
  const glued = top.kind === 'pieced' && top.seam === 'glued';
  return {
    id: 'pieced.end-grain',
    step: 'form',
    level: glued ? 'stop' : 'good',
    sentence: glued
      ? stripe
        ? say`The ends of the fields are only glued to the stripes’ long grain, over ${mm(piece.top.size.width)}.`
        : say`The fields are only glued end grain to end grain.`
      : say`Loose tenons carry the end grain of every seam.`,
    value: mm(glued ? piece.top.size.width : 0),
    limit: mm(0),
    where: piece.top.parts,
    why: stripe
      ? 'The field comes and goes in its width, the stripe keeps its length: the seam shears open within a year, and end grain held little to begin with.'
      : 'End grain drinks the glue: such a seam breaks with the first hand that leans on it.',
    school: 'common practice',
    wayOut: { say: say`Take loose tenons`, changes: [{ path: 'form.top.seam', value: 'tenons' }] },
  };
}

/** Parts of the base that the top lies on: whose upper face is at its underside. */
function underTop(piece: TablePiece): { part: Part; bounds: ReturnType<typeof boundsOf> }[] {
  const underside = piece.overall.height - piece.top.size.thickness;
  return piece.parts.flatMap((part) => {
    if (piece.top.parts.includes(part.id) || part.kind === 'batten') return [];
    const bounds = boundsOf(part.placed);
    return Math.abs(bounds.to[2] - underside) < 0.5 ? [{ part, bounds }] : [];
  });
}

/** A seam on a rail is carried by it; one between rails by its tenons alone. */
function carriedSeams(context: TableContext): Check[] {
  const { document, piece, season } = context;
  const species = weakestOf(context, piece.top.parts);
  const { width, thickness } = piece.top.size;
  const under = underTop(piece);
  const free = seamsOf(piece).filter(({ x }) => {
    const here = under.filter(({ bounds: { from, to } }) => from[0] - BESIDE_RAIL <= x && to[0] + BESIDE_RAIL >= x);
    const across = here.some(({ bounds: { from, to } }) => to[1] - from[1] >= width * 0.6);
    const along = here.filter(({ bounds: { from, to } }) => to[0] - from[0] > to[1] - from[1]);
    const both = along.some((r) => r.bounds.to[1] < 0) && along.some((r) => r.bounds.from[1] > 0);
    return !across && !both;
  });
  const tops = piece.parts.filter((part) => piece.top.parts.includes(part.id));
  const { along } = piece.span;
  const load = weightOf(tops, context.species, season.glued.moisture) * GRAVITY + document.form.loads.spread;
  // Between two rests: q/2·(L²/4 − x²), x from the middle of the span; in one that hangs over there is no more.
  const worst = Math.min(...free.map(({ x }) => Math.abs(x)), along / 2);
  const moment = free.length === 0 ? 0 : (load / piece.top.size.length / 2) * (along ** 2 / 4 - worst ** 2);
  const tenons = seamTenons(width, thickness, width);
  const modulus = (tenons.places.length * tenons.wide * tenons.thickness ** 2) / 6;
  const stress = moment / modulus;
  const working = species.modulusOfRupture / STRESS_FACTOR;
  return [
    {
      id: 'pieced.seams-carried',
      step: 'form',
      level: free.length === 0 ? 'good' : judge(stress, working, { sense: 'at-most', watchFrom: working * 0.6 }),
      sentence:
        free.length === 0
          ? say`Every seam lies on a rail, or between rails that run along under it.`
          : say`Under a seam there is no rail: its tenons are bent to ${megapascal(stress)} of ${megapascal(working)}.`,
      value: megapascal(stress),
      limit: megapascal(working),
      where: free.flatMap(({ parts }) => parts),
      why: 'A top that is cut through has no fibres to carry it there: a seam belongs on a rail.',
      school: 'common practice',
      figure: {
        id: 'seam-tenons',
        label: 'Bending of a seam’s tenons',
        quantity: megapascal(stress),
        formula: 'q/2·(L²/4 − x²) ÷ n·w·t²/6',
        inputs: [
          { label: 'Top and its load', quantity: { amount: load, unit: 'newton' } },
          { label: 'Span L', quantity: mm(along) },
          { label: 'Seam from the middle x', quantity: mm(free.length === 0 ? 0 : worst) },
          { label: 'Tenons n', quantity: { amount: tenons.places.length, unit: 'count' } },
          { label: 'Each wide w', quantity: mm(tenons.wide) },
          { label: 'Each thick t', quantity: mm(tenons.thickness) },
        ],
        source: 'Statics; species table',
        limits: 'The load over the whole top, at once; what the ends that hang over take off is left out.',
      },
      wayOut: {
        say: say`Put it on legs and aprons, whose rails run along under it, or set a bearer under every seam`,
        changes: [],
      },
    },
  ];
}
