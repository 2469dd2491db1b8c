import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { aBoard, aPanel, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import type { LaidChoice } from '../document/job-document';
import type { Layout } from '../layout/layout';
import { planLayout } from '../layout/plan-layout';
import type { Board } from '../stock/board';
import { bestOrder } from './best-order';
import { choicesOf, type LaidStrip, layPanel, panelMatch } from './lay-panel';
import { shortStrips, trimLaid, trimPanel } from './trim-panel';

const panel = aPanel(1200, 600);
const sawnFrom = (boards: readonly Board[]): Layout => planLayout(demandFor([], [panel]), boards, plainOptions);

const lay = (boards: readonly Board[], layout: Layout, choices: readonly LaidChoice[] = []) =>
  layPanel({ panel, layout, boards, school: 'alternate', choices });

const rack = (each: (i: number) => Partial<Board>) =>
  Array.from({ length: 5 }, (_, i) => aBoard(`b${i}`, 1250, 130, each(i)));

describe('strips laid side by side', () => {
  it('lie as they come from the layout, heart sides in turn, until the maker says otherwise', () => {
    const boards = rack(() => ({}));
    const layout = sawnFrom(boards);
    const laid = lay(boards, layout);
    expect(laid.map((s) => s.label)).toEqual(layout.strips.map((s) => s.label));
    expect(laid.map((s) => s.heartUp)).toEqual(laid.map((_, i) => i % 2 === 1));
    const order = [...laid].reverse();
    const kept = choicesOf(order, []);
    expect(lay(boards, layout, kept).map((s) => s.label)).toEqual(order.map((s) => s.label));
    // A board taken away and another cut in its place: what was laid stays in its order, the new one comes last.
    const without = kept.filter((choice) => choice.board !== order[2]!.board.tag);
    const labels = lay(boards, layout, without).map((s) => s.label);
    expect(labels.at(-1)).toBe(order[2]!.label);
  });

  it('turn their planing about when turned over and when turned end for end, and twice is as before', () => {
    const boards = rack(() => ({ planes: 'far-end' }));
    const layout = sawnFrom(boards);
    const [first] = lay(boards, layout);
    const choice = choicesOf(lay(boards, layout), []);
    const as = (heartUp: boolean, reversed: boolean) =>
      lay(boards, layout, [{ ...choice[0]!, heartUp, reversed }, ...choice.slice(1)])[0]!.planes;
    expect(first!.planes).toBe('away');
    expect([as(false, false), as(true, false), as(false, true), as(true, true)]).toEqual([
      'away',
      'here',
      'here',
      'away',
    ]);
  });

  it('are turned end for end by themselves so that all plane one way', () => {
    const boards = rack((i) => ({ planes: i % 2 ? 'far-end' : 'tagged-end' }));
    for (const school of ['alternate', 'all-one-way', 'best-face'] as const) {
      const laid = layPanel({ panel, layout: sawnFrom(boards), boards, school, choices: [] });
      expect(new Set(laid.map((s) => s.planes))).toEqual(new Set(['away']));
    }
  });

  it('mirror the pith when turned over or end for end, and not when both', () => {
    const boards = rack(() => ({ ringCentre: { distance: 80, offset: 30 } }));
    const layout = sawnFrom(boards);
    const choice = choicesOf(lay(boards, layout), []);
    const offset = (heartUp: boolean, reversed: boolean) => {
      const [strip] = lay(boards, layout, [{ ...choice[0]!, heartUp, reversed }]);
      return (strip!.rings as { offset: number }).offset;
    };
    const plain = offset(false, false);
    expect(offset(true, false)).toBeCloseTo(-plain, 9);
    expect(offset(false, true)).toBeCloseTo(-plain, 9);
    expect(offset(true, true)).toBeCloseTo(plain, 9);
  });

  it('tell what shows when a strip taken for its clean face is laid with the other one up', () => {
    const stain = { kind: 'stain' as const, x: 300, y: 40, length: 60, width: 40, face: 'tagged' as const };
    const boards = rack(() => ({ defects: [stain] }));
    const layout = sawnFrom(boards);
    const shown = (heartUp: boolean) =>
      lay(
        boards,
        layout,
        choicesOf(lay(boards, layout), []).map((c) => ({ ...c, heartUp })),
      ).filter((s) => s.showing.length > 0).length;
    expect(shown(true)).toBe(0);
    expect(shown(false)).toBe(layout.strips.length);
    const best = layPanel({ panel, layout, boards, school: 'best-face', choices: [] });
    expect(best.every((s) => s.showing.length === 0)).toBe(true);
  });
});

describe('the match of a panel', () => {
  it('is whole between strips of one board, and worst between a pale quartered one and a dark flat one of another log', () => {
    const one = [aBoard('wide', 1250, 640, { tone: 2 })];
    expect(panelMatch(lay(one, sawnFrom(one))).score).toBe(100);
    const two = rack((i) => ({
      tone: i % 2 ? 5 : 1,
      ringAngle: i % 2 ? 0 : 90,
      lot: `log ${i % 2}`,
    }));
    const laid = lay(two, sawnFrom(two));
    const planing = laid.map((s, i): LaidStrip => ({ ...s, planes: i % 2 ? 'away' : 'here' }));
    expect(panelMatch(planing).score).toBeCloseTo(0, 9);
  });

  it('is as good in the order found as in any order, tried one by one', () => {
    const looks = fc.record({
      tone: fc.constantFrom(1, 2, 3, 4, 5, null) as fc.Arbitrary<Board['tone']>,
      lot: fc.constantFrom('x', 'y', 'z'),
      ringAngle: fc.integer({ min: 0, max: 90 }),
    });
    fc.assert(
      fc.property(fc.array(looks, { minLength: 5, maxLength: 5 }), (each) => {
        const boards = rack((i) => each[i]!);
        const layout = sawnFrom(boards);
        const strips = lay(boards, layout);
        const given = { panel, strips, school: 'all-one-way' as const, choices: [], fasteners: [], margin: 0 };
        const found = panelMatch(bestOrder(given)).score;
        for (const order of permutations(strips)) {
          const laid = layPanel({ panel, layout, boards, school: 'all-one-way', choices: choicesOf(order, []) });
          expect(panelMatch(laid).score).toBeLessThanOrEqual(found + 1e-9);
        }
      }),
      { numRuns: 30 },
    );
  });

  it('of more strips than are all tried comes within two points of the best order there is', () => {
    const looks = [1, 4, 2, 5, 3, 1, 5].map((tone, i) => ({
      tone: tone as Board['tone'],
      lot: 'xyz'[(i * 5) % 3]!,
      ringAngle: (i * 37) % 90,
    }));
    const boards = looks.map((own, i) => aBoard(`b${i}`, 1250, 96, own));
    const layout = planLayout({ ...demandFor([], [panel]) }, boards, plainOptions);
    const strips = lay(boards, layout);
    expect(strips).toHaveLength(7);
    const given = { panel, strips, school: 'all-one-way' as const, choices: [], fasteners: [], margin: 0 };
    let best = 0;
    for (const order of permutations(strips)) best = Math.max(best, panelMatch(order).score);
    const found = panelMatch(bestOrder(given)).score;
    expect(found).toBeLessThanOrEqual(best + 1e-9);
    expect(found).toBeGreaterThan(best - 2);
  });
});

function* permutations<T>(list: readonly T[]): Generator<T[]> {
  if (list.length < 2) yield [...list];
  for (const [i, first] of list.entries()) {
    for (const rest of permutations([...list.slice(0, i), ...list.slice(i + 1)])) yield [first, ...rest];
  }
}

describe('the trimming of a panel', () => {
  it('is even where the joints keep off the fasteners', () => {
    expect(trimPanel([100, 100, 120], 300, [0], 12)).toMatchObject({ left: 10, right: 10, clearance: 40 });
  });

  it('is shifted by no more than it takes, as far as there is wood', () => {
    const trim = trimPanel([150, 150], 280, [4], 12);
    expect(trim.clearance).toBeCloseTo(12, 9);
    expect(trim.left + trim.right).toBeCloseTo(20, 9);
    expect(trim.joints[0]).toBeCloseTo(-8, 9);
    const short = trimPanel([150, 150], 290, [4], 12);
    expect(short.clearance).toBeCloseTo(9, 9);
  });

  it('never comes nearer than trimming evenly would, whatever the strips', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 40, max: 150 }), { minLength: 1, maxLength: 9 }),
        fc.array(fc.integer({ min: -400, max: 400 }), { maxLength: 6 }),
        fc.integer({ min: 0, max: 40 }),
        (widths, fasteners, spare) => {
          const total = widths.reduce((sum, w) => sum + w, 0);
          const trim = trimPanel(widths, total - spare, fasteners, 15);
          expect(trim.left).toBeGreaterThanOrEqual(-1e-9);
          expect(trim.right).toBeGreaterThanOrEqual(-1e-9);
          expect(trim.left + trim.right).toBeCloseTo(spare, 9);
          const even = trimPanel(widths, total, fasteners, 15).clearance;
          if (even !== null) expect(trim.clearance!).toBeGreaterThanOrEqual(Math.min(even, 15) - 1e-9);
          let run = 0;
          trim.joints.forEach((joint, i) => {
            run += widths[i]!;
            expect(joint).toBeCloseTo(run - trim.left - (total - spare) / 2, 9);
          });
        },
      ),
    );
  });
});

