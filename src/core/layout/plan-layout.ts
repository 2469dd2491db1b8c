import { MM_PER_INCH } from '../measure/length';
import { seededRandom } from '../measure/random';
import type { Board } from '../stock/board';
import { boardFeet } from '../stock/board-foot';
import { quartersFor } from '../stock/thickness';
import { type Arrangement, arrange, type Genes, readyBoards } from './arrange';
import { type Demand, type Layout, type LayoutOptions, layoutKey, type Shortfall, type Strip } from './layout';
import { leastConsumption } from './least-consumption';

export interface LayoutProgress {
  tried: number;
  /** Share of the effort spent, 0–1. */
  share: number;
  best: Layout;
}

const TRIES_BETWEEN_WORDS = 50;
const STALE_AFTER = 400;

/**
 * Strips and parts onto boards: many arrangements by straight through cuts, each changed a little from the best so
 * far, always with the bound no layout can beat. Deterministic for a seed and an effort.
 *
 * @returns the best layout found; parts that fit nowhere are in its shortfall
 */
export function planLayout(demand: Demand, boards: readonly Board[], options: LayoutOptions): Layout {
  const search = searchLayout(demand, boards, options);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

/** The same search, handing out its best so far now and then, so that it can be shown and stopped. */
export function* searchLayout(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
): Generator<LayoutProgress, Layout> {
  const random = seededRandom(options.seed);
  const ready = readyBoards(boards, options);
  const least = leastConsumption(demand, boards, options);
  const key = layoutKey(demand, boards, options);
  const items = demand.parts.length + demand.panels.length;

  let genes = firstGenes(demand, ready.length, items);
  let current = arrange(demand, ready, options, genes);
  let best = current;
  let stale = 0;
  let tried = 1;
  const finish = (arrangement: Arrangement) => describe(arrangement, demand, boards, least, key, tried);

  while (tried < options.effort) {
    if (tried % TRIES_BETWEEN_WORDS === 0) yield { tried, share: tried / options.effort, best: finish(best) };
    const next = stale > STALE_AFTER ? randomGenes(ready.length, items, random) : mutate(genes, random);
    const arrangement = arrange(demand, ready, options, next);
    tried += 1;
    if (stale > STALE_AFTER || worth(arrangement) <= worth(current) + 1e-12) {
      stale = worth(arrangement) < worth(current) - 1e-9 || stale > STALE_AFTER ? 0 : stale + 1;
      genes = next;
      current = arrangement;
    } else stale += 1;
    if (worth(arrangement) < worth(best) - 1e-12) best = arrangement;
  }
  return finish(best);
}

/** What is searched for: nothing missing, then little consumed, then few strips and few boards. */
function worth(arrangement: Arrangement): number {
  const missing =
    arrangement.missingParts.reduce((sum, p) => sum + p.rough.length * p.rough.width, 0) +
    arrangement.missingPanels.reduce((sum, { panel, width }) => sum + panel.rough.length * width, 0);
  const strips = arrangement.strips.reduce((sum, panel) => sum + panel.strips.length, 0);
  return missing * 1e-3 + arrangement.consumed + strips * 2e-5 + arrangement.boards.length * 5e-5;
}

/** To begin: the panel first, then the longest parts; boards by their place in the rack. */
function firstGenes(demand: Demand, boards: number, items: number): Genes {
  const lengths = demand.parts.map((part) => part.rough.length);
  const longest = Math.max(1, ...lengths);
  const order = Float64Array.from({ length: items }, (_, i) =>
    i < lengths.length ? 1 - ((lengths[i] ?? 0) / longest) * 0.9 : 0.01,
  );
  return {
    board: Float64Array.from({ length: boards }, (_, i) => i / Math.max(1, boards)),
    order,
    split: new Float64Array(items).fill(0.75),
    clear: new Float64Array(boards).fill(0.25),
    width: new Float64Array(boards).fill(1),
  };
}

function randomGenes(boards: number, items: number, random: () => number): Genes {
  const draw = (n: number) => Float64Array.from({ length: n }, random);
  return { board: draw(boards), order: draw(items), split: draw(items), clear: draw(boards), width: draw(boards) };
}

function mutate(genes: Genes, random: () => number): Genes {
  const next: Genes = {
    board: genes.board.slice(),
    order: genes.order.slice(),
    split: genes.split.slice(),
    clear: genes.clear.slice(),
    width: genes.width.slice(),
  };
  const lists = [next.board, next.board, next.order, next.split, next.clear, next.width];
  const changes = 1 + Math.floor(random() * 3);
  for (let i = 0; i < changes; i += 1) {
    const list = lists[Math.floor(random() * lists.length)] ?? next.board;
    if (list.length > 0) list[Math.floor(random() * list.length)] = random();
  }
  return next;
}

function describe(
  arrangement: Arrangement,
  demand: Demand,
  boards: readonly Board[],
  least: number,
  key: string,
  tried: number,
): Layout {
  const { placements, offcuts, consumed } = arrangement;
  const strips = arrangement.strips.flatMap(({ panel, strips: list }) => {
    const letter = demand.panels.find((p) => p.id === panel)?.letter ?? '';
    return list.map(
      (strip, i): Strip => ({ panel, label: `${letter}${i + 1}`, board: strip.board, width: strip.finished }),
    );
  });
  const placedWhole = new Set(placements.map((placement) => placement.part));
  const short = new Set(arrangement.missingPanels.map(({ panel }) => panel.id));
  const finished = [...demand.parts, ...demand.panels]
    .filter(({ id }) => placedWhole.has(id) && !short.has(id))
    .reduce((sum, { finished: f }) => sum + f.length * f.width * f.thickness * 1e-9, 0);
  const shortfall = [
    ...arrangement.missingParts.map((part) =>
      toBuy(part.id, part.name, part.finished.thickness, part.rough.length, part.rough.width),
    ),
    ...arrangement.missingPanels.map(({ panel, width }) => {
      const count = Math.ceil(width / panel.greatestStrip);
      return toBuy(panel.id, panel.name, panel.finished.thickness, panel.rough.length, width + count * panel.jointing);
    }),
  ];
  const complete = shortfall.length === 0;
  return {
    key,
    placements,
    strips,
    offcuts,
    shortfall,
    boards: boards.filter((board) => arrangement.boards.includes(board.id)).map((board) => board.id),
    consumed,
    finished,
    yield: consumed > 0 ? finished / consumed : 0,
    // With something missing the bound speaks of a piece that is not there: none is claimed.
    yieldBound: complete && least > 0 ? Math.min(1, finished / least) : null,
    gap: complete && least > 0 ? Math.max(0, consumed / least - 1) : null,
    tried,
  };
}

function toBuy(part: string, name: string, thickness: number, length: number, width: number): Shortfall {
  const quarters = quartersFor(thickness);
  const roughThickness = quarters === undefined ? thickness + 6 : (quarters / 4) * MM_PER_INCH;
  return {
    part,
    name,
    quarters: quarters ?? null,
    thickness,
    length,
    width,
    boardFeet: boardFeet({ length, width, roughThickness }),
  };
}
