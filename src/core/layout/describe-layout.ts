import { MM_PER_INCH } from '../measure/length';
import { type Board, faceArea } from '../stock/board';
import { boardFeet } from '../stock/board-foot';
import { boardShape, reachAcross } from '../stock/board-shape';
import { liveEdgeOf } from '../stock/live-edge';
import { boardPrice } from '../stock/price';
import { ringKind } from '../stock/ring-kind';
import { quartersFor } from '../stock/thickness';
import { overlap } from './clear-regions';
import type { CutPlan, Problem } from './cut-plan';
import { cutSequence, type SawCut, type Sawing, type Wanted } from './cut-sequence';
import type { Demand } from './demand';
import { inSequence } from './in-sequence';
import {
  clearOf,
  type Layout,
  type LayoutOptions,
  type Offcut,
  type Placement,
  type Rectangle,
  type Shortfall,
  type Strip,
} from './layout';
import { leftovers } from './leftovers';
import { leavesOf, stripBlank, widestBlank } from './matched-pairs';
import { blanksFor, type ReadyBoard, rectanglesOf, stripsFrom } from './ready-boards';
import { CORNERS, type Sawn, spotFor, stripSpotFor, usefulOffcuts } from './sawn-board';
import { wholeWidths } from './whole-widths';

/** A plan written as a layout: ids given out, strips narrowed to what the panel needs, the money added up. */
export function describeLayout(
  problem: Problem,
  plan: CutPlan,
  demand: Demand,
  given: Pick<Layout, 'key' | 'bound' | 'boundFor' | 'tried'>,
): Layout {
  const { kinds, options } = problem;
  const boards = problem.boards.map((ready) => ready.board);
  const placements: Placement[] = [...(options.fixed ?? [])];
  const ids = kinds.parts.map((kind) => [...kind.ids]);
  const excess = plan.bands.map((width) => Math.max(0, -width));
  const strips: { panel: number; band: number; copies: number; placement: Placement }[] = [];

  for (const state of plan.boards) {
    for (const piece of state?.pieces ?? []) {
      const where = { board: state?.ready.board.id ?? '', ...placeOf(piece) };
      if ('part' in piece) {
        const lies = kinds.parts[piece.part]?.live ? { ...where, ...withLiveEdge(state?.ready, piece) } : where;
        for (let layer = 0; layer < piece.copies; layer += 1) {
          const part = ids[piece.part]?.shift();
          if (part !== undefined) placements.push({ ...lies, part, ...(piece.copies > 1 ? { layer } : {}) });
        }
      } else {
        const kind = kinds.bands[piece.band];
        const panel = demand.panels[kind?.panel ?? 0];
        if (!kind || !panel) continue;
        // A whole strip too many stays in its blank; what else a panel has too much of comes off strips that can spare it.
        let { copies } = piece;
        let over = excess[piece.band]!;
        while (!kind.pairs && copies > 1 && over >= piece.finished - 1e-9)
          [copies, over] = [copies - 1, over - piece.finished];
        const spare = Math.max(0, Math.min(over / copies, piece.finished - kind.least));
        const off = options.step > 0 ? Math.floor(spare / options.step + 1e-6) * options.step : spare;
        excess[piece.band] = over - off * copies;
        const width = piece.width - off;
        const placement = { ...where, width, part: panel.id, ...(panel.bands.length > 1 ? { band: kind.band } : {}) };
        strips.push({ panel: kind.panel, band: kind.band, copies, placement });
      }
    }
  }
  const fixedStrips = (panel: string) =>
    Math.max(-1, ...(options.fixed ?? []).filter((p) => p.part === panel).map((p) => p.strip ?? -1)) + 1;
  demand.panels.forEach((panel, index) => {
    let number = fixedStrips(panel.id);
    for (const { placement, copies } of strips.filter((s) => s.panel === index).sort((a, b) => a.band - b.band)) {
      for (let layer = 0; layer < copies; layer += 1) {
        placements.push({ ...placement, strip: number, ...(copies > 1 ? { layer } : {}) });
        number += 1;
      }
    }
  });

  const offcuts: (Offcut & { board: string })[] = [
    ...(options.givenBack ?? []),
    ...plan.boards.flatMap((state) =>
      state && !state.ready.board.takenFor
        ? leftovers(
            state.ready.board,
            placements.filter((p) => p.board === state.ready.board.id),
            usefulOffcuts(state, options),
            options.kerf,
          ).map((offcut) => ({ ...offcut, board: state.ready.board.id }))
        : [],
    ),
  ];
  const shortfall = [
    ...kinds.parts.flatMap((kind, i) =>
      ids[i]!.map((id) => {
        const name = demand.parts.find((part) => part.id === id)?.name ?? id;
        return toBuy(id, name, kind, 1, !anyBoardGives(problem, i), kind);
      }),
    ),
    ...kinds.bands.flatMap((kind, i) => {
      const width = plan.bands[i]!;
      const panel = demand.panels[kind.panel];
      if (width <= 1e-6 || !panel) return [];
      // Blanks that the panel takes, no wider than they may be: strips, or what pairs are resawn from.
      const leaves = leavesOf(panel);
      const count = Math.ceil(
        width / leaves / Math.max(kind.least, widestBlank(panel, options) - kind.jointing) - 1e-9,
      );
      const strip = {
        thickness: stripBlank(panel, options),
        length: kind.length,
        width: width / leaves / count + kind.jointing,
      };
      return [toBuy(panel.id, panel.name, strip, count, !anyBoardGivesStrips(problem, i))];
    }),
  ];
  const whole = options.step > 0 ? wholeWidths(demand, boards, options, { placements, offcuts }) : placements;
  const ordered = inSequence(demand, boards, options, { placements: whole, offcuts });
  return writtenLayout(demand, boards, options, { placements: ordered, offcuts, shortfall, ...given });
}

