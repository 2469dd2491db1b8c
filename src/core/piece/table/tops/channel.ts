import * as v from 'valibot';
import type { Bench } from '../../../decision/bench';
import { length } from '../../../decision/fields';
import { topEntries } from '../../../decision/top-shapes';
import type { Cut, Joint } from '../../../joint/joint';
import { fixed, sliding } from '../../../restraint/tie';
import { shifted, volumeOf } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import { betweenLines, type LineAcross, offsetLine, solidsBetween } from '../../../solid/line-across';
import { type Flat, rectangleOutline } from '../../../solid/outline';
import type { Draft, Fitting } from '../../part';
import type { TopPlan, TopSize } from '../../plans';
import { measured } from '../../settle-locks';
import type { Unbuildable } from '../../unbuildable';
import type { TopKind } from '../kind';
import { to5 } from '../round-figure';

const liveEdge = v.pipe(v.array(length(60, 2000)), v.minLength(2, 'two widths at least'), v.maxLength(17));

const schema = v.object({
  kind: v.literal('channel'),
  ...topEntries,
  /** Each slab's width from its outer edge to its live edge, at even places from the left end to the right. */
  slabs: v.object({ front: liveEdge, back: liveEdge }),
  fill: v.variant('kind', [
    v.object({
      kind: v.literal('glass'),
      thickness: length(4, 19),
      /** How far it lies on each slab. */
      bearing: length(4, 60),
      /** Free between it and the recess, all round. */
      room: length(0.5, 15),
    }),
    /** Poured in goes no deeper than its maker allows. */
    v.object({ kind: v.literal('resin'), pour: length(3, 100) }),
  ]),
});
type Channel = v.InferOutput<typeof schema>;

/** Beside a live edge or the recess in it no screw is set, mm; common practice. */
const BESIDE_EDGE = 20;
/** The least of a slab that carries anything beside its recess, mm; common practice. */
const LEAST_SLAB = 90;
/** Of resin so much more is mixed than the channel holds, for what soaks in and stays in the pot; common practice. */
const RESIN_SPARE = 1.1;

const SLABS = ['slab-front', 'slab-back'] as const;

export function channelSize(form: Channel, bench: Bench): TopSize {
  return {
    length: measured(bench, SLABS, 'length') ?? form.length,
    width: form.width,
    thickness: measured(bench, SLABS, 'thickness') ?? form.thickness,
  };
}

/** From a slab's outer edge to where screws still find it whole, at its narrowest: clear of the live edge or its recess. mm */
const screwsTo = (widths: readonly number[], { fill }: Pick<Channel, 'fill'>): number =>
  Math.min(...widths) - BESIDE_EDGE - (fill.kind === 'glass' ? fill.bearing + fill.room : 0);

/** From a slab's outer edge to where it is held and does not move: under glass, the middle of what screws find. mm */
export const slabHeldAt = (widths: readonly number[], form: Pick<Channel, 'fill'>): number =>
  form.fill.kind === 'glass' ? screwsTo(widths, form) / 2 : screwsTo(widths, form) - BESIDE_EDGE;

/** The two live edges as lines over the piece, and what follows from them. mm */
export function channelLines(form: Channel, size: Pick<TopSize, 'length'>) {
  const half = form.width / 2;
  const line = (widths: readonly number[], from: number, way: 1 | -1): LineAcross =>
    widths.map((width, i): Flat => [-size.length / 2 + (size.length * i) / (widths.length - 1), from + way * width]);
  const [front, back] = [line(form.slabs.front, -half, 1), line(form.slabs.back, half, -1)];
  const { fill } = form;
  if (fill.kind === 'resin') return { front, back, glass: null, recess: null };
  const off = (by: number) => ({ front: offsetLine(front, -by), back: offsetLine(back, by) });
  return { front, back, glass: off(fill.bearing), recess: off(fill.bearing + fill.room) };
}

