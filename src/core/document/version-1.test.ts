import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { jobOf, sixSeats } from '../../../tests/fixtures/demo';
import { read } from '../decision/issues';
import { KeptLayoutSchema } from '../layout/compare-layouts';
import { LayoutSchema, layoutKey } from '../layout/layout';
import { JobDocumentSchema } from './job-document';
import { upgraded } from './version-1';

/** The decisions of a job as version 1 wrote them. */
function version1() {
  const own = sixSeats();
  const { name, client, brief, form, season, joints, layout, glueUp, plan, species } = own;
  const lock = { length: 900, width: null, thickness: null, on: '2027-03-20' };
  return {
    ...{ format: 'taller.job', version: 1, name, client, brief, season, joints, glueUp, plan },
    form: { species, ...form },
    layout: { ...layout, moved: [{ part: 'top', strip: 1, board: 'K01', x: 10, y: 0, turned: false }] },
    bench: { cut: ['top'], locks: { 'apron-front': lock } },
  };
}

describe('a job of version 1', () => {
  it('becomes one piece of one wood, and nothing of it is lost', () => {
    const old = version1();
    const job = v.parse(JobDocumentSchema, old);
    expect(job).toMatchObject({ version: 2, name: old.name, woods: [{ species: old.form.species }] });
    const [piece] = job.pieces;
    const { species: _, ...form } = old.form;
    expect(piece).toMatchObject({ use: 'dining', count: 1, form, joints: old.joints, glueUp: old.glueUp });
    expect({ ...job.season, ...piece!.season }).toEqual(old.season);
    expect({ ...job.plan, ...piece!.plan }).toEqual(old.plan);
    expect({ ...job.layout, ...piece!.layout, moved: [] }).toEqual({ ...old.layout, moved: [] });
    expect(job.layout.moved).toEqual([{ ...old.layout.moved[0], part: 'p1.1:top' }]);
    expect(piece!.benches[1]).toEqual(old.bench);
    // Read once more it is as it is.
    expect(v.parse(JobDocumentSchema, job)).toEqual(job);
  });

  it('that lacks what version 1 did not ask yet has the usual answers', () => {
    const { season, layout, ...old } = version1();
    const { measured: _, ...bare } = season;
    const { pairs, moved, laid, ...plain } = layout;
    const job = v.parse(JobDocumentSchema, { ...old, season: bare, layout: plain });
    expect(job.pieces[0]).toMatchObject({ season: { measured: [] }, layout: { pairs: 'none' } });
    expect(job.layout).toMatchObject({ moved: [], laid: [] });
  });

  it('that is damaged says where, and nothing else is made of it', () => {
    const broken = { ...version1(), form: undefined };
    const reading = read(JobDocumentSchema, broken, 'the job');
    expect('problems' in reading && reading.problems.map(({ where }) => where).join()).toMatch(/form/);
    for (const odd of [null, 3, [], 'x', { version: 1 }, { version: 9 }]) {
      expect(() => upgraded(odd)).not.toThrow();
      expect('problems' in read(JobDocumentSchema, odd, 'the job')).toBe(true);
    }
  });

  it('low and narrow was sat on, low and wide was not', () => {
    const likely = (height: number, width: number, length = 1200) => {
      const old = version1();
      const form = { ...old.form, base: { ...old.form.base, height }, top: { ...old.form.top, width, length } };
      return v.parse(JobDocumentSchema, { ...old, form }).pieces[0]!.use;
    };
    expect([likely(745, 900), likely(450, 350), likely(450, 350, 400), likely(420, 600)]).toEqual([
      ...['dining', 'bench', 'stool', 'coffee'],
    ]);
  });
});

describe('a layout of version 1', () => {
  const layout = {
    key: 'k',
    placements: [{ x: 0, y: 0, length: 10, width: 10, board: 'b', part: 'leg-front-left/v1' }],
    strips: [{ panel: 'top', label: 'A1', board: 'b', width: 10 }],
    ...{
      offcuts: [],
      shortfall: [],
      boards: ['b'],
      consumed: 1,
      finished: 1,
      yield: 1,
      cuts: 1,
      bound: null,
      gap: null,
    },
    cost: { wood: 1, offcuts: 0, boards: 0, cuts: 0, joints: 0, match: 0, total: 1 },
    tried: 1,
  };

  it('is of the parts of the only piece, and put aside it keeps its choices', () => {
    expect(v.parse(LayoutSchema, layout)).toMatchObject({
      species: '',
      placements: [{ part: 'p1.1:leg-front-left/v1' }],
      strips: [{ panel: 'p1.1:top' }],
    });
    const { choice } = v.parse(KeptLayoutSchema, { name: 'A', choice: version1().layout, layout });
    expect(choice.job.moved[0]!.part).toBe('p1.1:top');
    expect(choice.pieces.p1).toMatchObject({ leastStrip: 60, jointMargin: 12 });
  });

  it('still fits: the fingerprint of one piece is the same with and without its name', () => {
    const part = (id: string) => ({
      ...{ id, letter: 'B', name: 'Leg', shows: 'all' as const, finished: { length: 700, width: 60, thickness: 60 } },
      rough: { length: 720, width: 66 },
    });
    const options = { weights: { lot: 0, ring: 0 }, resaw: { height: 0 } } as never;
    const key = (id: string, species = 'oak-white') =>
      layoutKey({ species, parts: [part(id)], panels: [] }, [], options);
    expect(key('p1.1:leg')).toBe(key('leg'));
    expect(key('p2.1:leg')).not.toBe(key('leg'));
  });
});

describe('a job that names what is not there', () => {
  it('is refused: two pieces of one id, a piece of a wood that the job has not', () => {
    const job = jobOf(sixSeats());
    const twice = { ...job, pieces: [...job.pieces, ...job.pieces] };
    const woodless = { ...job, pieces: job.pieces.map((own) => ({ ...own, wood: 'w9' })) };
    for (const [odd, said] of [
      [twice, /two pieces/i],
      [woodless, /wood/i],
      [{ ...job, pieces: [] }, /needs a piece/i],
    ] as const) {
      const reading = read(JobDocumentSchema, odd, 'the job');
      expect('problems' in reading && reading.problems[0]!.problem).toMatch(said);
    }
  });
});
