import * as v from 'valibot';
import { length, whole } from '../decision/fields';
import type { FormField } from '../decision/form-field';
import type { Joint } from '../joint/joint';
import { type Axis, fixed, givingAcross, glued, inGroove } from '../restraint/tie';
import { box, type Convex } from '../solid/convex';
import { squareFrame } from '../solid/frame';
import type { Vec } from '../solid/vector';
import type { Draft } from './part';
import type { Unbuildable } from './unbuildable';

/** What is decided of a frame whose panels float in its grooves; mm. */
export const frameEntries = {
  thickness: length(12, 50),
  stile: length(25, 200),
  rail: length(25, 200),
  /** Panels beside one another, and over one another. */
  across: whole(1, 8),
  up: whole(1, 8),
  panelThickness: length(4, 25),
  /** Beyond the panel's face, into the grooves. */
  tongue: length(4, 30),
  /** Free at each side of a panel, across its grain, on the day it is made. */
  room: length(0, 15),
};
const schema = v.object(frameEntries);
export type FrameDecided = v.InferOutput<typeof schema>;

/** What is asked of it. */
export const FRAME_FIELDS: readonly FormField<FrameDecided>[] = [
  { ask: 'figure', at: 'thickness', label: 'Frame, thick' },
  { ask: 'figure', at: 'stile', label: 'Stiles, wide' },
  { ask: 'figure', at: 'rail', label: 'Rails, wide' },
  { ask: 'figure', at: 'across', label: 'Panels beside one another' },
  { ask: 'figure', at: 'up', label: 'Panels over one another' },
  { ask: 'figure', at: 'panelThickness', label: 'Panels, thick' },
  { ask: 'figure', at: 'tongue', label: 'Into the grooves' },
  { ask: 'figure', at: 'room', label: 'Room at each side of a panel' },
];

/** About so wide is a panel, mm; common practice. */
const USUAL_PANEL = 330;
const USUAL_HIGH = 900;

/** A panel so wide grows or shrinks by about this share of it through most years, at each of its sides; common practice. */
const USUAL_MOVES = 0.017;

/** Usual sizes for a frame so wide and so high, mm; common practice. */
export function startFrame(wide: number, high: number): FrameDecided {
  const across = Math.min(8, Math.max(1, Math.round(wide / USUAL_PANEL)));
  const stile = 60;
  const room = Math.min(12, Math.max(2, Math.ceil((wide / across - stile) * USUAL_MOVES)));
  return {
    ...{ thickness: 18, stile, rail: 60, across, panelThickness: 8, room },
    up: Math.min(8, Math.max(1, Math.round(high / USUAL_HIGH))),
    tongue: Math.min(18, 2 * room + STAYS_IN + 2),
  };
}

/** Where a frame stands: upright, its width along one axis of the piece. mm */
export interface FramePlace {
  /** Its parts' ids begin with it. */
  id: string;
  /** In their names: “the back”. */
  name: string;
  toward: 'x' | 'y';
  /** Along that axis, up, and through its thickness. */
  along: readonly [from: number, to: number];
  up: readonly [low: number, high: number];
  through: readonly [from: number, to: number];
  /** Cut off at its four outer corners: along and up. */
  corner?: { along: number; up: number };
  /** Where in the decisions it is. */
  path: string;
}

export interface FramePlan {
  drafts: readonly Draft[];
  joints: readonly Joint[];
  problems: readonly Unbuildable[];
  stiles: { left: string; right: string };
  /** From below. */
  rails: readonly string[];
}

/** A tenon's share of the stile that it goes into, and what stands over it at a frame's outer edge; common practice. */
const TENON_SHARE = 0.6;
const SHOULDER_SHARE = 0.2;
/** A panel's ends have so much play in their grooves, and so much of a tongue stays in even in the driest week, mm; common practice. */
const END_PLAY = 1;
export const STAYS_IN = 2;
/** mm */
const LEAST_PANEL = 30;

/**
 * A frame of stiles and rails, mortised and tenoned, with muntins where panels stand beside one another. Panels float: their
 * grain upright, loose at their sides, held in the middle of their ends.
 */
