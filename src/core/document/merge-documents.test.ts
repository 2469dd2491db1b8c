import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { jobOf, sixSeats, tableOf } from '../../../tests/fixtures/demo';
import { type JobDocument, valueAt, withChanges } from './job-document';
import { differences, mergeDocuments, resolved } from './merge-documents';

const base: JobDocument = jobOf(sixSeats());
const set = (document: JobDocument, path: string, value: unknown) => withChanges(document, [{ path, value }]);

/** Decisions of different places, each with two other values than the base has. */
const CHOICES: [path: string, one: unknown, other: unknown][] = [
  ['name', 'Mine', 'Theirs'],
  ['brief.note', 'a', 'b'],
  ['brief.door.width', 700, 900],
  ['pieces.p1.form.base.height', 740, 760],
  ['pieces.p1.season.ringAngle', 10, 80],
  ['pieces.p1.joints.tenonSchool', 'half', 'third'],
  ['layout.leaveOut', ['K01'], ['K02', 'K03']],
  ['layout.aim', 'fewest-boards', 'best-match'],
  ['plan.hoursPerDay', 4, 7],
  ['pieces.p1.benches.1.cut', ['top'], ['leg-front-left']],
];

describe('two sets of decisions from one state', () => {
  it('are put together where they touch different decisions, whoever is first', () => {
    const some = fc.uniqueArray(fc.integer({ min: 0, max: CHOICES.length - 1 }));
    fc.assert(
      fc.property(some, some, (ours, theirs) => {
        const others = theirs.filter((i) => !ours.includes(i));
        const make = (which: number[], k: 1 | 2) =>
          which.reduce((document, i) => set(document, CHOICES[i]![0], CHOICES[i]![k]), base);
        for (const [a, b] of [
          [make(ours, 1), make(others, 2)],
          [make(others, 2), make(ours, 1)],
        ] as const) {
          const { document, conflicts } = mergeDocuments(base, a, b);
          expect(conflicts).toEqual([]);
          for (const i of ours) expect(valueAt(document, CHOICES[i]![0])).toEqual(CHOICES[i]![1]);
          for (const i of others) expect(valueAt(document, CHOICES[i]![0])).toEqual(CHOICES[i]![2]);
        }
      }),
    );
  });

  it('wait for a word where both touch one, and only there', () => {
    const mine = set(set(base, 'pieces.p1.form.base.height', 740), 'name', 'Mine');
    const theirs = set(set(base, 'pieces.p1.form.base.height', 760), 'client', 'Theirs');
    const merge = mergeDocuments(base, mine, theirs);
    expect(merge.conflicts).toEqual([{ path: 'pieces.p1.form.base.height', mine: 740, theirs: 760 }]);
    expect(merge.document).toMatchObject({
      name: 'Mine',
      client: 'Theirs',
      pieces: [{ form: { base: { height: 740 } } }],
    });
    expect(tableOf(resolved(merge, {}).pieces[0]!).base.height).toBe(740);
    expect(resolved(merge, { 'pieces.p1.form.base.height': 'theirs' })).toMatchObject({
      name: 'Mine',
      pieces: [{ form: { base: { height: 760 } } }],
    });
  });

  it('that come to the same are no conflict', () => {
    const both = set(base, 'pieces.p1.form.base.height', 740);
    expect(mergeDocuments(base, both, both).conflicts).toEqual([]);
  });

  it('keep entries of lists by what they are known by: added by both, taken away by one', () => {
    const start = set(base, 'layout.leaveOut', ['K01', 'K02', 'K03']);
    const merge = mergeDocuments(
      start,
      set(start, 'layout.leaveOut', ['K01', 'K03', 'K09']),
      set(start, 'layout.leaveOut', ['K01', 'K02', 'K03', 'K07']),
    );
    expect(merge.conflicts).toEqual([]);
    expect([...merge.document.layout.leaveOut].sort()).toEqual(['K01', 'K03', 'K07', 'K09']);
    const width = (on: string, mm: number) => ({ on, width: mm, note: '' });
    const measured = mergeDocuments(
      base,
      set(base, 'pieces.p1.season.measured', [width('2027-07-01', 900)]),
      set(base, 'pieces.p1.season.measured', [width('2027-08-01', 901)]),
    );
    expect(measured.document.pieces[0]!.season.measured).toHaveLength(2);
    const lock = { length: 900, width: null, thickness: null, on: '2027-05-01' };
    const locks = mergeDocuments(
      base,
      set(base, 'pieces.p1.benches.1.locks', { top: lock }),
      set(base, 'pieces.p1.benches.1.locks', { 'leg-front-left': lock }),
    );
    expect(Object.keys(locks.document.pieces[0]!.benches[1]!.locks).sort()).toEqual(['leg-front-left', 'top']);
    const moved = (x: number) => [{ part: 'top', strip: 1, board: 'K01', x, y: 0, turned: false }];
    const twice = mergeDocuments(base, set(base, 'layout.moved', moved(10)), set(base, 'layout.moved', moved(20)));
    expect(twice.conflicts.map(({ path }) => path)).toEqual(['layout.moved']);
  });

  it('of another kind are taken whole', () => {
    const mine = set(base, 'pieces.p1.form.top.thickness', 30);
    const theirs = set(base, 'pieces.p1.form.top', { ...tableOf(base.pieces[0]!).top, kind: 'slatted' });
    const { conflicts } = mergeDocuments(base, mine, theirs);
    expect(conflicts.map(({ path }) => path)).toContain('pieces.p1.form.top');
  });

  it('that cannot stand together are shown as they are', () => {
    const mine = set(base, 'season.gluedOn', '2027-05-20');
    const theirs = set(base, 'season.deliveredOn', '2027-05-01');
    const merge = mergeDocuments(
      set(base, 'season.deliveredOn', '2027-06-01'),
      set(mine, 'season.deliveredOn', '2027-06-01'),
      theirs,
    );
    expect(merge.conflicts.map(({ path }) => path).sort()).toEqual(['season.deliveredOn', 'season.gluedOn']);
  });

  it('from nobody knows what, differ in the decisions that differ, and in nothing else', () => {
    const theirs = set(set(base, 'pieces.p1.form.base.height', 760), 'pieces.p1.benches.1.locks', {
      top: { length: 900, width: null, thickness: null, on: '2027-05-01' },
    });
    expect(
      mergeDocuments(null, base, theirs)
        .conflicts.map(({ path }) => path)
        .sort(),
    ).toEqual(['pieces.p1.benches.1.locks.top', 'pieces.p1.form.base.height']);
    expect(differences(base, structuredClone(base))).toEqual([]);
  });
});
