import { Matrix4, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { aBoard, aPanel, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import type { LaidChoice } from '../document/job-document';
import type { PanelDemand } from '../layout/demand';
import { planLayout } from '../layout/plan-layout';
import type { Board } from '../stock/board';
import { bestOrder } from './best-order';
import { choicesOf, type LaidStrip, layPanel, moveStrip, partnerOf, turnedBy } from './lay-panel';

const options = { ...plainOptions, resaw: { height: 200, kerf: 1.5, allowance: 3 } };
const panelOf = (pairs: PanelDemand['pairs'], width = 400) => aPanel(1000, width, 8, { pairs, greatestStrip: 120 });
const rack = (each: (i: number) => Partial<Board> = () => ({})) =>
  Array.from({ length: 5 }, (_, i) => aBoard(`b${i}`, 1100, 110, { thickness: 30, ...each(i) }));

function laidIn(pairs: PanelDemand['pairs'], boards = rack()) {
  const panel = panelOf(pairs);
  const layout = planLayout(demandFor([], [panel]), boards, options);
  const lay = (choices: readonly LaidChoice[] = []) =>
    layPanel({ panel, layout, boards, school: 'alternate', choices });
  return { panel, lay };
}

/**
 * Where a point of a board's own space (along from the tagged end, across from the near edge, up from mid-thickness)
 * comes to lie in the panel (to the right, away from its near end, up), the strip's left edge at nought.
 */
function placed(strip: LaidStrip): Matrix4 {
  const { placement, width } = strip;
  // As the board lies: its near edge left, its tagged end here.
  const asSawn = new Matrix4()
    .makeBasis(new Vector3(0, 1, 0), new Vector3(1, 0, 0), new Vector3(0, 0, 1))
    .multiply(
      new Matrix4().makeTranslation(-placement.x - placement.length / 2, -placement.y - placement.width / 2, 0),
    );
  const turned = new Matrix4()
    .makeRotationZ(strip.reversed ? Math.PI : 0)
    .multiply(new Matrix4().makeRotationY(strip.heartUp ? Math.PI : 0));
  return new Matrix4()
    .makeTranslation(width / 2, 0, 0)
    .multiply(turned)
    .multiply(asSawn);
}

describe('the leaves of a pair', () => {
  it('opened like a book show their sawn faces, mirrored about the joint, at either edge and end for end', () => {
    const { lay } = laidIn('book');
    let [laid] = [lay()];
    const ways: LaidStrip[][] = [];
    for (const reversed of [false, true]) {
      for (const swapped of [false, true]) {
        const now = swapped ? moveStrip(laid, 0, 1) : laid;
        const kept = choicesOf(now, []);
        ways.push(lay(reversed ? turnedBy(lay(kept), lay(kept)[0]!, kept, 'end-for-end') : kept));
      }
    }
    for (const way of ways) {
      const [left, right] = way;
      expect(partnerOf(way, left!)).toBe(right);
      // The face that was sawn is up on both: that under the upper leaf, that on the lower one.
      for (const leaf of [left!, right!]) expect(leaf.heartUp).toBe(leaf.placement.layer === 0);
      // A mark through both leaves, across the cut.
      const mark = new Vector3(left!.placement.x + 137, left!.placement.y + 21, 0);
      const a = mark.clone().applyMatrix4(placed(left!));
      const b = mark.clone().applyMatrix4(placed(right!));
      const toJoint = left!.width - a.x;
      expect(b.x).toBeCloseTo(toJoint, 9);
      expect(b.y).toBeCloseTo(a.y, 9);
    }
    [laid] = [lay(turnedBy(lay(), lay()[0]!, [], 'over'))];
    // Turned over the outer faces show, and still meet at one edge of the board.
    const mark = new Vector3(laid[0]!.placement.x + 400, laid[0]!.placement.y + 9, 0);
    const [a, b] = [0, 1].map((i) => mark.clone().applyMatrix4(placed(laid[i]!)));
    expect(b!.x).toBeCloseTo(laid[0]!.width - a!.x, 9);
    expect(laid[0]!.heartUp).toBe(laid[0]!.placement.layer === 1);
  });

  it('slipped lie the same way up and the same way round', () => {
    const { lay } = laidIn(
      'slip',
      rack(() => ({ planes: 'tagged-end' })),
    );
    const laid = lay();
    for (let i = 0; i < laid.length; i += 2) {
      const [a, b] = [laid[i]!, laid[i + 1]!];
      expect([b.board.id, b.heartUp, b.reversed, b.planes]).toEqual([a.board.id, a.heartUp, a.reversed, a.planes]);
      const mark = new Vector3(a.placement.x + 50, a.placement.y + 30, 0);
      expect(
        mark
          .clone()
          .applyMatrix4(placed(b))
          .distanceTo(mark.clone().applyMatrix4(placed(a))),
      ).toBeCloseTo(0, 9);
    }
  });

  it('plane opposite ways in a book, and have the pith at the same distance from the joint', () => {
    const { lay } = laidIn(
      'book',
      rack(() => ({ planes: 'far-end', ringCentre: { distance: 90, offset: 25 } })),
    );
    const [left, right] = lay();
    expect(new Set([left!.planes, right!.planes])).toEqual(new Set(['away', 'here']));
    const [a, b] = [left!, right!].map(({ rings }) => rings as { distance: number; offset: number });
    expect(left!.width / 2 - a!.offset).toBeCloseTo(b!.offset + right!.width / 2, 9);
    // Half a board apart in depth, for the rings come from one centre.
    expect(Math.abs(a!.distance - b!.distance)).toBeCloseTo(15, 9);
    expect((a!.distance + b!.distance) / 2).toBeCloseTo(90, 9);
  });

  it('move as one, and change places when one is put where the other is', () => {
    const { lay } = laidIn('book');
    const laid = lay();
    expect(laid).toHaveLength(4);
    const labels = (strips: readonly LaidStrip[]) => strips.map(({ label }) => label);
    const [a, b, c, d] = labels(laid);
    expect(labels(moveStrip(laid, 0, 3))).toEqual([c, d, a, b]);
    expect(labels(moveStrip(laid, 3, 0))).toEqual([c, d, a, b]);
    expect(labels(moveStrip(laid, 0, 1))).toEqual([b, a, c, d]);
    // Kept, and told from one another by more than their place on the board.
    expect(labels(lay(choicesOf(moveStrip(laid, 0, 1), [])))).toEqual([b, a, c, d]);
    // Choices that part a pair do not: its second leaf follows its first.
    const torn = choicesOf([laid[0]!, laid[2]!, laid[1]!, laid[3]!], []);
    expect(labels(lay(torn))).toEqual([a, b, c, d]);
  });

  it('stay side by side in the best order, which is no worse than the one they had', () => {
    const { panel, lay } = laidIn(
      'book',
      rack((i) => ({ tone: ([1, 4, 2, 5, 3] as const)[i]! })),
    );
    const strips = lay();
    const best = bestOrder({ panel, strips, school: 'alternate', choices: [], fasteners: [], margin: 10 });
    expect(best.map(({ label }) => label).sort()).toEqual(strips.map(({ label }) => label).sort());
    for (let i = 0; i < best.length; i += 2) expect(partnerOf(best, best[i]!)).toBe(best[i + 1]);
    const steps = (list: readonly LaidStrip[]) =>
      list.slice(1).reduce((sum, s, i) => sum + Math.abs((s.board.tone ?? 0) - (list[i]!.board.tone ?? 0)), 0);
    expect(steps(best)).toBeLessThanOrEqual(steps(strips));
  });
});
