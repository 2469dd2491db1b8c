import type { Content } from 'pdfmake/interfaces';
import type { Mark, PaperDrawing } from '@/core';
import { escapeXml, round } from '@/core/format/svg';
import { inOneFont } from './fonts';

export const PT_PER_MM = 72 / 25.4;
const MM_PER_PT = 1 / PT_PER_MM;
/** Of a letter's size, how far its foot lies under the top of its line. */
const ASCENT = 0.88;

/** A drawing as the engine takes it: one picture of its own size, that is not parted. */
export function drawn({ width, height, marks }: PaperDrawing): Content {
  const svg = [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${round(width)} ${round(height)}">`,
    ...marks.map(markSvg),
    '</svg>',
  ].join('');
  return { svg, width: width * PT_PER_MM, height: height * PT_PER_MM };
}

function markSvg(mark: Mark): string {
  if (mark.kind === 'text') {
    const size = mark.size * MM_PER_PT;
    const { text, font } = inOneFont(mark.text, 'narrow');
    const anchor = { left: 'start', right: 'end', centre: 'middle' }[mark.align ?? 'left'];
    return `<text x="${round(mark.x)}" y="${round(mark.y + size * ASCENT)}" font-family="${font}" font-size="${round(size)}"${mark.bold ? ' font-weight="bold"' : ''} text-anchor="${anchor}">${escapeXml(text)}</text>`;
  }
  const points = mark.points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L');
  const stroke = mark.weight > 0 ? ` stroke="#000" stroke-width="${mark.weight}"` : '';
  return `<path d="M${points}${mark.close ? 'Z' : ''}" fill="${mark.fill ?? 'none'}"${stroke}${mark.dash ? ` stroke-dasharray="${mark.dash} ${mark.dash}"` : ''} stroke-linejoin="round"/>`;
}
