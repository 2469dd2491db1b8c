import type { Form } from '../decision/job-document';
import { type DayOfStrain, judgeRestraint, type LedgerLine, type Verdict } from '../restraint/restraint';
import type { Axis, Tie } from '../restraint/tie';
import type { Part } from './part';
import type { Piece } from './piece';
import { type Season, sizeAt } from './season';
import { tiesOf } from './ties';

export interface PieceRestraint extends Verdict {
  ties: readonly Tie[];
}

/**
 * Whether the piece's joints and fasteners let it live through its years, reckoned from the day it is glued. All parts are
 * taken to have the piece's moisture, and every strain grows with it, so that the driest and the wettest day say it all.
 */
export function restraintOfPiece(piece: Piece, season: Season, form: Form): PieceRestraint {
  const ties = tiesOf(piece, form);
  const bodies = piece.parts.map((part) => ({ id: part.id, name: part.name, at: part.place }));
  const glued = new Map(piece.parts.map((part) => [part.id, sizeAt(part, season, season.glued.moisture)]));
  const days = [season.driest, season.wettest].map(({ index, moisture }): DayOfStrain => {
    const strains = new Map(piece.parts.map((part) => [part.id, strainsOf(part, moisture)]));
    return { day: index, strain: (body, axis) => strains.get(body)?.[axis] ?? 0 };
  });
  return { ties, ...judgeRestraint(bodies, ties, days) };

  function strainsOf(part: Part, moisture: number): Record<Axis, number> {
    const [then, now] = [glued.get(part.id) ?? part.size, sizeAt(part, season, moisture)];
    const strains: Record<Axis, number> = { x: 0, y: 0, z: 0 };
    for (const along of ['length', 'width', 'thickness'] as const) {
      strains[part.axes[along]] = then[along] > 0 ? now[along] / then[along] - 1 : 0;
    }
    return strains;
  }
}

/** A fastener's line of the ledger, told from the middle of the top: out toward its edge, in toward the middle. */
export interface TravelOfTop {
  tie: string;
  /** Id of the part it sits on. */
  on: string;
  outward: LedgerLine['plus'];
  inward: LedgerLine['plus'];
}

/** How far every sliding fastener of the top must go across the table, and may. */
export function travelOfTop(piece: Piece, restraint: Verdict): TravelOfTop[] {
  return restraint.ledger.flatMap((line) => {
    const fastener = line.axis === 'y' ? piece.fasteners.find((f) => f.id === line.tie) : undefined;
    if (!fastener) return [];
    const [outward, inward] = fastener.y > 0 ? [line.plus, line.minus] : [line.minus, line.plus];
    return [{ tie: line.tie, on: fastener.on, outward, inward }];
  });
}
