import { describe, expect, it } from 'vitest';
import { boards, demoJobs, jobOf, places, shop, sixSeats, tableOf } from '../../../tests/fixtures/demo';
import { USE_OF_PIECE } from '../decision/use';
import { type JobDocument, sharing, valueAt, withChanges } from '../document/job-document';
import { partInJob, partOfPiece, pathInJob, pieceInJob } from '../document/piece-in-job';
import { checkLayout } from '../layout/check-layout';
import { planLayout } from '../layout/plan-layout';
import { copyOfPiece, newPiece, woodChanges } from '../start/pieces';
import { START_NAMES } from '../start/starts';
import { type DerivedJob, deriveJob } from './derive-job';
import type { JobInputs } from './inputs';
import { proposePiece } from './propose-job';
import { ownedChecks, shownPiece } from './shown-piece';
import { wholeLayout } from './whole-layout';

const workshop = { shop, places, boards };
const one = jobOf(sixSeats());
const derive = (document: JobDocument, more: Partial<JobInputs> = {}): DerivedJob => {
  const job = deriveJob({ ...workshop, document, layouts: [], ...more });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return job;
};
const withPiece = (job: JobDocument, piece: JobDocument['pieces'][number]) => ({
  ...job,
  pieces: [...job.pieces, piece],
});

/** A table, two benches alike and four stools alike, of one wood. */
const setOfSeven = withPiece(withPiece(one, { ...newPiece(one, 'bench', 'p2'), count: 2 }), {
  ...newPiece(one, 'stool', 'p3'),
  count: 4,
});

describe('a table with two benches and four stools', () => {
  const job = derive(setOfSeven);
  const [wood] = job.woods;

  it('is seven pieces out of one rack, every part with a name and a letter of its own', () => {
    expect(job.pieces).toHaveLength(7);
    expect(job.woods).toHaveLength(1);
    const names = [...wood!.demand.parts, ...wood!.demand.panels].map(({ id }) => id);
    expect(new Set(names).size).toBe(names.length);
    const letters = Object.values(wood!.letters);
    expect(new Set(letters).size).toBe(letters.length);
    expect(wood!.letters['p3.4:top']).toBe('3.4A');
    expect(names.filter((name) => name.startsWith('p3.'))).toHaveLength(
      4 * names.filter((name) => name.startsWith('p3.2:')).length,
    );
  });

  it('is laid out together by a search whose result an independent checker accepts, and each takes its own share', () => {
    const rack = [...boards, ...boards.map((board) => ({ ...board, id: `${board.id}-2`, tag: `${board.tag}-2` }))];
    const { demand, boards: own, layoutOptions } = derive(setOfSeven, { boards: rack }).woods[0]!;
    const layout = planLayout(demand, own, { ...layoutOptions, effort: 30 });
    expect(checkLayout(demand, own, layoutOptions, layout)).toEqual([]);
    const laid = derive(setOfSeven, { boards: rack, layouts: [layout] });
    expect(laid.woods[0]!.layoutState).toBe('current');
    const shares = laid.pieces.flatMap((piece) => piece.layout?.placements ?? []);
    expect(shares).toHaveLength(layout.placements.length);
    for (const piece of laid.pieces) {
      const known = new Set([...piece.demand.parts, ...piece.demand.panels].map(({ id }) => id));
      for (const { part } of piece.layout!.placements) expect(known.has(part), part).toBe(true);
    }
    expect(wholeLayout(laid)!.layout.placements).toHaveLength(layout.placements.length);
  });

  it('has one calendar; what is made alike is worked together, its hours added up', () => {
    const ids = job.operations.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { after } of job.operations) for (const id of after) expect(ids).toContain(id);
    const alone = derive({ ...one, pieces: [{ ...setOfSeven.pieces[2]!, count: 1 }] });
    const hours = (of: DerivedJob, id: string) => of.operations.find((own) => own.id === id)!.work;
    expect(hours(job, 'p3:sand-top')).toBeCloseTo(4 * hours(alone, 'sand-top'), 9);
    const wait = (of: DerivedJob, id: string) => of.operations.find((own) => own.id === id)!.wait;
    expect(wait(job, 'p3:coat-1')).toBe(wait(alone, 'coat-1'));
    expect(wait(job, 'p3:glue-base')).toBeGreaterThan(wait(alone, 'glue-base'));
    const sum = job.pieces.flatMap(({ operations }) => operations).reduce((all, { work }) => all + work, 0);
    expect(job.schedule.workHours).toBeCloseTo(sum, 6);
  });

  it('shows each with its own checks, whose ways out change the document of the job', () => {
    const low = withChanges(setOfSeven, [{ path: 'pieces.p3.form.top.thickness', value: 12 }]);
    const { pieces } = derive(low);
    const stop = pieces
      .find(({ pieceId }) => pieceId === 'p3')!
      .checks.find(({ level, wayOut }) => level !== 'good' && wayOut?.changes.length)!;
    for (const { path } of stop.wayOut!.changes) {
      expect(path).toMatch(/^pieces\.p3\./);
      expect(valueAt(low, path)).not.toBeUndefined();
    }
    const table = (of: DerivedJob) => shownPiece(of, 'p1').job.pieces[0]!.checks;
    expect(table(derive(low))).toEqual(table(job));
  });

  it('the third stool’s short leg is the third stool’s', () => {
    const lock = { length: 400, width: null, thickness: null, on: '2027-03-20' };
    const path = pathInJob({ pieceId: 'p3', instance: 3 }, 'bench');
    expect(path).toBe('pieces.p3.benches.3');
    const cut = derive(withChanges(setOfSeven, [{ path, value: { cut: [], locks: { 'leg-front-left': lock } } }]));
    const legs = cut.pieces
      .filter(({ pieceId }) => pieceId === 'p3')
      .map(({ piece }) => piece.parts.find(({ id }) => id === 'leg-front-left')!.size.length);
    expect(legs[2]).toBe(400);
    expect(new Set([legs[0], legs[1], legs[3]]).size).toBe(1);
    expect(legs[0]).not.toBe(400);
  });

  it('seats: stools are asked for what the benches leave, and for nothing where there are chairs', () => {
    const asked = (job: JobDocument, id: string) =>
      pieceInJob(job, job.pieces.find((own) => own.id === id)!).seatsAsked;
    expect(asked(setOfSeven, 'p1')).toBe(6);
    expect(asked(setOfSeven, 'p2')).toBeNull();
    const benches = { ...setOfSeven, brief: { ...one.brief, seats: 8, seating: 'benches' as const } };
    // 1.3 m seat two, at 18 in each: two benches four of the eight, four stools the rest.
    expect(asked(benches, 'p2')).toBe(2);
    expect(asked(benches, 'p3')).toBe(1);
  });
});

