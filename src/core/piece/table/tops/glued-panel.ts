import * as v from 'valibot';
import type { Bench } from '../../../decision/bench';
import { amount, length } from '../../../decision/fields';
import { noneOr } from '../../../decision/form-field';
import type { TopOutline } from '../../../decision/top-shapes';
import { cutOuts, EdgeSchema, OutlineSchema, topEntries } from '../../../decision/top-shapes';
import { squareFrame } from '../../../solid/frame';
import { EDGE_FIELDS } from '../../edge-fields';
import type { TopPlan, TopSize } from '../../plans';
import { drawnSize, measured } from '../../settle-locks';
import { COARSE, solidWithEdge } from '../../worked-edge';
import type { TopKind } from '../kind';
import { cutOutsIn } from './cut-outs';
import { outlineOfTop } from './outline';
import { designedStrips, STRIPES_FIELDS, StripesSchema, stripesProblems } from './stripes';

const schema = v.object({
  kind: v.literal('glued-panel'),
  ...topEntries,
  outline: v.optional(OutlineSchema, { kind: 'rectangle' }),
  edge: v.optional(EdgeSchema, { kind: 'square' }),
  cutOuts,
  /** Lifted toward the sitter by a pair of bought-in mechanisms inside the end aprons; null for none. */
  lift: v.optional(
    v.nullable(
      v.object({
        /** What the pair of them lifts, kg, from and to. */
        least: amount(0.5, 80, 'kg'),
        most: amount(0.5, 120, 'kg'),
        /** Screwed under the top to make it heavy enough, kg. */
        ballast: amount(0, 40, 'kg'),
        rise: length(30, 500),
        forward: length(0, 700),
        /** Each of them folded: under the top, front to back, and across the table's length. */
        height: length(20, 250),
        long: length(100, 800),
        thick: length(8, 60),
        /** kg each. */
        weight: amount(0, 15, 'kg'),
      }),
    ),
    null,
  ),
  /** Strips of two woods; null where they are as the boards give. */
  stripes: v.optional(v.nullable(StripesSchema), null),
});
type GluedPanel = v.InferOutput<typeof schema>;

/** As it is cut where its real size is entered, else as it is drawn. */
export function gluedPanelSize(form: GluedPanel, bench: Bench): TopSize {
  const drawn = drawnSize(form);
  return {
    length: measured(bench, ['top'], 'length') ?? drawn.length,
    width: measured(bench, ['top'], 'width') ?? drawn.width,
    thickness: measured(bench, ['top'], 'thickness') ?? form.thickness,
  };
}

/** One panel of strips glued edge to edge, of any outline. */
export function gluedPanelTop(form: GluedPanel, size: TopSize, underside: number): TopPlan {
  const outline = outlineOfTop(form.outline, size);
  const plain = form.outline.kind === 'rectangle' && form.edge.kind === 'square';
  return {
    drafts: [
      {
        id: 'top',
        name: 'Top',
        kind: 'top',
        grade: 'one-face',
        size,
        frame: squareFrame([0, 0, underside + size.thickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
        ...(form.stripes ? { strips: designedStrips(form.stripes, size) } : {}),
        ...(plain
          ? {}
          : { body: [solidWithEdge(outlineOfTop(form.outline, size, COARSE), size.thickness, form.edge)] }),
      },
    ],
    joints: [],
    outline,
    size,
    leading: 'top',
    ...cutOutsIn('top', form.cutOuts, size, underside),
    fittings: [],
    problems: form.stripes ? stripesProblems(form.stripes, size) : [],
  };
}

/** Sizes of a middling pair of mechanisms, to begin with. */
const PAIR = { least: 8, most: 16, ballast: 0, rise: 230, forward: 360, height: 75, long: 340, thick: 28, weight: 2.6 };

/** An outline to begin with (common practice). */
function startOutline(kind: TopOutline['kind'], width: number): TopOutline {
  switch (kind) {
    case 'curved':
      return { kind, side: Math.round(width / 40), end: Math.round(width / 30) };
    case 'polygon':
      return { kind, sides: 8 };
    default:
      return { kind };
  }
}

export const gluedPanel: TopKind<typeof schema> = {
  name: 'Glued panel',
  reason: 'Strips glued edge to edge; moves across as one.',
  schema,
  shape: [
    {
      ask: 'choice',
      at: 'outline',
      label: 'Seen from above',
      listed: true,
      options: [
        { value: 'rectangle', label: 'Rectangle' },
        { value: 'curved', label: 'Curved sides and ends' },
        { value: 'round', label: 'Round' },
        { value: 'oval', label: 'Oval' },
        { value: 'polygon', label: 'Equal sides' },
      ],
      chosen: ({ outline }) => outline.kind,
      start: (kind, { width }) => startOutline(kind as TopOutline['kind'], width),
    },
    {
      ask: 'figure',
      at: 'outline.side',
      label: 'Sides bulge by',
      hint: 'The sagitta: how far the middle of the curve stands beyond its ends.',
    },
    { ask: 'figure', at: 'outline.end', label: 'Ends bulge by' },
    {
      ask: 'choice',
      at: 'outline.sides',
      label: 'Sides',
      options: [6, 8, 10, 12].map((n) => ({ value: `${n}`, label: `${n}` })),
      when: ({ outline }) => outline.kind === 'polygon',
      chosen: ({ outline }) => `${outline.kind === 'polygon' ? outline.sides : ''}`,
      start: (sides) => Number(sides),
    },
  ],
  fields: [
    ...STRIPES_FIELDS,
    ...EDGE_FIELDS,
    { ask: 'cut-outs', at: 'cutOuts', label: 'Cut-outs' },
    {
      at: 'lift',
      label: 'The top',
      when: ({ lift }, { base }) => lift !== null || base.kind === 'leg-apron',
      ...noneOr<GluedPanel, GluedPanel['lift']>(
        ({ lift }) => lift,
        {
          none: 'Stays down',
          some: 'Lifts toward the sitter',
          reason: 'On a pair of bought-in mechanisms inside the end aprons; their maker says what they lift.',
        },
        () => PAIR,
      ),
    },
    { ask: 'figure', at: 'lift.least', label: 'Lifts from', step: 0.1 },
    { ask: 'figure', at: 'lift.most', label: 'Lifts to', step: 0.1 },
    { ask: 'figure', at: 'lift.ballast', label: 'Ballast', step: 0.1 },
    { ask: 'figure', at: 'lift.weight', label: 'Each weighs', step: 0.1 },
    { ask: 'figure', at: 'lift.rise', label: 'Rises by' },
    { ask: 'figure', at: 'lift.forward', label: 'Comes forward by' },
    { ask: 'figure', at: 'lift.height', label: 'Folded, high' },
    { ask: 'figure', at: 'lift.long', label: 'Folded, front to back' },
    { ask: 'figure', at: 'lift.thick', label: 'Folded, thick' },
    { ask: 'nothing', figure: 'lift-load', label: 'On the mechanism' },
    { ask: 'nothing', figure: 'lift-tipping', label: 'Tips, its top forward' },
  ],
  start: () => ({ outline: { kind: 'rectangle' }, edge: { kind: 'square' }, cutOuts: [], lift: null, stripes: null }),
  size: gluedPanelSize,
  plan: gluedPanelTop,
};
