import type { Hold, HoldKind } from '../../../decision/hold';
import { bored, type Cut, type Joint } from '../../../joint/joint';
import {
  type Bounds,
  boundsOf,
  box,
  type Convex,
  clipAll,
  gapBetween,
  reach,
  rod,
  shifted,
  shiftedBounds,
} from '../../../solid/convex';
import { overlap } from '../../../solid/distance';
import { directionInPart, type Frame, inPart, inPiece, solidInPiece } from '../../../solid/frame';
import type { Flat } from '../../../solid/outline';
import { dot, times, type Vec } from '../../../solid/vector';
import { bodyOf, type Draft, type Fastener, type Unreached } from '../../part';
import { HOLDS, type Travelling, travelOf } from './hold';

/** What is cut into a rail for one fastener: sizes in mm, common practice. */

/** A button is so wide, its tongue so thick and so far under the rail's upper edge; a tongue stays in by so much at least. */
const BUTTON = { wide: 25, slot: 7, down: 12, stays: 3 };
const CLIP = { wide: 20, slot: 3, down: 11, stays: 3 };
/** A tongue never stands on the bottom of its slot. */
const OFF_BOTTOM = 1;
/** Where it does not go at all it stands in by so much. */
const HELD = 8;
const EIGHT = { bit: 22, deep: 3, in: 6 };
const PLATE = { wide: 25, in: 20, deep: 3 };
const BLOCK = { long: 40, wide: 20, deep: 12 };
const CLEAT_SCREW = { thick: 3, deep: 18, down: 10 };
/** A bolt and what it has round it; a rail screw's shank and head; a washer is wider than its hole. */
const BOLT = 7;
const SHANK = 5;
const HEAD = 11;
const WASHER_OVER = 6;
/** At least so much of the rail is left behind a slot or beside a counterbore. */
export const LEAST_BEHIND_SEAT = 5;
/** Between a seat and another cut in the rail. */
const BESIDE_CUT = 5;

/** A rail under a fastener, in its own axes: `l` along it, `d` down from its upper edge, `i` in from its inside face. */
interface Rail {
  frame: Frame;
  high: number;
  thick: number;
  /** How far it lets the top go along itself, toward its start and its end; and square to itself, inward and outward. */
  along: { toStart: number; toEnd: number };
  across: { inward: number; outward: number };
  point: (l: number, d: number, i: number) => Vec;
  block: (l: readonly [number, number], d: readonly [number, number], i: readonly [number, number]) => Convex;
  up: Vec;
  inward: Vec;
  /** How far it lies across the grain of the top, 0 to 1. */
  crosses: number;
}

type Own = Omit<Cut, 'part'>;
type Seat = (rail: Rail, at: number) => Own[];

/** From one end to the other of what is so wide and slides along its rail. */
const spanAlong = ({ along }: Rail, at: number, wide: number) =>
  [at - wide / 2 - along.toStart, at + wide / 2 + along.toEnd] as const;

/** A slot in the inside face, as wide as what stands in it and what that slides; as deep as its tongue comes and goes. */
const slot =
  ({ wide, slot: high, down, stays }: typeof BUTTON, what: string): Seat =>
  (rail, at) => {
    const goes = rail.across.inward + rail.across.outward;
    const deep = goes + (goes > 0 ? stays : HELD) + OFF_BOTTOM;
    return [
      {
        what,
        solid: rail.block(spanAlong(rail, at, wide), [down, down + high], [0, deep]),
        open: [rail.inward],
      },
    ];
  };

/** From below, over size: a hole for the screw, and a counterbore for its washer that leaves so much under it. */
const fromBelow =
  (under: number, hole: (rail: Rail) => number, head: (rail: Rail) => number): Seat =>
  (rail, at) => {
    const middle = rail.thick / 2;
    const depth = Math.min(rail.high, under);
    const down = times(rail.up, -1);
    return [
      {
        what: 'screw hole',
        ...bored(rail.point(at, depth, middle), rail.point(at, 0, middle), hole(rail)),
        open: [rail.up, down],
      },
      ...(rail.high > under
        ? [
            {
              what: 'counterbore',
              ...bored(rail.point(at, rail.high, middle), rail.point(at, under, middle), head(rail)),
              open: [down],
            },
          ]
        : []),
    ];
  };

/** Upright through the rail, as long as its bolt or screw slides. */
const through =
  (wide: number, what: string): Seat =>
  (rail, at) => {
    const middle = rail.thick / 2;
    return [
      {
        what,
        solid: rail.block(
          spanAlong(rail, at, wide),
          [0, rail.high],
          [middle - wide / 2 - rail.across.inward, middle + wide / 2 + rail.across.outward],
        ),
        open: [rail.up, times(rail.up, -1)],
      },
    ];
  };

