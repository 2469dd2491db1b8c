import * as v from 'valibot';
import type { Bench } from '../../../decision/bench';
import { length } from '../../../decision/fields';
import { optionsOf } from '../../../decision/form-field';
import { topEntries } from '../../../decision/top-shapes';
import { frameMitre } from '../../../joint/frame-mitre';
import type { Cut, Joint } from '../../../joint/joint';
import { fixed, glued, inGroove, type Tie } from '../../../restraint/tie';
import { box, type Convex, prism } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import { type Flat, rectangleOutline } from '../../../solid/outline';
import type { Vec } from '../../../solid/vector';
import type { Draft } from '../../part';
import type { TopPlan, TopSize } from '../../plans';
import { measured } from '../../settle-locks';
import { atFigure, type Unbuildable } from '../../unbuildable';
import type { TopKind } from '../kind';
import { to5, within } from '../round-figure';

const schema = v.object({
  kind: v.literal('framed'),
  ...topEntries,
  border: length(30, 300),
  panel: v.picklist(['floating', 'sheet', 'glued']),
  panelThickness: length(6, 100),
  /** Beyond the panel's field, into the grooves. */
  tongue: length(5, 60),
  /** Free at each side across the grain on the day it is made; not used where the panel is glued. */
  room: length(0, 25),
});
type Framed = v.InferOutput<typeof schema>;

/** How the panel stands in its frame, where makers differ. Common practice. */
export const FRAMED_PANELS: Readonly<Record<Framed['panel'], { name: string; reason: string }>> = {
  floating: {
    name: 'Solid, loose in its groove',
    reason: 'Held in the middle of its ends; a shadow line at both sides closes and opens with the year.',
  },
  sheet: {
    name: 'Veneered sheet, glued',
    reason: 'A core that does not move may be glued to the frame all round.',
  },
  glued: {
    name: 'Solid, glued all round',
    reason: 'What opens at the mitres, or splits, within a year: here to be seen, and stopped.',
  },
};

/** A tongue is a third of its panel thick, and does not stand on the bottom of its groove at the ends; mm, common practice. */
const tongueThickness = (thickness: number) => Math.max(5, Math.round(thickness / 3));
const END_PLAY = 1;
/** What even the driest week must leave in the groove, mm; common practice. */
export const STAYS_IN = 2;

const LONG = [
  { id: 'border-front', word: 'front', side: -1 },
  { id: 'border-back', word: 'back', side: 1 },
] as const;
const ENDS = [
  { id: 'border-left', word: 'left', side: -1 },
  { id: 'border-right', word: 'right', side: 1 },
] as const;

/** The room at both sides that a panel has: none where it does not move or is not let. mm */
export const roomOf = (form: Framed): number => (form.panel === 'floating' ? form.room : 0);

export function framedSize(form: Framed, bench: Bench): TopSize {
  return {
    length: measured(bench, ['border-front', 'border-back'], 'length') ?? form.length,
    width: measured(bench, ['border-left', 'border-right'], 'length') ?? form.width,
    thickness:
      measured(
        bench,
        [...LONG, ...ENDS].map(({ id }) => id),
        'thickness',
      ) ?? form.thickness,
  };
}

