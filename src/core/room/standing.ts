import type { Spot } from '../document/piece-decisions';
import type { PieceInJob } from '../document/piece-in-job';
import type { Piece } from '../piece/piece';
import { type Flat, hullOf } from '../solid/outline';
import { behindBelow, belowOf, besideLeft, foundOrNull, leftOf } from './cases-together';
import type { InRoom } from './in-room';

/** The longer and the shorter side of a room, mm. */
export interface RoomSize {
  length: number;
  width: number;
}

/** Where one instance of a piece stands in the room of its job. */
export interface Standing extends Pick<InRoom, 'pieceId' | 'instance' | 'title'> {
  use: PieceInJob['use'];
  spot: Spot;
  /** By the maker; otherwise found for it. */
  chosen: boolean;
  /** It stands on another, or is bolted to the one at its left, and moves with that. */
  stacked: boolean;
  beside: boolean;
  /** Where it is judged: tables that are made alike may go to several rooms, and each has its own to itself unless it is put somewhere. */
  judged: Spot;
  /** Seen from above in the room, its middle the origin, mm. */
  outline: readonly Flat[];
  height: number;
  /** Floor to what is lowest along its sides: so high may something else be that is pushed under it. mm */
  under: number;
}

/** Between pieces along a wall, mm; common practice. */
const ALONG_WALL = 300;
/** From the edge of a table to the bench that is sat on, mm; common practice. */
const BESIDE_TABLE = 30;

export const roomOf = ({ room }: PieceInJob['brief']): RoomSize => ({
  length: Math.max(room.length, room.width),
  width: Math.min(room.length, room.width),
});

/**
 * Where every piece of a job stands: where the maker has put it; otherwise tables to dine at in the middle, benches along
 * them, and the rest along the walls. One table alone stands in the middle. A place that is found does not change because
 * another piece is moved, but for benches, which stay with their table.
 */
export function standingInRoom(all: readonly InRoom[], brief: PieceInJob['brief']): Standing[] {
  const lower = new Map(all.map((own) => [own, foundOrNull(belowOf(own, all))]));
  const left = new Map(all.map((own) => [own, foundOrNull(leftOf(own, all))]));
  const pieces = all.filter((own) => !lower.get(own) && !left.get(own));
  const room = roomOf(brief);
  const found = new Map<InRoom, Spot>();
  const dined = pieces.filter(({ document }) => document.use === 'dining');
  // A case has its back to a wall.
  const inMiddle = dined.length > 0 ? dined : pieces.slice(0, 1).filter(({ piece }) => piece.build === 'table');
  const grid = placesInMiddle(inMiddle.length, room);
  inMiddle.forEach((own, i) => {
    const [x, y] = grid[i] as Flat;
    found.set(own, { x, y, turn: turnAlong(own.piece) });
  });
  const spotOf = (own: InRoom) => own.document.spot ?? (found.get(own) as Spot);
  const sides = inMiddle.flatMap((own) => sidesOf(own.piece.overall, spotOf(own)));
  const unplaced = pieces.filter((own) => !found.has(own));
  for (const own of unplaced) {
    if (own.document.use !== 'bench') continue;
    const side = sides.find((one) => freeLength(one) >= own.piece.overall.length);
    side?.benches.push(own);
  }
  for (const side of sides) for (const [own, spot] of alongSide(side)) found.set(own, spot);
  const others = unplaced.filter((own) => !found.has(own));
  const walls = wallsOf(room, Math.max(0, ...others.map(({ piece }) => piece.overall.width)));
  for (const own of others) found.set(own, takeWall(walls, own.piece.overall));
  const placed = (own: InRoom): Spot => {
    const [below, next] = [lower.get(own), left.get(own)];
    if (below) return movedFrom(placed(below), [0, behindBelow(own, below)]);
    return next ? movedFrom(placed(next), besideLeft(own, next)) : spotOf(own);
  };
  return all.map((own) => {
    const [stacked, beside] = [Boolean(lower.get(own)), Boolean(left.get(own))];
    const standing = standingOf(own, placed(own));
    return stacked || beside ? { ...standing, chosen: false, stacked, beside } : standing;
  });
}

/** A spot so far to the right and back of another, turned as that is. mm */
function movedFrom(spot: Spot, by: Flat): Spot {
  const [x, y] = inRoom(spot, by);
  return { x, y, turn: spot.turn };
}

function standingOf({ pieceId, instance, title, document, piece }: InRoom, spot: Spot): Standing {
  return {
    pieceId,
    instance,
    title,
    use: document.use,
    spot,
    chosen: document.spot !== null,
    stacked: false,
    beside: false,
    judged: document.spot ?? (document.use === 'dining' ? { ...spot, x: 0, y: 0 } : spot),
    outline: outlineInRoom(piece, spot),
    height: piece.overall.height,
    under: piece.build === 'table' ? piece.knees.height : 0,
  };
}

