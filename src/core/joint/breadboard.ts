import { type Room, sliding, type Tie } from '../restraint/tie';
import { box } from '../solid/convex';
import type { Vec } from '../solid/vector';
import { asPoint, bored, type Cut, type Joint, type JointPart } from './joint';

/** How a breadboard's tongue is made, in a maker's words. Common practice. */
export const TONGUES: Readonly<Record<TongueKind, { name: string; reason: string }>> = {
  long: { name: 'One long tongue', reason: 'Simplest to cut; the end hides a groove along its whole length.' },
  tenons: {
    name: 'Tongue with tenons',
    reason: 'A short tongue keeps the faces level, longer tenons carry the end: less wood taken from the end.',
  },
  loose: { name: 'Loose tenons', reason: 'The panel keeps its length; separate tenons, glued into the panel only.' },
};
export type TongueKind = 'long' | 'tenons' | 'loose';
export type Pegging = 'none' | 'straight' | 'draw-bored';

/** Half the end's width (common practice), and never so deep that less than so much of the end is left, mm. */
export const tongueDepth = (endWidth: number): number => Math.max(10, Math.round(endWidth / 2));
export const LEAST_BEHIND_TONGUE = 15;
/** A third of the thickness, to half a millimetre; common practice. */
export const tongueThickness = (thickness: number): number => Math.round((thickness * 2) / 3) / 2;
/** A short tongue between tenons: deep enough to keep the faces level, mm; common practice. */
export const SHORT_TONGUE = 10;
/** At each end of the tongue, cut back from the panel's edge to hide the slot and to give travel: 1 in, mm; common practice. */
export const CUT_BACK = 25;
/** The middle that is glued, or pegged without a slot: up to 100 mm of cross-grain gluing holds; common practice. */
export const GLUED_MIDDLE = 80;
/** A peg: as thick as the tongue, to whole millimetres, but not under 6 mm; common practice. */
export const pegDiameter = (thickness: number): number => Math.max(6, Math.round(tongueThickness(thickness)));
/** Draw-bored by 1/32–1/16 in toward the shoulder: 1 mm; common practice. */
export const DRAW_BORE = 1;

export interface BreadboardGiven {
  id: string;
  panel: JointPart;
  end: JointPart;
  /** Where the panel's shoulder is, and which way the end lies from it along x. */
  shoulder: number;
  side: 1 | -1;
  /** Middle of the thickness, and the panel's width. mm */
  z: number;
  width: number;
  thickness: number;
  endWidth: number;
  tongue: TongueKind;
  tenons: number;
  depth: number;
  pegs: Pegging;
}

/** Wood left in a tenon beyond a peg's slot, mm; common practice. */
const BESIDE_SLOT = 6;

/** How far a slot in the tongue can let a peg go each way, mm: what its tenon leaves beside the peg. */
export const slotRoom = (given: Pick<BreadboardGiven, 'width' | 'tongue' | 'tenons' | 'thickness'>): number =>
  given.tongue === 'long'
    ? CUT_BACK
    : Math.max(0, (tenonWidthFor(given.width, given.tenons) - pegDiameter(given.thickness)) / 2 - BESIDE_SLOT);

/** Middles of the tenons across the panel, mm: the outer ones at the cut-back, the others even between. */
export function tenonPlaces(width: number, tenons: number, tenonWidth: number): number[] {
  const reach = width / 2 - CUT_BACK - tenonWidth / 2;
  return Array.from({ length: tenons }, (_, i) => -reach + (2 * reach * i) / (tenons - 1));
}

export const tenonWidthFor = (width: number, tenons: number): number =>
  Math.min(90, Math.max(40, Math.round((width - 2 * CUT_BACK) / (2 * tenons - 1))));

/**
 * Where pegs stand across the panel, mm: one in each tenon, or one in the middle and every 250 mm or so. Between an even
 * number of tenons the middle has only its short tongue, and is held by glue.
 */
export function pegPlaces(given: Pick<BreadboardGiven, 'width' | 'tongue' | 'tenons'>): number[] {
  const { width, tongue, tenons } = given;
  return tongue === 'long'
    ? evenPegs(width / 2 - CUT_BACK - 30, Math.max(1, Math.ceil((width / 2 - CUT_BACK - 30) / 250)))
    : tenonPlaces(width, tenons, tenonWidthFor(width, tenons));
}

const evenPegs = (reach: number, eachSide: number) =>
  Array.from({ length: 2 * eachSide + 1 }, (_, i) => -reach + (reach * i) / eachSide);

/**
 * An end across a panel: its tongue, the groove and mortises it lies in, and its pegs. Only the middle is glued; pegs
 * outside it stand in slots of the tongue, longer on the side they will be needed.
 */
