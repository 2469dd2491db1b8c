import type { Board } from '../stock/board';
import { surfacedThickness } from '../stock/thickness';
import { clearRegions } from './clear-regions';
import type { Demand, LayoutOptions, PanelDemand, PartDemand, Placement, Rectangle } from './layout';

/** One arrangement is told by these numbers in [0, 1); the search changes them, {@link arrange} carries them out. */
export interface Genes {
  /** Liking for each board; a small number is used early. */
  board: Float64Array;
  /** Place in the order, for each part and then each panel. */
  order: Float64Array;
  /** Below a half: the cut that frees the part is a crosscut first. */
  split: Float64Array;
  /** Below a half: crosscut first at the defects of that board. */
  clear: Float64Array;
  /** How wide the strips of each board are taken, from half-way to the greatest. */
  width: Float64Array;
}

export interface PanelStrip extends Rectangle {
  board: string;
  /** mm after jointing. */
  finished: number;
}

export interface Arrangement {
  placements: Placement[];
  strips: { panel: string; strips: PanelStrip[] }[];
  missingParts: PartDemand[];
  missingPanels: { panel: PanelDemand; width: number }[];
  offcuts: (Rectangle & { board: string })[];
  boards: string[];
  consumed: number;
}

/** A board ready for the search: what it planes to, and its clear regions for either way of cutting round defects. */
export interface ReadyBoard {
  board: Board;
  surfaced: number;
  volume: number;
  regions: { crosscut: Rectangle[]; rip: Rectangle[] };
  /** Something is already sawn from it. */
  begun: boolean;
}

export function readyBoards(boards: readonly Board[], options: LayoutOptions): ReadyBoard[] {
  return boards.map((board) => {
    const sawn = (options.fixed ?? []).filter((placement) => placement.board === board.id);
    const taken = sawn.map(({ x, y, length, width }) => ({
      x: x - options.kerf,
      y: y - options.kerf,
      length: length + 2 * options.kerf,
      width: width + 2 * options.kerf,
    }));
    const whole = { x: options.endTrim, y: 0, length: board.length - 2 * options.endTrim, width: board.width };
    const spoiled = [...taken, ...board.defects];
    return {
      board,
      surfaced: surfacedThickness(board, options.flattening),
      volume: board.length * board.width * board.thickness * 1e-9,
      regions: {
        crosscut: clearRegions(whole, spoiled, options.kerf, () => true),
        rip: clearRegions(whole, spoiled, options.kerf, () => false),
      },
      begun: sawn.length > 0,
    };
  });
}

interface Open {
  ready: ReadyBoard;
  index: number;
  free: Rectangle[];
  used: boolean;
}

