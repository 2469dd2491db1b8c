import type { Joint } from '../../joint/joint';
import { slantedTenon, tenonJoint } from '../../joint/tenon';
import { clipAll, planeThrough, reach } from '../../solid/convex';
import { inPart, planeInPart, squareFrame } from '../../solid/frame';
import { times, type Vec } from '../../solid/vector';
import { blockOf, type Draft, forJoint } from '../part';
import type { Unbuildable } from '../unbuildable';
import type { Stretchers } from './decisions';
import { lowShelf, shelfBoardWidth } from './low-shelf';
import { taperAt } from './taper';

/** Shoulder of a stretcher's tenon above and below, mm; common practice. */
const STRETCHER_SET = 6;
const degreesOf = (slope: number) => (Math.atan(slope) * 180) / Math.PI;

/** What is low between legs, under aprons so high, and where in the decisions it is. mm */
export interface Stretched {
  stretchers: Stretchers;
  apronHeight: number;
  path: string;
}

/**
 * Low stretchers: one at each end between two legs, and one in the middle from end to end, or a shelf on both. Where a leg tapers its inside
 * face leans, so that the shoulders are cut to it.
 */
export function legStretchers(
  form: Stretched,
  base: { length: number; width: number },
  leg: { section: number; length: number },
  legs: readonly Draft[],
): { drafts: Draft[]; joints: Joint[]; problems: Unbuildable[] } {
  const own = form.stretchers;
  if (own.kind === 'none') return { drafts: [], joints: [], problems: [] };
  const { height, thickness, at } = own;
  const taper = legs[0]?.taper;
  const sides = taper?.faces === 'all' ? 2 : 1;
  // How far the inside face is in there, and what is left of the leg.
  const { inset, slope } = taper ? taperAt(leg.section, taper, at) : { inset: 0, slope: 0 };
  // Over its height a hollow face comes a hair nearer than the plane of the shoulder: that stands off as far.
  const nearer = [-height / 2, height / 2].map((up) =>
    taper ? inset - slope * up - taperAt(leg.section, taper, at + up).inset : 0,
  );
  const drop = inset - Math.max(0, ...nearer);
  const sectionAt = leg.section - sides * drop;
  const depth = Math.max(5, Math.floor(Math.min((sectionAt * 2) / 3, sectionAt - 10)));
  const tenon = { width: height - 2 * STRETCHER_SET, thickness: Math.max(5, Math.round((thickness * 2) / 3) / 2) };
  const inner = base.width / 2 - leg.section + drop;
  const x = base.length / 2 - leg.section + drop + sectionAt / 2;
  const drafts: Draft[] = [];
  const joints: Joint[] = [];
  for (const side of [-1, 1]) {
    const frame = squareFrame([side * x, 0, at], { length: 'y', width: 'z', thickness: 'x' });
    const faces = [-1, 1].map((s) => ({ s, normal: [0, -s, -slope] as Vec, point: [side * x, s * inner, at] as Vec }));
    const long = 2 * inner + 2 * Math.abs(slope) * height + 10;
    const body = clipAll(
      blockOf(long, height, thickness),
      faces.map(({ normal, point }) => planeInPart(frame, planeThrough(point, times(normal, -1)))),
    );
    const { from, to } = reach(body, [1, 0, 0]);
    const drawn: Draft = {
      id: `stretcher-${side < 0 ? 'left' : 'right'}`,
      name: `Stretcher, ${side < 0 ? 'left' : 'right'}`,
      kind: 'stretcher',
      grade: 'all-faces',
      size: { length: to - from, width: height, thickness },
      frame,
      body: [body],
      ...(slope !== 0
        ? {
            ends: {
              start: { mitre: degreesOf(Math.abs(slope)), bevel: 0 },
              end: { mitre: degreesOf(Math.abs(slope)), bevel: 0 },
            },
          }
        : {}),
    };
    const made = faces.flatMap(({ s, normal, point }) => {
      const into = legs.find((l) => Math.sign(l.frame.at[0]) === side && Math.sign(l.frame.at[1]) === s);
      return into
        ? [
            slantedTenon({
              id: `${into.id}/${drawn.id}`,
              kind: 'mortise-tenon',
              into: forJoint(into),
              from: forJoint(drawn),
              at: point,
              along: [0, s, 0],
              wide: [0, 0, 1],
              face: normal,
              size: tenon,
              depth,
            }),
          ]
        : [];
    });
    const tips = made.flatMap((joint) =>
      joint.added.flatMap(({ solid }) => solid.corners.map((p) => inPart(frame, p)[0])),
    );
    const beyond = { start: from - Math.min(...tips), end: Math.max(...tips) - to };
    drafts.push({ ...drawn, beyond, size: { ...drawn.size, length: to - from + beyond.start + beyond.end } });
    joints.push(...made);
  }
  if (own.kind === 'shelf') {
    const shelf = lowShelf({ form: own, between: 2 * inner, x, ends: drafts });
    return {
      drafts: [...drafts, ...shelf.drafts],
      joints: [...joints, ...shelf.joints],
      problems: [...outOfReach(form, leg), ...shelfProblems(own, 2 * inner, form.path)],
    };
  }
  const middle = middleStretcher(own, { x, tenon, ends: drafts });
  return {
    drafts: [...drafts, middle.draft],
    joints: [...joints, ...middle.joints],
    problems: outOfReach(form, leg),
  };
}

