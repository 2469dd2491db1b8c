import { formatLength, type LengthStyle } from '../measure/length';
import { drawJoint, jointFamilies } from '../piece/joint-drawing';
import { madeParts } from '../piece/material';
import type { Part } from '../piece/part';
import { findPart, type Piece } from '../piece/piece';
import { corners } from '../solid/convex';
import { inPart } from '../solid/frame';
import { boundsOfFlat, type Flat, hullOf, type Outline, polygonOf } from '../solid/outline';

/** One layer for each thing that is done along its lines. */
export const FULL_SIZE_LAYERS = ['OUTLINE', 'SHOULDER', 'MORTISE', 'TENON', 'HOLE', 'CENTRE', 'TEXT'] as const;
export type FullSizeLayer = (typeof FULL_SIZE_LAYERS)[number];

/** A line or a word of a drawing at full size: mm, x to the right, y downward. A side with a sagitta bulges outward. */
export type FullSizeMark =
  | { kind: 'line'; layer: FullSizeLayer; points: readonly Flat[]; close?: boolean; sagittas?: readonly number[] }
  | { kind: 'text'; layer: 'TEXT'; at: Flat; text: string; size: number; align?: 'left' | 'right' | 'centre' };

export interface FullSizeDrawing {
  id: string;
  group: 'stick' | 'template' | 'joint';
  title: string;
  /** What it is for, in a sentence. */
  note: string;
  width: number;
  height: number;
  marks: readonly FullSizeMark[];
}

const STICK_WIDE = 60;
const SMALL = 4;
const MARGIN = 12;

/** Everything of a piece that is wanted at full size: a story stick a family of parts, templates, joints face on. */
export function fullSizeDrawings(piece: Piece, style: LengthStyle, edges: PanelEdges | null = null): FullSizeDrawing[] {
  return [
    ...storySticks(piece, style),
    ...edgeSticks(piece, edges, style),
    ...templates(piece, style),
    ...jointFaces(piece, style),
  ];
}

/** What stands in the edges of the panel's boards, as the job has it. */
export interface PanelEdges {
  joints: readonly {
    between: readonly [string, string];
    /** From the middle of the top, mm. */
    places: readonly number[];
  }[];
  size: { along: number };
}

