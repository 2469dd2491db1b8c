import * as v from 'valibot';
import type { Bench } from '../../../decision/bench';
import { length, whole } from '../../../decision/fields';
import { EdgeSchema, topEntries } from '../../../decision/top-shapes';
import { squareFrame } from '../../../solid/frame';
import { rectangleOutline } from '../../../solid/outline';
import { EDGE_FIELDS } from '../../edge-fields';
import type { Draft } from '../../part';
import type { TopPlan, TopSize } from '../../plans';
import { measured } from '../../settle-locks';
import type { Unbuildable } from '../../unbuildable';
import { solidWithEdge } from '../../worked-edge';
import type { TopKind } from '../kind';

const schema = v.object({
  kind: v.literal('slatted'),
  ...topEntries,
  slats: whole(2, 40),
  /** Between two slats on the day it is made. */
  gap: length(1, 60),
  edge: v.optional(EdgeSchema, { kind: 'square' }),
});
type Slatted = v.InferOutput<typeof schema>;

const slatIds = (count: number) => Array.from({ length: count }, (_, i) => `slat-${i + 1}`);

/** The width of each slat that fills the top with its gaps, mm. */
export const slatWidth = ({ width, slats, gap }: Pick<Slatted, 'width' | 'slats' | 'gap'>): number =>
  (width - (slats - 1) * gap) / slats;

export function slattedSize(form: Slatted, bench: Bench): TopSize {
  const ids = slatIds(form.slats);
  return {
    length: measured(bench, ids, 'length') ?? form.length,
    width: form.width,
    thickness: measured(bench, ids, 'thickness') ?? form.thickness,
  };
}

/** Slats side by side with gaps, each held in its middle only, so that it moves about that and the gaps take it up. */
export function slattedTop(form: Slatted, size: TopSize, underside: number): TopPlan {
  const drawn = slatWidth(form);
  const width = Math.max(1, drawn);
  const pitch = width + form.gap;
  const drafts = slatIds(form.slats).map((id, i): Draft => {
    const at = -form.width / 2 + width / 2 + i * pitch;
    return {
      id,
      name: `Slat ${i + 1}`,
      kind: 'slat',
      grade: 'all-faces',
      size: { length: size.length, width, thickness: size.thickness },
      frame: squareFrame([0, at, underside + size.thickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
      ...(form.edge.kind === 'square'
        ? {}
        : { body: [solidWithEdge(rectangleOutline(size.length, width), size.thickness, form.edge)] }),
    };
  });
  return {
    drafts,
    joints: [],
    outline: rectangleOutline(size.length, form.width),
    size,
    leading: 'slat-1',
    leads: 'a slat',
    gap: form.gap,
    fittings: [],
    problems: drawn < LEAST_SLAT ? [tooNarrow(form)] : [],
  };
}

/** A slat narrower than this holds no screw in its middle, mm; common practice. */
const LEAST_SLAT = 30;

const tooNarrow = (form: Slatted): Unbuildable => ({
  problem: `${form.slats} slats with their gaps leave each of them too narrow to be held.`,
  where: 'form.top.slats',
  wayOut: 'Take fewer slats or smaller gaps, or make the top wider.',
});

/** About so wide is a slat with its gap, mm (common practice). */
const PITCH = 96;
const GAP = 6;

export const slatted: TopKind<typeof schema> = {
  name: 'Slats with gaps',
  reason: 'Each slat moves by itself and the gaps take it up: for outdoors.',
  schema,
  fields: [
    { ask: 'figure', at: 'slats', label: 'Slats' },
    {
      ask: 'figure',
      at: 'gap',
      label: 'Gap between slats',
      hint: 'On the day it is made; the season step tells what is left of it at the wettest.',
    },
    ...EDGE_FIELDS,
  ],
  start: ({ width }) => ({
    slats: Math.max(2, Math.round((width + GAP) / PITCH)),
    gap: GAP,
    edge: { kind: 'rounded', radius: 4 },
  }),
  size: slattedSize,
  plan: slattedTop,
};
