import { asPoint } from '../joint/joint';
import type { Form } from '../piece/form';
import type { Part } from '../piece/part';
import type { Piece } from '../piece/piece';
import { type DayOfStrain, judgeRestraint, type LedgerLine, type Verdict } from '../restraint/restraint';
import type { Axis, Tie } from '../restraint/tie';
import type { Season } from './season-state';
import { sizeAt } from './size-at';
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
  const bodies = piece.parts.map((part) => ({ id: part.id, name: part.name, at: asPoint(part.frame.at) }));
  const glued = new Map(piece.parts.map((part) => [part.id, sizeAt(part, season, season.glued.moisture)]));
  const days = [season.driest, season.wettest].map(({ index, moisture }): DayOfStrain => {
    const strains = new Map(piece.parts.map((part) => [part.id, strainsOf(part, moisture)]));
    return {
      day: index,
      strain: (body, axis) => strains.get(body)?.[axis]?.[axis] ?? 0,
      skew: (body, axis, other) => strains.get(body)?.[axis]?.[other] ?? 0,
    };
  });
  return { ties, ...judgeRestraint(bodies, ties, days) };

  /** The strains of a part along its own axes, turned into those of the piece. */
  function strainsOf(part: Part, moisture: number): Strains {
    const [then, now] = [glued.get(part.id) ?? part.size, sizeAt(part, season, moisture)];
    let [xx, yy, zz, xy, yz, zx] = [0, 0, 0, 0, 0, 0];
    for (const along of ['length', 'width', 'thickness'] as const) {
      const own = then[along] > 0 ? now[along] / then[along] - 1 : 0;
      const [x, y, z] = part.frame[along];
      xx += own * x * x;
      yy += own * y * y;
      zz += own * z * z;
      xy += own * x * y;
      yz += own * y * z;
      zx += own * z * x;
    }
    return { x: { x: xx, y: xy, z: zx }, y: { x: xy, y: yy, z: yz }, z: { x: zx, y: yz, z: zz } };
  }
}

type Strains = Record<Axis, Record<Axis, number>>;

/** A sliding tie's line of the ledger, told from the middle of the top: out toward its edge, in toward the middle. */
export interface TravelOfTop {
  tie: string;
  /** What it is: null for a fastener of the top. */
  what: string | null;
  /** Id of the part it sits on. */
  on: string;
  outward: LedgerLine['plus'];
  inward: LedgerLine['plus'];
}

/** A sliding tie of a case: which part goes how far on which, to the right, back or up, and the other way. */
export interface TravelInCase {
  tie: string;
  name: string;
  axis: Axis;
  plus: LedgerLine['plus'];
  minus: LedgerLine['plus'];
}

/** Needs and rooms less than this are of no slot, mm. */
const NOTHING = 0.05;

/** How far every tie of a case that slides must go, and may. */
export function travelInCase(restraint: PieceRestraint): TravelInCase[] {
  const names = new Map(restraint.ties.map(({ id, name }) => [id, name]));
  return restraint.ledger.flatMap(({ tie, axis, plus, minus }) =>
    Math.max(plus.need, minus.need, plus.room, minus.room) > NOTHING
      ? [{ tie, name: names.get(tie) ?? tie, axis, plus, minus }]
      : [],
  );
}

/** A peg, a tenon: the name of a tie without its number and its place. */
const whatOf = ({ name }: Tie): string => name.replace(/( \d+)? (of|in) .*/, '');

/** How far every fastener and peg that slides must go across the table, and may. */
export function travelOfTop(piece: Piece, restraint: PieceRestraint): TravelOfTop[] {
  const byId = new Map(restraint.ties.map((tie) => [tie.id, tie]));
  const fasteners = new Set(piece.fasteners.map((f) => f.id));
  const held = new Set(piece.fasteners.filter((f) => f.holdsMiddle).map((f) => f.id));
  return restraint.ledger.flatMap((line) => {
    const tie = byId.get(line.tie);
    if (line.axis !== 'y' || !tie || held.has(line.tie)) return [];
    // The ledger tells the second part against the first; where the first is the panel, what goes out is the panel.
    const panel = tie.a === piece.leading;
    const away = tie.at.y > 0 !== panel;
    const [outward, inward] = away ? [line.plus, line.minus] : [line.minus, line.plus];
    const what = fasteners.has(line.tie) ? null : whatOf(tie);
    return [{ tie: line.tie, what, on: panel ? tie.b : tie.a, outward, inward }];
  });
}
