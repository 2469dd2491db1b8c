/** The few pieces of SVG the files need, as text. */
export const escapeXml = (text: string): string =>
  text.replace(/[&<>"']/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[c] ?? c);

export const round = (value: number): number => Math.round(value * 100) / 100;

/** A whole drawing in true millimetres. */
export function svgDocument(width: number, height: number, title: string, body: readonly string[]): string {
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${round(height)}mm" viewBox="0 0 ${round(width)} ${round(height)}">`,
    `<title>${escapeXml(title)}</title>`,
    ...body,
    '</svg>',
    '',
  ].join('\n');
}

export function svgRectangle(
  r: { x: number; y: number; length: number; width: number },
  style: string,
  data = '',
): string {
  return `<rect x="${round(r.x)}" y="${round(r.y)}" width="${round(r.length)}" height="${round(r.width)}" ${style}${data ? ` ${data}` : ''}/>`;
}
