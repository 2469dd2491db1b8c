import { formatLength, type LengthStyle } from '../measure/length';
import { madeParts } from '../piece/material';
import type { Part } from '../piece/part';
import { type CasePiece, findPart, type Piece } from '../piece/piece';
import { inPart } from '../solid/frame';
import type { Flat } from '../solid/outline';
import {
  box,
  type FullSizeDrawing,
  type FullSizeLayer,
  type FullSizeMark,
  line,
  MARGIN,
  plainName,
  SMALL,
  text,
} from './full-size-drawing';

/** Two sticks lie on one sheet of paper. */
const STICK_WIDE = 40;

/** What is let into the edges of a panel's boards, as the job has it. */
export interface PanelEdges {
  demand: { id: string };
  edges: {
    joints: readonly {
      between: readonly [string, string];
      /** From the middle of the panel, mm. */
      places: readonly number[];
    }[];
    size: { along: number };
  } | null;
}

/** Joints of each panel marked alike, from one stick: its middle goes on the middle of the panel, both ends are trimmed later. */
export const edgeSticks = (piece: Piece, panels: readonly PanelEdges[], style: LengthStyle): FullSizeDrawing[] =>
  panels
    .flatMap((own) => sticksOfPanel(piece, own, style))
    .map((drawn, i) => ({ ...drawn, id: `stick-edge-${i + 1}` }));

function sticksOfPanel(piece: Piece, { demand, edges }: PanelEdges, style: LengthStyle): Omit<FullSizeDrawing, 'id'>[] {
  const panel = findPart(piece, demand.id);
  if (!edges || !panel) return [];
  const families = new Map<string, { names: string[]; places: readonly number[] }>();
  for (const { between, places } of edges.joints) {
    if (places.length === 0) continue;
    const key = places.map((x) => x.toFixed(1)).join();
    const known = families.get(key);
    if (known) known.names.push(between.join('–'));
    else families.set(key, { names: [between.join('–')], places });
  }
  const start = panel.size.length / 2;
  return [...families.values()].map(({ names, places }) => {
    const marks: StickMark[] = [
      { at: start, layer: 'CENTRE', label: 'middle', lane: 'whole' },
      ...places.map(
        (x): StickMark => ({
          at: start + x - edges.size.along / 2,
          to: start + x + edges.size.along / 2,
          layer: 'MORTISE',
          label: 'slot',
          lane: 'upper',
        }),
      ),
    ];
    const drawn = stick([panel], marks, style);
    return {
      ...drawn,
      title: `Story stick ${panel.letter}: joints ${names.join(', ')}`,
      note: 'What keeps the boards level, along their edges. Its middle goes on the middle of the boards, which are longer and trimmed later.',
    };
  });
}

interface StickMark {
  at: number;
  to?: number;
  layer: FullSizeLayer;
  label: string;
  /** Which edge of the stick it stands at: cuts into edges above, into faces below. */
  lane: 'whole' | 'upper' | 'lower';
}

