import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, demoJob, derive } from '../../../tests/fixtures/demo';
import { aBoard, aPart, demandFor, plainOptions as options } from '../../../tests/fixtures/layout-parts';
import { layoutChecks } from '../check/layout/layout-checks';
import { sequenceChecks } from '../check/layout/sequence-checks';
import type { TableInJob } from '../document/piece-in-job';
import { checkLayout } from './check-layout';
import { inSequence } from './in-sequence';
import type { Placement } from './layout';
import { planLayout } from './plan-layout';

// Round a table, seen from above: front, right, back, left. Parts in sequence are common practice.
const apron = (id: string, length: number, follows: number) =>
  aPart(id, length, 90, 22, { together: 'aprons', follows });
const aprons = [apron('front', 900, 0), apron('back', 900, 2), apron('left', 500, 3), apron('right', 500, 1)];
const wanted = demandFor(aprons);
const alongBoard = (placements: readonly Placement[]) =>
  [...placements].sort((a, b) => a.y - b.y || a.x - b.x).map((p) => p.part);

describe('aprons from one board', () => {
  it('come in their order round the table where all lie in one row: three of four corners', () => {
    const boards = [aBoard('b', 2 * 900 + 2 * 500 + 3 * 3 + 2 * 20, 95)];
    const layout = planLayout(wanted, boards, options);
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(wanted, boards, options, layout)).toEqual([]);
    const order = alongBoard(layout.placements);
    const round = ['front', 'right', 'back', 'left'];
    const first = round.indexOf(order[0]!);
    expect(order).toEqual([...round.slice(first), ...round.slice(0, first)]);
    const [check] = sequenceChecks(wanted, layout, options.kerf);
    expect(check!.value.amount).toBe(3);
  });

  it('come in pairs where the board takes two rows: two corners, and each row as long as it was', () => {
    const boards = [aBoard('b', 900 + 500 + 3 + 2 * 20, 186)];
    const layout = planLayout(wanted, boards, options);
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(wanted, boards, options, layout)).toEqual([]);
    expect(sequenceChecks(wanted, layout, options.kerf)[0]!.value.amount).toBe(2);
  });

  it('keep the order they have where a knot would come to lie in one of them', () => {
    // Only long, short, short, long keeps clear of the knots between them.
    const knot = (x: number) => ({ kind: 'knot' as const, x, y: 20, length: 30, width: 40, face: 'through' as const });
    const boards = [aBoard('b', 3000, 95, { defects: [knot(935), knot(1985)] })];
    const layout = planLayout(wanted, boards, options);
    expect(layout.shortfall).toEqual([]);
    expect(checkLayout(wanted, boards, options, layout)).toEqual([]);
    expect(sequenceChecks(wanted, layout, options.kerf)[0]!.value.amount).toBeLessThan(3);
  });

  it('are left alone once one of them is sawn, and say so where none follows another', () => {
    const boards = [aBoard('b', 3200, 95)];
    const row = ['front', 'back', 'left', 'right'];
    let x = 20;
    const placements = row.map((part): Placement => {
      const { length, width } = aprons.find(({ id }) => id === part)!.rough;
      const at = { board: 'b', part, x, y: 0, length, width };
      x += length + options.kerf;
      return at;
    });
    const given = { placements, offcuts: [] };
    expect(alongBoard(inSequence(wanted, boards, { ...options, fixed: [placements[1]!] }, given))).toEqual(row);
    expect(alongBoard(inSequence(wanted, boards, options, given))).not.toEqual(row);
    const backward = [...placements].reverse().map((p, i) => ({ ...p, part: ['front', 'left', 'back', 'right'][i]! }));
    expect(sequenceChecks(wanted, { placements: backward }, options.kerf)[0]!.value.amount).toBe(3);
    const apart = placements.map((p, i) => ({ ...p, x: p.x + 100 * i }));
    expect(sequenceChecks(wanted, { placements: apart }, options.kerf)[0]!.value.amount).toBe(0);
  });
});

describe('aprons that no one board gives', () => {
  it('are offered from several boards, and only they', () => {
    const set = demandFor(aprons.map((part) => ({ ...part, together: 'apron' })));
    const boards = [aBoard('a', 1500, 95), aBoard('b', 1500, 95)];
    const { species, piece } = derive(demoJob('1-square-table'));
    const wishes = (oneBoard: TableInJob['layout']['oneBoard']) => ({ oneBoard, asDressed: [] });
    const [check] = layoutChecks(planLayout(set, boards, options), set, piece, species, wishes(['leg', 'apron']));
    expect(check!.level).toBe('stop');
    expect(check!.wayOut!.changes).toEqual([{ path: 'layout.oneBoard', value: ['leg'] }]);
    const apart = demandFor(aprons.map(({ together: _, follows: __, ...part }) => part));
    expect(layoutChecks(planLayout(apart, boards, options), apart, piece, species, wishes([]))[0]!.level).toBe('good');
  });
});

describe('what goes round a piece', () => {
  it('are aprons each of which stands in a leg with the one before and the one after it', () => {
    const { piece, demand } = derive(
      change(demoJob('1-square-table'), (draft) => {
        draft.layout.oneBoard = ['apron'];
      }),
    );
    const set = demand.parts.filter(({ together }) => together === 'apron').sort((a, b) => a.follows! - b.follows!);
    expect(set.map(({ follows }) => follows)).toEqual([0, 1, 2, 3]);
    const legsOf = (id: string) => piece.joints.filter((joint) => joint.from === id).map((joint) => joint.into);
    set.forEach(({ id }, i) => {
      const next = set[(i + 1) % set.length]!.id;
      expect(
        legsOf(id).some((leg) => leg.startsWith('leg') && legsOf(next).includes(leg)),
        `${id} ${next}`,
      ).toBe(true);
    });
    expect(set[0]!.id).toBe('apron-front');
  });

  it('are the four veneers of every leg, in their order', () => {
    const { demand } = derived(CONSTRUCTIONS.find((c) => c.name.includes('faced legs'))!.document);
    const veneers = demand.parts.filter(({ id }) => id.includes('/v'));
    expect(veneers).toHaveLength(16);
    for (const { id, follows } of veneers) expect(`v${follows! + 1}`).toBe(id.split('/')[1]);
  });
});
