import PDFDocument from 'pdfkit';
import type { Mark, Page } from '@/core';
import { FONTS, inOneFont } from './fonts';

const PT_PER_MM = 72 / 25.4;

/** Prints pages of marks as a PDF in true millimetres. Fonts are embedded, so that any script prints. */
export async function printPages(pages: Iterable<Page>, title: string): Promise<Uint8Array<ArrayBuffer>> {
  const document = new PDFDocument({ autoFirstPage: false, info: { Title: title, Creator: 'Taller' } });
  for (const [name, { normal, bold }] of Object.entries(FONTS)) {
    document.registerFont(name, normal);
    document.registerFont(`${name} bold`, bold);
  }
  const chunks: Buffer[] = [];
  document.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<void>((resolve, reject) => {
    document.on('end', () => resolve());
    document.on('error', reject);
  });
  for (const page of pages) {
    document.addPage({ size: [page.width * PT_PER_MM, page.height * PT_PER_MM], margin: 0 });
    for (const mark of page.marks) put(document, mark);
    // What is written is packed and handed on before the next page is begun.
    await new Promise((resolve) => setImmediate(resolve));
  }
  document.end();
  await done;
  return Uint8Array.from(Buffer.concat(chunks));
}

function put(document: PDFKit.PDFDocument, mark: Mark): void {
  const pt = (mm: number) => mm * PT_PER_MM;
  if (mark.kind === 'text') {
    const { text, font } = inOneFont(mark.text, 'narrow');
    document
      .font(mark.bold ? `${font} bold` : font)
      .fontSize(mark.size)
      .fillColor('#000000');
    const width = document.widthOfString(text);
    const shift = { left: 0, right: -width, centre: -width / 2 }[mark.align ?? 'left'];
    if (mark.width === undefined || width <= pt(mark.width)) {
      document.text(text, pt(mark.x) + shift, pt(mark.y), { lineBreak: false });
    } else {
      const x = mark.align === 'right' ? pt(mark.x - mark.width) : pt(mark.x);
      document.text(text, x, pt(mark.y), {
        width: pt(mark.width),
        height: mark.size * 2.6,
        ellipsis: true,
        lineGap: -1,
      });
    }
    return;
  }
  const [first, ...rest] = mark.points;
  if (!first) return;
  document.lineWidth(pt(mark.weight)).strokeColor('#000000');
  if (mark.dash) document.dash(pt(mark.dash), { space: pt(mark.dash) });
  else document.undash();
  document.moveTo(pt(first[0]), pt(first[1]));
  for (const [x, y] of rest) document.lineTo(pt(x), pt(y));
  if (mark.close) document.closePath();
  if (mark.fill) document.fillAndStroke(mark.fill, '#000000');
  else document.stroke();
}
