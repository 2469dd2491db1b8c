import { type PieceInJob, partInJob, partOfPiece } from '../document/piece-in-job';
import type { Demand } from '../layout/demand';
import type { Layout, Placement } from '../layout/layout';

type Owner = Pick<PieceInJob, 'pieceId' | 'instance'>;

const isOf = (owner: Owner, name: string): boolean => {
  const { pieceId, instance } = partOfPiece(name);
  return pieceId === owner.pieceId && instance === owner.instance;
};

/** The demand of a piece with the names its parts have in the job; `mark` is put before every letter. */
export function demandInJob(owner: Owner, mark: string, { species, parts, panels }: Demand): Demand {
  const name = (id: string) => partInJob(owner, id);
  return {
    species,
    parts: parts.map((part) => ({
      ...part,
      id: name(part.id),
      letter: `${mark}${part.letter}`,
      ...(part.together === undefined ? {} : { together: name(part.together) }),
    })),
    panels: panels.map((panel) => ({ ...panel, id: name(panel.id), letter: `${mark}${panel.letter}` })),
  };
}

/** Of names of the job those of a piece, as its parts are called there. */
export const namesOfPiece = (owner: Owner, names: readonly string[]): string[] =>
  names.flatMap((own) => (isOf(owner, own) ? partOfPiece(own).part : []));

/** What of placements is of a piece, with the names its parts have there. */
export const placementsOfPiece = (owner: Owner, placements: readonly Placement[]): Placement[] =>
  placements.flatMap((own) => (isOf(owner, own.part) ? { ...own, part: partOfPiece(own.part).part } : []));

/** What of a layout is of a piece, with the names its parts have there: cost, bound and offcuts are those of the whole. */
export function layoutOfPiece(owner: Owner, layout: Layout): Layout {
  const placements = placementsOfPiece(owner, layout.placements);
  const cutFrom = new Set(placements.map(({ board }) => board));
  return {
    ...layout,
    placements,
    strips: layout.strips.flatMap((own) =>
      isOf(owner, own.panel) ? { ...own, panel: partOfPiece(own.panel).part } : [],
    ),
    shortfall: layout.shortfall.flatMap((own) =>
      isOf(owner, own.part) ? { ...own, part: partOfPiece(own.part).part } : [],
    ),
    boards: layout.boards.filter((board) => cutFrom.has(board)),
  };
}