/** A point of a piece where it stands. */
export function inRoom({ x, y, turn }: Spot, [px, py]: Flat): Flat {
  const angle = (turn * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  return [x + px * cos - py * sin, y + px * sin + py * cos];
}

/** Its longer side along that of the room. */
const turnAlong = ({ overall }: Piece): number => (overall.width > overall.length ? 90 : 0);

/** What stays free to the nearest wall at the ends of a piece and at its sides, feet and all that projects counted. mm */
export function freeAround(piece: Piece, spot: Spot, room: RoomSize): { ends: number; sides: number } {
  const { from, to } = piece.envelope;
  const corners = [from[0], to[0]].flatMap((x) => [from[1], to[1]].map((y) => inRoom(spot, [x, y])));
  const free = (axis: 0 | 1, size: number) => size / 2 - Math.max(...corners.map((corner) => Math.abs(corner[axis])));
  const [along, across] = [free(0, room.length), free(1, room.width)];
  const turned = Math.abs(Math.sin((spot.turn * Math.PI) / 180)) > Math.SQRT1_2;
  const lengthways = to[0] - from[0] >= to[1] - from[1] !== turned;
  return lengthways ? { ends: along, sides: across } : { ends: across, sides: along };
}

/** A round edge is taken by so many points at most: of a table of 1.5 m to within 2 mm. */
const FINE = 48;

/** The outline of a piece from above: of a table's top, of a case all that it covers. mm */
export function seenFromAbove(piece: Piece): readonly Flat[] {
  if (piece.build === 'table') return piece.top.polygon;
  const { from, to } = piece.envelope;
  return [
    [from[0], from[1]],
    [to[0], from[1]],
    [to[0], to[1]],
    [from[0], to[1]],
  ];
}

/** What a piece covers of the floor at a spot: its top, and its feet and ends where they project beyond it. mm */
export function outlineInRoom(piece: Piece, spot: Spot): Flat[] {
  const {
    feet,
    envelope: { from, to },
  } = piece;
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
  const projecting: Flat[] = [
    [from[0], y],
    [to[0], y],
    [x, from[1]],
    [x, to[1]],
  ];
  const upper = seenFromAbove(piece);
  const each = Math.ceil(upper.length / FINE);
  const edge = upper.filter((_, i) => i % each === 0);
  return hullOf([...edge, ...feet, ...projecting]).map((point) => inRoom(spot, point));
}

/** So many places in rows and columns, each the middle of its share of the room. */
function placesInMiddle(count: number, { length, width }: RoomSize): Flat[] {
  const columns = Math.max(1, Math.min(count, Math.round(Math.sqrt((count * length) / width))));
  const rows = Math.ceil(count / columns);
  return Array.from({ length: count }, (_, i): Flat => {
    const row = Math.floor(i / columns);
    const inRow = row === rows - 1 ? count - row * columns : columns;
    return [((i % columns) + 0.5) * (length / inRow) - length / 2, (row + 0.5) * (width / rows) - width / 2];
  });
}

/** A long side of a table, and the benches along it. */
interface Side {
  table: Spot;
  /** From the table's middle to this edge, to one side or the other; and how long it is. mm */
  edge: number;
  length: number;
  benches: InRoom[];
}

const sidesOf = ({ length, width }: Piece['overall'], table: Spot): Side[] =>
  [-1, 1].map((sign) => ({ table, edge: (sign * width) / 2, length, benches: [] }));

const longOf = (benches: readonly InRoom[]): number =>
  benches.reduce((sum, { piece }, i) => sum + piece.overall.length + (i > 0 ? BESIDE_TABLE : 0), 0);

/** What is free along a side for one more; a bench may be a little longer than its table. */
const freeLength = ({ length, benches }: Side): number =>
  benches.length === 0 ? length + 2 * BESIDE_TABLE : length - longOf(benches) - BESIDE_TABLE;

function alongSide({ table, edge, benches }: Side): [InRoom, Spot][] {
  let along = -longOf(benches) / 2;
  return benches.map((own) => {
    const { length, width } = own.piece.overall;
    const off = Math.abs(edge) + BESIDE_TABLE + width / 2;
    const [x, y] = inRoom(table, [along + length / 2, Math.sign(edge) * off]);
    along += length + BESIDE_TABLE;
    return [own, { x, y, turn: table.turn }];
  });
}

/** A wall from its one end to its other, and where on it the next piece begins. */
interface Wall {
  /** A piece turned so has its back to it. */
  turn: number;
  length: number;
  taken: number;
  /** Where a piece stands whose middle is so far along the wall and so far off it. */
  at: (along: number, off: number) => Flat;
}

/** The door is in the front wall: it is used last. @param deep of the deepest piece, mm: the corners are left to two walls */
function wallsOf({ length, width }: RoomSize, deep: number): Wall[] {
  const corner = deep + ALONG_WALL;
  return [
    { turn: 0, length, taken: 0, at: (along, off) => [along - length / 2, width / 2 - off] },
    { turn: 270, length: width - corner, taken: corner, at: (along, off) => [length / 2 - off, width / 2 - along] },
    { turn: 90, length: width - corner, taken: corner, at: (along, off) => [off - length / 2, width / 2 - along] },
    { turn: 180, length, taken: 0, at: (along, off) => [length / 2 - along, off - width / 2] },
  ];
}

function takeWall(walls: Wall[], { length, width }: Piece['overall']): Spot {
  const wall = walls.find((one) => one.taken + length <= one.length) ?? (walls[0] as Wall);
  const [x, y] = wall.at(wall.taken + length / 2, width / 2);
  wall.taken += length + ALONG_WALL;
  return { x, y, turn: wall.turn };
}