/** What is marked along a part, from its start, mm. */
function marksAlong(piece: Piece, part: Part): StickMark[] {
  const start = part.shoulderLength / 2 + part.beyond.start;
  const along = (points: readonly (readonly [number, number, number])[]) => {
    const xs = points.map((p) => inPart(part.frame, p)[0] + start);
    return [Math.min(...xs), Math.max(...xs)] as const;
  };
  const marks: StickMark[] = [];
  if (part.beyond.start > 0) marks.push({ at: part.beyond.start, layer: 'SHOULDER', label: 'shoulder', lane: 'whole' });
  if (part.beyond.end > 0)
    marks.push({ at: part.size.length - part.beyond.end, layer: 'SHOULDER', label: 'shoulder', lane: 'whole' });
  for (const [i, corner] of (part.profile ?? []).entries()) {
    const next = part.profile?.[(i + 1) % (part.profile?.length ?? 1)];
    if (!next || (corner.sagitta ?? 0) >= 0) continue;
    const at = (own: Flat) => own[0] + part.shoulderLength / 2 + part.beyond.start;
    const [from, to] = [at(corner.at), at(next.at)].sort((a, b) => a - b) as [number, number];
    marks.push({ at: from, to, layer: 'OUTLINE', label: 'hollow', lane: 'lower' });
  }
  if (part.taper) {
    const at = part.frame.length[2] > 0 ? part.taper.from : part.size.length - part.taper.from;
    marks.push({ at, layer: 'SHOULDER', label: 'taper begins', lane: 'whole' });
  }
  for (const joint of piece.joints) {
    for (const cut of joint.removed) {
      if (cut.part !== part.id) continue;
      const [from, to] = along(cut.solid.corners);
      const other = findPart(piece, joint.into === part.id ? joint.from : joint.into);
      const way = cut.open[0];
      const across = way
        ? Math.abs(way[0] * part.frame.width[0] + way[1] * part.frame.width[1] + way[2] * part.frame.width[2])
        : 0;
      marks.push({
        at: from,
        to,
        layer: 'MORTISE',
        label: `${cut.what} ${other?.letter ?? ''}`.trim(),
        lane: across > 0.7 ? 'upper' : 'lower',
      });
    }
  }
  // What a fastener wants cut, from one end of it to the other: a slot set to one side shows it.
  for (const { into, removed } of piece.seats) {
    if (into !== part.id) continue;
    for (const { solid, what } of removed) {
      const [from, to] = along(solid.corners);
      marks.push({ at: from, to, layer: 'MORTISE', label: what.split(' ')[0] ?? what, lane: 'upper' });
    }
  }
  for (const fastener of piece.fasteners) {
    if (fastener.on !== part.id) continue;
    const holds = findPart(piece, fastener.holds);
    const [at] = along([[fastener.x, fastener.y, part.frame.at[2]]]);
    marks.push({
      at,
      layer: 'HOLE',
      label: holds?.kind === 'slat' ? holds.letter : fastener.holdsMiddle ? 'held' : 'slides',
      lane: 'whole',
    });
  }
  if (piece.build === 'case') marks.push(...pinMarks(piece, part, start));
  return marks.sort((a, b) => a.at - b.at);
}

/** The bores for shelf pins in a board, from its start: those of the front row, which the back repeats. */
const pinMarks = ({ pinRows }: CasePiece, part: Part, start: number): StickMark[] =>
  pinRows
    .filter(({ wall, y, space, into }) => {
      const front = pinRows.filter((row) => row.wall === wall && row.space === space && row.into === into);
      return wall === part.id && y === Math.min(...front.map((row) => row.y));
    })
    .flatMap(({ x, y, from, apart, count }) =>
      Array.from({ length: count }, (_, i) => inPart(part.frame, [x, y, from + i * apart])[0] + start),
    )
    .map((at) => ({ at, layer: 'HOLE', label: 'pin', lane: 'lower' }));

/** A rail behind is as high as the one in front of it. */
const BEHIND = /-back$/;

/** At the heights of others, or on them: lips, and what is between the bars of a frame that lies. */
const NOT_MARKED: ReadonlySet<Part['kind']> = new Set(['lip', 'lipping', 'rail', 'panel']);

/**
 * One stick for all heights of a case, from the floor: every board that lies level and every pin. It is made before anything
 * is cut, and all that is marked out is taken from it.
 */
export function caseStick(piece: Piece, style: LengthStyle): FullSizeDrawing[] {
  if (piece.build !== 'case') return [];
  const side = findPart(piece, piece.leading);
  if (!side) return [];
  const level = piece.parts.filter(
    ({ id, frame, kind }) =>
      Math.abs(frame.thickness[2]) > 0.99 && !NOT_MARKED.has(kind) && !BEHIND.test(kind === 'case-rail' ? id : ''),
  );
  const boards = level.map((part): StickMark => {
    const heights = part.placed.flatMap(({ corners }) => corners.map((p) => p[2]));
    const [at, to] = [Math.min(...heights), Math.max(...heights)];
    const loose = piece.spans.some(({ part: id, onPins }) => id === part.id && onPins);
    return { at, to, layer: 'MORTISE', label: part.letter, lane: loose ? 'upper' : 'whole' };
  });
  const pins = new Set(
    piece.pinRows.flatMap(({ from, apart, count }) => Array.from({ length: count }, (_, i) => from + i * apart)),
  );
  const marks: StickMark[] = [
    ...boards,
    ...[...pins].map((at): StickMark => ({ at, layer: 'HOLE', label: 'pin', lane: 'lower' })),
  ].sort((a, b) => a.at - b.at);
  const { height } = piece.overall;
  const drawn = stick([{ ...side, size: { ...side.size, length: height } }], marks, style, 'Heights of the case');
  return [
    {
      ...drawn,
      id: 'stick-case',
      title: 'Story stick of the case: every height from the floor',
      note: 'Its start is the floor. Over its whole breadth: boards that are fixed; upper half: loose shelves as they are drawn; lower half: bores for pins.',
    },
  ];
}

