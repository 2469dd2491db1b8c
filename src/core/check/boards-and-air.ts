import { yearOfAir } from '../climate/place';
import { type Day, plusDays } from '../measure/calendar';
import { count, type Phrase, say } from '../measure/quantity';
import type { Board } from '../stock/board';
import { airOn, stillOff } from '../stock/board-moisture';
import type { Check, CheckContext, WayOut } from './check';

/** Boards that are glued together differ by no more, %; common practice. */
const WITHIN = 2;
/** More boards than this are not left out one by one. */
const FEW = 3;
/** Nobody waits longer for a board, days. */
const LONGEST_WAIT = 365;

const percentOf = (amount: number) => ({ amount, unit: 'percent-moisture' as const });

/**
 * Boards against the moisture that the piece is glued at, each as it will be on that day: those that the layout cuts from,
 * or, before there is one, all that it may.
 */
export function boardsAsDryAsTheAir(context: CheckContext): Check[] {
  const { document, season, species, shopAir, used } = context;
  const boards = context.boards.filter(({ id }) => used === null || used.includes(id));
  const { gluedOn, moistureAtGluing } = document.season;
  const glued = season.glued.moisture;
  const year = yearOfAir(shopAir).moisture;
  const read = boards.flatMap((board) => {
    const moisture = moistureOn(board, gluedOn);
    return moisture === null ? [] : [{ board, moisture }];
  });
  if (read.length === 0) return [];
  const off = read.filter(({ moisture }) => Math.abs(moisture - glued) > WITHIN);
  const all = used === null ? 'on the rack' : 'that the layout cuts from';
  const [worst] = [...read].sort((a, b) => Math.abs(b.moisture - glued) - Math.abs(a.moisture - glued));
  if (!worst) return [];
  const most = off.length > read.length / 2;
  const ways =
    off.length === 0 ? [] : [...(most ? [glueAtTheirs()] : leaveOut()), ...waitFor(), ...(most ? [] : [rest()])];
  return [
    {
      id: 'season.board-moisture',
      step: 'season',
      level: off.length > 0 ? 'watch' : 'good',
      sentence:
        off.length === 0
          ? say`Every board ${all} that was read is within ${percentOf(WITHIN)} of the moisture at gluing.`
          : off.length === 1
            ? say`Board ${worst.board.tag} is at ${percentOf(worst.moisture)} on the day of gluing; the piece is glued at ${percentOf(glued)}.`
            : say`${count(off.length)} of the ${count(read.length)} boards ${all} that were read are off by more than ${percentOf(WITHIN)} on the day of gluing, ${worst.board.tag} at ${percentOf(worst.moisture)}; the piece is glued at ${percentOf(glued)}.`,
      value: percentOf(Math.abs(worst.moisture - glued)),
      limit: percentOf(WITHIN),
      where: off.map(({ board }) => `board:${board.tag}`),
      why: 'Boards of two moistures glued together move against each other later, and a wet one shrinks away from its joint. A reading is brought forward by what the shop’s air does until the day.',
      school: 'Within 2 % of each other, common practice',
      ...(ways[0] ? { wayOut: ways[0], otherWaysOut: ways.slice(1) } : {}),
    },
  ];

  /** What a board that was read will be at on a day; one without a day is taken as it was read. */
  function moistureOn(board: Board, day: Day): number | null {
    if (board.moisture === null) return null;
    if (board.moistureOn === null || board.moistureOn > day) return board.moisture;
    return airOf(day) + stillOff(board, species, day, year);
  }

  function airOf(day: Day): number {
    return airOn(year, day) ?? glued;
  }

  function glueAtTheirs(): WayOut {
    const sorted = read.map(({ moisture }) => moisture).sort((a, b) => a - b);
    const middle = Math.round(2 * (sorted[Math.floor(sorted.length / 2)] ?? glued)) / 2;
    return {
      say: say`Glue it as they are, at ${percentOf(middle)}`,
      changes: [{ path: 'season.moistureAtGluing', value: middle }],
    };
  }

  function leaveOut(): WayOut[] {
    if (off.length > FEW) return [];
    const tags = off.map(({ board }) => board.tag);
    const named: Phrase = tags.flatMap((tag, i) => (i === 0 ? [tag] : [i === tags.length - 1 ? ' and ' : ', ', tag]));
    return [
      {
        say: ['Leave ', ...named, ' out'],
        changes: [{ path: 'layout.leaveOut', value: [...document.layout.leaveOut, ...tags] }],
      },
    ];
  }

  /** The first day on which all of them have come near enough to what the piece is then glued at. */
  function waitFor(): WayOut[] {
    if (off.some(({ board }) => board.moistureOn === null)) return [];
    for (let days = 1; days <= LONGEST_WAIT; days += 1) {
      const day = plusDays(gluedOn, days);
      const target = moistureAtGluing ?? airOf(day);
      if (read.every(({ board }) => Math.abs((moistureOn(board, day) ?? target) - target) <= WITHIN * 0.9))
        return [
          {
            say: say`Let them rest in the shop and glue it on ${day}`,
            changes: [{ path: 'season.gluedOn', value: day }],
          },
        ];
    }
    return [];
  }

  function rest(): WayOut {
    return {
      say: say`Let ${off.length === 1 ? 'it' : 'them'} rest on sticks in the shop, and read ${off.length === 1 ? 'it' : 'them'} again`,
      changes: [],
    };
  }
}
