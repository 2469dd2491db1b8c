import { formatLength, type LengthStyle } from '../measure/length';
import type { Part } from '../piece/part';
import type { CasePiece, Piece } from '../piece/piece';
import { boundsOf } from '../solid/convex';
import type { Flat } from '../solid/outline';
import { box, type FullSizeDrawing, type FullSizeMark, line, MARGIN, SMALL, text } from './full-size-drawing';

/** The strips beside a fitted case with the line of the wall as it was measured, at full size: where to plane to. */
export function scribeLines(piece: Piece, style: LengthStyle): FullSizeDrawing[] {
  if (piece.build !== 'case' || !piece.around) return [];
  return piece.parts.filter(({ kind }) => kind === 'scribe').map((part) => scribeLine(piece, part, style));
}

function scribeLine({ around }: CasePiece, part: Part, style: LengthStyle): FullSizeDrawing {
  const { from, to } = boundsOf(part.placed);
  const left = from[0] < 0;
  const [low, high] = [from[2], to[2]];
  // The edge that lies on the case, and from there to the wall.
  const edge = left ? to[0] : from[0];
  const wall = (around?.walls ?? [])
    .filter(([x]) => x < 0 === left)
    .map(([x, z]): Flat => [z, left ? edge - x : x - edge])
    .sort((a, b) => a[0] - b[0]);
  const places = [...new Set([low, ...wall.map(([z]) => z).filter((z) => z > low && z < high), high])];
  const gaps = places.map((z): Flat => [z, along(wall, z)]);
  const at = ([z, gap]: Flat): Flat => [MARGIN + z - low, MARGIN + 10 + gap];
  const marks: FullSizeMark[] = [
    box('OUTLINE', ...at([low, 0]), ...at([high, part.size.width])),
    { kind: 'line', layer: 'SHOULDER', points: gaps.map(at) },
    ...gaps.flatMap(([z, gap], i): FullSizeMark[] => {
      const [x, y] = at([z, gap]);
      const words = formatLength(gap, style);
      return [
        line('CENTRE', at([z, 0]), [x, y]),
        { kind: 'text', layer: 'TEXT', at: [x, y + SMALL + 2], text: words, size: SMALL, align: ALIGN(i, gaps.length) },
      ];
    }),
    text(MARGIN, MARGIN - 4, `${part.letter}  ·  the edge on the case`, SMALL),
  ];
  return {
    id: `scribe-${part.id}`,
    group: 'template',
    title: `Scribe line ${part.letter}: ${part.name.toLowerCase()}, its lower end at the left`,
    note: 'The wall as it was measured, from the edge on the case. Between the measured places it may do what it likes: plane to the wall itself.',
    width: high - low + 2 * MARGIN,
    height: part.size.width + 2 * MARGIN + 10,
    marks,
  };
}

const ALIGN = (i: number, count: number) => (i === 0 ? 'left' : i === count - 1 ? 'right' : 'centre');

/** A line through points in their order, at a place; beyond its ends as its ends are. */
function along(points: readonly Flat[], at: number): number {
  const next = points.findIndex(([z]) => z >= at);
  const [b, a] = [points[next === -1 ? points.length - 1 : next], points[next <= 0 ? 0 : next - 1]];
  if (!a || !b) return 0;
  const share = b[0] === a[0] ? 0 : (at - a[0]) / (b[0] - a[0]);
  return a[1] + (b[1] - a[1]) * Math.min(1, Math.max(0, share));
}
