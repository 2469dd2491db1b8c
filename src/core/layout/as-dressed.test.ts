import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, level } from '../../../tests/fixtures/demo';
import { aBoard, aPart, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import { withChanges } from '../document/job-document';
import { MM_PER_INCH } from '../measure/length';
import { DRESSED_INCHES, planedThickness } from '../stock/thickness';
import { checkLayout } from './check-layout';
import { planLayout } from './plan-layout';

/** A 4×4 of construction lumber is dressed to 3 1/2 in both ways (ALSC PS 20, value from memory). */
const FOUR = DRESSED_INCHES.thickness[4]! * MM_PER_INCH;
const four = (id: string, more = {}) =>
  aBoard(id, 2438, FOUR, { thickness: FOUR, surface: 'dressed', species: 'ash-white', ...more });
const leg = (id: string, side: number, more = {}) =>
  aPart(id, 740, side + 5, side, { finished: { length: 710, width: side, thickness: side }, ...more });

describe('dressed stock', () => {
  it('gives its whole section where the shop takes nothing off it, and what a skim leaves', () => {
    const piece = { length: 740, width: 80 };
    expect(planedThickness(four('a'), { flattening: 5, skim: 0 }, piece)).toBeCloseTo(88.9, 9);
    expect(planedThickness(four('a'), { flattening: 5, skim: 2 }, piece)).toBeCloseTo(86.9, 9);
    // A crook that was measured is planed off all the same.
    const crook = { twist: 0, bow: 6, cup: 0 };
    expect(planedThickness(four('a', { crook }), { flattening: 5, skim: 0 }, { length: 2438, width: 89 })).toBeCloseTo(
      82.9,
      9,
    );
  });

  it('gives legs as wide as it is, edges and all, from 4×4s: three from each eight-foot length', () => {
    const legs = demandFor(['1', '2', '3', '4'].map((id) => leg(id, 88.9)));
    const boards = [four('a'), four('b')];
    const layout = planLayout(legs, boards, plainOptions);
    expect(layout.shortfall).toEqual([]);
    expect(layout.placements.every(({ width }) => width === FOUR)).toBe(true);
    expect(checkLayout(legs, boards, plainOptions, layout)).toEqual([]);
    // Rough ones of the same size are neither wide nor thick enough.
    const rough = boards.map((board) => ({ ...board, surface: 'rough' as const }));
    expect(planLayout(legs, rough, plainOptions).shortfall).toHaveLength(4);
    // Skimmed, they give 86.9 and not 88.9.
    const skimmed = { ...plainOptions, skim: 2 };
    expect(planLayout(legs, boards, skimmed).shortfall).toHaveLength(4);
    expect(planLayout(demandFor([leg('1', 86.9)]), boards, skimmed).shortfall).toEqual([]);
  });

  it('is ripped with the usual allowance where a part is narrower than it', () => {
    const rail = demandFor([aPart('r', 700, 60, 30)]);
    const layout = planLayout(rail, [four('a')], plainOptions);
    expect(layout.placements[0]!.width).toBe(60);
  });
});

describe('a part taken as dressed', () => {
  const asIs = (id: string, side: number) => leg(id, side, { asDressed: true, rough: { length: 740, width: side } });

  it('comes only from dressed stock of its own section, whichever face is up', () => {
    const stud = four('s', { width: 88.9, thickness: 38.1 });
    const flat = demandFor([
      aPart('f', 740, 38.1, 88.9, { asDressed: true, finished: { length: 710, width: 38.1, thickness: 88.9 } }),
    ]);
    const layout = planLayout(flat, [stud], plainOptions);
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(flat, [stud], plainOptions, layout)).toEqual([]);
    const wanted = demandFor([asIs('1', 80)]);
    expect(planLayout(wanted, [four('a')], plainOptions).shortfall[0]).toMatchObject({ dressed: true, noBoard: true });
    expect(planLayout(demandFor([asIs('1', 89)]), [four('a')], plainOptions).shortfall).toEqual([]);
  });

  it('is stopped where the rack has no such stock, and made as the stock is by a press', () => {
    const document = change(demoJob('1-square-table'), (draft) => {
      draft.layout.asDressed = ['leg'];
    });
    const boards = [four('a'), four('b')];
    const derived = (own: typeof document) => derive(own, { boards });
    const checks = derived(document).checks.find(({ id }) => id === 'stock.dressed-leg')!;
    expect(checks.level).toBe('stop');
    const cured = withChanges(document, checks.wayOut!.changes) as typeof document;
    expect(level(derived(cured), 'stock.dressed-leg')).toBe('good');
    expect(cured.form.base.leg.section).toBeCloseTo(88.9, 9);
    const given = withChanges(document, checks.otherWaysOut![0]!.changes) as typeof document;
    expect(given.layout.asDressed).toEqual([]);
  });
});
