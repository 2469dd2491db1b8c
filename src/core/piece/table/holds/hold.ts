import type { Hold, HoldKind } from '../../../decision/hold';
import { JOINT_GIVE, type Point, sliding, type Tie } from '../../../restraint/tie';
import type { Flat } from '../../../solid/outline';
import { covers, type Draft, type Fastener } from '../../part';
import type { Rest, TopPlan } from '../../plans';

export interface HoldRule {
  name: string;
  /** A single one of them. */
  one: string;
  /** Why a maker takes it. */
  reason: string;
  /** The most it can let the top move by its nature, mm. */
  greatestTravel: number;
  /** Wood or metal between the screw's head and the top, mm. */
  underHead: number;
  /** How a maker says where the travel comes from. */
  how: string;
  /** Between what the travel left free is measured, on the day the top goes on. */
  measured: string;
  /** Widest spacing along a rail, mm. */
  spacing: number;
  /**
   * How far it lets the top go along the part it sits on and square to that: `travel` what is decided, a number so many mm,
   * null freely. Not asked where slots lie across the grain of the top: those let it go along them alone.
   */
  along: 'travel' | number | null;
  across: 'travel' | number | null;
  slots?: true;
  /** What has to be cut for it, and the moment of the build at which that can be reached. */
  cuts: { what: string; before: 'assembly' | 'hanging' };
}

/** What a screw in its clearance hole, or a tongue in its groove's depth, gives where it is not meant to slide, mm. */
const CLEARANCE = 1.5;

/** How the top is held; sizes are common practice. A new kind is one more line. */
export const HOLDS: Record<HoldKind, HoldRule> = {
  buttons: {
    name: 'Wooden buttons in slots',
    one: 'button',
    reason: 'Made from offcuts; each tongue has a slot of its own, which it goes along, or in and out of.',
    greatestTravel: 40,
    underHead: 12,
    how: 'The button’s tongue comes and goes in its slot; leave the travel free in front of its shoulder and behind it.',
    measured:
      'Free is measured from the button’s shoulder to the apron and from its tongue’s end to the bottom of the slot (outward), and from its tongue’s end to where it would leave the slot (inward), on the day the top goes on.',
    spacing: 350,
    along: CLEARANCE,
    across: 'travel',
    slots: true,
    cuts: { what: 'Slot the rails for the buttons', before: 'assembly' },
  },
  clips: {
    name: 'Metal clips in kerfs',
    one: 'clip',
    reason: 'Quick; a narrow saw kerf takes them.',
    greatestTravel: 6,
    underHead: 2,
    how: 'The clip’s lip goes a little in and out of its kerf, and along it.',
    measured:
      'Free is measured from the clip’s lip to the bottom of its kerf (outward), and by how far the lip may come out and still hold (inward), on the day the top goes on.',
    spacing: 300,
    along: CLEARANCE,
    across: 'travel',
    slots: true,
    cuts: { what: 'Saw a kerf into the rails for the clips', before: 'assembly' },
  },
  'figure-eight': {
    name: 'Figure-eight plates',
    one: 'plate',
    reason: 'Let in flush; for narrow tops.',
    greatestTravel: 3,
    underHead: 3,
    how: 'The plate swings in its recess; it gives as far as that lets it and no more.',
    measured:
      'The plate stands along the rail on the day the top goes on: it swings as far to either side as its recess lets it.',
    spacing: 350,
    along: 3,
    across: 'travel',
    cuts: { what: 'Let the plates into the rails, with room to swing', before: 'hanging' },
  },
  'slotted-cleats': {
    name: 'Slotted cleats',
    one: 'cleat',
    reason: 'A strip along the rail with slots across the grain: holds a wide top down along its whole length.',
    greatestTravel: 25,
    underHead: 15,
    how: 'The screws stand in slots across the grain, their heads on washers; leave room at both ends of each slot.',
    measured: 'Free is measured from the screw’s shank to the ends of its slot, on the day the top goes on.',
    spacing: 300,
    along: CLEARANCE,
    across: 'travel',
    slots: true,
    cuts: { what: 'Screw the cleats to the rails, slots across the grain', before: 'hanging' },
  },
  'oversized-holes': {
    name: 'Oversized holes with washers',
    one: 'washer',
    reason: 'Bored, not slotted; moves in every direction by what the hole is larger.',
    greatestTravel: 8,
    underHead: 20,
    how: 'The hole is larger than its screw all round; a flat washer bridges it, and nothing is glued.',
    measured: 'Free is measured from the screw’s shank to the wall of its hole, on the day the top goes on.',
    spacing: 350,
    along: 'travel',
    across: 'travel',
    cuts: { what: 'Counterbore the rails and bore the holes over size', before: 'assembly' },
  },
  'slotted-washers': {
    name: 'Slotted washers let in',
    one: 'slotted washer',
    reason: 'Metal, flush with the rail; strong and neat where the underside is seen.',
    greatestTravel: 10,
    underHead: 3,
    how: 'The screw slides in the washer’s slot, laid across the grain of the top.',
    measured: 'Free is measured from the screw’s shank to the ends of the washer’s slot, on the day the top goes on.',
    spacing: 400,
    along: CLEARANCE,
    across: 'travel',
    slots: true,
    cuts: { what: 'Let the slotted washers into the rails', before: 'assembly' },
  },
  'sliding-blocks': {
    name: 'Sliding blocks',
    one: 'block',
    reason: 'Blocks in dovetailed ways under the top: it slides on its bearers and nothing shows.',
    greatestTravel: 40,
    underHead: 0,
    how: 'The block slides in its way across the grain; tight in the middle, loose toward both ends.',
    measured: 'Free is measured from the block to the ends of its way, on the day the top goes on.',
    spacing: 400,
    along: CLEARANCE,
    across: 'travel',
    slots: true,
    cuts: { what: 'Screw the blocks under the top and cut their ways in the bearers', before: 'hanging' },
  },
  'rail-screws': {
    name: 'Screws through the rail',
    one: 'screw',
    reason: 'For narrow tops and for slats held in their middle only.',
    greatestTravel: 0,
    underHead: 25,
    how: 'A screw in a round hole gives nothing; only a slotted hole with a washer lets the top move.',
    measured: 'A round hole leaves nothing free; in a slot it is measured from the shank to its ends.',
    spacing: 300,
    along: 0,
    across: 0,
    cuts: { what: 'Counterbore the rails and bore them for the screws', before: 'assembly' },
  },
  inserts: {
    name: 'Bolts into threaded inserts',
    one: 'bolt',
    reason: 'Comes off and goes on again without wearing the wood out: for steel, and for tables that travel.',
    greatestTravel: 15,
    underHead: 0,
    how: 'The holes are slots across the grain; a washer bridges them, the bolt is snug and not tight.',
    measured: 'Free is measured from the bolt’s shank to the wall of its hole, on the day the top goes on.',
    spacing: 400,
    along: CLEARANCE,
    across: 'travel',
    slots: true,
    cuts: { what: 'Bore the top to a stop for the threaded inserts and screw them in, square', before: 'hanging' },
  },
};

