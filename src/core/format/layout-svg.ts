import { blanksOf } from '../layout/blanks';
import { blankLabel, type LabelOf } from '../layout/labels';
import { boardsUsed, type Layout } from '../layout/layout';
import { formatLength, type LengthStyle } from '../measure/length';
import type { Board } from '../stock/board';
import { escapeXml, round, svgDocument, svgRectangle } from './svg';

const GAP = 90;
const MARGIN = 30;
const TEXT = 'font-family="sans-serif" font-size="34" fill="#14201B"';

/** The boards of a layout one below the other, in true millimetres, groups named by tag and part. */
export function writeLayoutSvg(
  layout: Pick<Layout, 'placements' | 'offcuts' | 'boards'>,
  labelOf: LabelOf,
  boards: readonly Board[],
  style: LengthStyle,
  title: string,
): string {
  const used = boardsUsed(layout, boards);
  const longest = Math.max(400, ...used.map((board) => board.length));
  const body: string[] = [];
  let y = MARGIN;
  for (const board of used) {
    y += 50;
    body.push(`<g id="board-${escapeXml(board.tag)}">`);
    body.push(
      `<text x="${MARGIN}" y="${y - 12}" ${TEXT}>${escapeXml(`${board.tag}  ${formatLength(board.length, style)} × ${formatLength(board.width, style)} × ${formatLength(board.thickness, style)}`)}</text>`,
    );
    const at = (r: { x: number; y: number; length: number; width: number }) => ({ ...r, x: MARGIN + r.x, y: y + r.y });
    const corners = [
      [0, 0],
      [board.length, 0],
      [board.length, board.farWidth ?? board.width],
      [0, board.width],
    ].map(([x = 0, across = 0]) => `${round(MARGIN + x)},${round(y + across)}`);
    body.push(`<polygon points="${corners.join(' ')}" fill="#FBFCFA" stroke="#14201B" stroke-width="2"/>`);
    for (const offcut of layout.offcuts.filter((o) => o.board === board.id)) {
      body.push(
        svgRectangle(
          at(offcut),
          'fill="none" stroke="#4C5A53" stroke-width="1.5" stroke-dasharray="12 8"',
          'data-offcut="true"',
        ),
      );
    }
    for (const defect of board.defects) {
      body.push(
        svgRectangle(at(defect), 'fill="none" stroke="#C4361A" stroke-width="2"', `data-defect="${defect.kind}"`),
      );
    }
    for (const blank of blanksOf(layout.placements.filter((p) => p.board === board.id))) {
      const box = at(blank);
      const label = blankLabel(labelOf, blank);
      body.push(
        svgRectangle(
          box,
          'fill="#E4E2F7" stroke="#4338B0" stroke-width="2"',
          `data-part="${escapeXml(blank.placements.map((p) => p.part).join(' '))}"`,
        ),
      );
      const size = `${formatLength(blank.length, style)} × ${formatLength(blank.width, style)}`;
      body.push(
        `<text x="${round(box.x + 14)}" y="${round(box.y + Math.min(box.width - 6, 40))}" ${TEXT}>${escapeXml(`${label}  ${size}`)}</text>`,
      );
    }
    body.push('</g>');
    y += Math.max(board.width, board.farWidth ?? 0) + GAP;
  }
  return svgDocument(longest + 2 * MARGIN, y, title, body);
}