/**
 * Everything about a layout that follows from where its pieces lie: strips in their order, money, yield, gap. It is
 * all that is needed to compute a layout anew after the maker has moved something.
 */
export function writtenLayout(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  found: Pick<Layout, 'placements' | 'offcuts' | 'shortfall' | 'key' | 'bound' | 'boundFor' | 'tried'>,
): Layout {
  const { placements, offcuts, shortfall } = found;
  const strips = demand.panels.flatMap((panel) =>
    placements
      .filter((p) => p.part === panel.id && p.strip !== undefined)
      .sort((a, b) => (a.strip ?? 0) - (b.strip ?? 0))
      .map(
        (p, i): Strip => ({
          panel: panel.id,
          label: `${panel.letter}${i + 1}`,
          board: p.board,
          width: p.width - panel.jointing,
        }),
      ),
  );
  const used = boards.filter((board) => placements.some((p) => p.board === board.id));
  const short = new Set(shortfall.map((s) => s.part));
  const whole = [...demand.parts, ...demand.panels].filter(
    ({ id }) => !short.has(id) && placements.some((p) => p.part === id),
  );
  const finished = whole.reduce((sum, wanted) => {
    const { length, width, thickness } = wanted.finished;
    return sum + (('becomes' in wanted && wanted.becomes) || length * width * thickness * 1e-9);
  }, 0);

  const money = { wood: 0, offcuts: 0, boards: 0, cuts: 0, joints: 0, match: 0 };
  let [consumed, cuts] = [0, 0];
  for (const board of used) {
    const price = boardPrice(board, options.woodPrice);
    const area = faceArea(board);
    const back = offcuts.filter((o) => o.board === board.id);
    const backArea = back.reduce((sum, o) => sum + clearOf(o), 0);
    money.wood += price;
    money.boards += options.weights.board;
    money.offcuts -= options.weights.offcutWorth * (price / area) * backArea;
    consumed += (area - backArea) * board.thickness * 1e-9;
    cuts += sawCuts(board, placements, offcuts, { kerf: options.kerf, step: 0 })?.length ?? 0;
  }
  for (const { id, rings } of demand.parts) {
    const board = rings && used.find((own) => placements.some((p) => p.part === id && p.board === own.id));
    if (board && ringKind(board.ringAngle) !== rings) money.match += options.weights.ring;
  }
  money.cuts = cuts * options.weights.cut;
  for (const panel of demand.panels) {
    const own = strips.filter((strip) => strip.panel === panel.id);
    const from = own.flatMap((strip) => boards.find((board) => board.id === strip.board) ?? []);
    money.joints += Math.max(0, own.length - 1) * options.weights.joint;
    const lots = new Set(from.map((board) => board.lot)).size;
    const rings = new Set(from.map((board) => ringKind(board.ringAngle))).size;
    money.match += Math.max(0, lots - 1) * options.weights.lot + Math.max(0, rings - 1) * options.weights.ring;
  }
  const total = Object.values(money).reduce((sum, part) => sum + part, 0);
  const bound = shortfall.length === 0 ? found.bound : null;
  return {
    ...found,
    species: demand.species,
    strips,
    boards: used.map((board) => board.id),
    consumed,
    finished,
    yield: consumed > 0 ? finished / consumed : 0,
    cost: { ...money, total },
    cuts,
    bound,
    gap: bound !== null && bound > 0 ? Math.max(0, total / bound - 1) : null,
  };
}

