import * as v from 'valibot';
import type { Bench } from '../../../decision/bench';
import { length, whole } from '../../../decision/fields';
import { topEntries } from '../../../decision/top-shapes';
import { bored, type Joint } from '../../../joint/joint';
import { sliding } from '../../../restraint/tie';
import { rod } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import { rectangleOutline } from '../../../solid/outline';
import type { Vec } from '../../../solid/vector';
import type { Draft } from '../../part';
import type { TopPlan, TopSize } from '../../plans';
import { measured } from '../../settle-locks';
import type { TopKind } from '../kind';
import { to5, within } from '../round-figure';

const schema = v.object({
  kind: v.literal('extending'),
  ...topEntries,
  leaves: whole(1, 4),
  /** Of each leaf, along the table. */
  leaf: length(150, 900),
  slides: v.object({
    height: length(25, 100),
    thickness: length(12, 60),
    /** What stays of a runner in its guide when the table is drawn out, at the least. */
    overlap: length(60, 800),
  }),
  /** Under the top in the base, or in a rack of their own. */
  stored: v.picklist(['inside', 'elsewhere']),
});
type Extending = v.InferOutput<typeof schema>;

const HALVES = ['half-left', 'half-right'] as const;
export const leafIds = (count: number) => Array.from({ length: count }, (_, i) => `leaf-${i + 1}`);

/** Pins between leaves: so thick as a third of the thickness, so far into both, at most so far apart; mm, common practice. */
const PIN_IN = 25;
const PIN_SPACING = 350;
const PIN_FROM_EDGE = 80;

/** How far each half goes out to take all leaves, mm. */
export const travelOfHalf = ({ leaves, leaf }: Pick<Extending, 'leaves' | 'leaf'>): number => (leaves * leaf) / 2;

/** Drawn out, its leaves in their places. */
export function extendingSize(form: Extending, bench: Bench): TopSize {
  const half = measured(bench, HALVES, 'length') ?? form.length / 2;
  return {
    length: 2 * half + form.leaves * form.leaf,
    width: measured(bench, HALVES, 'width') ?? form.width,
    thickness: measured(bench, HALVES, 'thickness') ?? form.thickness,
  };
}

/** Two halves that are drawn apart, and leaves between them; all of them with the grain along the table. */
export function extendingTop(form: Extending, size: TopSize, underside: number): TopPlan {
  const ids = leafIds(form.leaves);
  const half = (size.length - form.leaves * form.leaf) / 2;
  const z = underside + size.thickness / 2;
  const plate = (own: Pick<Draft, 'id' | 'name' | 'kind' | 'oneWith'>, from: number, length: number): Draft => ({
    ...own,
    grade: 'one-face',
    size: { length, width: size.width, thickness: size.thickness },
    frame: squareFrame([from + length / 2, 0, z], { length: 'x', width: 'y', thickness: 'z' }),
  });
  const inner = -size.length / 2 + half;
  const drafts: Draft[] = [
    plate({ id: 'half-left', name: 'Half, left', kind: 'top' }, -size.length / 2, half),
    plate({ id: 'half-right', name: 'Half, right', kind: 'top', oneWith: 'half-left' }, size.length / 2 - half, half),
    ...ids.map((id, i) =>
      plate(
        { id, name: `Leaf ${i + 1}`, kind: 'leaf', ...(i > 0 ? { oneWith: 'leaf-1' } : {}) },
        inner + i * form.leaf,
        form.leaf,
      ),
    ),
  ];
  // From left to right, every one pinned into the next.
  const order = ['half-left', ...ids, 'half-right'];
  const joints = order.slice(1).map((to, i): Joint => {
    const from = order[i] as string;
    return pins(from, to, inner + i * form.leaf, size, z);
  });
  return {
    drafts,
    joints,
    outline: rectangleOutline(size.length, size.width),
    size,
    leading: 'half-left',
    closed: 2 * half,
    carriedApart: true,
    fittings: [],
    problems: [],
  };
}

/** Pins glued into one edge and let into the other, loose: they bring the faces level and hold nothing. */
function pins(from: string, to: string, x: number, size: TopSize, z: number): Joint {
  const reach = Math.max(0, size.width / 2 - PIN_FROM_EDGE);
  const count = Math.max(2, Math.ceil((2 * reach) / PIN_SPACING) + 1);
  const thick = Math.max(6, Math.round(size.thickness / 3));
  const places = Array.from({ length: count }, (_, i) => -reach + (2 * reach * i) / (count - 1));
  const at = (dx: number, y: number): Vec => [x + dx, y, z];
  return {
    id: `${to}/${from}`,
    kind: 'leaf-pins',
    name: `Pins between ${from.replace('-', ' ')} and ${to.replace('-', ' ')}`,
    into: to,
    from,
    removed: places.flatMap((y) => [
      { part: to, what: 'hole for a pin', ...bored(at(0, y), at(PIN_IN + 2, y), thick), open: [[-1, 0, 0] as const] },
      { part: from, what: 'hole for a pin', ...bored(at(0, y), at(-PIN_IN, y), thick), open: [[1, 0, 0] as const] },
    ]),
    added: places.map((y) => ({ part: from, solid: rod(at(-PIN_IN, y), at(PIN_IN, y), thick), inside: true as const })),
    ties: [
      sliding(
        { id: `${to}/${from}`, name: `pins of ${to.replace('-', ' ')}`, a: from, b: to, at: { x, y: 0, z } },
        { y: 1, z: 1 },
      ),
    ],
  };
}

export const extending: TopKind<typeof schema> = {
  name: 'Two halves with leaves',
  reason: 'Drawn apart on slides under the top, leaves laid between; the base stays where it stands.',
  schema,
  lengthIs: 'Length, closed',
  drawsOut: true,
  fields: [
    { ask: 'figure', at: 'leaves', label: 'Leaves' },
    { ask: 'figure', at: 'leaf', label: 'Each leaf, along the table' },
    { ask: 'figure', at: 'slides.height', label: 'Slides, high' },
    { ask: 'figure', at: 'slides.thickness', label: 'Slides, thick' },
    {
      ask: 'figure',
      at: 'slides.overlap',
      label: 'Stays in the guide',
      hint: 'Of each runner, when the table is drawn out: what holds the end up.',
    },
    {
      ask: 'choice',
      at: 'stored',
      label: 'Leaves are kept',
      options: [
        {
          value: 'inside',
          label: 'In the base',
          reason: 'Turned, on ledges under the slides: they live in the same air as the top.',
        },
        {
          value: 'elsewhere',
          label: 'Elsewhere',
          reason: 'Flat, and in the same air: a leaf in a damp cupboard no longer fits in width.',
        },
      ],
    },
    { ask: 'nothing', figure: 'slides-overlap', label: 'In its guide, drawn out' },
    { ask: 'nothing', figure: 'slides-give', label: 'Give of the drawn-out end' },
  ],
  start: ({ length: long }) => ({
    leaves: 1,
    leaf: within(to5(long / 4), 200, 500),
    slides: { height: 40, thickness: 25, overlap: 250 },
    stored: 'elsewhere',
  }),
  size: extendingSize,
  plan: extendingTop,
};
