import { drawView } from '../drawing/drawing';
import type { Dimension, Shape, View, ViewName } from '../drawing/view';
import type { Part } from '../piece/part';
import type { Piece } from '../piece/piece';
import { boundsOfFlat, type Flat } from '../solid/outline';
import type { Mark, PaperDrawing } from './page';

/** How large a drawing may become, mm of paper. */
export interface Room {
  width: number;
  height: number;
}

type Say = (mm: number) => string;

/** Of words in a drawing: points, and mm that a letter takes on the average and a line is high. */
const FIGURE = 8;
const LETTER = 1.45;
const LINE = 3.2;
/** Round a view, for its dimensions, mm. */
const ROUND = { left: 15, right: 15, above: 8, below: 9 };

/** Strips of another wood, in black and white. */
const TONES = { 1: '#e4e4e4', 2: '#cccccc', 3: '#a8a8a8' } as const;
const DASH: Partial<Record<Shape['style'], number>> = { hidden: 1.5, tenon: 0.8 };

/** The plan over the front, and the end beside the front, at one scale, with their dimensions; a case is cut open at its side. */
export function viewsOnPaper(piece: Piece, strips: readonly number[], room: Room, say: Say): PaperDrawing {
  const view = (name: ViewName) => drawView(piece, name, strips.length > 0 ? { strips } : {});
  const [plan, front, end] = [view('plan'), view('front'), view(piece.build === 'case' ? 'section' : 'end')];
  const across = Math.max(plan.bounds.width, front.bounds.width);
  const free = {
    width: room.width - 2 * (ROUND.left + ROUND.right),
    height: room.height - 2 * (ROUND.above + ROUND.below),
  };
  const scale = Math.min(
    free.width / (across + end.bounds.width),
    free.height / (plan.bounds.height + Math.max(front.bounds.height, end.bounds.height)),
  );
  const column = across * scale + ROUND.left + ROUND.right;
  const upper = plan.bounds.height * scale + ROUND.above + ROUND.below;
  const lower = Math.max(front.bounds.height, end.bounds.height) * scale;
  // All stand on one floor, and the front hangs under the middle of the plan.
  const floor = (own: View) => upper + ROUND.above + lower - own.bounds.height * scale;
  const middle = (own: View) => ROUND.left + ((across - own.bounds.width) * scale) / 2;
  return {
    width: column + end.bounds.width * scale + ROUND.left + ROUND.right,
    height: upper + lower + ROUND.above + ROUND.below,
    marks: [
      ...viewMarks(plan, scale, [middle(plan), ROUND.above], say),
      ...viewMarks(front, scale, [middle(front), floor(front)], say),
      ...viewMarks(end, scale, [column + ROUND.left, floor(end)], say),
    ],
  };
}

/** The piece taken apart, each part with its letter where there is room for it. */
export function apartOnPaper(piece: Piece, room: Room): PaperDrawing {
  const view = drawView(piece, 'apart', { apart: { top: 0.55, rest: 0.55 } });
  const scale = Math.min((room.width - 2) / view.bounds.width, (room.height - 2) / view.bounds.height);
  const at = placed(view, scale, [1, 1]);
  return {
    width: view.bounds.width * scale + 2,
    height: view.bounds.height * scale + 2,
    marks: [...view.shapes.map((shape) => shapeMark(shape, at)), ...letters(piece.parts, view, at)],
  };
}

const placed =
  ({ bounds }: View, scale: number, [x, y]: Flat) =>
  ([u, v]: Flat): Flat => [x + (u - bounds.left) * scale, y + (v - bounds.top) * scale];

function viewMarks(view: View, scale: number, corner: Flat, say: Say): Mark[] {
  const at = placed(view, scale, corner);
  return [...view.shapes.map((shape) => shapeMark(shape, at)), ...dimensionMarks(view.dimensions, at, say)];
}

function shapeMark(shape: Shape, at: (p: Flat) => Flat): Mark {
  const dash = DASH[shape.style];
  // Painted from the farthest to the nearest, what stands in front covers what is behind.
  const fill = shape.tone ? TONES[shape.tone] : shape.style === 'seen' ? '#ffffff' : undefined;
  return {
    kind: 'line',
    points: shape.points.map(at),
    close: shape.points.length > 2,
    weight: shape.style === 'seen' ? 0.3 : 0.13,
    ...(fill ? { fill } : {}),
    ...(dash ? { dash } : {}),
  };
}