/** One in the middle from end to end, with stub tenons in the two at the ends, whose middles are at ±x. mm */
function middleStretcher(
  { height, thickness, at }: { height: number; thickness: number; at: number },
  given: { x: number; tenon: { width: number; thickness: number }; ends: readonly Draft[] },
): { draft: Draft; joints: Joint[] } {
  const face = given.x - thickness / 2;
  const stub = Math.max(5, Math.floor(thickness / 2));
  const draft: Draft = {
    id: 'stretcher',
    name: 'Stretcher, middle',
    kind: 'stretcher',
    grade: 'all-faces',
    size: { length: 2 * face + 2 * stub, width: height, thickness },
    beyond: { start: stub, end: stub },
    frame: squareFrame([0, 0, at], { length: 'x', width: 'z', thickness: 'y' }),
  };
  const joints = given.ends.map((end) => {
    const side = Math.sign(end.frame.at[0]);
    return tenonJoint({
      id: `${end.id}/stretcher`,
      kind: 'stub-tenon',
      into: forJoint(end),
      from: forJoint(draft),
      at: [side * face, 0, at],
      along: [side, 0, 0],
      wide: [0, 0, 1],
      size: { ...given.tenon, length: stub },
    });
  });
  return { draft, joints };
}

/** A shelf whose boards are slats no wider than a hand, mm. */
const LEAST_BOARD = 20;

function shelfProblems(shelf: Parameters<typeof lowShelf>[0]['form'], between: number, path: string): Unbuildable[] {
  if (shelfBoardWidth(shelf, between) >= LEAST_BOARD) return [];
  return [
    {
      problem: 'The shelf has more boards and gaps than room for them.',
      where: `${path}.boards`,
      wayOut: 'Take fewer boards, or smaller gaps.',
    },
  ];
}

function outOfReach(form: Stretched, leg: { length: number }): Unbuildable[] {
  if (form.stretchers.kind === 'none') return [];
  const { at, height } = form.stretchers;
  const problems: Unbuildable[] = [];
  const [least, most] = [height / 2 + 20, leg.length - form.apronHeight - 30 - height / 2];
  if (at > most || at < least) {
    problems.push({
      problem: 'The stretchers run into the aprons or the floor.',
      where: `${form.path}.at`,
      wayOut: 'Put their middle between the floor and the aprons, with some room on both sides.',
      ...(least <= most ? { mends: Math.round((least + most) / 2) } : {}),
    });
  }
  return problems;
}
