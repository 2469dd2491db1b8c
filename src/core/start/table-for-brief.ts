import { BEHIND_CHAIR, EDGE_PER_CHAIR, edgePerPerson } from '../decision/room-for-people';
import type { Brief, PieceDecisions } from '../document/job-document';
import { MM_PER_INCH, type UnitSystem } from '../measure/length';
import type { TableForm } from '../piece/table/form';

const up = (value: number) => Math.ceil((value - 1e-6) / 10) * 10;
const down = (value: number) => Math.floor((value + 1e-6) / 10) * 10;

/** Up to so many sit at a square, mm by mm; common practice. */
const SQUARE = { seats: 4, forTwo: 700, forFour: 850 };
/** A long table: as wide as two places face each other, as narrow as a chair has room at its end, mm; common practice. */
const WIDE = { most: 900, least: up(EDGE_PER_CHAIR) };
/** At a long table whoever sits at an end takes some of the sides' edge, mm; common practice. */
const FOR_THE_ENDS = 380;

/** A few sit at a square, or the table is a long one however few they are. */
/** A piece as it is begun. */
export type StartedTable = Pick<PieceDecisions, 'use' | 'count'> & { form: TableForm };

export type TableShape = 'by-seats' | 'long';
/** Shorter than this no table is called long, mm; common practice. */
const LONG = 1400;

/** A table top for a brief: long enough for the seats, no larger than the room lets people round it where both can be had. mm. */
export function topForBrief(brief: Brief, shape: TableShape = 'by-seats'): { length: number; width: number } {
  const clear = 2 * BEHIND_CHAIR[brief.behindChairs];
  const [long, short] = [Math.max(brief.room.length, brief.room.width), Math.min(brief.room.length, brief.room.width)];
  if (shape === 'by-seats' && brief.seats <= SQUARE.seats && brief.seating === 'chairs') {
    const own = brief.seats <= 2 ? SQUARE.forTwo : SQUARE.forFour;
    const side = Math.max(up(EDGE_PER_CHAIR), Math.min(own, down(short - clear)));
    return { length: side, width: side };
  }
  const width = Math.max(WIDE.least, Math.min(WIDE.most, down(short - clear)));
  // With one at each end the others sit along the two sides.
  const sides = up(Math.ceil(Math.max(0, brief.seats - 2) / 2) * edgePerPerson(brief.seating));
  const wanted = sides + (brief.seating === 'chairs' ? FOR_THE_ENDS : 0);
  const least = shape === 'long' ? LONG : SQUARE.forTwo;
  return {
    length: Math.max(sides, Math.min(Math.max(wanted, shape === 'long' ? LONG : 0), down(long - clear)), least),
    width,
  };
}

/** A top in the round figures of a reader: of inches, in halves. */
export function inRoundFigures<T extends { length: number; width: number }>(top: T, units: UnitSystem): T {
  if (units === 'metric') return top;
  const half = MM_PER_INCH / 2;
  const round = (mm: number) => Math.round(mm / half) * half;
  return { ...top, length: round(top.length), width: round(top.width) };
}

/** A table for all the seats of a brief, on legs and aprons. */
export function tableForBrief(brief: Brief, shape: TableShape = 'by-seats'): StartedTable {
  const top = topForBrief(brief, shape);
  const large = top.length > 1300;
  // Long rails are made deeper, and the table a little higher so that knees keep their room.
  const long = top.length > 1850;
  // Still longer ones stand on a pair of legs in their middle.
  const longest = top.length > 2500;
  return {
    use: 'dining',
    count: 1,
    form: {
      build: 'table',
      aside: { tops: [], bases: [], hold: null },
      top: {
        kind: 'glued-panel',
        ...top,
        thickness: large ? 30 : 25,
        endOverhang: large ? 60 : 30,
        sideOverhang: large ? 40 : 30,
        outline: { kind: 'rectangle' },
        edge: { kind: 'square' },
        cutOuts: [],
        lift: null,
        stripes: null,
      },
      base: {
        kind: 'leg-apron',
        height: long ? 750 : 745,
        leg: {
          section: large ? 65 : 55,
          taper: { kind: 'tapered', foot: large ? 42 : 34, faces: 'inside', hollow: 0 },
          making: { kind: 'solid' },
          splay: { ends: 0, sides: 0 },
          through: null,
        },
        apron: { height: longest ? 95 : long ? 105 : large ? 90 : 75, thickness: long ? 25 : 22, reveal: 5, arch: 0 },
        crossRails: large ? (long ? 2 : 1) : 0,
        railJoint: 'stub',
        midLegs: longest ? 1 : 0,
        cornerBlocks: false,
        stretchers: { kind: 'none' },
      },
      // Over its width a large top goes farther than a button has room for in an apron.
      hold: large
        ? { kind: 'slotted-cleats', travel: 12, inward: null, screwLength: 35 }
        : { kind: 'buttons', travel: 6, inward: null, screwLength: 25 },
      flat: { kind: 'none' },
      joined: null,
      loads: { edge: 400, spread: 600, push: 200 },
    },
  };
}