/** Joints of the panel marked alike, from one stick: its middle goes on the middle of the top, both ends are trimmed later. */
function edgeSticks(piece: Piece, edges: PanelEdges | null, style: LengthStyle): FullSizeDrawing[] {
  const panel = findPart(piece, piece.top.leading);
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
  return [...families.values()].map(({ names, places }, i) => {
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
      id: `stick-edge-${i + 1}`,
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
      const [from, to] = along(corners(cut.solid));
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
  return marks.sort((a, b) => a.at - b.at);
}

const keyOf = (part: Part, marks: readonly StickMark[]) =>
  [
    part.kind,
    part.size.length.toFixed(1),
    ...marks.map((m) => `${m.layer}${m.at.toFixed(1)}${m.to?.toFixed(1) ?? ''}${m.lane}`),
  ].join(' ');

/** Parts that are marked out alike, or end for end alike, from one stick. */
function storySticks(piece: Piece, style: LengthStyle): FullSizeDrawing[] {
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

function stick(parts: readonly Part[], marks: readonly StickMark[], style: LengthStyle): FullSizeDrawing {
  const [first] = parts as [Part];
  const letters = parts.map((part) => part.letter).join(' ');
  const { length } = first.size;
  const top = MARGIN + 8;
  const bottom = top + STICK_WIDE;
  const middle = (top + bottom) / 2;
  const lanes = { whole: [top, bottom], upper: [top, middle], lower: [middle, bottom] } as const;
  const x = (mm: number) => MARGIN + mm;
  const out: FullSizeMark[] = [
    box('OUTLINE', x(0), top, x(length), bottom),
    text(MARGIN, MARGIN - 4, `${letters}  ·  ${plainName(first)}  ·  ${formatLength(length, style)} over all`, 4),
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

/** Parts whose face is not a rectangle, and the outline of the top where it is not. */
function templates(piece: Piece, style: LengthStyle): FullSizeDrawing[] {
  const found: FullSizeDrawing[] = [];
  const seen = new Set<string>();
  const panel = piece.parts.find((part) => part.kind === 'top');
  const square = piece.top.outline.length === 4 && piece.top.outline.every(({ sagitta }) => !sagitta);
  if (panel && !square) found.push(outlineTemplate(panel, piece.top.outline, style));
  for (const part of madeParts(piece)) {
    if (piece.top.parts.includes(part.id)) continue;
    if (part.profile) {
      const key = `${part.kind} ${part.profile.map(({ at, sagitta = 0 }) => `${at.map((n) => n.toFixed(1)).join()} ${sagitta.toFixed(1)}`).join(' ')}`;
      if (!seen.has(key)) found.push(partTemplate(piece, part, 'width', part.profile, style));
      seen.add(key);
      continue;
    }
    for (const face of ['width', 'thickness'] as const) {
      const points = profile(part, face);
      if (isRectangle(points)) continue;
      const key = `${part.kind} ${face} ${points
        .map((p) => p.map((n) => Math.abs(n).toFixed(1)).join())
        .sort()
        .join(' ')}`;
      if (seen.has(key)) continue;
      seen.add(key);
      found.push(
        partTemplate(
          piece,
          part,
          face,
          points.map((at) => ({ at })),
          style,
        ),
      );
    }
  }
  return found;
}

/** A part between its shoulders, seen square onto its face or its edge. */
function profile(part: Part, across: 'width' | 'thickness'): Flat[] {
  const axis = across === 'width' ? 1 : 2;
  return hullOf(part.body.flatMap(corners).map((p): Flat => [p[0], p[axis]]));
}

function isRectangle(points: readonly Flat[]): boolean {
  const { left, right, low, high } = boundsOfFlat(points);
  return points.every(
    ([x, y]) =>
      (Math.abs(x - left) < 1e-6 || Math.abs(x - right) < 1e-6) &&
      (Math.abs(y - low) < 1e-6 || Math.abs(y - high) < 1e-6),
  );
}

function partTemplate(
  piece: Piece,
  part: Part,
  face: 'width' | 'thickness',
  outline: Outline,
  style: LengthStyle,
): FullSizeDrawing {
  const { left, right, low, high } = boundsOfFlat(polygonOf(outline));
  // Its upper edge stands above on paper, as on the board.
  const at = ([x, y]: Flat): Flat => [MARGIN + x - left, MARGIN + 10 + high - y];
  const alike = piece.parts.filter(
    (own) => own.kind === part.kind && Math.abs(own.size.length - part.size.length) < 0.1,
  );
  const letters = alike.map((own) => own.letter).join(' ');
  const axis = face === 'width' ? 1 : 2;
  const curved = outline.some(({ sagitta }) => sagitta);
  const cuts = part.removed
    .filter(({ what, late }) => what !== 'hollow' && !late)
    .map((cut): FullSizeMark => {
      const outline = hullOf(
        corners(cut.solid).map((p): Flat => {
          const own = inPart(part.frame, p);
          return [own[0], own[axis]];
        }),
      );
      return { kind: 'line', layer: 'MORTISE', points: outline.map(at), close: true };
    });
  const ends = part.ends
    ? ` Ends from square: ${part.ends.start.mitre.toFixed(1)}° mitre, ${part.ends.start.bevel.toFixed(1)}° bevel at the start; ${part.ends.end.mitre.toFixed(1)}° and ${part.ends.end.bevel.toFixed(1)}° at the other end.`
    : '';
  return {
    id: `template-${part.id}-${face}`,
    group: 'template',
    title: `Template ${letters}: ${plainName(part)}, ${face === 'width' ? 'face' : 'edge'}`,
    note: `Between its shoulders, seen on its ${face === 'width' ? 'face' : 'edge'}.${curved ? ' Joints are cut while the blank is square; the curve is sawn after them.' : ''}${ends}`,
    width: right - left + 2 * MARGIN,
    height: high - low + 2 * MARGIN + 10,
    marks: [
      {
        kind: 'line',
        layer: 'OUTLINE',
        points: outline.map((corner) => at(corner.at)),
        close: true,
        ...(curved ? { sagittas: outline.map((corner) => corner.sagitta ?? 0) } : {}),
      },
      ...cuts,
      line('CENTRE', at([left, 0]), at([right, 0])),
      text(
        MARGIN,
        MARGIN - 4,
        `${letters}  ·  ${formatLength(right - left, style)} × ${formatLength(high - low, style)}`,
        4,
      ),
    ],
  };
}

function outlineTemplate(panel: Part, outline: Outline, style: LengthStyle): FullSizeDrawing {
  const [l, w] = [panel.size.length / 2, panel.size.width / 2];
  const at = ([x, y]: Flat): Flat => [MARGIN + l + x, MARGIN + 10 + w - y];
  return {
    id: 'template-top',
    group: 'template',
    title: `Template ${panel.letter}: outline of the top`,
    note: 'Seen on the show face. A quarter or a half of it is enough; turn it over on the middle lines.',
    width: 2 * l + 2 * MARGIN,
    height: 2 * w + 2 * MARGIN + 10,
    marks: [
      {
        kind: 'line',
        layer: 'OUTLINE',
        points: outline.map((corner) => at(corner.at)),
        close: true,
        // Upside down on paper, what bulged to the right of the way bulges to its left.
        sagittas: outline.map((corner) => corner.sagitta ?? 0),
      },
      line('CENTRE', at([-l, 0]), at([l, 0])),
      line('CENTRE', at([0, -w]), at([0, w])),
      text(MARGIN, MARGIN - 4, `${panel.letter}  ·  ${formatLength(2 * l, style)} × ${formatLength(2 * w, style)}`, 4),
    ],
  };
}

const LAYER_OF = {
  seen: 'OUTLINE',
  cut: 'MORTISE',
  tenon: 'MORTISE',
  hidden: 'TENON',
  edge: 'OUTLINE',
  joint: 'CENTRE',
} as const;

function jointFaces(piece: Piece, style: LengthStyle): FullSizeDrawing[] {
  return jointFamilies(piece).flatMap(({ id, words, joints }): FullSizeDrawing[] => {
    const view = drawJoint(piece, id, 'face');
    const into = findPart(piece, joints[0]?.into ?? '');
    if (!view || !into) return [];
    const { left, top, width, height } = view.bounds;
    const at = ([u, v]: Flat): Flat => [MARGIN + u - left, MARGIN + 10 + v - top];
    const sizes = view.dimensions.map((d) => formatLength(d.value, style)).join(', ');
    return [
      {
        id: `joint-${id.replaceAll('/', '-')}`,
        group: 'joint',
        title: `Joint: ${words}, ${joints.length} ${joints.length === 1 ? 'time' : 'times'}`,
        note: `Face on, into ${into.letter}; dashed on its layer what comes to it. ${sizes}.`,
        width: width + 2 * MARGIN,
        height: height + 2 * MARGIN + 10,
        marks: [
          ...view.shapes.map(
            (shape): FullSizeMark => ({
              kind: 'line',
              layer: LAYER_OF[shape.style],
              points: shape.points.map(at),
              close: shape.points.length > 2,
            }),
          ),
          text(MARGIN, MARGIN - 4, words, 4),
        ],
      },
    ];
  });
}

/** A part's name without which of several it is. */
export const plainName = (part: Part) => part.name.replace(/,.*$/, '').replace(/ \d+$/, '');

const line = (layer: FullSizeLayer, from: Flat, to: Flat): FullSizeMark => ({
  kind: 'line',
  layer,
  points: [from, to],
});
const box = (layer: FullSizeLayer, x0: number, y0: number, x1: number, y1: number): FullSizeMark => ({
  kind: 'line',
  layer,
  close: true,
  points: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
  ],
});
const text = (x: number, y: number, words: string, size: number): FullSizeMark => ({
  kind: 'text',
  layer: 'TEXT',
  at: [x, y],
  text: words,
  size,
});
