import { yearOfAir } from '../climate/place';
import { type Day, plusDays, sayDay } from '../measure/calendar';
import { count, type Phrase, say } from '../measure/quantity';
import type { Board } from '../stock/board';
import { airOn, stillOff } from '../stock/board-moisture';
import { findSpecies } from '../wood/species';
import type { Check, CheckContext, WayOut } from './check';

/** Boards that are glued together differ by no more, %; common practice. */
const WITHIN = 2;
/** More boards than this are not left out one by one. */
const FEW = 3;
/** Nobody waits longer for a board, days. */
const LONGEST_WAIT = 365;

const percentOf = (amount: number) => ({ amount, unit: 'percent-moisture' as const });

/** A board that was read, with its moisture on the day of gluing, %. */
interface ReadBoard {
  board: Board;
  moisture: number;
}

/**
 * Boards against the moisture that the piece is glued at, each as it will be on that day: those that the layout cuts from,
 * or, before there is one, all that it may.
 */
export function boardsAsDryAsTheAir(context: CheckContext): Check[] {
  const { document, season, used } = context;
  const glued = season.glued.moisture;
  const read = (context.boards ?? [])
    .filter(({ id, species }) => (used === null || used.includes(id)) && !findSpecies(species)?.sheet)
    .flatMap((board): ReadBoard[] => {
      const moisture = moistureOn(board, document.season.gluedOn, context);
      return moisture === null ? [] : [{ board, moisture }];
    })
    .sort((a, b) => Math.abs(b.moisture - glued) - Math.abs(a.moisture - glued));
  const [worst] = read;
  if (!worst) return [];
  const off = read.filter(({ moisture }) => Math.abs(moisture - glued) > WITHIN);
  const which = used === null ? 'on the rack' : 'that the layout cuts from';
  const ways = off.length > 0 ? waysToAgree(context, read, off) : [];
  return [
    {
      id: 'season.board-moisture',
      step: 'season',
      level: off.length > 0 ? 'watch' : 'good',
      sentence:
        off.length === 0
          ? say`Every board ${which} that was read is within ${percentOf(WITHIN)} of the moisture at gluing.`
          : off.length === 1
            ? say`Board ${worst.board.tag} is at ${percentOf(worst.moisture)} on the day of gluing; the piece is glued at ${percentOf(glued)}.`
            : say`${count(off.length)} of the ${count(read.length)} boards ${which} that were read are off by more than ${percentOf(WITHIN)} on the day of gluing, ${worst.board.tag} at ${percentOf(worst.moisture)}; the piece is glued at ${percentOf(glued)}.`,
      value: percentOf(Math.abs(worst.moisture - glued)),
      limit: percentOf(WITHIN),
      where: off.map(({ board }) => `board:${board.tag}`),
      why: 'Boards of two moistures glued together move against each other later, and a wet one shrinks away from its joint. A reading is brought forward by what the shop’s air does until the day.',
      school: 'Within 2 % of each other, common practice',
      ...(ways[0] ? { wayOut: ways[0], otherWaysOut: ways.slice(1) } : {}),
    },
  ];
}

type Shop = Pick<CheckContext, 'season' | 'species' | 'woods' | 'shopAir'>;

/** What wood comes to in the shop's air of a day, %. */
const airOf = ({ season, shopAir }: Shop, day: Day): number =>
  airOn(yearOfAir(shopAir).moisture, day) ?? season.glued.moisture;

/** Moisture of a board on a day, %: one without a day of reading is taken as it was read; null where it never was. */
function moistureOn(board: Board, day: Day, shop: Shop): number | null {
  if (board.moisture === null || board.moistureOn === null || board.moistureOn > day) return board.moisture;
  return (
    airOf(shop, day) +
    stillOff(
      board,
      shop.woods.find(({ id }) => id === board.species) ?? shop.species,
      day,
      yearOfAir(shop.shopAir).moisture,
    )
  );
}

function waysToAgree(context: CheckContext, read: readonly ReadBoard[], off: readonly ReadBoard[]): WayOut[] {
  const most = off.length > read.length / 2;
  const waiting = waitFor(context, read);
  const them = off.length === 1 ? 'it' : 'them';
  const rest: WayOut = {
    say: say`Let ${them} rest on sticks in the shop, and read ${them} again`,
    changes: [],
  };
  return most ? [glueAsTheyAre(read), ...waiting] : [...leaveOut(context, off), ...waiting, rest];
}

/** Glues at the median of what was read, to the half per cent. */
function glueAsTheyAre(read: readonly ReadBoard[]): WayOut {
  const sorted = read.map(({ moisture }) => moisture).sort((a, b) => a - b);
  const median = Math.round(2 * (sorted[Math.floor(sorted.length / 2)] as number)) / 2;
  return {
    say: say`Glue it as they are, at ${percentOf(median)}`,
    changes: [{ path: 'season.moistureAtGluing', value: median }],
  };
}

function leaveOut({ document }: CheckContext, off: readonly ReadBoard[]): WayOut[] {
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

/** The first day on which all boards are near enough to what the piece is then glued at; none where one has no day of reading. */
function waitFor(context: CheckContext, read: readonly ReadBoard[]): WayOut[] {
  const { gluedOn, moistureAtGluing } = context.document.season;
  if (read.some(({ board }) => board.moistureOn === null)) return [];
  for (let days = 1; days <= LONGEST_WAIT; days += 1) {
    const day = plusDays(gluedOn, days);
    const target = moistureAtGluing ?? airOf(context, day);
    const agrees = ({ board }: ReadBoard) =>
      Math.abs((moistureOn(board, day, context) ?? target) - target) <= WITHIN * 0.9;
    if (read.every(agrees))
      return [
        {
          say: say`Let them rest in the shop and glue it on ${sayDay(day)}`,
          changes: [{ path: 'season.gluedOn', value: day }],
        },
      ];
  }
  return [];
}
