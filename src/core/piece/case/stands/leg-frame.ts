import * as v from 'valibot';
import { length } from '../../../decision/fields';
import { noneOr, optionsOf } from '../../../decision/form-field';
import type { Joints } from '../../../decision/joints';
import type { Joint } from '../../../joint/joint';
import { CORNERS, isInserted, legCorner } from '../../../joint/leg-corner';
import { fixed, sliding } from '../../../restraint/tie';
import { cornerFittings } from '../../legs/corner-holds';
import { LEGS, LONG, SHORT } from '../../legs/four-legs';
import { legRacking } from '../../legs/leg-racking';
import { squareLegs } from '../../legs/square-legs';
import { legStretchers } from '../../legs/stretchers';
import type { Draft } from '../../part';
import type { Racking } from '../../plans';
import type { Unbuildable } from '../../unbuildable';
import type { StandKind, StoodOn } from '../kind';
import { travelFor } from './sides';

const schema = v.object({
  kind: v.literal('leg-frame'),
  height: length(60, 900),
  /** Of a leg, square, and at the floor, where it tapers on its inner faces. */
  section: length(25, 120),
  foot: length(12, 120),
  rail: v.object({ height: length(30, 200), thickness: length(12, 50), reveal: length(0, 40) }),
  corner: v.picklist(['mortise-tenon', 'loose-tenon', 'dowels']),
  /** Low between the legs; null where there are none. */
  stretchers: v.nullable(
    v.object({ height: length(20, 150), thickness: length(12, 80), /** Floor to their middle. */ at: length(40, 900) }),
  ),
  /** From the outside of the case to the outside of a leg. */
  setBack: length(0, 150),
  /** How far the screws at its back may travel in their slots, each way. */
  travel: length(0, 25),
});
type LegFrame = v.InferOutput<typeof schema>;

/** How its rails stand in its legs: by the rules of a table's aprons. */
const JOINED: Omit<Joints, 'corner'> = {
  tenonSchool: 'third',
  meeting: 'auto',
  tenonLength: null,
  tenonThickness: null,
  haunch: 'none',
  angled: 'in-line',
  pegs: 'none',
};
/** A tenon shorter than this holds nothing, mm; common practice. */
const LEAST_TENON = 10;
/** Below a rail before its leg tapers; from one screw to the next. mm; common practice. */
const BEFORE_TAPER = 15;
const SCREWS = 250;

/**
 * Four legs with rails between them, as under a table. Its side rails run from front to back along their grain and keep their
 * length, while the case moves in its depth: it is screwed fast at the front and in slots at the back.
 */
export const legFrame: StandKind<typeof schema> = {
  name: 'A frame of legs',
  reason: 'Lifts the case, light to look at; joined as a table’s base. The case moves on it, fixed at the front alone.',
  carries: true,
  schema,
  fields: [
    { ask: 'figure', at: 'height', label: 'Legs, high' },
    { ask: 'figure', at: 'section', label: 'Legs, square' },
    { ask: 'figure', at: 'foot', label: 'At the floor', hint: 'As much as above for straight legs.' },
    { ask: 'figure', at: 'rail.height', label: 'Rails, high' },
    { ask: 'figure', at: 'rail.thickness', label: 'Rails, thick' },
    { ask: 'figure', at: 'rail.reveal', label: 'Rails behind the legs’ faces' },
    {
      ask: 'choice',
      at: 'corner',
      label: 'Rails in the legs',
      options: optionsOf({
        'mortise-tenon': {
          name: CORNERS['mortise-tenon'].name,
          reason: 'The tenon is cut on the rail, which is longer overall than between its shoulders.',
        },
        'loose-tenon': {
          name: CORNERS['loose-tenon'].name,
          reason: 'Rails cut to their shoulders; a separate tenon in leg and rail alike.',
        },
        dowels: CORNERS.dowels,
      }),
    },
    {
      at: 'stretchers',
      label: 'Low stretchers',
      ...noneOr<LegFrame, LegFrame['stretchers']>(
        ({ stretchers }) => stretchers,
        { none: 'None', some: 'Between the ends', reason: 'One at each end, and one in the middle from end to end.' },
        ({ height }) => ({ height: 40, thickness: 20, at: Math.max(60, Math.round(height * 0.3)) }),
      ),
    },
    { ask: 'figure', at: 'stretchers.height', label: 'Stretchers, high' },
    { ask: 'figure', at: 'stretchers.thickness', label: 'Stretchers, thick' },
    { ask: 'figure', at: 'stretchers.at', label: 'Stretchers, floor to their middle' },
    { ask: 'figure', at: 'setBack', label: 'Set back' },
    { ask: 'figure', at: 'travel', label: 'Slots at the back, travel each way' },
  ],
  start: ({ depth }) => ({
    kind: 'leg-frame',
    height: 220,
    section: depth < 300 ? 36 : 45,
    foot: depth < 300 ? 26 : 30,
    rail: { height: 60, thickness: 20, reveal: 4 },
    corner: 'mortise-tenon',
    stretchers: null,
    setBack: 10,
    travel: travelFor(depth),
  }),
  plan(own, outside) {
    const { height, section, rail, setBack } = own;
    const base = {
      length: Math.max(outside.width - 2 * setBack, 2 * section + 1),
      width: Math.max(outside.depth - 2 * setBack, 2 * section + 1),
    };
    const choice: Joints = { ...JOINED, corner: own.corner };
    const corner = legCorner({
      section,
      apronThickness: rail.thickness,
      apronHeight: rail.height,
      reveal: rail.reveal,
      choice,
    });
    const from = height - rail.height - BEFORE_TAPER;
    const taper = own.foot < section && from > 0 ? { foot: own.foot, from, faces: 'inside' as const } : null;
    const leg = { section, length: height };
    const { legs, aprons, joints, feet } = squareLegs({
      ...{ base, underside: height, apron: { ...rail, arch: 0 }, legs: LEGS, leg, taper, corner, choice },
      long: LONG.map((each) => ({ ...each, name: `Rail, ${each.side < 0 ? 'front' : 'back'}` })),
      short: SHORT.map((each) => ({ ...each, name: `Rail, ${each.side < 0 ? 'left' : 'right'}` })),
      hollowFrom: () => 0,
    });
    const low = legStretchers(
      {
        stretchers: own.stretchers ? { kind: 'h', ...own.stretchers } : { kind: 'none' },
        apronHeight: rail.height,
        path: 'form.stand.stretchers',
      },
      base,
      leg,
      legs,
    );
    const under = (['front', 'back'] as const).map((end) => underCase(end, own, base.width, outside));
    const spans = { long: base.length - 2 * section, short: base.width - 2 * section };
    return {
      drafts: [...legs, ...aprons.map((rail): Draft => ({ ...rail, kind: 'stand-rail' })), ...low.drafts],
      joints: [...joints, ...low.joints, ...under],
      problems: [...problemsOf(own, spans, isInserted(corner) ? corner.tenon.length : 0), ...low.problems],
      lift: height,
      sidesDown: false,
      feet,
      racking: legRacking({ ...leg, taper }, rail, spans, corner, 'the rails’').map((each) => ({
        ...each,
        deepens: strongerBy(own),
      })),
      fittings: [
        ...cornerFittings(corner, choice, section),
        {
          name: 'Screws for the frame',
          count: 2 * (Math.ceil(spans.long / SCREWS) + 1),
          size: [5, rail.height > 60 ? 80 : 60],
        },
      ],
    };
  },
};

