import { describe, expect, it } from 'vitest';
import { boards, demoJob, derive } from '../../../tests/fixtures/demo';
import type { Board } from '../stock/board';
import { planLayout } from './plan-layout';
import { shoppingList } from './shopping-list';

const job = demoJob('1-square-table');
const own = boards.filter(({ species }) => species === job.species);
/** The job with a layout searched on a rack, and taken over. */
function laidOutOn(rack: readonly Board[]) {
  const before = derive(job, { boards: rack });
  const layout = planLayout(before.demand, before.boards, { ...before.layoutOptions, effort: 300 });
  return { layout, after: derive(job, { boards: rack, layout }) };
}

describe('a layout that lacks something', () => {
  const few = own.slice(0, 2);
  const { layout, after } = laidOutOn(few);

  it('is a proposal: glue-up, forecast and trim do not take the widths of the strips it has', () => {
    expect(layout.shortfall.length).toBeGreaterThan(0);
    expect(after.layoutState).toBe('current');
    expect(after.layoutComplete).toBe(false);
    expect(after.panels[0]!.laid).toEqual([]);
    expect(after.panels[0]!.trim).toBeNull();
    const panel = after.demand.panels[0]!;
    const last = after.glueUps[0]!.stages.at(-1)!;
    expect(last.width).toBeCloseTo(panel.rough.width, 6);
    expect(after.season.strips).toEqual(derive(job, { boards: few }).season.strips);
  });

  it('asks for strips no wider than strips may be, each with its length, for all that the rack does not give', () => {
    const panel = after.demand.panels[0]!;
    const lines = shoppingList(layout.shortfall);
    for (const { width, length } of lines.filter(({ names }) => names.includes(panel.name))) {
      expect(width).toBeLessThanOrEqual(panel.greatestStrip + panel.jointing + 1e-6);
      expect(length).toBeCloseTo(panel.rough.length, 6);
    }
    const given = layout.placements
      .filter(({ part }) => part === panel.id)
      .reduce((sum, p) => sum + p.width - panel.jointing, 0);
    const bought = layout.shortfall
      .filter(({ part }) => part === panel.id)
      .reduce((sum, s) => sum + s.count * (s.width - panel.jointing), 0);
    expect(given + bought).toBeCloseTo(panel.rough.width, 3);
    // Every board foot of the list is one of a piece that lacks.
    expect(lines.reduce((sum, { count }) => sum + count, 0)).toBe(
      layout.shortfall.reduce((sum, { count }) => sum + count, 0),
    );
  });

  it('says whether the rack cannot give a piece at all, or whether that is not known', () => {
    const thin = laidOutOn(own.map((board) => ({ ...board, thickness: 12, quarters: null })));
    expect(thin.layout.shortfall.every(({ noBoard }) => noBoard)).toBe(true);
    // One board that gives any leg, but not all four of them.
    const leg = after.demand.parts.find(({ id }) => id.startsWith('leg'))!;
    const short = {
      ...own[0]!,
      thickness: leg.finished.thickness + 20,
      quarters: null,
      length: leg.rough.length + 120,
      width: leg.rough.width + 30,
      farWidth: null,
      defects: [],
      crook: null,
    };
    const one = laidOutOn([short]);
    const legs = one.layout.shortfall.filter(({ part }) => part.startsWith('leg'));
    expect(legs.length).toBeGreaterThan(0);
    expect(legs.every(({ noBoard }) => !noBoard)).toBe(true);
    // It is shorter than the top is long.
    expect(one.layout.shortfall.find(({ part }) => part === 'top')!.noBoard).toBe(true);
  });
});