const AWAY: Readonly<Record<Dimension['side'], Flat>> = { above: [0, -4], below: [0, 4], left: [-4, 0], right: [4, 0] };

interface Box {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

const meet = (a: Box, b: Box) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const boxOf = ({ x, y, align, text }: { x: number; y: number; align: string; text: string }): Box => {
  const wide = text.length * LETTER;
  const left = align === 'right' ? x - wide : align === 'centre' ? x - wide / 2 : x;
  return { left, right: left + wide, top: y, bottom: y + LINE };
};

/** Dimensions with their figures; one that would lie on another moves along its line until it is free. */
function dimensionMarks(dimensions: readonly Dimension[], at: (p: Flat) => Flat, say: Say): Mark[] {
  const taken: Box[] = [];
  return dimensions.flatMap(({ from, to, side, step, value }): Mark[] => {
    const away = AWAY[side];
    const [a, b] = [from, to].map((p): Flat => {
      const [x, y] = at(p);
      return [x + away[0] * step, y + away[1] * step];
    }) as [Flat, Flat];
    const [mx, my] = [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];
    const text = say(value);
    const level = side === 'above' || side === 'below';
    const place = {
      above: { x: mx, y: my - LINE - 0.4, align: 'centre' as const },
      below: { x: mx, y: my + 0.8, align: 'centre' as const },
      left: { x: mx - 1, y: my - LINE / 2, align: 'right' as const },
      right: { x: mx + 1, y: my - LINE / 2, align: 'left' as const },
    }[side];
    while (taken.some((box) => meet(box, boxOf({ ...place, text })))) {
      if (level) place.x += 1;
      else place.y += 1;
    }
    taken.push(boxOf({ ...place, text }));
    return [
      { kind: 'line', points: [a, b], weight: 0.12 },
      ...[a, b].map(
        ([x, y]): Mark => ({
          kind: 'line',
          points: [
            [x - 0.7, y + 0.7],
            [x + 0.7, y - 0.7],
          ],
          weight: 0.2,
        }),
      ),
      { kind: 'text', text, size: FIGURE, ...place },
    ];
  });
}

/** Where a letter may stand on its part, in shares of the box round it. */
const PLACES = [0.5, 0.35, 0.65, 0.2, 0.8, 0.1, 0.9].flatMap((x) =>
  [0.5, 0.3, 0.7, 0.15, 0.85].map((y) => [x, y] as const),
);

/** Letters on parts that are taken apart, where the part itself is seen and no other letter is. */
function letters(parts: readonly Part[], view: View, at: (p: Flat) => Flat): Mark[] {
  const taken: Box[] = [];
  const painted = view.shapes
    .filter(({ style }) => style === 'seen')
    .map(({ part, points }) => ({ part, outline: points.map(at) }));
  const seenAt = (p: Flat) => painted.findLast(({ outline }) => encloses(outline, p))?.part;
  return parts.flatMap((part): Mark[] => {
    const points = painted.filter((own) => own.part === part.id).flatMap(({ outline }) => outline);
    if (points.length === 0) return [];
    const { left, right, low, high } = boundsOfFlat(points);
    const place = PLACES.map(([x, y]) => [left + (right - left) * x, low + (high - low) * y] as Flat)
      .filter((p) => seenAt(p) === part.id)
      .map(([x, y]) => ({ x, y: y - LINE / 2, align: 'centre' as const, text: part.letter }))
      .find((own) => !taken.some((other) => meet(other, boxOf(own))));
    if (!place) return [];
    const box = boxOf(place);
    taken.push({ ...box, left: box.left - 0.5, right: box.right + 0.5 });
    return [
      {
        kind: 'line',
        points: [
          [box.left, box.top],
          [box.right, box.top],
          [box.right, box.bottom],
          [box.left, box.bottom],
        ],
        close: true,
        weight: 0,
        fill: '#ffffff',
      },
      { kind: 'text', size: FIGURE, bold: true, ...place },
    ];
  });
}

/** Whether a point lies within an outline, hollow ones as well: a line from it crosses the outline an odd number of times. */
function encloses(outline: readonly Flat[], [x, y]: Flat): boolean {
  let inside = false;
  outline.forEach(([ax, ay], i) => {
    const [bx, by] = outline[(i + 1) % outline.length] ?? [ax, ay];
    if (ay > y !== by > y && x < ax + ((bx - ax) * (y - ay)) / (by - ay)) inside = !inside;
  });
  return inside;
}
