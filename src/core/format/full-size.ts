import { drawJoint, jointFamilies } from '../drawing/joint-drawing';
import { formatLength, type LengthStyle } from '../measure/length';
import { taperOutline } from '../piece/legs/taper';
import { isMade } from '../piece/material';
import type { Part } from '../piece/part';
import { findPart, type Piece } from '../piece/piece';
import { inPart } from '../solid/frame';
import { boundsOfFlat, type Flat, hullOf, type Outline, polygonOf } from '../solid/outline';

import { type FullSizeDrawing, type FullSizeMark, line, MARGIN, plainName, text } from './full-size-drawing';
import { scribeLines } from './scribe-lines';
import { caseStick, edgeSticks, type PanelEdges, storySticks } from './story-sticks';

/** Everything of a piece that is wanted at full size: a story stick a family of parts, templates, joints face on. */
export function fullSizeDrawings(
  piece: Piece,
  style: LengthStyle,
  panels: readonly PanelEdges[] = [],
): FullSizeDrawing[] {
  return [
    ...caseStick(piece, style),
    ...storySticks(piece, style),
    ...edgeSticks(piece, panels, style),
    ...templates(piece, style),
    ...scribeLines(piece, style),
    ...jointFaces(piece, style),
  ];
}

const isSquare = (outline: Outline) => outline.length === 4 && outline.every(({ sagitta }) => !sagitta);

/** Parts whose face is not a rectangle, and the outline of the top where it is not. */
function templates(piece: Piece, style: LengthStyle): FullSizeDrawing[] {
  const found: FullSizeDrawing[] = [];
  const seen = new Set<string>();
  const panel = piece.parts.find((part) => part.kind === 'top');
  if (panel && piece.build === 'table' && piece.kind.top === 'glued-panel' && !isSquare(piece.top.outline))
    found.push(outlineTemplate(panel, piece.top.outline, style));
  for (const part of piece.parts) {
    // Live edges, glass and the shaped ends of a breadboarded top.
    if (piece.over.includes(part.id) && part.profile && part.material !== 'resin') {
      found.push(partTemplate(piece, part, 'width', part.profile, style));
      continue;
    }
    if (!isMade(part) || piece.over.includes(part.id)) continue;
    if (part.profile) {
      const key = `${part.kind} ${part.profile.map(({ at, sagitta = 0 }) => `${at.map((n) => n.toFixed(1)).join()} ${sagitta.toFixed(1)}`).join(' ')}`;
      if (!seen.has(key)) found.push(partTemplate(piece, part, 'width', part.profile, style));
      seen.add(key);
      continue;
    }
    if (part.taper?.hollow && !part.ends) {
      const { hollow, foot, from } = part.taper;
      const key = `${part.kind} curved ${[part.size.length, part.size.width, foot, from, hollow].map((n) => n.toFixed(1)).join(' ')}`;
      const leg = { section: part.size.width, length: part.size.length };
      // A leg between others is tapered on its inner face alone.
      const face = isRectangle(profile(part, 'width')) ? 'thickness' : 'width';
      if (!seen.has(key)) found.push(partTemplate(piece, part, face, taperOutline(leg, part.taper), style));
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
  return hullOf(part.body.flatMap((solid) => solid.corners).map((p): Flat => [p[0], p[axis]]));
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
  const alike = piece.over.includes(part.id)
    ? [part]
    : piece.parts.filter((own) => own.kind === part.kind && Math.abs(own.size.length - part.size.length) < 0.1);
  const letters = alike.map((own) => own.letter).join(' ');
  const axis = face === 'width' ? 1 : 2;
  const curved = outline.some(({ sagitta }) => sagitta);
  const cuts = part.removed
    .filter(({ what, late }) => what !== 'hollow' && !late)
    .map((cut): FullSizeMark => {
      const outline = hullOf(
        cut.solid.corners.map((p): Flat => {
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
    note: `${part.material === 'glass' ? 'Finished outline of the glass, for the glazier; its room is taken off already' : part.kind === 'slab' ? 'Seen on the show face, the recess in it where there is one' : `Between its shoulders, seen on its ${face === 'width' ? 'face' : 'edge'}`}.${curved ? ' Joints are cut while the blank is square; the curve is sawn after them.' : ''}${ends}`,
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
  strip: 'CENTRE',
} as const;

function jointFaces(piece: Piece, style: LengthStyle): FullSizeDrawing[] {
  return jointFamilies(piece).flatMap(({ id, words, joints }): FullSizeDrawing[] => {
    // A rabbet along a whole board is set by its two figures.
    if (joints[0]?.kind === 'back-rabbet') return [];
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
