import { describe, expect, it } from 'vitest';
import { boards, places, shop, tableOf, tablePiece } from '../../../tests/fixtures/demo';
import { seatsOf } from '../check/people';
import { deriveJob } from '../job/derive-job';
import { drawnStarts } from '../job/drawn-starts';
import { proposeJob } from '../job/propose-job';
import { ownedChecks } from '../job/shown-piece';
import { isForSeats, START_NAMES, STARTS, usualSize } from './starts';

const brief = {
  seats: 4,
  seating: 'chairs' as const,
  room: { length: 5200, width: 4200 },
  behindChairs: 'wall' as const,
  kneeRoom: null,
  door: { width: 850, height: 2000 },
  dueOn: '2027-12-01',
  note: '',
};
const wish = {
  ...{ name: 'A job', client: '', brief, shopPlaceId: 'shop', homePlaceId: 'town-flat', startOn: '2027-03-08' },
};
/** Of a wood that is on the rack, or of one whose rack nobody asks about. */
const proposed = (given: Partial<Parameters<typeof proposeJob>[0]>, rack: typeof boards | null = boards) => {
  const document = proposeJob({ ...wish, species: 'oak-white', ...given }, { shop, places, boards: rack });
  const job = deriveJob({ document, shop, places, boards: rack, layouts: [] });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return { document, job, stops: ownedChecks(job).filter(({ check }) => check.level === 'stop') };
};

describe('what a job begins with', () => {
  it.each(START_NAMES.flatMap((start) => ['oak-white', 'beech-american', 'pine-scots'].map((wood) => [start, wood])))(
    '%s of %s: built, of its use, and nothing stops it',
    (start, species) => {
      const own = START_NAMES.find((name) => name === start)!;
      const { document, job, stops } = proposed({ start: own, species }, species === 'oak-white' ? boards : null);
      expect(job.pieces[0]!.piece.problems).toEqual([]);
      expect(document.pieces[0]!).toMatchObject({ use: STARTS[own].use, name: STARTS[own].name });
      expect(stops.map(({ check }) => check.id)).toEqual([]);
    },
  );

  it.each(START_NAMES.filter(isForSeats).flatMap((start) => [2, 6, 8].map((seats) => [start, seats] as const)))(
    '%s for %i seats them, where the room lets it',
    (start, seats) => {
      const room = { length: 9000, width: 7000 };
      const { job } = proposed({ start, brief: { ...brief, seats, room } });
      expect(seatsOf(tablePiece(job.pieces[0]!))).toBeGreaterThanOrEqual(seats);
    },
  );

  it.each(START_NAMES.flatMap((start) => ['oak-white', 'beech-american'].map((wood) => [start, wood] as const)))(
    '%s of %s for a reader of inches: of round inches, and nothing stops it',
    (start, species) => {
      const { document, stops } = proposed({ start, species, units: 'inch' }, species === 'oak-white' ? boards : null);
      expect(stops.map(({ check }) => check.id)).toEqual([]);
      const { form } = document.pieces[0]!;
      const sizes =
        form.build === 'table'
          ? {
              length: form.top.length,
              width: form.top.width,
              height: form.base.height,
              thickness: form.top.thickness,
            }
          : { width: form.width, height: form.height, depth: form.depth, sides: form.carcass.sides };
      for (const [name, mm] of Object.entries(sizes)) {
        const eighths = (mm / 25.4) * 8;
        expect(Math.abs(eighths - Math.round(eighths)), `${name} ${mm / 25.4}`).toBeLessThan(1e-3);
      }
    },
  );

  it('a bench or a stool alone stays as long as it is meant, whoever sat in the brief; several seat several', () => {
    for (const start of ['bench', 'stool'] as const) {
      const usual = usualSize(start)!;
      const { document } = proposed({ start, count: 3 });
      expect(document.pieces[0]).toMatchObject({ count: 3, form: { top: { length: usual.length } } });
      expect(document.brief.seats).toBe(3 * Math.floor(usual.length / 457.2) || 3);
    }
  });

  it('a table on trestles is long, however few sit at it', () => {
    const { top } = tableOf(proposed({ start: 'trestle', brief: { ...brief, seats: 2 } }).document.pieces[0]!);
    expect(top.length).toBeGreaterThanOrEqual(1400);
    expect(top.width).toBeLessThan(1000);
  });

  it('has the size that was wished, where it has one of its own', () => {
    const size = { length: 1520, width: 610, height: 480 };
    const { job } = proposed({ start: 'coffee', size });
    expect(job.pieces[0]!.piece.overall).toMatchObject(size);
    expect(usualSize('coffee')).toEqual({ length: 1100, width: 550, height: 420 });
    expect(usualSize('dining')).toBeNull();
  });

  it('is drawn, each other than the rest', () => {
    const drawn = drawnStarts(shop);
    expect(drawn.map(({ start }) => start)).toEqual(START_NAMES);
    for (const { drawing } of drawn) expect(drawing.shapes.length).toBeGreaterThan(4);
    expect(new Set(drawn.map(({ drawing }) => JSON.stringify(drawing))).size).toBe(drawn.length);
  });
});
