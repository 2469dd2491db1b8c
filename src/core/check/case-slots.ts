import { movement, say } from '../measure/quantity';
import { STAYS_IN } from '../piece/frame-fields';
import { findPart } from '../piece/piece';
import type { LedgerLine } from '../restraint/restraint';
import type { Tie } from '../restraint/tie';
import { type CaseContext, type Check, judge } from './check';

/** A fifth more than is computed is left for what is not; common practice. */
const SPARE = 1.2;

/** Everything of a case that slides: slots of its plinth, the edges of a solid back in their rabbets. Each needs so much each way, and has so much. */
export function slotsOfCase({ piece, restraint }: CaseContext): Check[] {
  const byId = new Map(restraint.ties.map((tie) => [tie.id, tie]));
  return restraint.ledger.flatMap((line): Check[] => {
    const tie = byId.get(line.tie);
    return tie ? [slotCheck(tie, line, findPart(piece, tie.b)?.name ?? tie.b)] : [];
  });
}

function slotCheck(tie: Tie, line: LedgerLine, part: string): Check {
  const worse = line.plus.need / Math.max(1e-9, line.plus.room) >= line.minus.need / Math.max(1e-9, line.minus.room);
  const { need, room } = worse ? line.plus : line.minus;
  const enough = Math.ceil(need * SPARE * 2) / 2;
  const { sets } = tie;
  const slot: Omit<Check, 'wayOut'> = {
    id: `season.slot:${tie.id}`,
    step: 'season',
    level: judge(need, room, { sense: 'at-most', watchFrom: room / SPARE }),
    sentence: sets?.cover
      ? say`${tie.name}: it moves ${movement(need)} there; ${movement(room)} are free.`
      : say`${tie.name}: ${part.toLowerCase()} moves ${movement(need)} there; ${movement(room)} are free.`,
    value: movement(need),
    limit: movement(room),
    where: [tie.a, tie.b],
    why: 'A slot that is used up holds like a screw in a round hole: the wood splits, or tears what holds it.',
    school: 'A fifth more than is computed, common practice',
  };
  if (sets?.cover) return { ...slot, wayOut: roomAndTongue({ ...sets, cover: sets.cover }, line) };
  // What is set is the room of both ways; where the other way has less than it needs then, no figure helps.
  const helps = sets && (sets.ways === 'both' || sets.ways === (worse ? 'plus' : 'minus'));
  return {
    ...slot,
    wayOut: helps
      ? { say: say`Leave ${movement(enough)} there`, changes: [{ path: sets.path, value: enough }] }
      : { say: say`Make what moves narrower, or of several boards that each move by themselves`, changes: [] },
  };
}

/** A panel in its groove: room as it swells, and a tongue that still reaches in when it has shrunk. */
function roomAndTongue(sets: { path: string; ways: 'both' | 'plus' | 'minus'; cover: string }, line: LedgerLine) {
  const [into, out] = sets.ways === 'plus' ? [line.plus.need, line.minus.need] : [line.minus.need, line.plus.need];
  const room = Math.ceil(into * SPARE * 2) / 2;
  const tongue = Math.ceil(room + out * SPARE + STAYS_IN);
  return {
    say: say`Leave ${movement(room)} at each side of the panel, and let it in ${movement(tongue)}`,
    changes: [
      { path: sets.path, value: room },
      { path: sets.cover, value: tongue },
    ],
  };
}
