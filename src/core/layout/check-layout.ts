import type { Board } from '../stock/board';
import { surfacedThickness } from '../stock/thickness';
import { overlap } from './clear-regions';
import type { Demand, Layout, LayoutOptions, Rectangle } from './layout';

/**
 * Looks at a layout knowing nothing of how it was found: every piece inside its board and its end trim, clear of
 * defects, a kerf between neighbours, thick enough, of the asked size, each part once, each panel as wide as it
 * must be, and the whole reachable by straight through cuts. Returns what is wrong, in words; nothing when all is well.
 */
export function checkLayout(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  layout: Layout,
): string[] {
  const wrong: string[] = [];
  const near = (a: number, b: number) => Math.abs(a - b) < 1e-6;

  for (const board of boards) {
    const here = layout.placements.filter((p) => p.board === board.id);
    const pieces = [...here, ...layout.offcuts.filter((o) => o.board === board.id)];
    for (const [i, piece] of pieces.entries()) {
      const name = 'part' in piece ? `${piece.part} on ${board.tag}` : `an offcut of ${board.tag}`;
      const inside =
        piece.x >= options.endTrim - 1e-6 &&
        piece.y >= -1e-6 &&
        piece.x + piece.length <= board.length - options.endTrim + 1e-6 &&
        piece.y + piece.width <= board.width + 1e-6;
      if (!inside) wrong.push(`${name} lies outside the board`);
      for (const defect of board.defects) if (overlap(piece, defect)) wrong.push(`${name} lies on a ${defect.kind}`);
      for (const other of pieces.slice(i + 1)) {
        if (overlap(grown(piece, options.kerf), other)) wrong.push(`${name} leaves no kerf to its neighbour`);
      }
    }
    if (!sawable(pieces, options.kerf)) wrong.push(`${board.tag} cannot be cut up by straight through cuts`);
    for (const piece of here) {
      const finished = [...demand.parts, ...demand.panels].find((d) => d.id === piece.part)?.finished;
      if (finished && surfacedThickness(board, options.flattening) < finished.thickness - 1e-6) {
        wrong.push(`${board.tag} is too thin for ${piece.part}`);
      }
    }
  }

  const missing = new Set(layout.shortfall.map((s) => s.part));
  for (const part of demand.parts) {
    const placed = layout.placements.filter((p) => p.part === part.id);
    if (placed.length !== (missing.has(part.id) ? 0 : 1)) wrong.push(`${part.id} is placed ${placed.length} times`);
    for (const p of placed) {
      if (!near(p.length, part.rough.length) || !near(p.width, part.rough.width))
        wrong.push(`${part.id} has the wrong size`);
    }
  }
  for (const panel of demand.panels) {
    const strips = layout.placements.filter((p) => p.part === panel.id);
    const widths = strips.map((p) => p.width - panel.jointing);
    const total = widths.reduce((sum, width) => sum + width, 0);
    if (!missing.has(panel.id) && total < panel.rough.width - 1e-6) wrong.push(`${panel.id} is too narrow`);
    if (widths.some((w) => w < panel.leastStrip - 1e-6 || w > panel.greatestStrip + 1e-6))
      wrong.push(`${panel.id} has a strip of the wrong width`);
    if (strips.some((p) => !near(p.length, panel.rough.length)))
      wrong.push(`${panel.id} has a strip of the wrong length`);
  }
  return wrong;
}

const grown = (r: Rectangle, by: number): Rectangle => ({
  x: r.x - by,
  y: r.y - by,
  length: r.length + 2 * by,
  width: r.width + 2 * by,
});

/** Whether rectangles can be parted one from another by cuts that go right through, each a kerf wide. */
export function sawable(pieces: readonly Rectangle[], kerf: number): boolean {
  if (pieces.length <= 1) return true;
  const directions = [
    { from: (r: Rectangle) => r.x, to: (r: Rectangle) => r.x + r.length },
    { from: (r: Rectangle) => r.y, to: (r: Rectangle) => r.y + r.width },
  ];
  return directions.some(({ from, to }) => {
    const sorted = [...pieces].sort((a, b) => from(a) - from(b));
    let reach = Number.NEGATIVE_INFINITY;
    for (let i = 0; i < sorted.length; i += 1) {
      const piece = sorted[i];
      if (!piece) continue;
      if (i > 0 && from(piece) >= reach + kerf - 1e-6) {
        return sawable(sorted.slice(0, i), kerf) && sawable(sorted.slice(i), kerf);
      }
      reach = Math.max(reach, to(piece));
    }
    return false;
  });
}
