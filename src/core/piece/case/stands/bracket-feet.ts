import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed, glued, sliding } from '../../../restraint/tie';
import { clip, type Plane, planeThrough } from '../../../solid/convex';
import { planeInPart, squareFrame } from '../../../solid/frame';
import type { Vec } from '../../../solid/vector';
import { blockOf, type Draft } from '../../part';
import type { StandKind } from '../kind';
import { ENDS, SIDES } from '../shell';
import { cornersOf } from './sides';

const schema = v.object({
  kind: v.literal('bracket-feet'),
  height: length(40, 250),
  /** From a corner along the front and along the side; the slant shortens it at the floor. */
  length: length(60, 400),
  slant: length(0, 200),
  thickness: length(12, 50),
  /** How far the screw at the far end of a side's bracket may travel in its slot, each way. */
  travel: length(0, 15),
});
type BracketFeet = v.InferOutput<typeof schema>;

/** From a bracket's ends to its screws, mm; common practice. */
const SCREW = 25;

/**
 * Two boards at each corner that meet in a mitre, a block glued behind them. Those in front and behind run with the bottom's
 * grain; those at the sides run across it, and are fast at their corner alone.
 */
export const bracketFeet: StandKind<typeof schema> = {
  name: 'Bracket feet',
  reason: 'Two mitred boards at each corner: they look like a plinth cut away, and let a cloth through.',
  schema,
  fields: [
    { ask: 'figure', at: 'height', label: 'Brackets, high' },
    { ask: 'figure', at: 'length', label: 'Brackets, along each side' },
    { ask: 'figure', at: 'slant', label: 'Shorter at the floor by' },
    { ask: 'figure', at: 'thickness', label: 'Brackets, thick' },
    { ask: 'figure', at: 'travel', label: 'Slots of those at the sides, travel each way' },
  ],
  start: ({ depth }) => ({
    kind: 'bracket-feet',
    ...{ height: 90, length: Math.min(140, Math.round(depth / 3)), slant: 40, thickness: 22, travel: 3 },
  }),
  plan(own, { width, depth, seats, moves }) {
    const { height, thickness } = own;
    const corners = ENDS.flatMap((end) => SIDES.map((side) => ({ end, side })));
    const drafts = corners.flatMap(({ end, side }) => [
      bracket(own, { end, side, along: 'x', width, depth }),
      bracket(own, { end, side, along: 'y', width, depth }),
    ]);
    const joints = corners.flatMap(({ end, side }): Joint[] => {
      const at = (along: 'x' | 'y') => `bracket-${end}-${side}-${along}`;
      const [x, y] = [side === 'left' ? -1 : 1, end === 'front' ? -1 : 1];
      const into = seats[end];
      const [level, deep] = [width / 2 - thickness / 2, depth / 2 - thickness / 2];
      const mitre = { id: `${at('x')}/${at('y')}`, name: `Bracket foot, ${end} ${side}, its mitre` };
      const front = { id: `${into}/${at('x')}`, name: `Bracket under the case, ${end} ${side}` };
      const beside = { id: `${into}/${at('y')}`, name: `Bracket under its side, ${end} ${side}` };
      const screw = (far: number) => ({
        ...{ ...beside, a: at('y'), b: into },
        at: { x: x * level, y: y * (depth / 2 - far), z: height },
      });
      const slot = {
        ...sliding({ ...screw(own.length - SCREW), id: `${beside.id}-slot` }, { y: own.travel }),
        sets: { path: 'form.stand.travel', ways: 'both' as const },
      };
      return [
        {
          ...{ ...mitre, kind: 'frame-mitre', into: at('x'), from: at('y'), removed: [], added: [] },
          ties: [fixed({ ...mitre, a: at('x'), b: at('y'), at: { x: x * level, y: y * deep, z: height / 2 } })],
        },
        {
          ...{ ...front, kind: 'screwed', into, from: at('x'), removed: [], added: [] },
          ties: glued(
            { ...front, a: into, b: at('x'), at: { x: x * (width / 2 - own.length / 2), y: y * deep, z: height } },
            { x: own.length },
          ),
        },
        {
          ...{ ...beside, kind: 'screwed', into, from: at('y'), removed: [], added: [] },
          ties: moves ? [fixed(screw(SCREW)), slot] : [fixed(screw(SCREW))],
        },
      ];
    });
    return {
      drafts,
      joints,
      problems: problemsOf(own, width, depth),
      lift: height,
      sidesDown: false,
      feet: cornersOf(width, depth),
      fittings: [{ name: 'Screws for the feet', count: 16, size: [4, 45] }],
    };
  },
};

/** One board of a foot: its outer end mitred, its inner end slanted. */
function bracket(
  { height, length: long, slant, thickness }: BracketFeet,
  at: { end: (typeof ENDS)[number]; side: (typeof SIDES)[number]; along: 'x' | 'y'; width: number; depth: number },
): Draft {
  const { end, side, along, width, depth } = at;
  const [x, y] = [side === 'left' ? -1 : 1, end === 'front' ? -1 : 1];
  const level = along === 'x';
  const place: Vec = level
    ? [x * (width / 2 - long / 2), y * (depth / 2 - thickness / 2), height / 2]
    : [x * (width / 2 - thickness / 2), y * (depth / 2 - long / 2), height / 2];
  const frame = squareFrame(
    place,
    level ? { length: 'x', width: 'z', thickness: 'y' } : { length: 'y', width: 'z', thickness: 'x' },
  );
  const corner: Vec = [(x * width) / 2, (y * depth) / 2, 0];
  // The mitre runs from the outer corner inward, at 45°; each board keeps its own side of it.
  const mitre = planeThrough(corner, level ? [x, -y, 0] : [-x, y, 0]);
  const inner = level ? x * (width / 2 - long) : y * (depth / 2 - long);
  const way = level ? -x : -y;
  const lean: Vec = level ? [way * height, 0, -slant] : [0, way * height, -slant];
  const end45: Plane = planeThrough(level ? [inner, 0, height] : [0, inner, height], lean);
  const body = [mitre, end45].reduce(
    (solid, plane) => clip(solid, planeInPart(frame, plane)),
    blockOf(long, height, thickness),
  );
  const outward = level ? x : y;
  const mitred = { mitre: 0, bevel: 45 };
  const square = { mitre: 0, bevel: 0 };
  return {
    id: `bracket-${end}-${side}-${along}`,
    name: `Bracket, ${end} ${side}, ${level ? 'along' : 'at the side'}`,
    kind: 'foot',
    grade: end === 'front' || !level ? 'one-face' : 'hidden',
    size: { length: long, width: height, thickness },
    frame,
    body: [body],
    ends: outward > 0 ? { start: square, end: mitred } : { start: mitred, end: square },
  };
}

function problemsOf({ length: long, slant, thickness }: BracketFeet, width: number, depth: number) {
  const most = Math.floor(Math.min(width, depth) / 2 - 10);
  return [
    ...(long > most
      ? [
          {
            problem: 'Two brackets meet in the middle of a side.',
            where: 'form.stand.length',
            wayOut: 'Make them shorter, or set it on a plinth.',
            mends: Math.max(60, most),
          },
        ]
      : []),
    ...(long - slant < 2 * thickness
      ? [
          {
            problem: 'The brackets leave nothing to stand on.',
            where: 'form.stand.slant',
            wayOut: 'Let them slant less.',
            mends: Math.max(0, Math.floor(long - 2 * thickness)),
          },
        ]
      : []),
  ];
}
