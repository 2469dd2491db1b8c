import { fixed } from '../restraint/tie';
import { box, rod } from '../solid/convex';
import type { Vec } from '../solid/vector';
import { bored, type Cut, type Grown, type Joint } from './joint';

/** Bolts that draw two panels together from below: pockets for nut and head so far from the seam, a channel between. mm, common practice. */
const POCKET = 35;
const FROM_SEAM = 70;
const CHANNEL = 9;
/** Over a pocket at least so much of the panel must be left. */
export const LEAST_OVER_POCKET = 8;
/** From one bolt to the next at most, and from the panel's end. */
const APART = 450;
const FROM_END = 100;
/** A dowel half-way between two bolts brings the faces level: a third of the thickness thick. */
const DOWEL_IN = 25;

export const pocketDepth = (thickness: number): number => Math.round(thickness * 0.65);
export const boltsFor = (length: number): number => Math.max(2, Math.ceil((length - 2 * FROM_END) / APART) + 1);

export const BOLT_LONG = 2 * FROM_SEAM;

/** Where bolts stand along the seam, and the dowels between them, from its middle. mm */
export function boltPlaces(length: number, count: number): { bolts: number[]; dowels: number[] } {
  const reach = length / 2 - FROM_END;
  const bolts = Array.from({ length: count }, (_, i) => -reach + (2 * reach * i) / (count - 1));
  return { bolts, dowels: bolts.slice(1).map((x, i) => (x + (bolts[i] as number)) / 2) };
}

/** Two panels side by side, drawn together along a seam that runs with the grain; it comes apart again. */
export function drawBolts(given: {
  id: string;
  /** The panel in front of the seam and the one behind it. */
  front: string;
  back: string;
  /** Where the seam runs, across the table. */
  seam: number;
  underside: number;
  length: number;
  thickness: number;
  count: number;
}): Joint {
  const { id, front, back, seam, underside, length, thickness, count } = given;
  const deep = pocketDepth(thickness);
  const { bolts, dowels } = boltPlaces(length, count);
  const removed: Cut[] = [];
  const added: Grown[] = [];
  const down: Vec = [0, 0, -1];
  for (const x of bolts) {
    for (const [part, side] of [
      [front, -1],
      [back, 1],
    ] as const) {
      const y = seam + side * FROM_SEAM;
      removed.push(
        {
          part,
          what: 'pocket for a bolt',
          ...bored([x, y, underside], [x, y, underside + deep], POCKET),
          open: [down],
        },
        {
          part,
          what: 'channel for a bolt',
          solid: box(
            [x - CHANNEL / 2, seam + Math.min(0, side * (FROM_SEAM - POCKET / 2)), underside],
            [x + CHANNEL / 2, seam + Math.max(0, side * (FROM_SEAM - POCKET / 2)), underside + (deep + CHANNEL) / 2],
          ),
          open: [down, [0, -side, 0]],
        },
      );
    }
  }
  const thick = Math.max(6, Math.round(thickness / 3));
  const z = underside + thickness / 2;
  for (const x of dowels) {
    for (const [part, side] of [
      [front, -1],
      [back, 1],
    ] as const) {
      removed.push({
        part,
        what: 'dowel hole',
        ...bored([x, seam, z], [x, seam + side * (DOWEL_IN + 1), z], thick),
        open: [[0, -side, 0]],
      });
    }
    added.push({ part: front, solid: rod([x, seam - DOWEL_IN, z], [x, seam + DOWEL_IN, z], thick), inside: true });
  }
  const name = 'Bolts between the halves';
  return {
    id,
    kind: 'draw-bolts',
    name,
    into: front,
    from: back,
    removed,
    added,
    ties: [fixed({ id, name: 'bolts between the halves', a: front, b: back, at: { x: 0, y: seam, z } })],
  };
}