/** Two slabs with a live edge each, and glass or resin in the channel between them. */
export function channelTop(form: Channel, size: TopSize, underside: number): TopPlan {
  const { fill } = form;
  const lines = channelLines(form, size);
  const half = form.width / 2;
  const upper = underside + size.thickness;
  const straight = (y: number): LineAcross => [
    [-size.length / 2, y],
    [size.length / 2, y],
  ];
  const slab = (id: (typeof SLABS)[number], name: string, low: LineAcross, high: LineAcross): Draft => {
    const { greatest } = betweenLines(low, high);
    const middle = id === 'slab-front' ? -half + greatest / 2 : half - greatest / 2;
    const outline = [...low, ...[...high].reverse()].map(([x, y]): Flat => [x, y - middle]);
    return {
      id,
      name,
      kind: 'slab',
      grade: 'one-face',
      size: { length: size.length, width: greatest, thickness: size.thickness },
      frame: squareFrame([0, middle, underside + size.thickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
      body: solidsBetween(low, high, -size.thickness / 2, size.thickness / 2).map((own) =>
        shifted(own, [0, -middle, 0]),
      ),
      profile: outline.map((at) => ({ at })),
    };
  };
  const fillLines = lines.glass ?? lines;
  const deep = fill.kind === 'glass' ? Math.min(fill.thickness, size.thickness) : size.thickness;
  const filling: Draft = {
    id: fill.kind,
    name: fill.kind === 'glass' ? 'Glass' : 'Resin',
    kind: 'fill',
    grade: 'all-faces',
    material: fill.kind,
    size: {
      length: size.length,
      width: betweenLines(fillLines.front, fillLines.back).greatest,
      thickness: deep,
    },
    frame: squareFrame([0, 0, upper - deep / 2], { length: 'x', width: 'y', thickness: 'z' }),
    body: solidsBetween(fillLines.front, fillLines.back, -deep / 2, deep / 2),
    profile: [...fillLines.front, ...[...fillLines.back].reverse()].map((at) => ({ at })),
  };
  const front = slab('slab-front', 'Slab, front', straight(-half), lines.front);
  const back = slab('slab-back', 'Slab, back', lines.back, straight(half));
  const frontBand = -half + screwsTo(form.slabs.front, form);
  const backBand = half - screwsTo(form.slabs.back, form);
  return {
    drafts: [front, back, filling],
    joints: SLABS.map((id) => joined(id, form, lines, filling, upper, deep)),
    outline: rectangleOutline(size.length, form.width),
    size,
    leading: 'slab-front',
    leads: 'the front slab',
    // Each slab by itself is held once and moves about that; cast in one they are held once together.
    plates: [
      {
        id: 'slab-front',
        low: -half,
        high: frontBand,
        held: true,
        at: slabHeldAt(form.slabs.front, form) - half,
      },
      {
        id: 'slab-back',
        low: backBand,
        high: half,
        held: fill.kind === 'glass',
        at: half - slabHeldAt(form.slabs.back, form),
      },
    ],
    fittings: fittingsOf(form, filling),
    problems: impossible(form, size, lines),
  };
}

function joined(
  id: (typeof SLABS)[number],
  form: Channel,
  lines: ReturnType<typeof channelLines>,
  filling: Draft,
  upper: number,
  deep: number,
): Joint {
  const { fill } = form;
  const front = id === 'slab-front';
  const live = front ? lines.front : lines.back;
  const y = live.reduce((sum, p) => sum + p[1], 0) / live.length;
  const between = {
    id: `${id}/${filling.id}`,
    name: `${filling.name.toLowerCase()} in the ${front ? 'front' : 'back'} slab`,
    a: id,
    b: filling.id,
    at: { x: 0, y, z: upper - deep / 2 },
  };
  const common = { id: between.id, name: between.name, into: id, from: filling.id, added: [] };
  if (fill.kind === 'resin' || !lines.recess) {
    return { ...common, kind: 'cast', removed: [], ties: [fixed(between)] };
  }
  const line = front ? lines.recess.front : lines.recess.back;
  const solids = front
    ? solidsBetween(line, live, upper - deep, upper)
    : solidsBetween(live, line, upper - deep, upper);
  const removed = solids.map(
    (solid): Cut => ({
      part: id,
      what: 'recess',
      solid,
      // Up, toward the channel, and through both ends.
      open: [
        [0, 0, 1],
        [0, front ? 1 : -1, 0],
        [1, 0, 0],
        [-1, 0, 0],
      ],
    }),
  );
  return { ...common, kind: 'set-in', removed, ties: [sliding(between, { x: fill.room, y: fill.room })] };
}

/** Litres of resin to mix for the whole channel, in so many pours. */
export function resinFor({ fill }: Channel, size: TopSize, lines: ReturnType<typeof channelLines>) {
  const litres = volumeOf(solidsBetween(lines.front, lines.back, 0, size.thickness)) * 1e-6;
  const deepest = fill.kind === 'resin' ? fill.pour : size.thickness;
  return { litres: litres * RESIN_SPARE, pours: Math.max(1, Math.ceil(size.thickness / deepest - 1e-9)) };
}

function fittingsOf({ fill }: Channel, filling: Draft): Fitting[] {
  const { length, width, thickness } = filling.size;
  return fill.kind === 'glass'
    ? [{ name: 'Toughened glass, cut to its template, edges polished', count: 1, size: [length, width, thickness] }]
    : [];
}

function impossible(form: Channel, size: TopSize, lines: ReturnType<typeof channelLines>): Unbuildable[] {
  const problems: Unbuildable[] = [];
  const { least } = betweenLines(lines.front, lines.back);
  if (least < 10) {
    problems.push({
      problem: 'The live edges meet: between the slabs no channel is left.',
      where: 'form.top.slabs.front',
      wayOut: 'Make the top wider, or the slabs narrower where they come nearest.',
    });
  }
  if (form.fill.kind === 'glass') {
    const beside = form.fill.bearing + form.fill.room;
    const narrowest = Math.min(...form.slabs.front, ...form.slabs.back) - beside;
    if (narrowest < LEAST_SLAB) {
      problems.push({
        problem: 'Beside the recess too little of a slab is left to be held.',
        where: 'form.top.fill.bearing',
        wayOut: 'Take wider slabs there, or let the glass lie on less.',
      });
    }
    if (size.thickness - form.fill.thickness < 12) {
      problems.push({
        problem: 'Under the glass too little of the slab is left to carry it.',
        where: 'form.top.fill.thickness',
        wayOut: 'Take thinner glass or thicker slabs.',
      });
    }
  }
  return problems;
}

const GLASS = { kind: 'glass', thickness: 8, bearing: 15, room: 4 } as const;

export const channel: TopKind<typeof schema> = {
  name: 'Two slabs with a channel',
  reason:
    'Live edges face each other over glass or resin: each slab moves by itself under glass, both as one in resin.',
  schema,
  fields: [
    {
      ask: 'choice',
      at: 'fill',
      label: 'In the channel',
      options: [
        {
          value: 'glass',
          label: 'Glass',
          reason: 'Lies in a recess of both slabs, loose; each slab moves by itself.',
        },
        { value: 'resin', label: 'Resin', reason: 'Cast between the live edges: both slabs move as one.' },
      ],
      chosen: ({ fill }) => fill.kind,
      start: (kind) => (kind === 'glass' ? GLASS : { kind: 'resin', pour: 20 }),
    },
    { ask: 'figure', at: 'fill.thickness', label: 'Glass, thick' },
    { ask: 'figure', at: 'fill.bearing', label: 'Lies on each slab' },
    {
      ask: 'figure',
      at: 'fill.room',
      label: 'Room all round',
      hint: 'Between the glass and the wood, so that a slab can grow; the step Season tells what is left.',
    },
    {
      ask: 'figure',
      at: 'fill.pour',
      label: 'Deepest pour',
      hint: 'As the maker of the resin says; poured deeper it heats and cracks.',
    },
    { ask: 'nothing', figure: 'channel-room', label: 'Free round the glass, wettest' },
    { ask: 'nothing', figure: 'channel-bearing', label: 'Lies on, driest' },
    { ask: 'live-edge', at: 'slabs.front', label: 'Front' },
    { ask: 'live-edge', at: 'slabs.back', label: 'Back' },
  ],
  // A channel of about a quarter of the width, wandering a little.
  start({ width }) {
    const own = (share: number) => to5((width / 2) * share);
    return {
      slabs: { front: [0.78, 0.7, 0.74, 0.8, 0.72].map(own), back: [0.7, 0.76, 0.72, 0.68, 0.76].map(own) },
      fill: GLASS,
    };
  },
  size: channelSize,
  plan: channelTop,
};