/** What is round goes alike every way. */
const goesRound = ({ along, across }: Rail) => Math.hypot(along.toEnd, across.outward);
const overSize = (rail: Rail) => 4 + 2 * goesRound(rail);

/** A new way to hold the top is one more line. */
const SEATS: Readonly<Record<HoldKind, Seat>> = {
  buttons: slot(BUTTON, 'slot for a button'),
  clips: slot(CLIP, 'kerf for a clip'),
  'figure-eight': (rail, at) => [
    {
      what: 'recess for a plate',
      solid: clipAll(rod(rail.point(at, EIGHT.deep, EIGHT.in), rail.point(at, 0, EIGHT.in), EIGHT.bit), [
        { normal: rail.inward, offset: dot(rail.inward, rail.point(at, 0, 0)) },
      ]),
      open: [rail.up, rail.inward],
    },
  ],
  'slotted-cleats': (rail, at) => [
    {
      what: 'screw hole',
      ...bored(
        rail.point(at, CLEAT_SCREW.down, 0),
        rail.point(at, CLEAT_SCREW.down, Math.min(CLEAT_SCREW.deep, rail.thick - LEAST_BEHIND_SEAT)),
        CLEAT_SCREW.thick,
      ),
      open: [rail.inward],
    },
  ],
  'oversized-holes': fromBelow(
    HOLDS['oversized-holes'].underHead,
    overSize,
    (rail) => overSize(rail) + WASHER_OVER + 2 * goesRound(rail),
  ),
  'slotted-washers': (rail, at) => [
    {
      what: 'recess for a washer',
      solid: rail.block(
        [at - PLATE.wide / 2, at + PLATE.wide / 2],
        [0, PLATE.deep],
        [0, Math.min(PLATE.in, rail.thick - LEAST_BEHIND_SEAT)],
      ),
      open: [rail.up, rail.inward],
    },
  ],
  'sliding-blocks': (rail, at) => {
    // The way lies across the grain of the top: along a rail that does, and across one that does not.
    const lies = rail.crosses > Math.SQRT1_2;
    const beside = (rail.thick - BLOCK.wide) / 2;
    return [
      {
        what: 'way for a block',
        solid: lies
          ? rail.block(spanAlong(rail, at, BLOCK.long), [0, BLOCK.deep], [beside, rail.thick - beside])
          : rail.block([at - BLOCK.wide / 2, at + BLOCK.wide / 2], [0, BLOCK.deep], [0, rail.thick]),
        open: lies ? [rail.up] : [rail.up, rail.inward, times(rail.inward, -1)],
      },
    ];
  },
  'rail-screws': fromBelow(
    HOLDS['rail-screws'].underHead,
    () => SHANK,
    () => HEAD,
  ),
  inserts: through(BOLT, 'slot for a bolt'),
};

/** What has a hold of its own is screwed through slots in itself. */
const ITS_OWN = through(SHANK, 'slot for a screw');

/**
 * How far a rail so thick lets a top go at fasteners of a kind, outward and inward together, mm: a tongue that must not
 * leave its slot wants the slot as deep as it goes and more, and an oversized hole a counterbore that the rail still goes
 * round.
 *
 * @param crosses how far the rail lies across the grain of the top, 0 to 1
 */
export function travelInRail(kind: HoldKind, thick: number, crosses: number): number {
  const most = 2 * HOLDS[kind].greatestTravel;
  const square = Math.sqrt(Math.max(0, 1 - crosses ** 2));
  const within = (room: number, share: number) => (share < 0.02 ? most : Math.min(most, Math.max(0, room) / share));
  switch (kind) {
    case 'buttons':
      return within(thick - LEAST_BEHIND_SEAT - BUTTON.stays - OFF_BOTTOM, square);
    case 'clips':
      return within(thick - LEAST_BEHIND_SEAT - CLIP.stays - OFF_BOTTOM, square);
    case 'oversized-holes':
      return within((thick - 2 * LEAST_BEHIND_SEAT - 4 - WASHER_OVER) / 2, 1);
    case 'inserts':
      return within(thick - 2 * LEAST_BEHIND_SEAT - BOLT, square);
    default:
      return most;
  }
}

/** Horizontal thickness of a rail under the top, mm. */
export const railThickness = ({ frame, size }: Pick<Draft, 'frame' | 'size'>): number =>
  standsOnEdge(frame) ? size.thickness : size.width;