const keyOf = (part: Part, marks: readonly StickMark[]) =>
  [
    part.kind,
    part.size.length.toFixed(1),
    ...marks.map((m) => `${m.layer}${m.at.toFixed(1)}${m.to?.toFixed(1) ?? ''}${m.lane}`),
  ].join(' ');

/** Parts that are marked out alike, or end for end alike, from one stick. */
export function storySticks(piece: Piece, style: LengthStyle): FullSizeDrawing[] {
  const families = new Map<string, { parts: Part[]; marks: StickMark[] }>();
  for (const part of madeParts(piece)) {
    const marks = marksAlong(piece, part);
    if (marks.length === 0 && part.kind !== 'slat') continue;
    const turned = marks
      .map((m) => ({
        ...m,
        at: part.size.length - (m.to ?? m.at),
        ...(m.to === undefined ? {} : { to: part.size.length - m.at }),
      }))
      .sort((a, b) => a.at - b.at);
    const known = families.get(keyOf(part, marks)) ?? families.get(keyOf(part, turned));
    if (known) known.parts.push(part);
    else families.set(keyOf(part, marks), { parts: [part], marks });
  }
  return [...families.values()].map(({ parts, marks }) => stick(parts, marks, style));
}

function stick(parts: readonly Part[], marks: readonly StickMark[], style: LengthStyle, of?: string): FullSizeDrawing {
  const [first] = parts as [Part];
  const letters = parts.map((part) => part.letter).join(' ');
  const named = of ?? `${letters}  ·  ${plainName(first)}`;
  const { length } = first.size;
  const top = MARGIN + 8;
  const bottom = top + STICK_WIDE;
  const middle = (top + bottom) / 2;
  const lanes = { whole: [top, bottom], upper: [top, middle], lower: [middle, bottom] } as const;
  const x = (mm: number) => MARGIN + mm;
  const out: FullSizeMark[] = [
    box('OUTLINE', x(0), top, x(length), bottom),
    text(MARGIN, MARGIN - 4, `${named}  ·  ${formatLength(length, style)} over all`, 4),
    line('CENTRE', [x(0), middle], [x(length), middle]),
  ];
  // Labels of marks that stand near one another are set at heights of their own.
  const rows: number[] = [];
  for (const mark of marks) {
    const [y0, y1] = lanes[mark.lane];
    if (mark.to === undefined) out.push(line(mark.layer, [x(mark.at), y0], [x(mark.at), y1]));
    else {
      out.push(box(mark.layer, x(mark.at), y0 + 2, x(mark.to), y1 - 2));
      out.push(line(mark.layer, [x(mark.at), y0 + 2], [x(mark.to), y1 - 2]));
    }
    const label = `${mark.label} ${formatLength(mark.at, style)}${mark.to === undefined ? '' : ` – ${formatLength(mark.to, style)}`}`;
    const wide = label.length * SMALL * 0.52;
    const begin = Math.min(mark.at + 1, Math.max(0, length - wide));
    let row = rows.findIndex((end) => end < begin - 2);
    if (row < 0) row = rows.length;
    rows[row] = begin + wide;
    out.push(text(x(begin), bottom + 2 + row * (SMALL + 1.4), label, SMALL));
  }
  return {
    id: `stick-${first.id}`,
    group: 'stick',
    title: `Story stick ${letters}: ${plainName(first)}`,
    note: 'Marks along the part at full size. Upper half: cuts into an edge; lower half: cuts into a face. Hold it to the start of every part of the family, or turned end for end to its mirror image.',
    width: length + 2 * MARGIN,
    height: bottom + 6 + rows.length * (SMALL + 1.4) + MARGIN / 2,
    marks: out,
  };
}
