import { describe, expect, it } from 'vitest';
import { change, demoJob, derive } from '../../../tests/fixtures/demo';
import { checkLayout } from './check-layout';
import { planLayout } from './plan-layout';

const document = demoJob('2-long-table');
const job = derive(document);
const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 200 });
/** The rack with a board of the layout used up by this job. */
const without = (id: string) =>
  job.boards.map((board) => (board.id === id ? { ...board, takenFor: 'this job', takenOn: '2027-03-20' } : board));

describe.each(layout.boards)('board %s, used up', (id) => {
  const next = derive(document, { layout, boards: without(id) });
  const own = layout.placements.filter((p) => p.board === id);

  it('leaves the layout as it is', () => {
    expect(next.layoutState).toBe('current');
    expect(next.layout).toEqual(layout);
    expect(next.layoutOptions.fixed).toEqual(own);
    expect(next.layoutOptions.givenBack).toEqual(layout.offcuts.filter((o) => o.board === id));
  });

  it('gives no more and no less in another search, and no layout is said to be cheaper than it can be', () => {
    const again = planLayout(next.demand, next.boards, { ...next.layoutOptions, seed: 7, effort: 60 });
    expect(again.placements.filter((p) => p.board === id)).toEqual(own);
    expect(again.offcuts.filter((o) => o.board === id)).toEqual(layout.offcuts.filter((o) => o.board === id));
    expect(checkLayout(next.demand, next.boards, next.layoutOptions, again)).toEqual([]);
    if (again.bound !== null) expect(again.cost.total).toBeGreaterThanOrEqual(again.bound - 1e-6);
  });
});

describe('a job whose boards are all used up', () => {
  const boards = job.boards.map((board) =>
    layout.boards.includes(board.id) ? { ...board, takenFor: 'this job', takenOn: '2027-03-20' } : board,
  );
  const next = derive(document, { layout, boards });

  it('has nothing left to search, and is as good as it can be', () => {
    const again = planLayout(next.demand, next.boards, next.layoutOptions);
    expect(again.placements).toHaveLength(layout.placements.length);
    expect(again.placements).toEqual(expect.arrayContaining(layout.placements));
    expect(again.gap).toBe(0);
    expect(again.cost.total).toBeCloseTo(layout.cost.total, 9);
  });

  it('lets nothing be moved from or to them', () => {
    const [first] = layout.placements;
    const tag = boards.find((b) => !b.takenFor)!.tag;
    const moved = change(document, (d) => {
      d.layout.moved = [
        { part: first!.part, strip: first!.strip ?? null, board: tag, x: 25, y: 0, turned: first!.turned ?? false },
      ];
    });
    const tried = derive(moved, { layout, boards });
    expect(tried.layout).toEqual(layout);
    expect(tried.checks.find((c) => c.id === 'layout.moves-given-up')?.level).toBe('watch');
  });

  it('is not asked about machines any more', () => {
    expect(next.checks.filter((c) => c.id.startsWith('machines.') && c.step === 'layout')).toEqual([]);
  });
});

describe('a board that another job keeps or has used', () => {
  it('is not among those of this job, even by its tag', () => {
    const others = job.boards.filter((board) => board.id !== layout.boards[0]);
    const next = derive(document, { layout, boards: others });
    expect(next.layoutState).toBe('stale');
    const again = planLayout(next.demand, next.boards, { ...next.layoutOptions, effort: 60 });
    expect(again.boards).not.toContain(layout.boards[0]);
  });

  it('is left out though it is used up by this job only where it was not sawn yet', () => {
    const tag = job.boards.find((b) => b.id === layout.boards[0])!.tag;
    const leftOut = change(document, (d) => {
      d.layout.leaveOut = [tag];
    });
    expect(derive(leftOut, { layout }).boards.some((b) => b.tag === tag)).toBe(false);
    // What has been sawn cannot be left out any more.
    const sawn = derive(leftOut, { layout, boards: without(layout.boards[0]!) });
    expect(sawn.boards.some((b) => b.tag === tag)).toBe(true);
  });
});