/** Its width upright, as an apron; else it lies flat. */
const standsOnEdge = ({ width, thickness }: Frame): boolean => Math.abs(width[2]) > Math.abs(thickness[2]);

function railOf(draft: Draft, fastener: Fastener, hold: Travelling): Rail {
  const { frame, size } = draft;
  const standing = standsOnEdge(frame);
  const [high, thick] = standing ? [size.width, size.thickness] : [size.thickness, size.width];
  const [upright, beside] = standing ? [frame.width, frame.thickness] : [frame.thickness, frame.width];
  const up = upright[2] < 0 ? times(upright, -1) : upright;
  // The inside face looks to the middle of the piece; of a rail in the middle, the one to the right.
  const toMiddle = -(frame.at[0] * beside[0] + frame.at[1] * beside[1]);
  const inward = (Math.abs(toMiddle) < 1e-6 ? beside[0] + beside[1] : toMiddle) < 0 ? times(beside, -1) : beside;
  const crosses = Math.abs(fastener.way[1]);
  const square = Math.sqrt(Math.max(0, 1 - crosses ** 2));
  const { outward, inward: back } = fastener.holdsMiddle ? { outward: 0, inward: 0 } : travelOf(hold);
  // Which end of the rail is away from the middle of the table.
  const out = frame.length[1] * (fastener.y < 0 ? -1 : 1) > 0;
  const own = (l: number, d: number, i: number): Vec => {
    const u = (high / 2 - d) * Math.sign(dot(up, upright));
    const s = (thick / 2 - i) * Math.sign(dot(inward, beside));
    return standing ? [l, u, s] : [l, s, u];
  };
  return {
    frame,
    high,
    thick,
    along: { toStart: (out ? back : outward) * crosses, toEnd: (out ? outward : back) * crosses },
    across: { inward: back * square, outward: outward * square },
    crosses,
    up,
    inward,
    point: (l, d, i) => inPiece(frame, own(l, d, i)),
    block: (l, d, i) => {
      const [a, b] = [own(l[0], d[0], i[0]), own(l[1], d[1], i[1])];
      const least = a.map((v, k) => Math.min(v, b[k] as number)) as unknown as Vec;
      const most = a.map((v, k) => Math.max(v, b[k] as number)) as unknown as Vec;
      return solidInPiece(frame, box(least, most));
    },
  };
}

/** From which side each is set. */
const ACCESS: Readonly<Record<HoldKind, 'inside' | 'below' | 'none'>> = {
  buttons: 'inside',
  clips: 'inside',
  'figure-eight': 'inside',
  'slotted-cleats': 'inside',
  'oversized-holes': 'below',
  'slotted-washers': 'inside',
  'sliding-blocks': 'none',
  'rail-screws': 'below',
  inserts: 'below',
};
/** mm free in front of a button or under a screw's head, common practice; less than that much in the way is passed by. */
const HAND = { inside: 30, below: 80 };
const IN_THE_WAY = 2;

/** Steps along a rail by which a fastener looks for a free place, and how far it goes. mm */
const STEP = 10;
const FARTHEST = 120;

/**
 * What every fastener wants cut out of the part it sits on. One that would run into a mortise or a hole of that part is
 * moved along it to the next free place, and so is one that no hand or driver comes to; one that finds none stays where it
 * is, and the checks tell.
 */
