import * as v from 'valibot';
import type { Bench } from '../../../decision/bench';
import { whole } from '../../../decision/fields';
import { topEntries } from '../../../decision/top-shapes';
import { BOLT_LONG, boltsFor, drawBolts, LEAST_OVER_POCKET, pocketDepth } from '../../../joint/draw-bolts';
import { squareFrame } from '../../../solid/frame';
import { rectangleOutline } from '../../../solid/outline';
import type { Draft } from '../../part';
import type { TopPlan, TopSize } from '../../plans';
import { measured } from '../../settle-locks';
import { atFigure, type Unbuildable } from '../../unbuildable';
import type { TopKind } from '../kind';

const schema = v.object({ kind: v.literal('halves'), ...topEntries, bolts: whole(2, 12) });
type Halves = v.InferOutput<typeof schema>;

const HALVES = ['half-front', 'half-back'] as const;
/** Beside the seam no screw is set: pockets and channels are there. mm */
const BESIDE_SEAM = 100;
/** From there the screw that holds it stands so far into its half. */
const HELD_IN = 30;

/** A half that is cut is as wide as it is; the other takes what is left of the top, so that this stays as wide as it is decided. */
function widthsOf(form: Halves, bench: Bench): readonly [number, number] {
  const [front, back] = HALVES.map((id) => bench.locks[id]?.width ?? null) as [number | null, number | null];
  const rest = (cut: number) => Math.max(1, form.width - cut);
  return [
    front ?? (back === null ? form.width / 2 : rest(back)),
    back ?? (front === null ? form.width / 2 : rest(front)),
  ];
}

export function halvesSize(form: Halves, bench: Bench): TopSize {
  const [front, back] = widthsOf(form, bench);
  return {
    length: measured(bench, HALVES, 'length') ?? form.length,
    width: front + back,
    thickness: measured(bench, HALVES, 'thickness') ?? form.thickness,
  };
}

/** Two panels side by side, drawn together by bolts from below: each goes through a door, and is turned, by itself. */
export function halvesTop(form: Halves, size: TopSize, underside: number, bench: Bench): TopPlan {
  const half = size.width / 2;
  const widths = widthsOf(form, bench);
  const seam = widths[0] - half;
  const drafts = HALVES.map((id, i): Draft => {
    const side = i === 0 ? -1 : 1;
    const width = widths[i] as number;
    return {
      id,
      name: side < 0 ? 'Half, front' : 'Half, back',
      kind: 'top',
      grade: 'one-face',
      size: { length: size.length, width, thickness: size.thickness },
      frame: squareFrame([0, seam + (side * width) / 2, underside + size.thickness / 2], {
        length: 'x',
        width: 'y',
        thickness: 'z',
      }),
    };
  });
  return {
    drafts,
    joints: [
      drawBolts({
        id: 'half-front/half-back',
        front: 'half-front',
        back: 'half-back',
        seam,
        underside,
        length: size.length,
        thickness: size.thickness,
        count: form.bolts,
      }),
    ],
    outline: rectangleOutline(size.length, size.width),
    size,
    leading: 'half-front',
    leads: 'a half',
    carriedApart: true,
    // Bolted together they move as one: it is held at one of them, near the seam as far as pockets let it.
    plates: [
      { id: 'half-front', low: -half, high: seam - BESIDE_SEAM, held: true, at: seam - BESIDE_SEAM - HELD_IN },
      { id: 'half-back', low: seam + BESIDE_SEAM, high: half, held: false },
    ],
    fittings: [{ name: 'Bolts that draw the halves together', count: form.bolts, size: [BOLT_LONG] }],
    problems: impossible(size, Math.min(...widths)),
  };
}

function impossible(size: TopSize, narrower: number): Unbuildable[] {
  const problems: Unbuildable[] = [];
  if (size.thickness - pocketDepth(size.thickness) < LEAST_OVER_POCKET) {
    problems.push({
      problem: 'Over the pockets of the bolts too little of the top is left.',
      where: 'form.top.thickness',
      ...atFigure('Make the top at least', Math.ceil(LEAST_OVER_POCKET / 0.35), ' thick.'),
    });
  }
  if (narrower < BESIDE_SEAM + 120) {
    problems.push({
      problem: 'Each half is too narrow to be held beside its bolts.',
      where: 'form.top.width',
      ...atFigure('Make the top at least', 2 * (BESIDE_SEAM + 120), ' wide, or of one panel.'),
    });
  }
  return problems;
}

export const halves: TopKind<typeof schema> = {
  name: 'Two halves bolted together',
  reason: 'Each half is turned, carried and brought through the door by itself; bolts below draw them together.',
  schema,
  fields: [{ ask: 'figure', at: 'bolts', label: 'Bolts' }],
  start: ({ length: long }) => ({ bolts: boltsFor(long) }),
  size: halvesSize,
  plan: halvesTop,
};