/** The case on one of its long rails: fast at the front, in slots at the back. */
function underCase(
  end: 'front' | 'back',
  { height, rail, travel }: LegFrame,
  wide: number,
  { seats, moves }: StoodOn,
): Joint {
  const from = `apron-${end}`;
  const into = seats[end];
  const y = (end === 'front' ? -1 : 1) * (wide / 2 - rail.reveal - rail.thickness / 2);
  const between = {
    ...{ id: `${into}/${from}`, name: `Case on the frame’s ${end} rail`, a: from, b: into },
    at: { x: 0, y, z: height },
  };
  const tie =
    end === 'front' || !moves
      ? fixed(between)
      : { ...sliding(between, { y: travel }), sets: { path: 'form.stand.travel', ways: 'both' as const } };
  return {
    ...{ id: between.id, kind: 'screwed', name: between.name, into, from, removed: [], added: [] },
    ties: [tie],
  };
}

/** How the frame is made stronger: higher rails, tenons, and legs and rails half as thick again. */
const strongerBy = ({ height, section, rail }: LegFrame): NonNullable<Racking['deepens']> => ({
  ...{ height: 'form.stand.rail.height', now: rail.height },
  joint: { path: 'form.stand.corner', strongest: 'mortise-tenon' },
  thicker: [1.3, 1.6, 2].map((more) => [
    { path: 'form.stand.rail.thickness', value: Math.min(50, Math.ceil(rail.thickness * more)) },
    { path: 'form.stand.section', value: Math.min(120, Math.ceil(section * more)) },
    { path: 'form.stand.rail.height', value: Math.min(200, height - 40, Math.ceil(rail.height * more)) },
    { path: 'form.stand.corner', value: 'mortise-tenon' },
  ]),
});

/** Legs that leave no rail between them, rails down to the floor, legs too thin for a joint. */
function problemsOf(
  { height, section, rail, foot }: LegFrame,
  spans: { long: number; short: number },
  tenon: number,
): Unbuildable[] {
  const found: Unbuildable[] = [];
  if (Math.min(spans.long, spans.short) < 40)
    found.push({
      problem: 'The legs leave no rail between them.',
      where: 'form.stand.section',
      wayOut: 'Make the legs thinner, or set them back less.',
      mends: Math.max(25, Math.floor(section + (Math.min(spans.long, spans.short) - 60) / 2)),
    });
  if (height < rail.height + 20)
    found.push({
      problem: 'The rails reach down to the floor.',
      where: 'form.stand.height',
      wayOut: 'Make the legs longer, or the rails lower.',
      mends: Math.ceil(rail.height + 40),
    });
  if (tenon < LEAST_TENON)
    found.push({
      problem: 'In legs so thin the rails have no joint.',
      where: 'form.stand.section',
      wayOut: 'Make the legs thicker, or the rails thinner.',
      mends: Math.ceil(rail.reveal + rail.thickness + 25),
    });
  if (foot > section)
    found.push({
      problem: 'The legs are thicker at the floor than above.',
      where: 'form.stand.foot',
      wayOut: 'Make them straight, or thinner toward the floor.',
      mends: section,
    });
  return found;
}