/** A frame mitred at its corners round a panel that lies flush in it. */
export function framedTop(form: Framed, size: TopSize, underside: number): TopPlan {
  const { border, tongue } = form;
  const room = roomOf(form);
  const [l, w, t] = [size.length / 2, size.width / 2, size.thickness / 2];
  const [clearLong, clearWide] = [size.length - 2 * border, size.width - 2 * border];
  const z = underside + t;
  const thick = Math.min(form.panelThickness, size.thickness);
  const tongueHigh = tongueThickness(thick);
  const borderOf = (id: string, name: string, along: 'x' | 'y', side: 1 | -1): Draft => {
    const long = along === 'x' ? size.length : size.width;
    const at: Vec = along === 'x' ? [0, side * (w - border / 2), z] : [side * (l - border / 2), 0, z];
    const [outer, inner] = [long / 2, long / 2 - border];
    // Outward is the way of its side, across it.
    const outline: Flat[] =
      side > 0
        ? [
            [-inner, -border / 2],
            [inner, -border / 2],
            [outer, border / 2],
            [-outer, border / 2],
          ]
        : [
            [-outer, -border / 2],
            [outer, -border / 2],
            [inner, border / 2],
            [-inner, border / 2],
          ];
    return {
      id,
      name,
      kind: 'border',
      grade: 'one-face',
      size: { length: long, width: border, thickness: size.thickness },
      frame: squareFrame(at, { length: along, width: along === 'x' ? 'y' : 'x', thickness: 'z' }),
      body: [prism(outline, -t, t)],
      ends: { start: { mitre: 45, bevel: 0 }, end: { mitre: 45, bevel: 0 } },
    };
  };
  const borders = [
    ...LONG.map(({ id, word, side }) => borderOf(id, `Border, ${word}`, 'x', side)),
    ...ENDS.map(({ id, word, side }) => borderOf(id, `Border, ${word}`, 'y', side)),
  ];
  // Its field between the borders, flush above; tongues on all four sides, none in the corners.
  const field = { long: clearLong, wide: clearWide - 2 * room };
  const reach = { end: tongue - END_PLAY, side: form.panel === 'floating' ? tongue : tongue - END_PLAY };
  const [a, b] = [field.long / 2, field.wide / 2];
  const panel: Draft = {
    id: 'panel',
    name: 'Panel',
    kind: form.panel === 'sheet' ? 'sheet' : 'top',
    grade: 'one-face',
    ...(form.panel === 'sheet' ? { material: 'sheet' as const } : {}),
    size: { length: field.long + 2 * reach.end, width: field.wide + 2 * reach.side, thickness: thick },
    frame: squareFrame([0, 0, underside + size.thickness - thick / 2], { length: 'x', width: 'y', thickness: 'z' }),
    beyond: { start: reach.end, end: reach.end },
    body: [box([-a, -b, -thick / 2], [a, b, thick / 2])],
  };
  const level = panel.frame.at[2];
  const inside = { clearLong, clearWide, field, level, high: tongueHigh };
  const grooves = [
    ...LONG.map(({ id, side }) => groove(form, id, side, 'y', { ...inside, tongue: reach.side })),
    ...ENDS.map(({ id, side }) => groove(form, id, side, 'x', { ...inside, tongue: reach.end })),
  ];
  const mitres = LONG.flatMap((long) =>
    ENDS.map((end) =>
      frameMitre({
        id: `${long.id}/${end.id}`,
        name: `Mitre of the borders, ${long.word} ${end.word}`,
        long: long.id,
        end: end.id,
        outer: [end.side * l, long.side * w],
        z,
        border,
        thickness: size.thickness,
        clear: tongue,
      }),
    ),
  );
  return {
    drafts: [...borders, panel],
    joints: [...mitres, ...grooves],
    outline: rectangleOutline(size.length, size.width),
    size,
    // A sheet does not move: what the seasons still move is the borders.
    leading: form.panel === 'sheet' ? 'border-front' : 'panel',
    leads: form.panel === 'sheet' ? 'a border' : 'the panel',
    fittings:
      form.panel === 'sheet'
        ? [{ name: 'Veneered sheet for the panel', count: 1, size: [panel.size.length, panel.size.width, thick] }]
        : [],
    problems: impossible(form, size, clearWide, tongueHigh),
  };
}

function groove(
  form: Framed,
  id: string,
  side: 1 | -1,
  toward: 'x' | 'y',
  own: {
    clearLong: number;
    clearWide: number;
    field: { long: number; wide: number };
    level: number;
    high: number;
    /** How far the panel's tongue stands out beyond its field there. */
    tongue: number;
  },
): Joint {
  const { clearLong, clearWide, field, level, high } = own;
  const [l, w] = [clearLong / 2, clearWide / 2];
  const { tongue } = form;
  const [z0, z1] = [level - high / 2, level + high / 2];
  const [lo, hi] = side < 0 ? [-1, 0] : [0, 1];
  const solid =
    toward === 'y'
      ? box([-l, side * w + lo * tongue, z0], [l, side * w + hi * tongue, z1])
      : box([side * l + lo * tongue, -w, z0], [side * l + hi * tongue, w, z1]);
  // Out of the field's own edge, none in the corners.
  const [fl, fw] = [field.long / 2, field.wide / 2];
  const tongueSolid: Convex =
    toward === 'y'
      ? box([-fl, side * fw + lo * own.tongue, z0], [fl, side * fw + hi * own.tongue, z1])
      : box([side * fl + lo * own.tongue, -fw, z0], [side * fl + hi * own.tongue, fw, z1]);
  const inward: Vec = toward === 'y' ? [0, -side, 0] : [-side, 0, 0];
  const s = Math.SQRT1_2;
  const removed: Cut[] = [
    {
      part: id,
      what: 'groove',
      solid,
      // Into the corners it runs out through the mitres, where the other border's meets it.
      open: [
        inward,
        ...([-1, 1] as const).flatMap((q): Vec[] =>
          toward === 'y' ? [[q * s, -side * s, 0]] : [[-side * s, q * s, 0]],
        ),
      ],
    },
  ];
  const at = toward === 'y' ? { x: 0, y: side * w, z: level } : { x: side * l, y: 0, z: level };
  const between = {
    id: `${id}/panel`,
    name: `panel in the ${id.replace('border-', '')} border`,
    a: 'panel',
    b: id,
    at,
  };
  return {
    id: between.id,
    kind: 'panel-groove',
    name: `Panel in the ${id.replace('border-', '')} border`,
    into: id,
    from: 'panel',
    removed,
    added: [{ part: 'panel', solid: tongueSolid }],
    ties: tiesOf(form, between, side, toward, clearWide),
  };
}