export function holdSeats(given: {
  fasteners: readonly Fastener[];
  rails: readonly Draft[];
  /** Parts of the top. */
  tops: readonly Draft[];
  hold: Hold;
  taken: ReadonlyMap<string, readonly Cut[]>;
}): { fasteners: Fastener[]; seats: Joint[]; unreached: Unreached[] } {
  const { hold, taken } = given;
  const bodies = given.rails.map((draft) => {
    const solids = bodyOf(draft).map((solid) => solidInPiece(draft.frame, solid));
    return { id: draft.id, solids, bounds: boundsOf(solids) };
  });
  const unreached: Unreached[] = [];
  const rails = new Map(given.rails.map((draft) => [draft.id, draft]));
  const slats = new Map(given.tops.flatMap((draft) => (draft.kind === 'slat' ? [[draft.id, draft.size.width]] : [])));
  const boxes = new Map<string, Bounds[]>();
  const around = (part: string) => {
    const known = boxes.get(part);
    if (known) return known;
    const made = (taken.get(part) ?? []).map(({ solid }) => solid.bounds);
    boxes.set(part, made);
    return made;
  };
  const fasteners: Fastener[] = [];
  const seats: Joint[] = [];
  for (const fastener of given.fasteners) {
    const draft = rails.get(fastener.on);
    if (!draft || draft.material) {
      fasteners.push(fastener);
      continue;
    }
    const { kind } = fastener.own ?? hold;
    const rail = railOf(draft, fastener, fastener.own ?? hold);
    const seat = fastener.own ? ITS_OWN : SEATS[kind];
    const [l] = inPart(draft.frame, [fastener.x, fastener.y, draft.frame.at[2]]);
    const farthest = (draft.size.length - (draft.beyond?.start ?? 0) - (draft.beyond?.end ?? 0)) / 2;
    const others = around(fastener.on);
    const first = seat(rail, l);
    const wanted = first.map(({ solid }) => solid.bounds);
    const room = handRoom(first, rail, fastener.own ? 'inside' : ACCESS[kind]);
    const along = (by: number) => times(draft.frame.length, by);
    /** What stands where a hand or a driver must come, so far along; nothing where it comes. */
    const inTheWay = (by: number) => {
      if (!room) return undefined;
      const around = shiftedBounds(room.bounds, along(by));
      return bodies.find(
        ({ id, bounds, solids }) =>
          id !== fastener.on &&
          gapBetween(around, bounds) < -IN_THE_WAY &&
          solids.some((solid) => overlap(shifted(room, along(by)), solid) > IN_THE_WAY),
      )?.id;
    };
    const free = (by: number) =>
      wanted.every((bounds) => {
        const own = shiftedBounds(bounds, along(by));
        return others.every((other) => gapBetween(own, other) >= BESIDE_CUT);
      }) && !inTheWay(by);
    let moved = 0;
    if (!free(0)) {
      // A slat is held near its middle, or it cups.
      const slat = slats.get(fastener.holds);
      for (const by of places(l, slat === undefined ? FARTHEST : slat / 4)) {
        if (Math.abs(l + by) > farthest - BUTTON.wide || !free(by)) continue;
        moved = by;
        break;
      }
    }
    const chosen = moved === 0 ? first : seat(rail, l + moved);
    const by = moved * turn(draft, fastener.way);
    const blocked = inTheWay(moved);
    if (blocked) unreached.push({ fastener: fastener.id, on: fastener.on, by: blocked });
    fasteners.push({ ...fastener, x: fastener.x + fastener.way[0] * by, y: fastener.y + fastener.way[1] * by });
    others.push(...chosen.map(({ solid }) => solid.bounds));
    seats.push({
      id: `hold/${fastener.id}`,
      kind: 'hold',
      ...(fastener.own ? {} : { hold: kind }),
      name: `${fastener.own ? 'screw' : HOLDS[kind].one} ${fastener.id.replaceAll('-', ' ')}`,
      into: fastener.on,
      from: fastener.holds,
      removed: chosen.map((cut) => ({ part: fastener.on, ...cut })),
      added: [],
      ties: [],
    });
  }
  return { fasteners, seats, unreached };
}

/** Where somebody must come with a hand or a driver to set a fastener. */
function handRoom(cuts: readonly Own[], rail: Rail, access: 'inside' | 'below' | 'none'): Convex | null {
  if (access === 'none') return null;
  const { at, length, width, thickness } = rail.frame;
  const reaches = [length, width, thickness].map((axis) => {
    const own = cuts.map(({ solid }) => reach(solid, axis));
    const middle = dot(at, axis);
    return { from: Math.min(...own.map((r) => r.from)) - middle, to: Math.max(...own.map((r) => r.to)) - middle };
  });
  const [from, to] = [reaches.map((r) => r.from), reaches.map((r) => r.to)];
  const way = directionInPart(
    rail.frame,
    access === 'inside' ? times(rail.inward, HAND.inside) : times(rail.up, -HAND.below),
  );
  // In front of what is cut, not in the rail itself.
  const least = from.map((v, k) => ((way[k] ?? 0) > 1e-6 ? (to[k] as number) : v + Math.min(0, way[k] ?? 0)));
  const most = to.map((v, k) => ((way[k] ?? 0) < -1e-6 ? (from[k] as number) : v + Math.max(0, way[k] ?? 0)));
  return solidInPiece(rail.frame, box(least as unknown as Vec, most as unknown as Vec));
}

/** Toward the middle of the rail first, then away from it, farther and farther. */
function* places(l: number, farthest: number): Generator<number> {
  const toward = l > 0 ? -1 : 1;
  for (let by = STEP; by <= farthest; by += STEP) {
    yield toward * by;
    yield -toward * by;
  }
}

/** Whether the way of a rest runs along its part or against it. */
const turn = ({ frame }: Draft, [x, y]: Flat): 1 | -1 => (frame.length[0] * x + frame.length[1] * y < 0 ? -1 : 1);