describe('pieces of two species', () => {
  const added = withPiece(one, newPiece(one, 'bench', 'p2'));
  const two = withChanges(added, woodChanges(added, 'p2', 'ash-white'));

  it('have a wood each; the first species again, and the second wood is gone', () => {
    expect(two.woods.map(({ species }) => species)).toEqual(['oak-white', 'ash-white']);
    const back = withChanges(two, woodChanges(two, 'p2', 'oak-white'));
    expect(back.woods).toEqual(one.woods);
    expect(back.pieces[1]!.wood).toBe('w1');
    // Alone in its wood, a piece takes it along.
    expect(withChanges(one, woodChanges(one, 'p1', 'teak')).woods).toEqual([{ ...one.woods[0], species: 'teak' }]);
  });

  it('are laid out each from its own boards, and a change in one leaves the other’s layout current', () => {
    const job = derive(two);
    expect(job.woods.map(({ species }) => species.id)).toEqual(['oak-white', 'ash-white']);
    const layouts = job.woods.map((wood) =>
      planLayout(wood.demand, wood.boards, { ...wood.layoutOptions, effort: 10 }),
    );
    const laid = derive(two, { layouts });
    expect(laid.woods.map(({ layoutState }) => layoutState)).toEqual(['current', 'current']);
    const longer = derive(withChanges(two, [{ path: 'pieces.p2.form.top.length', value: 1250 }]), { layouts });
    expect(longer.woods.map(({ layoutState }) => layoutState)).toEqual(['current', 'stale']);
    const boardsOf = wholeLayout(laid)!.layout.boards;
    expect(new Set(boardsOf).size).toBe(boardsOf.length);
  });
});

describe('one more piece', () => {
  it.each(START_NAMES.filter((start) => start in USE_OF_PIECE))('a %s passes its own checks', (start) => {
    const piece = proposePiece(one, { start, id: 'p2' }, workshop);
    const job = derive(withPiece(one, piece));
    const stops = ownedChecks(job).filter(({ owner, check }) => owner === 'p2.1' && check.level === 'stop');
    expect(stops.map(({ check }) => check.id)).toEqual([]);
    expect(job.pieces.find(({ pieceId }) => pieceId === 'p2')?.piece.problems).toEqual([]);
  });

  it('like another has its decisions, a name of its own, and nothing cut', () => {
    const cut = withChanges(one, [{ path: 'pieces.p1.benches.1', value: { cut: ['top'], locks: {} } }]);
    const copy = copyOfPiece(cut, cut.pieces[0]!, 'p9');
    expect(copy).toMatchObject({ id: 'p9', name: 'Dining table 2', form: one.pieces[0]!.form, benches: {} });
  });
});

describe('a job of one piece', () => {
  it('of every demo job has the same layout key as before pieces had names', () => {
    for (const document of demoJobs()) {
      const { woods, pieces } = derive(document);
      expect(woods[0]!.demand.parts.every(({ id }) => id.startsWith('p1.1:'))).toBe(true);
      expect(pieces[0]!.mark).toBe('');
    }
  });

  it('names its parts in the job and back', () => {
    const own = { pieceId: 'p1', instance: 2 };
    expect(partOfPiece(partInJob(own, 'leg-front-left/v1'))).toEqual({ ...own, part: 'leg-front-left/v1' });
  });
});

describe('what is computed again', () => {
  it('shares what a reading of the same decisions has not changed', () => {
    const next = sharing(one, structuredClone(withChanges(one, [{ path: 'pieces.p1.form.top.length', value: 1700 }])));
    expect(next.pieces[0]!.joints).toBe(one.pieces[0]!.joints);
    expect(next.brief).toBe(one.brief);
    expect(tableOf(next.pieces[0]!).top.length).toBe(1700);
    expect(sharing(one, structuredClone(one))).toBe(one);
  });
});
