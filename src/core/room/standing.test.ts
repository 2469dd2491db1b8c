import { describe, expect, it } from 'vitest';
import { derive, inputs, jobInputs, jobOf, sixSeats } from '../../../tests/fixtures/demo';
import { type JobDocument, withChanges } from '../document/job-document';
import { deriveJob } from '../job/derive-job';
import { gapBetween } from '../solid/outline';
import { newPiece } from '../start/pieces';
import { inRoom, roomOf } from './standing';

const one = jobOf(sixSeats());
const given = jobInputs(inputs(sixSeats()));

function stood(document: JobDocument) {
  const job = deriveJob({ ...given, document });
  if ('problems' in job) throw new Error(JSON.stringify(job.problems));
  return job;
}

const withPieces = (...uses: Parameters<typeof newPiece>[1][]): JobDocument => ({
  ...one,
  brief: { ...one.brief, room: { length: 4200, width: 6000 } },
  pieces: [...one.pieces, ...uses.map((use, i) => newPiece(one, use, `o${i}`))],
});

describe('where pieces stand', () => {
  it('one alone is in the middle, its longer side along the room', () => {
    const [standing] = stood(one).standings;
    expect(standing).toMatchObject({ spot: { x: 0, y: 0, turn: 0 }, chosen: false });
  });

  it('a table in the middle, benches along it, the rest along the walls; all within the room and clear of each other', () => {
    const document = withPieces('bench', 'bench', 'console', 'stool', 'side');
    const { standings, checks } = stood(document);
    const [table, ...others] = standings;
    expect(table).toMatchObject({ spot: { x: 0, y: 0 } });
    const edge = table!.outline.map(([, y]) => y).reduce((a, b) => Math.max(a, b));
    const [front, back] = others.filter(({ use }) => use === 'bench');
    expect([front!.spot.x, back!.spot.x]).toEqual([0, 0]);
    expect(front!.spot.y).toBeLessThan(-edge);
    expect(back!.spot.y).toBeCloseTo(-front!.spot.y, 9);
    const { length, width } = roomOf(document.brief);
    expect({ length, width }).toEqual({ length: 6000, width: 4200 });
    const cabinet = others.find(({ use }) => use === 'console')!;
    expect(Math.max(...cabinet.outline.map(([, y]) => y))).toBeCloseTo(width / 2, 6);
    for (const { outline } of standings)
      for (const [x, y] of outline) {
        expect(Math.abs(x)).toBeLessThanOrEqual(length / 2 + 1e-6);
        expect(Math.abs(y)).toBeLessThanOrEqual(width / 2 + 1e-6);
      }
    standings.forEach((a, i) => {
      for (const b of standings.slice(i + 1)) expect(gapBetween(a.outline, b.outline)).toBeGreaterThan(0);
    });
    expect(checks.find(({ id }) => id === 'room.walls')).toMatchObject({ level: 'good' });
  });

  it('a place that is found stays when another piece is moved; benches follow their table', () => {
    const document = withPieces('bench', 'console', 'stool', 'side');
    const put = (id: string, x: number, y: number) =>
      stood({
        ...document,
        pieces: document.pieces.map((own) => (own.id === id ? { ...own, spots: { 1: { x, y, turn: 90 } } } : own)),
      }).standings.map(({ spot }) => spot);
    const before = stood(document).standings.map(({ spot }) => spot);
    const after = put('o1', 500, 1200);
    expect(after[2]).toEqual({ x: 500, y: 1200, turn: 90 });
    expect(after.filter((_, i) => i !== 2)).toEqual(before.filter((_, i) => i !== 2));
    const [table, bench, ...others] = put(document.pieces[0]!.id, 700, 100);
    expect(bench!.turn).toBe(90);
    expect(bench!.y).toBeCloseTo(100, 6);
    expect(Math.abs(bench!.x - table!.x)).toBeCloseTo(Math.abs(before[1]!.y), 6);
    expect(others).toEqual(before.slice(2));
  });

  it('alike tables have shares of the room', () => {
    const six = stood({ ...withPieces(), pieces: [{ ...one.pieces[0]!, count: 6 }] }).standings;
    expect(new Set(six.map(({ spot }) => `${spot.x} ${spot.y}`)).size).toBe(6);
    // 6 × 4.2 m: three columns in two rows.
    expect(six.map(({ spot }) => spot.x)).toEqual([-2000, 0, 2000, -2000, 0, 2000]);
    expect(six[0]!.spot.y).toBe(-1050);
  });

  it('where the maker has put a piece counts for the chairs behind it, and leaving it to be found again cures', () => {
    const middle = derive(sixSeats()).checks.find(({ id }) => id === 'people.room')!;
    const table = one.pieces[0]!;
    const moved = stood({
      ...one,
      pieces: [{ ...table, spots: { 1: { x: 400, y: -300, turn: 0 } } }],
    });
    const check = moved.pieces[0]!.checks.find(({ id }) => id === 'people.room')!;
    const { length, width } = roomOf(one.brief);
    const { overall } = moved.pieces[0]!.piece;
    const least = Math.min(length / 2 - 400 - overall.length / 2, width / 2 - 300 - overall.width / 2);
    expect(check.value.amount).toBeCloseTo(least, 6);
    expect(check.value.amount).toBeLessThan(middle.value.amount);
    expect(check.wayOut).toMatchObject({ changes: [{ path: `pieces.${table.id}.spots.1`, value: null }] });
  });

  it('a way out finds a place for the one that is meant, and leaves what is decided of those made alike', () => {
    const table = one.pieces[0]!;
    const spots = { 1: { x: -900, y: 0, turn: 90 }, 2: { x: 1800, y: 0, turn: 0 } };
    const job = stood({ ...one, pieces: [{ ...table, count: 2, spots }] });
    const check = job.pieces[1]!.checks.find(({ id }) => id === 'people.room')!;
    expect(check.level).not.toBe('good');
    const after = withChanges({ ...one, pieces: [{ ...table, count: 2, spots }] }, check.wayOut!.changes);
    expect(after.pieces[0]!.spots).toEqual({ ...spots, 2: null });
    expect(stood(after).standings[0]).toMatchObject({ spot: spots[1], chosen: true });
  });

  it('a turned table gives its ends to the other walls', () => {
    const table = one.pieces[0]!;
    const turned = stood({ ...one, pieces: [{ ...table, spots: { 1: { x: 0, y: 0, turn: 90 } } }] });
    const { overall } = turned.pieces[0]!.piece;
    const { length, width } = roomOf(one.brief);
    const check = turned.pieces[0]!.checks.find(({ id }) => id === 'people.room')!;
    expect(check.value.amount).toBeCloseTo(Math.min((length - overall.width) / 2, (width - overall.length) / 2), 6);
  });

  it('says what stands beyond the walls, in another, or where a chair is pushed back', () => {
    const document = withPieces('console', 'stool');
    const put = (id: string, x: number, y: number): JobDocument => ({
      ...document,
      pieces: document.pieces.map((own) => (own.id === id ? { ...own, spots: { 1: { x, y, turn: 0 } } } : own)),
    });
    const told = (job: JobDocument, id: string) => stood(job).checks.find((check) => check.id === id)!;
    const beyond = told(put('o0', 3000, 0), 'room.walls');
    expect(beyond.level).toBe('watch');
    expect(beyond.value.amount).toBeCloseTo(stood(document).pieces[1]!.piece.overall.length / 2, 6);
    expect(told(put('o0', 0, 0), 'room.between').value.amount).toBeLessThan(0);
    const table = stood(document).pieces[0]!.piece.overall;
    const near = put('o0', 0, table.width / 2 + 500 + stood(document).pieces[1]!.piece.overall.width / 2);
    const between = told(near, 'room.between');
    expect(between).toMatchObject({ level: 'watch', limit: { amount: 914.4 } });
    expect(between.value.amount).toBeCloseTo(500, 6);
    expect(between.wayOut?.changes).toEqual([{ path: 'pieces.o0.spots.1', value: null }]);
    // A stool is pushed under.
    expect(told(put('o1', 0, 0), 'room.between').value.amount).not.toBeLessThan(0);
  });
});

describe('gapBetween', () => {
  const square = (x: number, y: number, turn = 0) =>
    (
      [
        [-50, -50],
        [50, -50],
        [50, 50],
        [-50, 50],
      ] as const
    ).map((p) => inRoom({ x, y, turn }, p));
  it('is the least distance, corner to corner too, and how deep two are in one another', () => {
    expect(gapBetween(square(0, 0), square(130, 0))).toBeCloseTo(30, 9);
    expect(gapBetween(square(0, 0), square(130, 140))).toBeCloseTo(50, 9);
    expect(gapBetween(square(0, 0), square(90, 20))).toBeCloseTo(-10, 9);
    expect(gapBetween(square(0, 0), square(150, 0, 45))).toBeCloseTo(100 - 50 * Math.SQRT2, 9);
  });
});
