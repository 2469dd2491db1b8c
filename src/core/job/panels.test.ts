import { describe, expect, it } from 'vitest';
import { boards, change, demoJobs, derive, onlyPiece } from '../../../tests/fixtures/demo';
import { fullSizeDrawings } from '../format/full-size';
import { choicesAmong, choicesOf } from '../glueup/lay-panel';
import { planLayout } from '../layout/plan-layout';
import { keptOffJoints, outlineOfPanel, panelOfTop } from './panels';

const guests = onlyPiece(demoJobs().find(({ name }) => name.includes('leaves'))!);
const table = change(guests, (d) => {
  d.glueUp.level = 'biscuits';
});
const first = derive(table, { boards });
const layout = planLayout(first.demand, first.boards, { ...first.layoutOptions, effort: 200 });
const job = derive(table, { boards, layout });
const { piece, panels } = job;

describe('each panel of a piece', () => {
  it('has strips of its own from the layout, as wide as it is glued', () => {
    expect(panels.length).toBeGreaterThan(1);
    for (const { demand, laid, trim } of panels) {
      const width = laid.reduce((sum, strip) => sum + strip.width, 0);
      expect(width).toBeGreaterThanOrEqual(demand.rough.width - 1e-6);
      expect(trim!.left + trim!.right).toBeCloseTo(width - demand.finished.width, 6);
      expect(laid.every(({ placement }) => placement.part.endsWith(demand.id))).toBe(true);
    }
    expect(panelOfTop(job)!.demand.id).toBe(piece.top.leading);
  });

  it('is kept level by itself, marked from a stick of its own, and keeps off what is driven into it', () => {
    for (const { demand, edges } of panels) {
      if (piece.parts.some((part) => part.oneWith === demand.id)) {
        // Crosscut later: nobody knows yet where they may stand.
        expect(edges).toBeNull();
        continue;
      }
      const part = piece.parts.find(({ id }) => id === demand.id)!;
      const half = Math.max(...outlineOfPanel(piece, part).map(([x]) => x));
      for (const { places } of edges!.joints)
        for (const x of places) expect(Math.abs(x)).toBeLessThanOrEqual(half - 40);
      const own = piece.fasteners.filter(({ holds }) => holds === demand.id).map(({ y }) => part.frame.at[1] - y);
      for (const across of own) expect(keptOffJoints(piece, demand.id)).toContainEqual(expect.closeTo(across, 9));
    }
    const sticks = fullSizeDrawings(piece, { system: 'metric' }, panels).map(({ id }) => id);
    expect(new Set(sticks).size).toBe(sticks.length);
  });

  it('moves through the season with its own strips, their widths adding up to its own', () => {
    for (const { demand, inSeason, laid } of panels) {
      expect(inSeason).toHaveLength(laid.length);
      const sum = inSeason.reduce((all, strip) => all + strip.width, 0);
      const of = demand.id === piece.top.leading ? piece.top.size.width : demand.finished.width;
      expect(sum).toBeCloseTo(of, 6);
    }
  });

  it('is laid anew without forgetting what was chosen of another', () => {
    const [a, b] = panels;
    const chosen = [...choicesOf(a!.laid, []), ...choicesOf(b!.laid, [])];
    expect(choicesAmong(b!.laid, chosen)).toEqual(choicesOf(b!.laid, []));
    expect(choicesAmong([], chosen)).toEqual([]);
  });
});