export function breadboard(given: BreadboardGiven): Joint {
  const { id, panel, end, shoulder, side, z, width, thickness, tongue, tenons, depth } = given;
  const thick = tongueThickness(thickness);
  const [lower, upper] = [z - thick / 2, z + thick / 2];
  const block = (y0: number, y1: number, deep: number, from = 0) => {
    const [x0, x1] = [shoulder + side * from, shoulder + side * deep].sort((a, b) => a - b) as [number, number];
    return box([x0, y0, lower], [x1, y1, upper]);
  };
  const reach = width / 2 - CUT_BACK;
  const tenonWidth = tenonWidthFor(width, tenons);
  const places = tenonPlaces(width, tenons, tenonWidth);
  const entry = [-side, 0, 0] as const;
  const room = Math.min(slotRoom(given), width * LIKELY_CHANGE);
  const what = tongue === 'long' ? 'groove' : 'mortise';
  const full =
    tongue === 'long'
      ? [[-reach, reach] as const]
      : places.map((y) => [y - tenonWidth / 2, y + tenonWidth / 2] as const);
  const removed: Cut[] = full.map(([y0, y1]) => ({
    part: end.id,
    what,
    // Long enough for the panel to come and go in it; the middle one fits.
    solid: block(y0 - spare(y0, y1, room), y1 + spare(y0, y1, room), depth + 2),
    open: [entry],
  }));
  const added = full.map(([y0, y1]) => ({
    part: panel.id,
    solid: block(y0, y1, depth, tongue === 'loose' ? -depth : 0),
  }));
  if (tongue === 'tenons') {
    // Between the tenons a short tongue; together they fill the panel's edge from one cut-back to the other.
    for (const [y0, y1] of gapsBetween(full, -reach, reach)) {
      added.push({ part: panel.id, solid: block(y0, y1, SHORT_TONGUE) });
    }
    const mortises = full.map(([y0, y1]) => [y0 - spare(y0, y1, room), y1 + spare(y0, y1, room)] as const);
    for (const [y0, y1] of gapsBetween(mortises, -reach, reach)) {
      removed.push({ part: end.id, what: 'groove', solid: block(y0, y1, SHORT_TONGUE + 1), open: [entry] });
    }
  }
  if (tongue === 'loose') {
    for (const [y0, y1] of full) {
      removed.push({ part: panel.id, what: 'slot', solid: block(y0, y1, -depth), open: [[side, 0, 0]] });
    }
  }
  return {
    id,
    kind: 'breadboard',
    name: `${end.name} on the panel`,
    into: end.id,
    from: panel.id,
    removed,
    added,
    ties: breadboardTies(given),
  };
}

/**
 * The pegs of an end: holes through it above and below the tongue, and in the tongue itself slots along the panel's width,
 * as long as the panel is likely to come and go there, the middle one round. Drawn ones stand nearer to the shoulder in the
 * tongue. Null where there are none.
 */
export function breadboardPegs(given: BreadboardGiven, holds: Joint): Joint | null {
  const { panel, end, shoulder, side, z, thickness, depth, pegs } = given;
  if (pegs === 'none') return null;
  const diameter = pegDiameter(thickness);
  const [half, cheek] = [thickness / 2, tongueThickness(thickness) / 2];
  const x = shoulder + (side * depth) / 2;
  const inTongue = x - (pegs === 'draw-bored' ? side * DRAW_BORE : 0);
  const up: Vec = [0, 0, 1];
  const down: Vec = [0, 0, -1];
  const removed = pegPlaces(given).flatMap((y): Cut[] => {
    const at = (across: number, height: number): Vec => [across, y, z + height];
    const room = Math.abs(y) <= GLUED_MIDDLE / 2 ? 0 : Math.min(slotRoom(given), likelyRoom(y));
    const [r, out] = [diameter / 2, diameter / 2 + room];
    return [
      { part: end.id, what: 'peg hole', ...bored(at(x, half), at(x, cheek), diameter), open: [up, down] },
      { part: end.id, what: 'peg hole', ...bored(at(x, -half), at(x, -cheek), diameter), open: [down, up] },
      {
        part: panel.id,
        ...(room > 0
          ? {
              what: 'slot for a peg',
              solid: box([inTongue - r, y - out, z - cheek], [inTongue + r, y + out, z + cheek]),
            }
          : { what: 'peg hole', ...bored(at(inTongue, -cheek), at(inTongue, cheek), diameter) }),
        open: [up, down],
        late: true,
      },
    ];
  });
  return {
    id: `${given.id}/pegs`,
    kind: 'breadboard-pegs',
    name: `pegs of ${end.name.toLowerCase()}`,
    into: end.id,
    from: panel.id,
    removed,
    added: [],
    ties: [],
    meets: [holds.id],
  };
}

/** What a panel may grow or shrink each way from its middle, as a share of its width; room in the mortises for it. */
const LIKELY_CHANGE = 0.015;

/** What a panel may come and go to each side, so far from its middle. mm */
export const likelyRoom = (fromMiddle: number): number => 2 * LIKELY_CHANGE * Math.abs(fromMiddle);

const spare = (y0: number, y1: number, room: number) => (Math.abs(y0 + y1) < 1 ? 0 : room);

function gapsBetween(taken: readonly (readonly [number, number])[], from: number, to: number): [number, number][] {
  const gaps: [number, number][] = [];
  let at = from;
  for (const [y0, y1] of taken) {
    if (y0 > at + 1) gaps.push([at, y0]);
    at = y1;
  }
  if (to > at + 1) gaps.push([at, to]);
  return gaps;
}

/** The end `b` held to the panel `a`: glued in the middle, its pegs in slots beyond. */
function breadboardTies(given: BreadboardGiven): Tie[] {
  const { id, panel, end, shoulder, side, z, depth, pegs } = given;
  const room = slotRoom(given);
  const name = `${end.name} on the panel`;
  const at = asPoint([shoulder + (side * depth) / 2, 0, z]);
  // What the middle of the panel grows is given by glue and wood over no more than the glued breadth.
  const middle: Tie = {
    id,
    name,
    a: panel.id,
    b: end.id,
    at,
    room: { x: NO_PLAY, y: NO_PLAY, z: NO_PLAY },
  };
  if (pegs === 'none') return [middle];
  const slots = pegPlaces(given)
    .filter((y) => Math.abs(y) > GLUED_MIDDLE / 2)
    .map((y, i): Tie => {
      return sliding(
        {
          id: `${id}:peg-${i + 1}`,
          name: `peg ${i + 1} of ${end.name.toLowerCase()}`,
          a: panel.id,
          b: end.id,
          at: { ...at, y },
        },
        { y: room },
      );
    });
  return [middle, ...slots];
}

const NO_PLAY: Room = { minus: 0.25, plus: 0.25 };