/** The cuts that free each piece of a board; null where they cannot be parted. What is left returns to the rack as it is. */
export function sawCuts(
  board: Board,
  placements: readonly Placement[],
  offcuts: readonly (Rectangle & { board: string })[],
  sawing: Sawing,
  spareOf?: (placement: Placement) => Wanted['spare'],
): SawCut[] | null {
  const pieces = rectanglesOf(placements.filter((p) => p.board === board.id)).map((placement): Wanted => {
    const { x, y, length, width } = placement;
    const spare = spareOf?.(placement);
    const live = liveEdgeOf(board, placement);
    const sound = sawing.step > 0 ? { sound: soundBeside(board, placement, sawing.kerf + sawing.step) } : {};
    return { x, y, length, width, ...sound, ...(spare ? { spare } : {}), ...(live ? { live } : {}) };
  });
  const left = offcuts
    .filter((o) => o.board === board.id)
    .map(({ x, y, length, width }): Wanted => ({ x, y, length, width, offcut: true }));
  const whole = { x: 0, y: 0, length: board.length, width: Math.max(board.width, board.farWidth ?? 0) };
  return cutSequence(whole, [...pieces, ...left], sawing);
}

/** Whether strips beside a piece, so broad, hold no defect, no live edge and nothing beyond a taper. */
function soundBeside(board: Board, { x, y, length, width }: Rectangle, broad: number): NonNullable<Wanted['sound']> {
  const shape = boardShape(board);
  const isSound = (strip: Rectangle) => {
    const [from, to] = [Math.max(0, strip.x), Math.min(board.length, strip.x + strip.length)];
    const [low, high] = [
      Math.max(0, strip.y),
      Math.min(Math.max(board.width, board.farWidth ?? 0), strip.y + strip.width),
    ];
    return (
      low >= shape.near - 1e-6 &&
      high <= reachAcross(shape, from, to) + 1e-6 &&
      !board.defects.some((defect) => overlap(strip, defect))
    );
  };
  return {
    before: {
      x: isSound({ x: x - broad, y, length: broad, width }),
      y: isSound({ x, y: y - broad, length, width: broad }),
    },
    after: {
      x: isSound({ x: x + length, y, length: broad, width }),
      y: isSound({ x, y: y + width, length, width: broad }),
    },
  };
}

/** A piece extended into the live edge it takes. */
function withLiveEdge(ready: ReadyBoard | undefined, { y, width }: Sawn): { y: number; width: number } {
  const { edge, depth } = ready?.live ?? { edge: 'far', depth: 0 };
  return { y: edge === 'near' ? y - depth : y, width: width + depth };
}

function placeOf(piece: Sawn): Rectangle & { turned?: boolean } {
  const { x, y, length, width, lie } = piece;
  return { x, y, length, width, ...(lie === 'under' ? { turned: true } : {}) };
}

/** Whether some board of the rack, whole, gives a piece of a kind. */
const anyBoardGives = ({ whole, boards, kinds }: Problem, part: number): boolean => {
  const kind = kinds.parts[part];
  return boards.some(({ layers, widths }, i) => {
    const state = whole[i];
    if (!kind || !state || (layers[part] ?? 0) === 0) return false;
    return anyCorner((corner) => spotFor(state, part, { ...kind, width: widths[part]! }, corner));
  });
};

/** The same for a strip of a band. */
const anyBoardGivesStrips = ({ whole, boards, kinds, options }: Problem, index: number): boolean => {
  const band = kinds.bands[index];
  return boards.some((ready, i) => {
    const state = whole[i];
    if (!band || !state) return false;
    const blanks = stripsFrom(ready, band);
    const { copies } = blanks;
    if (copies === 0) return false;
    const asked = blanksFor(band, blanks, copies);
    return anyCorner((corner) => stripSpotFor(state, index, copies > 1, asked, band.width / copies, options, corner));
  });
};

const anyCorner = (spot: (corner: number) => unknown): boolean =>
  Array.from({ length: CORNERS }, (_, corner) => spot(corner)).some(Boolean);

function toBuy(
  part: string,
  name: string,
  { thickness, length, width }: { thickness: number; length: number; width: number },
  count: number,
  noBoard: boolean,
  { asDressed: dressed = false, live = false }: { asDressed?: boolean; live?: boolean } = {},
): Shortfall {
  const quarters = dressed ? undefined : quartersFor(thickness);
  const roughThickness = dressed ? thickness : quarters === undefined ? thickness + 6 : (quarters / 4) * MM_PER_INCH;
  return {
    part,
    name,
    quarters: quarters ?? null,
    thickness,
    count,
    length,
    width,
    boardFeet: count * boardFeet({ length, width, roughThickness }),
    dressed,
    live,
    noBoard,
  };
}
