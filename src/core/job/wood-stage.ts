import type { Shop } from '../decision/shop';
import type { JobDocument } from '../document/job-document';
import { partInJob, partOfPiece } from '../document/piece-in-job';
import { type Demand, demandOfSpecies } from '../layout/demand';
import { fixedPlacements } from '../layout/fixed-placements';
import { type Layout, type LayoutOptions, layoutKey } from '../layout/layout';
import { layoutOptionsOf } from '../layout/layout-aims';
import { movedLayout, standingMoves } from '../layout/move-piece';
import type { Board } from '../stock/board';
import type { Species } from '../wood/species';
import { demandInJob } from './names-in-job';
import { cutParts, type DrawnPiece, isAlone } from './piece-stages';
import { emptyMemory, rememberedOf } from './remember';

/** Changes tried when a layout is searched, unless more are asked for. */
export const LAYOUT_EFFORT = 1_600;

/** Everything of one species that the job wants, from one rack. Parts have the names that they have in the job. */
export interface WoodOfJob {
  species: Species;
  /** Boards of the species, those left out taken away. */
  boards: readonly Board[];
  demand: Demand;
  /** How boards are sawn here, and the same with what stays where it is. */
  plainOptions: LayoutOptions;
  layoutOptions: LayoutOptions;
  layout: Layout | null;
  layoutState: 'none' | 'current' | 'stale';
  /** The layout is current and nothing is missing; until then it is a proposal, and nothing takes its widths. */
  layoutComplete: boolean;
  /** What was put somewhere by hand, and what of it can still lie there. */
  moves: { asked: JobDocument['layout']['moved']; standing: JobDocument['layout']['moved'] };
  /** Letters of the parts, by their names in the job: “B”, beside other pieces “2B”. */
  letters: Readonly<Record<string, string>>;
}

const NO_BOARDS: readonly Board[] = [];
const rackOfSpecies = emptyMemory<readonly Board[]>();
const plainOptions = emptyMemory<LayoutOptions>();

/** Boards of a species, those left out taken away unless they are used up already. */
const boardsOf = (
  alone: boolean,
  rack: readonly Board[],
  species: string,
  leaveOut: readonly string[],
): readonly Board[] =>
  rememberedOf(alone, rackOfSpecies, [rack, species, leaveOut], () => {
    const out = new Set(leaveOut);
    return rack.filter((board) => board.species === species && (board.takenFor || !out.has(board.tag)));
  });

interface WoodGround {
  drawn: readonly DrawnPiece[];
  species: Species;
  document: JobDocument;
  shop: Shop;
  /** The whole rack; null where it is not known. */
  rack: readonly Board[] | null;
  kept: Layout | null;
}

const layouts = emptyMemory<WoodOfJob>();

/** The pieces of one species laid out together: the kept layout, as far as it fits, with what is fixed for the next search. */
export function layOutWood(given: WoodGround): WoodOfJob {
  const { drawn, species, document, shop, rack, kept } = given;
  const { layout } = document;
  return rememberedOf(drawn.every(isAlone), layouts, [layout, species, shop, rack, kept, drawn.length, ...drawn], () =>
    laidOut(given),
  );
}

function laidOut(given: WoodGround): WoodOfJob {
  const { drawn, species, document, shop, rack } = given;
  const alone = drawn.every(isAlone);
  const boards = boardsOf(alone, rack ?? NO_BOARDS, species.id, document.layout.leaveOut);
  const demands = drawn.map((own) => demandInJob(own, own.mark, demandOfSpecies(own.demand, species.id)));
  const demand: Demand = {
    species: species.id,
    parts: demands.flatMap(({ parts }) => parts),
    panels: demands.flatMap(({ panels }) => panels),
  };
  const paired = demand.panels.some(({ pairs }) => pairs);
  const sheet = species.sheet ?? false;
  const plain = rememberedOf(alone, plainOptions, [document.layout, shop, paired, sheet], () => {
    const options = layoutOptionsOf(shop, document.layout, paired, { seed: 1, effort: LAYOUT_EFFORT });
    // The edges of a sheet are clean, and nothing is taken off its faces.
    return sheet ? { ...options, endTrim: 0, flattening: 0, skim: 0 } : options;
  });
  const { pinned } = document.layout;
  const asked = document.layout.moved.filter(({ part }) => isHere(part, drawn, species));
  // A layout is only judged beside the rack it was found on.
  const kept = rack && given.kept;
  const layoutState = !kept ? 'none' : kept.key === layoutKey(demand, boards, plain) ? 'current' : 'stale';
  const standing = kept && layoutState === 'current' ? standingMoves(demand, boards, plain, kept, asked) : asked;
  const layout = kept && movedLayout(demand, boards, plain, kept, standing);
  const cut = new Set(drawn.flatMap(cutParts));
  const fixed = fixedPlacements({ layout, cut, demand, boards, options: plain, pinned, moved: standing });
  const used = new Set(boards.flatMap((board) => (board.takenFor ? board.id : [])));
  const givenBack = layout?.offcuts.filter((offcut) => used.has(offcut.board)) ?? [];
  return {
    species,
    boards,
    demand,
    plainOptions: plain,
    layoutOptions: { ...plain, fixed, givenBack },
    layout,
    layoutState,
    layoutComplete: layout !== null && layoutState === 'current' && layout.shortfall.length === 0,
    moves: { asked, standing },
    letters: lettersOf(drawn),
  };
}

/** Whether a part is laid out with a species; one that no piece has any more is with the species of its piece. */
function isHere(name: string, drawn: readonly DrawnPiece[], species: Species): boolean {
  const { pieceId, instance, part } = partOfPiece(name);
  const owner = drawn.find((own) => own.pieceId === pieceId && own.instance === instance);
  if (!owner) return false;
  const { parts, panels } = owner.demand;
  const wanted = [...parts, ...panels].find(({ id }) => id === part);
  return (wanted?.species ?? owner.species.id) === species.id;
}

const lettersOf = (drawn: readonly DrawnPiece[]): WoodOfJob['letters'] =>
  Object.fromEntries(
    drawn.flatMap(({ document, mark, piece }) =>
      piece.parts.map(({ id, letter }) => [partInJob(document, id), `${mark}${letter}`]),
    ),
  );