/** Places every part and panel by its genes: best fit among the free rectangles, always by straight through cuts. */
export function arrange(
  demand: Demand,
  boards: readonly ReadyBoard[],
  options: LayoutOptions,
  genes: Genes,
): Arrangement {
  const at = (list: Float64Array, i: number) => list[i] ?? 0;
  const open: Open[] = boards.map((ready, index) => ({
    ready,
    index,
    free: [...(at(genes.clear, index) < 0.5 ? ready.regions.crosscut : ready.regions.rip)],
    used: ready.begun,
  }));
  const fixed = options.fixed ?? [];
  const done = new Set(fixed.map((placement) => placement.part));
  const result: Arrangement = {
    placements: [...fixed],
    strips: [],
    missingParts: [],
    missingPanels: [],
    offcuts: [],
    boards: [],
    consumed: 0,
  };

  const parts = demand.parts.map((part, i) => ({ key: at(genes.order, i), gene: i, part, panel: undefined }));
  const panels = demand.panels.map((panel, i) => {
    const gene = demand.parts.length + i;
    return { key: at(genes.order, gene), gene, part: undefined, panel };
  });
  for (const item of [...parts, ...panels].sort((a, b) => a.key - b.key)) {
    const crosscutFirst = at(genes.split, item.gene) < 0.5;
    if (item.part && !done.has(item.part.id)) placePart(item.part, crosscutFirst);
    if (item.panel && !done.has(item.panel.id)) placePanel(item.panel);
  }
  collect();
  return result;

  function candidates(length: number, width: number, thickness: number) {
    let best: { open: Open; rect: Rectangle; score: number } | undefined;
    for (const candidate of open) {
      const { ready } = candidate;
      if (ready.surfaced < thickness - 1e-9) continue;
      for (const rect of candidate.free) {
        if (rect.length < length - 1e-9 || rect.width < width - 1e-9) continue;
        // Thin stock first, opened boards first, then the maker of the genes decides, then the tighter fit.
        const score =
          ready.board.thickness * 20 +
          (candidate.used ? 0 : 400 * (0.2 + at(genes.board, candidate.index))) +
          Math.min(rect.length - length, rect.width - width);
        if (!best || score < best.score) best = { open: candidate, rect, score };
      }
    }
    return best;
  }

  function take(from: Open, rect: Rectangle, length: number, width: number, crosscutFirst: boolean) {
    const { kerf } = options;
    from.used = true;
    from.free.splice(from.free.indexOf(rect), 1);
    const beyond = { x: rect.x + length + kerf, length: rect.length - length - kerf };
    const beside = { y: rect.y + width + kerf, width: rect.width - width - kerf };
    const end: Rectangle = { ...rect, ...beyond, width: crosscutFirst ? rect.width : width };
    const side: Rectangle = { ...rect, ...beside, length: crosscutFirst ? length : rect.length };
    if (end.length > 0 && end.width > 0) from.free.push(end);
    if (side.width > 0 && side.length > 0) from.free.push(side);
  }

  function placePart(part: PartDemand, crosscutFirst: boolean) {
    const { length, width } = part.rough;
    const found = candidates(length, width, part.finished.thickness);
    if (!found) {
      result.missingParts.push(part);
      return;
    }
    const { x, y } = found.rect;
    take(found.open, found.rect, length, width, crosscutFirst);
    result.placements.push({ board: found.open.ready.board.id, part: part.id, x, y, length, width });
  }

  function placePanel(panel: PanelDemand) {
    const { jointing, leastStrip } = panel;
    const strips: PanelStrip[] = [];
    let need = panel.rough.width;
    while (need > 1e-6) {
      const found = candidates(panel.rough.length, leastStrip + jointing, panel.finished.thickness);
      if (!found) break;
      const { rect } = found;
      const greatest = leastStrip + (panel.greatestStrip - leastStrip) * (0.5 + at(genes.width, found.open.index) / 2);
      // Only as many strips as are still needed, as wide as the region and the greatest strip allow.
      const room = (n: number) => (rect.width - (n - 1) * options.kerf) / n - jointing;
      let n = Math.max(1, Math.ceil((rect.width + options.kerf) / (greatest + jointing + options.kerf) - 1e-9));
      while (n > 1 && room(n) < leastStrip) n -= 1;
      const most = Math.min(room(n), greatest);
      const wanted = Math.max(1, Math.ceil(need / most - 1e-9));
      n = Math.min(n, wanted);
      const width = Math.max(leastStrip, Math.min(most, need / n));
      const sawn = width + jointing;
      const across = n * sawn + (n - 1) * options.kerf;
      for (let i = 0; i < n; i += 1) {
        strips.push({
          board: found.open.ready.board.id,
          finished: width,
          x: rect.x,
          y: rect.y + i * (sawn + options.kerf),
          length: panel.rough.length,
          width: sawn,
        });
      }
      take(found.open, rect, panel.rough.length, across, true);
      need -= n * width;
    }
    if (need > 1e-6) result.missingPanels.push({ panel, width: need });
    if (need < -1e-6) narrow(strips, -need, leastStrip);
    result.strips.push({ panel: panel.id, strips });
  }

  /** The last strip may have been wider than needed: take the excess off the widest ones. */
  function narrow(strips: PanelStrip[], excess: number, least: number) {
    let left = excess;
    for (const strip of [...strips].sort((a, b) => b.finished - a.finished)) {
      const off = Math.min(left, strip.finished - least);
      strip.finished -= off;
      strip.width -= off;
      left -= off;
      if (left <= 1e-9) return;
    }
  }

  function collect() {
    let number = 0;
    for (const { panel, strips } of result.strips) {
      number = 0;
      for (const { board, x, y, length, width } of strips) {
        result.placements.push({ board, part: panel, strip: number, x, y, length, width });
        number += 1;
      }
    }
    for (const { ready, free, used } of open) {
      if (!used) continue;
      result.boards.push(ready.board.id);
      result.consumed += ready.volume;
      for (const rect of free) {
        const { length, width } = options.usefulOffcut;
        if (rect.length < length || rect.width < width) continue;
        result.offcuts.push({ ...rect, board: ready.board.id });
        result.consumed -= rect.length * rect.width * ready.board.thickness * 1e-9;
      }
    }
  }
}
