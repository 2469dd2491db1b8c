import type { Joint } from '../joint/joint';
import type { Figure } from '../measure/figure';
import { count, movement } from '../measure/quantity';
import { findPart, type Piece } from '../piece/piece';
import { type Convex, clipAll, isEmpty, reach } from '../solid/convex';
import { boundsOfFlat, hullOf } from '../solid/outline';
import { dot, times, type Vec } from '../solid/vector';
import type { Dimension, Point, Shape, View } from './view';

/** So much of the board below the baseline is shown, as times its thickness, mm. */
const BELOW = 2;

/**
 * A corner in dovetails seen square onto the board that has the tails, where they are marked, or onto its end, where the pins
 * are. True mm: printed at full size it is their template.
 */
export function drawDovetails(piece: Piece, joint: Joint, view: 'face' | 'section'): View | null {
  const { dovetails: layout } = joint;
  const board = findPart(piece, joint.from);
  if (!layout || !board) return null;
  const across = board.frame.width;
  const tails = joint.added.filter(({ part }) => part === joint.from).map(({ solid }) => solid);
  const [first] = tails;
  if (!first) return null;
  const along = board.frame.length;
  const middle = (solid: Convex, way: Vec) => (reach(solid, way).from + reach(solid, way).to) / 2;
  const boardAt = board.placed[0] ? middle(board.placed[0], along) : 0;
  // From the baseline out to the end of the tails.
  const out = middle(first, along) > boardAt ? along : times(along, -1);
  const toward = board.frame.thickness;
  const [u, v] = view === 'face' ? [across, times(out, -1)] : [across, times(toward, -1)];
  const paper = (p: Vec): Point => [dot(u, p), dot(v, p)];
  const base = reach(first, out).from;
  const deep = reach(first, out).to - base;
  const planes = view === 'face' ? [{ normal: times(out, -1), offset: -(base - BELOW * deep) }] : [];
  const shape = (part: string, style: Shape['style']) => (solid: Convex) => ({
    part,
    style,
    points: hullOf(solid.corners.map(paper)),
  });
  const cropped = (solids: readonly Convex[]) =>
    solids.map((solid) => clipAll(solid, planes)).filter((solid) => !isEmpty(solid));
  const pins = joint.added.filter(({ part }) => part === joint.into).map(({ solid }) => solid);
  const shapes: Shape[] = [
    ...(view === 'face' ? cropped(board.placed).map(shape(board.id, 'seen')) : []),
    ...pins.map(shape(joint.into, 'cut')),
    ...tails.map(shape(joint.from, 'seen')),
  ];
  const all = boundsOfFlat(shapes.flatMap(({ points }) => points));
  const own = boundsOfFlat(first.corners.map(paper));
  const ofPin = boundsOfFlat((tails[1] ?? first).corners.map(paper));
  const level = (id: string, from: number, to: number): Dimension => ({
    ...{ id, from: [from, all.low], to: [to, all.low], side: 'above', step: 1, value: to - from, moves: true },
  });
  return {
    name: 'front',
    bounds: { left: all.left, top: all.low, width: all.right - all.left, height: all.high - all.low },
    shapes,
    dimensions: [
      level('half-pin', all.left, own.left),
      level('tail', own.left, own.right),
      ...(tails.length > 1 ? [level('pin', own.right, ofPin.left)] : []),
      {
        id: 'deep',
        from: [all.right, own.low],
        to: [all.right, own.high],
        side: 'right',
        step: 1,
        value: own.high - own.low,
        moves: true,
      },
    ],
    fasteners: [],
  };
}

/** What is marked of a corner in dovetails, as figures. mm */
export function dovetailFigures({ dovetails: layout }: Joint): Figure[] {
  if (!layout) return [];
  const { tails, tail, pin, slope } = layout;
  const inputs = [
    { label: 'Tails', quantity: count(tails) },
    { label: 'Pins, at their narrowest', quantity: movement(pin) },
  ];
  const source = 'geometry: equal tails from half pin to half pin';
  const figure = (id: string, label: string, mm: number, formula: string): Figure => ({
    ...{ id: `joint-${id}`, label, quantity: movement(mm), formula, inputs, source },
  });
  const leans = { amount: (Math.atan(slope) * 180) / Math.PI, unit: 'degrees' as const };
  return [
    { id: 'joint-tails', label: 'Tails', quantity: count(tails), formula: 'as decided', inputs: [], source },
    figure('tail-wide', 'A tail at its end', tail.wide, '(breadth − (tails + 1) · pin) ÷ tails'),
    figure('tail-narrow', 'A tail at its baseline', tail.narrow, 'tail − 2 · thickness · slope'),
    figure('pin-wide', 'A pin at its widest', pin + tail.wide - tail.narrow, 'pin + 2 · thickness · slope'),
    {
      ...{ id: 'joint-slope', label: 'They lean', quantity: leans, formula: 'arctan of the slope', source },
      inputs: [{ label: 'One out for so many along', quantity: count(Math.round(1 / slope)) }],
    },
  ];
}