/** How much smaller than the screw its pilot hole is, by the screw's length; mm, common practice in hardwood. */
export function pilotHole(screwLength: number): { screw: number; pilot: number } {
  if (screwLength <= 25) return { screw: 3.5, pilot: 2.5 };
  return screwLength <= 45 ? { screw: 4, pilot: 3 } : { screw: 5, pilot: 3.5 };
}

/** Nearer to the end of a line than this no fastener is set where the line crosses the grain, mm. */
const FROM_END = 40;
/** A plate is held beside its middle too where so much is free to both sides, mm. */
const BESIDE_MIDDLE = 60;

/** Places along a line, at most so far apart and half of that from its ends; two at least. mm */
const even = (long: number, spacing: number): number[] => {
  const count = Math.max(2, Math.ceil(long / spacing));
  return Array.from({ length: count }, (_, i) => (long * (i + 0.5)) / count);
};

/** Where fasteners stand under the top: even along the rests that run along it, held and beside it on those across. */
export function placeFasteners(
  kind: HoldKind,
  rests: readonly Rest[],
  tops: readonly Draft[],
  plates: TopPlan['plates'] = [],
): Fastener[] {
  const slats = tops.filter((draft) => draft.kind === 'slat');
  return rests.flatMap((rest): Fastener[] => {
    const { spacing } = HOLDS[rest.hold?.kind ?? kind];
    const [from, to] = [rest.from, rest.to];
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const way: Flat = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
    const at = (d: number): Flat => [from[0] + way[0] * d, from[1] + way[1] * d];
    const short = rest.id ?? rest.part.replace(/^(apron|bearer)-/, '');
    const set = ([x, y]: Flat, name: string, holdsMiddle: boolean): Fastener[] => {
      const holds = tops.find((draft) => covers(draft, x, y))?.id;
      const own = rest.hold ? { own: rest.hold } : {};
      return holds
        ? [{ ...own, id: name ? `${short}-${name}` : short, x, y, on: rest.part, holds, way, holdsMiddle }]
        : [];
    };
    const crosses = Math.abs(way[1]) > 0.2;
    if (slats.length > 0) {
      // A slat is held in its middle, wherever something crosses under it, and by a rail that it lies along.
      if (!crosses) {
        const lies = slats.find((slat) => Math.abs(slat.frame.at[1] - from[1]) < slat.size.width / 3);
        if (!lies) return [];
        const count = Math.max(2, Math.ceil(long / (2 * spacing)));
        return Array.from({ length: count }, (_, i) => i).flatMap((i) =>
          set(at((long * (i + 0.5)) / count), `${i + 1}`, true),
        );
      }
      return slats.flatMap((slat, i) => {
        const d = (slat.frame.at[1] - from[1]) / way[1];
        return d > 0 && d < long ? set(at(d), `${i + 1}`, true) : [];
      });
    }
    if (plates.length > 0) {
      if (!crosses) {
        const lies = plates.some(({ low, high }) => from[1] > low && from[1] < high);
        return lies ? even(long, spacing).flatMap((d, i) => set(at(d), `${i + 1}`, false)) : [];
      }
      // Every plate is held in its middle wherever something crosses under it, and slides at both sides of that.
      return plates.flatMap(({ id, low, high, held, at: own }) => {
        const middle = own ?? (low + high) / 2;
        const [first, last] = [Math.max(low, Math.min(from[1], to[1])), Math.min(high, Math.max(from[1], to[1]))];
        const outer = [first + FROM_END, last - FROM_END].filter((y) => Math.abs(y - middle) >= BESIDE_MIDDLE);
        return [middle, ...outer].flatMap((y, i) => {
          const d = (y - from[1]) / way[1];
          return d > 0 && d < long ? set(at(d), `${id}-${i + 1}`, held && i === 0) : [];
        });
      });
    }
    const middle = rest.held ? set(rest.held, '', true) : [];
    if (!rest.slides) return middle;
    if (!rest.held) {
      return even(long, spacing).flatMap((d, i) => set(at(d), `${i + 1}`, false));
    }
    const held = (rest.held[0] - from[0]) * way[0] + (rest.held[1] - from[1]) * way[1];
    const beside = (reach: number, side: 1 | -1, name: string) => {
      const room = reach - FROM_END;
      if (room < FROM_END) return [];
      const each = Math.max(1, Math.ceil(room / spacing));
      return Array.from({ length: each }, (_, i) => i).flatMap((i) =>
        set(at(held + (side * room * (i + 1)) / each), `${name}-${i + 1}`, false),
      );
    };
    return [...middle, ...beside(held, -1, 'front'), ...beside(long - held, 1, 'back')];
  });
}

