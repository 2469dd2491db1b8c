import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, thickBoards } from '../../../tests/fixtures/constructions';
import { derive, shop } from '../../../tests/fixtures/demo';
import type { Shop } from '../decision/shop';

const trestle = CONSTRUCTIONS.find((c) => c.name.includes('a refectory table'))!.document;
const withTools = (tools: Partial<Shop['tools']>) =>
  derive(trestle, { shop: { ...shop, tools: { ...shop.tools, ...tools } }, boards: thickBoards }).checks.find(
    (c) => c.id === 'machines.other-mortises',
  )!;

describe('mortises beside those of legs and aprons, by the cutters on hand', () => {
  it('with every width in the mortiser and its depth, all are made', () => {
    const widths = Array.from({ length: 29 }, (_, i) => 4 + i / 2).concat([20, 22, 24, 26, 28, 30, 32, 34, 36, 40]);
    const all = withTools({
      mortises: { widths: widths.slice(0, 30), depth: 300 },
      cutters: [{ diameter: 2, reach: 150 }],
    });
    expect(all.level).toBe('good');
    expect(all.wayOut).toBeUndefined();
  });

  it('with none, the deepest is told with its size, and how it is made by hand', () => {
    const none = withTools({ mortises: { widths: [], depth: 0 }, cutters: [] });
    expect(none.level).toBe('watch');
    expect(none.value.amount).toBeGreaterThan(20);
    expect(JSON.stringify(none.wayOut!.say)).toMatch(/by hand/);
    expect(none.where.length).toBe(2);
  });

  it('a cutter thin enough and as long as the mortise is deep makes it, one a little short does not', () => {
    const { amount } = withTools({ mortises: { widths: [], depth: 0 }, cutters: [] }).value;
    const by = (reach: number) =>
      withTools({ mortises: { widths: [], depth: 0 }, cutters: [{ diameter: 3, reach }] }).level;
    expect(by(Math.ceil(amount))).toBe('good');
    expect(by(Math.floor(amount) - 2)).toBe('watch');
  });

  it('is asked at every base with mortises, and not where there are none', () => {
    const asked = (words: string) =>
      derived(CONSTRUCTIONS.find((c) => c.name.includes(words))!.document).checks.some(
        (c) => c.id === 'machines.other-mortises',
      );
    for (const words of ['a refectory table', 'a desk on crossed legs', 'an oval table', 'box stool']) {
      expect(asked(words), words).toBe(true);
    }
    expect(asked('four bought-in steel legs')).toBe(true);
    expect(asked('resin on frames')).toBe(false);
  });
});
