import type { Move } from '../../document/job-document';
import type { PieceInJob } from '../../document/piece-in-job';
import type { Demand } from '../../layout/demand';
import type { Layout } from '../../layout/layout';
import { count, say } from '../../measure/quantity';
import { KIND_PLURALS } from '../../piece/kind-words';
import type { Piece } from '../../piece/piece';
import { ownerOf } from '../../piece/table/bases/leg-apron/making';
import type { Board } from '../../stock/board';
import { ringKind } from '../../stock/ring-kind';
import type { Species } from '../../wood/species';
import type { Check } from '../check';

/**
 * Whether the rack gives everything.
 *
 * @param wishes kinds of parts that the maker wants all from one board, or as dressed
 */
export function layoutChecks(
  layout: Layout,
  demand: Demand,
  piece: Piece,
  species: Species,
  { oneBoard, asDressed }: Pick<PieceInJob['layout'], 'oneBoard' | 'asDressed'>,
): Check[] {
  if (layout.shortfall.length === 0) {
    return [
      {
        id: 'layout.complete',
        step: 'layout',
        level: 'good',
        sentence: say`Everything comes out of ${count(layout.boards.length)} boards of the rack.`,
        value: count(0),
        limit: count(0),
        where: [],
        why: 'A trip to the yard in the middle of a job costs a day.',
        school: 'common practice',
      },
    ];
  }
  const feet = layout.shortfall.reduce((sum, s) => sum + s.boardFeet, 0);
  const short = new Set(layout.shortfall.map((s) => s.part));
  const sets = oneBoard.filter((kind) => demand.parts.some((part) => part.together === kind && short.has(part.id)));
  const dressed = asDressed.filter((kind) =>
    layout.shortfall.some((s) => s.dressed && piece.parts.some((part) => part.id === s.part && part.kind === kind)),
  );
  const names = [...new Set(layout.shortfall.map((s) => s.name.toLowerCase().split(',')[0]))].join(', ');
  return [
    {
      id: 'layout.shortfall',
      step: 'layout',
      level: 'stop',
      sentence: say`The rack does not give everything: ${{ amount: feet, unit: 'board-foot' }} of ${species.commonName} are to be bought (${names}).`,
      value: count(layout.shortfall.length),
      limit: count(0),
      where: layout.shortfall.map((s) => s.part),
      why: 'Boards too short, too narrow, too thin or too few, found out before the first cut.',
      school: 'common practice',
      wayOut:
        dressed.length > 0
          ? {
              say: say`Plane the ${dressed.map((kind) => KIND_PLURALS[kind] ?? kind).join(' and the ')} from other stock`,
              changes: [{ path: 'layout.asDressed', value: asDressed.filter((kind) => !dressed.includes(kind)) }],
            }
          : sets.length > 0
            ? {
                say: say`Take the ${sets.map((kind) => `${kind.replace('-', ' ')}s`).join(' and ')} from several boards`,
                changes: [{ path: 'layout.oneBoard', value: oneBoard.filter((kind) => !sets.includes(kind)) }],
              }
            : { say: say`Add boards to the rack, or change sizes or species in the step Form`, changes: [] },
    },
  ];
}

/** Whether cores come from boards that are sawn as is best for them. */
export function ringChecks(
  layout: Layout,
  demand: Demand,
  boards: readonly Board[],
  aim: PieceInJob['layout']['aim'],
): Check[] {
  const wanting = demand.parts.filter(({ rings }) => rings !== undefined);
  const laid = wanting.flatMap((part) => {
    const at = layout.placements.find((p) => p.part === part.id);
    const board = boards.find(({ id }) => id === at?.board);
    return board ? [{ part, right: ringKind(board.ringAngle) === part.rings }] : [];
  });
  if (laid.length === 0) return [];
  const wrong = laid.filter(({ right }) => !right);
  return [
    {
      id: 'layout.core-rings',
      step: 'layout',
      level: wrong.length > 0 ? 'watch' : 'good',
      sentence:
        wrong.length > 0
          ? say`${count(wrong.length)} of ${count(laid.length)} cores are not quarter-sawn.`
          : say`All ${count(laid.length)} cores are quarter-sawn.`,
      value: count(wrong.length),
      limit: count(0),
      where: [...new Set(wrong.map(({ part }) => ownerOf(part.id)))],
      why: 'A quarter-sawn core moves alike both ways, and stays square under its veneers.',
      school: 'common practice',
      ...(wrong.length === 0
        ? {}
        : {
            wayOut:
              aim === 'best-match'
                ? { say: say`Add a quarter-sawn board that is thick enough to the rack`, changes: [] }
                : { say: say`Search for the best match`, changes: [{ path: 'layout.aim', value: 'best-match' }] },
          }),
    },
  ];
}

/** Pieces put somewhere by hand that can no longer lie there. */
export function movesGivenUp(
  moves: readonly Move[],
  standing: readonly Move[],
  labelOf: (piece: { part: string; strip?: number }) => string,
): Check[] {
  const givenUp = moves.filter((move) => !standing.includes(move));
  if (givenUp.length === 0) return [];
  const names = givenUp.map(
    ({ part, strip, board }) => `${labelOf({ part, ...(strip === null ? {} : { strip }) })} on ${board}`,
  );
  return [
    {
      id: 'layout.moves-given-up',
      step: 'layout',
      level: 'watch',
      sentence: say`What you had put by hand no longer lies there: ${names.join(', ')}.`,
      value: count(givenUp.length),
      limit: count(0),
      where: givenUp.map((move) => move.part),
      why: 'Its size, its board or what lies beside it has changed since.',
      school: 'common practice',
      wayOut: {
        say: say`Forget these places`,
        changes: [{ path: 'layout.moved', value: standing }],
      },
    },
  ];
}