export function frameAndPanels(own: FrameDecided, place: FramePlace): FramePlan {
  const { thickness, stile, rail, across, up, panelThickness, tongue, room } = own;
  const { id, name, toward, path } = place;
  const other: Axis = toward === 'x' ? 'y' : 'x';
  const [u0, u1] = place.along;
  const [v0, v1] = place.up;
  const w = (place.through[0] + place.through[1]) / 2;
  const point = (u: number, z: number, t = w): Vec => (toward === 'x' ? [u, t, z] : [t, u, z]);
  const solid = (from: readonly [number, number], to: readonly [number, number], half: number): Convex => {
    const [a, b] = [point(from[0], from[1], w - half), point(to[0], to[1], w + half)];
    return box([Math.min(a[0], b[0]), Math.min(a[1], b[1]), a[2]], [Math.max(a[0], b[0]), Math.max(a[1], b[1]), b[2]]);
  };
  const side = (way: 1 | -1): Vec => (toward === 'x' ? [way, 0, 0] : [0, way, 0]);
  const upward = (way: 1 | -1): Vec => [0, 0, way];
  const tie = (at: Vec) => ({ x: at[0], y: at[1], z: at[2] });
  const standing = { length: 'z', width: toward, thickness: other } as const;
  const lying = { length: toward, width: 'z', thickness: other } as const;

  const [inner0, inner1] = [u0 + stile, u1 - stile];
  const wide = (inner1 - inner0 - (across - 1) * stile) / across;
  const high = (v1 - v0 - (up + 1) * rail) / up;
  const half = panelThickness / 2;
  const tenon = Math.round(stile * TENON_SHARE);
  const problems = problemsOf(own, { wide, high, path });
  const drafts: Draft[] = [];
  const joints: Joint[] = [];
  const stiles = { left: `${id}-stile-left`, right: `${id}-stile-right` };
  const rails = Array.from({ length: up + 1 }, (_, i) => `${id}-rail-${i + 1}`);
  // Panels that nothing is left of are not drawn.
  const clear = wide > 2 && high > 2;

  for (const [which, way] of [
    ['left', -1],
    ['right', 1],
  ] as const) {
    const [from, to] = way < 0 ? [u0, inner0] : [inner1, u1];
    const middle = (from + to) / 2;
    const { corner } = place;
    const strip = (a: number, b: number, cut: number): Convex =>
      box([-(v1 - v0) / 2 + cut, a - middle, -thickness / 2], [(v1 - v0) / 2 - cut, b - middle, thickness / 2]);
    drafts.push({
      id: stiles[which],
      name: `Stile of ${name}, ${which}`,
      kind: 'stile',
      grade: 'one-face',
      size: { length: v1 - v0, width: stile, thickness },
      frame: squareFrame(point(middle, (v0 + v1) / 2), standing),
      ...(corner && corner.along > 0
        ? {
            body:
              way < 0
                ? [strip(from, from + corner.along, corner.up), strip(from + corner.along, to, 0)]
                : [strip(from, to - corner.along, 0), strip(to - corner.along, to, corner.up)],
          }
        : {}),
    });
  }
  rails.forEach((rid, i) => {
    const low = v0 + i * (rail + high);
    const [first, last] = [i === 0, i === up];
    drafts.push({
      id: rid,
      name: `Rail of ${name}, ${first ? 'lower' : last ? 'upper' : `middle${up > 2 ? ` ${i}` : ''}`}`,
      kind: 'rail',
      grade: 'one-face',
      size: { length: inner1 - inner0 + 2 * tenon, width: rail, thickness },
      beyond: { start: tenon, end: tenon },
      frame: squareFrame(point((inner0 + inner1) / 2, low + rail / 2), lying),
    });
    // The tenon keeps clear of the panels' grooves, and of the frame's outer edge.
    const shoulder = Math.round(rail * SHOULDER_SHARE);
    const [t0, t1] = [low + (first ? shoulder : tongue), low + rail - (last ? shoulder : tongue)];
    for (const way of [-1, 1] as const) {
      const into = way < 0 ? stiles.left : stiles.right;
      const at = way < 0 ? inner0 : inner1;
      const own = solid(
        [Math.min(at, at + way * tenon), t0],
        [Math.max(at, at + way * tenon), Math.max(t1, t0 + 1)],
        half,
      );
      const words = `Rail ${i + 1} of ${name} in its ${way < 0 ? 'left' : 'right'} stile`;
      joints.push({
        ...{ id: `${into}/${rid}`, kind: 'frame-tenon', name: words, into, from: rid, along: side(way) },
        removed: [{ part: into, what: 'mortise', solid: own, open: [side(way < 0 ? 1 : -1)] }],
        added: [{ part: rid, solid: own }],
        ties: glued(
          { id: `${into}/${rid}`, name: words, a: into, b: rid, at: tie(point(at, (t0 + t1) / 2)) },
          { z: t1 - t0 },
        ),
      });
    }
  });
  let number = 0;
  for (let row = 0; row < up && clear; row += 1) {
    const low = v0 + rail + row * (high + rail);
    const [below, above] = [rails[row] ?? '', rails[row + 1] ?? ''];
    const muntins = Array.from({ length: across - 1 }, (_, i) => `${id}-muntin-${row + 1}-${i + 1}`);
    muntins.forEach((mid, i) => {
      const from = inner0 + (i + 1) * wide + i * stile;
      const stub = [from + tongue, from + stile - tongue] as const;
      drafts.push({
        id: mid,
        name: `Muntin of ${name}${across > 2 || up > 1 ? ` ${row * (across - 1) + i + 1}` : ''}`,
        kind: 'muntin',
        grade: 'one-face',
        size: { length: high + 2 * tongue, width: stile, thickness },
        beyond: { start: tongue, end: tongue },
        frame: squareFrame(point(from + stile / 2, low + high / 2), standing),
      });
      for (const way of [-1, 1] as const) {
        const into = way < 0 ? below : above;
        const at = way < 0 ? low : low + high;
        const end = at + way * tongue;
        const own = solid([stub[0], Math.min(at, end)], [Math.max(stub[0] + 1, stub[1]), Math.max(at, end)], half);
        const words = `Muntin of ${name} in its rail`;
        joints.push({
          ...{ id: `${into}/${mid}`, kind: 'frame-tenon', name: words, into, from: mid, along: upward(way) },
          removed: [{ part: into, what: 'mortise', solid: own, open: [upward(way < 0 ? 1 : -1)] }],
          added: [{ part: mid, solid: own }],
          // Its shoulders press on rails that swell across their grain: wood takes that up as it does in a glued joint so narrow.
          ties: glued(
            { id: `${into}/${mid}`, name: words, a: into, b: mid, at: tie(point(from + stile / 2, at)) },
            { [toward]: stub[1] - stub[0] },
          ).map((own) => givingAcross(own, 'z', rail)),
        });
      }
    });
    for (let column = 0; column < across; column += 1) {
      number += 1;
      const pid = `${id}-panel-${number}`;
      const [from, to] = [inner0 + column * (wide + stile), inner0 + column * (wide + stile) + wide];
      const reach = { side: tongue - room, end: tongue - END_PLAY };
      drafts.push({
        id: pid,
        name: `Panel of ${name}${across * up > 1 ? ` ${number}` : ''}`,
        kind: 'panel',
        grade: 'one-face',
        size: { length: high + 2 * reach.end, width: wide + 2 * reach.side, thickness: panelThickness },
        frame: squareFrame(point((from + to) / 2, low + high / 2), standing),
      });
      const grooveIn = (
        into: string,
        where: string,
        cut: Convex,
        open: readonly Vec[],
        ties: Joint['ties'],
        tenons: readonly string[],
      ) =>
        joints.push({
          ...{ id: `${into}/${pid}`, kind: 'panel-groove', name: `Panel of ${name} in its ${where}`, into, from: pid },
          removed: [{ part: into, what: 'groove', solid: cut, open }],
          added: [],
          ties,
          // Grooves run on into the mortises beside them.
          meets: tenons.map((from) => `${into}/${from}`),
        });
      const between = (into: string, at: Vec, where: string) => ({
        ...{ id: `${into}/${pid}`, name: `Panel ${number} of ${name} in its ${where}`, a: pid, b: into, at: tie(at) },
      });
      for (const way of [-1, 1] as const) {
        const edge = way < 0 ? from : to;
        const outer = way < 0 ? column === 0 : column === across - 1;
        const into = outer ? stiles[way < 0 ? 'left' : 'right'] : (muntins[column + (way < 0 ? -1 : 0)] ?? '');
        const bottom = edge + way * tongue;
        // Into a stile the panel's corners reach beyond the rail; beside a muntin they are in the rail itself.
        const beyond = outer ? tongue : 0;
        grooveIn(
          into,
          outer ? 'stile' : 'muntin',
          solid([Math.min(edge, bottom), low - beyond], [Math.max(edge, bottom), low + high + beyond], half),
          outer ? [side(way < 0 ? 1 : -1)] : [side(way < 0 ? 1 : -1), upward(1), upward(-1)],
          [
            {
              ...inGroove(between(into, point(edge, low + high / 2), outer ? 'stile' : 'muntin'), {
                axis: toward,
                deeper: way,
                gap: Math.max(0, room),
                tongue: Math.max(0, tongue - room - STAYS_IN),
              }),
              sets: { path: `${path}.room`, ways: way > 0 ? 'minus' : 'plus', cover: `${path}.tongue` },
            },
          ],
          outer ? [below, above] : [],
        );
      }
      const corners = {
        left: column === 0 ? 0 : tongue,
        right: column === across - 1 ? 0 : tongue,
      };
      for (const way of [-1, 1] as const) {
        const into = way < 0 ? below : above;
        const edge = way < 0 ? low : low + high;
        const bottom = edge + way * tongue;
        const at = point((from + to) / 2, edge);
        grooveIn(
          into,
          'rail',
          solid([from - corners.left, Math.min(edge, bottom)], [to + corners.right, Math.max(edge, bottom)], half),
          [upward(way < 0 ? 1 : -1), side(1), side(-1)],
          [
            {
              ...fixed(between(into, at, 'rail'), [toward, other]),
              room: {
                ...fixed(between(into, at, 'rail'), [toward, other]).room,
                z: { minus: END_PLAY, plus: END_PLAY },
              },
            },
          ],
          muntins,
        );
      }
    }
  }
  return { drafts, joints, problems, stiles, rails };
}

