import type { Piece } from '../piece/piece';
import { drawView } from './drawing';
import type { Shape } from './view';

/** Pieces drawn small, beside each other on one floor, seen from above and the side. */
export interface SmallDrawing {
  /** mm. */
  width: number;
  height: number;
  /** In the order they are painted. Paths are SVG, in units of `UNIT` mm. */
  shapes: readonly { path: string; top: boolean }[];
}

/** A drawing so small need not be finer, mm. */
export const UNIT = 5;

/** Between pieces, as a share of the height of the higher one. */
const APART = 0.35;

/** Draws pieces small and true to scale; none of them gives an empty drawing. */
export function smallDrawing(pieces: readonly Piece[]): SmallDrawing {
  const views = pieces.map((piece) => ({ piece, view: drawView(piece, 'above') }));
  const height = Math.max(0, ...views.map(({ view }) => view.bounds.height));
  let width = 0;
  const shapes: { path: string; top: boolean }[] = [];
  for (const [i, { piece, view }] of views.entries()) {
    if (i > 0) width += APART * Math.max(view.bounds.height, views[i - 1]?.view.bounds.height ?? 0);
    const { left, top } = view.bounds;
    // All stand on one floor.
    const [across, down] = [width - left, height - view.bounds.height - top];
    const byPart = new Map<string, Shape[]>();
    for (const shape of view.shapes) {
      if (shape.style !== 'seen' && shape.style !== 'edge') continue;
      byPart.set(shape.part, [...(byPart.get(shape.part) ?? []), shape]);
    }
    for (const [part, list] of byPart) {
      const path = list.map((shape) => pathOf(shape, across, down)).join('');
      shapes.push({ path, top: piece.over.includes(part) });
    }
    width += view.bounds.width;
  }
  return { width, height, shapes };
}

function pathOf({ style, points }: Shape, across: number, down: number): string {
  const places = points.map(([x, y]) => `${Math.round((x + across) / UNIT)} ${Math.round((y + down) / UNIT)}`);
  // What falls together at this size is drawn once.
  const kept = places.filter((place, i) => place !== places[i - 1]);
  if (kept.length < 2) return '';
  return `M${kept.join('L')}${style === 'seen' ? 'Z' : ''}`;
}
