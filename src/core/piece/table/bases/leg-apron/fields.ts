import { type FormField, noneOr } from '../../../../decision/form-field';
import type { LegApron } from './decisions';
import { LEG_MAKING } from './making';

type Leg = LegApron['leg'];
type Stretchers = LegApron['stretchers'];

/** How the blank of a leg comes about, to begin with. */
const startMaking = (kind: Leg['making']['kind']): Leg['making'] =>
  kind === 'staves' ? { kind, count: 2 } : kind === 'faced' ? { kind, veneer: 4 } : { kind };

/** A taper over more or fewer faces, as strong as it was. */
const startTaper = (shape: string, { section, taper }: Leg): Leg['taper'] =>
  shape === 'straight'
    ? { kind: 'straight' }
    : {
        kind: 'tapered',
        foot: taper.kind === 'tapered' ? taper.foot : Math.max(10, Math.round(section * 0.65)),
        faces: shape === 'all' ? 'all' : 'inside',
        hollow: taper.kind === 'tapered' ? taper.hollow : 0,
      };

function startStretchers(kind: Stretchers['kind'], { height }: LegApron): Stretchers {
  const ends = { height: 45, thickness: 22, at: Math.round(height * 0.2) };
  switch (kind) {
    case 'none':
      return { kind };
    case 'h':
      return { kind, ...ends };
    case 'shelf':
      return { kind, ...ends, boards: 4, boardThickness: 22, gap: 8, load: 200 };
  }
}

const LEG_FIELDS: readonly FormField<LegApron>[] = [
  { ask: 'figure', at: 'leg.section', label: 'Leg' },
  {
    ask: 'choice',
    at: 'leg.making',
    label: 'Legs made of',
    listed: true,
    options: Object.entries(LEG_MAKING).map(([value, { name, reason }]) => ({ value, label: name, reason })),
    chosen: ({ leg }) => leg.making.kind,
    start: (kind) => startMaking(kind as Leg['making']['kind']),
  },
  { ask: 'figure', at: 'leg.making.count', label: 'Staves' },
  { ask: 'figure', at: 'leg.making.veneer', label: 'Veneers, thick' },
  {
    ask: 'choice',
    at: 'leg.taper',
    label: 'Leg shape',
    options: [
      { value: 'straight', label: 'Straight' },
      { value: 'inside', label: 'Tapered inside', reason: 'On the two inside faces, from just below the apron.' },
      { value: 'all', label: 'All round', reason: 'On all four faces: the leg stands on its middle.' },
    ],
    chosen: ({ leg }) => (leg.taper.kind === 'straight' ? 'straight' : leg.taper.faces),
    start: (shape, { leg }) => startTaper(shape, leg),
  },
  { ask: 'figure', at: 'leg.taper.foot', label: 'Foot' },
  {
    ask: 'figure',
    at: 'leg.taper.hollow',
    label: 'Taper, hollowed by',
    hint: 'Curved: in its middle behind the straight line; below 0 it is bellied, 0 for straight.',
  },
];

const APRON_FIELDS: readonly FormField<LegApron>[] = [
  { ask: 'figure', at: 'apron.height', label: 'Apron, high' },
  { ask: 'figure', at: 'apron.thickness', label: 'Apron, thick' },
  {
    ask: 'figure',
    at: 'apron.reveal',
    label: 'Reveal',
    hint: 'How far the apron stands back from the leg’s face: no flush surface to keep flush.',
  },
  {
    ask: 'figure',
    at: 'apron.arch',
    label: 'Lower edge, hollowed by',
    hint: 'In the middle of each apron, for the knees; 0 for straight.',
  },
  { ask: 'figure', at: 'crossRails', label: 'Cross rails' },
  {
    ask: 'choice',
    at: 'railJoint',
    label: 'Cross rails in the aprons',
    options: [
      { value: 'stub', label: 'Stub tenons', reason: 'Hidden; they go in when the aprons are glued.' },
      {
        value: 'dovetail',
        label: 'Dovetailed',
        reason: 'Dropped in from above after the base is glued: they tie the aprons against bowing out.',
      },
    ],
    when: ({ crossRails }) => crossRails > 0,
  },
  {
    ask: 'figure',
    at: 'midLegs',
    label: 'Pairs of legs between',
    hint: 'Under the long aprons of a long table or bench.',
  },
  {
    ask: 'figure',
    at: 'leg.splay.ends',
    label: 'Splayed along the table',
    step: 0.5,
    hint: 'Leaning outward from upright; 0 to 8° is usual.',
  },
  { ask: 'figure', at: 'leg.splay.sides', label: 'Splayed across it', step: 0.5 },
  {
    at: 'leg.through',
    label: 'Legs end',
    ...noneOr<LegApron, Leg['through']>(
      ({ leg }) => leg.through,
      {
        none: 'Under the top',
        some: 'Through it',
        reason: 'The top is notched round them and moves past them; their end grain is seen.',
      },
      () => ({ room: 6 }),
    ),
  },
  {
    ask: 'figure',
    at: 'leg.through.room',
    label: 'Notches, room at both sides',
    hint: 'Across the grain, on the day it is made.',
  },
  {
    ask: 'choice',
    at: 'cornerBlocks',
    label: 'Corner blocks',
    options: [
      { value: 'none', label: 'None' },
      {
        value: 'all',
        label: 'In all corners',
        reason: 'Screwed to both aprons and the leg: they take the strain off the joints.',
      },
    ],
    chosen: ({ cornerBlocks }) => (cornerBlocks ? 'all' : 'none'),
    start: (kind) => kind === 'all',
  },
];

const STRETCHER_FIELDS: readonly FormField<LegApron>[] = [
  {
    ask: 'choice',
    at: 'stretchers',
    label: 'Low stretchers',
    options: [
      { value: 'none', label: 'None' },
      { value: 'h', label: 'Between the ends', reason: 'One at each end, and one in the middle from end to end.' },
      {
        value: 'shelf',
        label: 'With a shelf',
        reason: 'One at each end, and boards on both: each held in its middle, so that it moves by itself.',
      },
    ],
    chosen: ({ stretchers }) => stretchers.kind,
    start: (kind, own) => startStretchers(kind as Stretchers['kind'], own),
  },
  { ask: 'figure', at: 'stretchers.height', label: 'Stretchers, high' },
  { ask: 'figure', at: 'stretchers.thickness', label: 'Stretchers, thick' },
  { ask: 'figure', at: 'stretchers.at', label: 'Stretchers, floor to their middle' },
  { ask: 'figure', at: 'stretchers.boardThickness', label: 'Shelf, thick' },
  { ask: 'figure', at: 'stretchers.gap', label: 'Between its boards' },
  { ask: 'figure', at: 'stretchers.boards', label: 'Boards of the shelf' },
  {
    ask: 'figure',
    at: 'stretchers.load',
    label: 'On the shelf',
    hint: 'A design load, yours to choose: a row of books is some 200 N a metre.',
  },
];

/** Legs, aprons and what stands between them, as they are asked. */
export const LEG_APRON_FIELDS: readonly FormField<LegApron>[] = [...LEG_FIELDS, ...APRON_FIELDS, ...STRETCHER_FIELDS];