/** Frames that leave no panel, tongues that do not reach, grooves that cut their boards apart. */
function problemsOf(own: FrameDecided, at: { wide: number; high: number; path: string }): Unbuildable[] {
  const { thickness, stile, rail, across, up, panelThickness, tongue, room } = own;
  const { path } = at;
  const found: Unbuildable[] = [];
  if (at.wide < LEAST_PANEL)
    found.push({
      problem: 'Stiles and muntins leave no panel between them.',
      where: `${path}.across`,
      wayOut: 'Take fewer panels beside one another, or narrower stiles.',
      ...(across > 1 ? { mends: Math.max(1, Math.floor(across / 2)) } : {}),
    });
  if (at.high < LEAST_PANEL)
    found.push({
      problem: 'The rails leave no panel between them.',
      where: `${path}.up`,
      wayOut: 'Take fewer panels over one another, or narrower rails.',
      ...(up > 1 ? { mends: Math.max(1, Math.floor(up / 2)) } : {}),
    });
  if (panelThickness > thickness - 2 * LEAST_CHEEK)
    found.push({
      problem: 'Panels so thick leave their grooves no cheeks.',
      where: `${path}.panelThickness`,
      wayOut: 'Make them thinner, or the frame thicker.',
      mends: Math.max(4, Math.floor(thickness - 2 * LEAST_CHEEK)),
    });
  if (room > tongue - STAYS_IN)
    found.push({
      problem: 'With that much room at its sides a panel does not reach into its grooves.',
      where: `${path}.room`,
      wayOut: 'Leave less room, or let the panels in deeper.',
      mends: Math.max(0, Math.floor(tongue - STAYS_IN - 1)),
    });
  const narrowest = Math.min(stile, rail);
  if (2 * tongue > narrowest * DEEPEST)
    found.push({
      problem: 'The grooves go so deep that they leave the frame no strength.',
      where: `${path}.tongue`,
      wayOut: 'Let the panels in less, or make stiles and rails wider.',
      mends: Math.max(4, Math.floor((narrowest * DEEPEST) / 2)),
    });
  return found;
}

/** Wood at both sides of a groove, mm; of a board, both of its grooves together take no more than this share. Common practice. */
const LEAST_CHEEK = 4;
const DEEPEST = 0.6;