/** A way to hold a top, and how far it is to let it go. mm */
export type Travelling = Pick<Hold, 'kind' | 'travel'> & Partial<Pick<Hold, 'inward'>>;

/** How far a fastener lets the top go each way, mm; only slots can be set to one side of their middle. */
export function travelOf({ kind, travel, inward }: Travelling): { outward: number; inward: number } {
  const { greatestTravel, slots } = HOLDS[kind];
  const most = (mm: number) => Math.min(mm, greatestTravel);
  return { outward: most(travel), inward: most(slots ? (inward ?? travel) : travel) };
}

/**
 * How the top is tied to the part under it. The fasteners in the middle hold it across the grain; the others let it go by
 * their travel; along the grain next to nothing moves.
 */
export function holdTie(given: { hold: Travelling; fastener: Fastener; underside: number }): Tie {
  const hold = given.fastener.own ?? given.hold;
  const rule = HOLDS[hold.kind];
  const { id, on, holds, x, y, way, holdsMiddle } = given.fastener;
  const at: Point = { x, y, z: given.underside };
  // What has a hold of its own is screwed, through slots in it.
  const one = given.fastener.own ? 'screw' : rule.one;
  const tie = { id, name: `${one} ${id.replace('-', ' ')}`, a: on, b: holds, at };
  if (holdsMiddle) {
    const held = { minus: JOINT_GIVE, plus: JOINT_GIVE };
    return { ...tie, room: { x: { minus: CLEARANCE, plus: CLEARANCE }, y: held, z: held } };
  }
  const { outward, inward } = travelOf(hold);
  // Slots lie across the grain whichever way their rail runs: out is away from the middle of the table.
  if (rule.slots) {
    const [minus, plus] = y < 0 ? [outward, inward] : [inward, outward];
    return sliding(tie, { x: CLEARANCE, y: { minus, plus } });
  }
  const room = (how: HoldRule['along']) => (how === 'travel' ? outward : how);
  const [along, across] = [room(rule.along), room(rule.across)];
  // A plate swings as far along its rail as square to it.
  const [dx, dy] = [between(along, across, way[0]), between(along, across, way[1])];
  return sliding(tie, {
    ...(dx === null ? {} : { x: Math.max(CLEARANCE, dx) }),
    ...(dy === null ? {} : { y: dy }),
  });
}

/**
 * How far something may go along one axis that may go `along` a line and `across` it, the axis lying to the line by a
 * cosine: whichever of the two it uses up first.
 */
function between(along: number | null, across: number | null, cosine: number): number | null {
  const c = Math.abs(cosine);
  const s = Math.sqrt(Math.max(0, 1 - c * c));
  const ways = [
    ...(along !== null && c > 0.02 ? [along / c] : []),
    ...(across !== null && s > 0.02 ? [across / s] : []),
  ];
  return ways.length === 0 ? null : Math.min(...ways);
}