describe('a round panel', () => {
  const document = CONSTRUCTIONS.find((c) => c.name.includes('a round table on three'))!.document;
  const job = derived(document);
  const [round] = job.demand.panels;
  const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 400 });
  const strips = layPanel({ panel: round!, layout, boards: job.boards, school: 'alternate', choices: [] });

  it('wants bands that get shorter toward its sides, alike on both, as wide together as the rough panel', () => {
    const { bands, rough } = round!;
    expect(bands.length).toBeGreaterThan(2);
    expect(bands.reduce((sum, band) => sum + band.width, 0)).toBeCloseTo(rough.width, 6);
    expect(bands.map((band) => band.length)).toEqual([...bands].reverse().map((band) => band.length));
    expect(Math.max(...bands.map((band) => band.length))).toBe(rough.length);
  });

  it('laid as it is sawn, every strip reaches beyond the outline; in another order some do not', () => {
    expect(layout.shortfall).toEqual([]);
    const trim = trimLaid(round!, strips, [], 12);
    expect(shortStrips(round!, strips, trim.left)).toEqual([]);
    // The shortest in the middle.
    const wrong = [...strips].sort((a, b) => b.placement.length - a.placement.length);
    const badly = trimLaid(round!, wrong, [], 12);
    expect(shortStrips(round!, wrong, badly.left).length).toBeGreaterThan(0);
  });

  it('the best order found has no strip that is too short', () => {
    const order = bestOrder({ panel: round!, strips, school: 'alternate', choices: [], fasteners: [], margin: 0 });
    expect(shortStrips(round!, order, trimLaid(round!, order, [], 0).left)).toEqual([]);
  });
});