function tiesOf(
  form: Framed,
  between: Parameters<typeof fixed>[0],
  side: 1 | -1,
  toward: 'x' | 'y',
  clearWide: number,
): readonly Tie[] {
  switch (form.panel) {
    case 'sheet':
      return [fixed(between)];
    case 'glued':
      // Across the panel's grain the whole of its width is held by the end.
      return toward === 'x' ? glued(between, { y: clearWide }) : [fixed(between)];
    case 'floating':
      // Pinned in the middle of its ends, where its tongue has a little play along.
      return toward === 'x'
        ? [
            {
              ...fixed(between, ['y', 'z']),
              room: { ...fixed(between, ['y', 'z']).room, x: { minus: END_PLAY, plus: END_PLAY } },
            },
          ]
        : [
            inGroove(between, {
              axis: 'y',
              deeper: side,
              gap: form.room,
              tongue: Math.max(0, form.tongue - form.room - STAYS_IN),
            }),
          ];
  }
}

function impossible(form: Framed, size: TopSize, clearWide: number, tongueHigh: number): Unbuildable[] {
  const problems: Unbuildable[] = [];
  if (clearWide < 100 || size.length - 2 * form.border < 100) {
    problems.push({
      problem: 'The borders leave no panel between them.',
      where: 'form.top.border',
      wayOut: 'Make the borders narrower or the top larger.',
    });
  }
  if (form.panelThickness > size.thickness) {
    problems.push({
      problem: 'The panel is thicker than its frame.',
      where: 'form.top.panelThickness',
      ...atFigure('Take a panel of at most', Math.floor(size.thickness), ': it lies flush above.'),
    });
  }
  if (form.panelThickness < size.thickness / 2 || form.panelThickness < 2 * tongueHigh) {
    problems.push({
      problem: 'The panel is so thin that it carries nothing.',
      where: 'form.top.panelThickness',
      ...atFigure('Take at least', Math.ceil(Math.max(size.thickness / 2, 2 * tongueHigh))),
    });
  }
  if (form.tongue > form.border / 2) {
    problems.push({
      problem: 'The groove goes through more than half of the border.',
      where: 'form.top.tongue',
      ...atFigure('Let the tongue in by at most', Math.floor(form.border / 2)),
    });
  }
  if (form.panel === 'floating' && form.room > form.tongue - STAYS_IN) {
    problems.push({
      problem: 'With that much room at its sides the panel’s tongue does not reach into its groove.',
      where: 'form.top.room',
      ...atFigure('Leave at most', Math.max(0, Math.floor(form.tongue - STAYS_IN)), ', or make the tongue longer.'),
    });
  }
  return problems;
}

export const framed: TopKind<typeof schema> = {
  name: 'Panel in a mitred frame',
  reason: 'Long grain all round; the panel must be free in it, or of a core that does not move.',
  schema,
  fields: [
    { ask: 'choice', at: 'panel', label: 'Panel', listed: true, options: optionsOf(FRAMED_PANELS) },
    { ask: 'figure', at: 'border', label: 'Borders, wide' },
    { ask: 'figure', at: 'panelThickness', label: 'Panel, thick' },
    { ask: 'figure', at: 'tongue', label: 'Tongue, into the grooves' },
    {
      ask: 'figure',
      at: 'room',
      label: 'Room at each side',
      hint: 'Across the grain on the day it is made: a shadow line that closes in the wet season.',
      when: ({ panel }) => panel === 'floating',
    },
    { ask: 'nothing', figure: 'framed-room', label: 'Free at each side, wettest' },
    { ask: 'nothing', figure: 'framed-mitres', label: 'Mitres open by' },
  ],
  start: ({ width, thickness }) => ({
    border: within(to5(width / 9), 60, 110),
    panel: 'floating',
    panelThickness: Math.max(12, Math.round(thickness * 0.75)),
    tongue: 16,
    room: 6,
  }),
  size: framedSize,
  plan: framedTop,
};
