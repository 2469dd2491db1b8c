import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, thickBoards } from '../../../tests/fixtures/constructions';
import { derive, shop } from '../../../tests/fixtures/demo';
import type { Shop } from '../decision/shop';
import { slotsOf } from './slots';

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

describe('slots by the tool that makes them', () => {
  const checkOf = (words: string, tools: Partial<Shop['tools']>) =>
    derive(CONSTRUCTIONS.find((c) => c.name.includes(words))!.document, {
      shop: { ...shop, tools: { ...shop.tools, ...tools } },
      boards: thickBoards,
    }).checks.find((c) => c.id === 'machines.other-mortises')!;

  it('the fork of a bridle is as deep as the saw cuts, or it is told', () => {
    const { amount } = checkOf('an oval table', { sawDepth: 10, resawHeight: 0 }).value;
    expect(amount).toBeGreaterThan(20);
    expect(checkOf('an oval table', { sawDepth: amount, resawHeight: 0 }).level).toBe('good');
    const short = checkOf('an oval table', { sawDepth: amount - 1, resawHeight: 0 });
    expect(short.level).toBe('watch');
    expect(JSON.stringify(short.wayOut!.say)).not.toMatch(/chisel/);
    // Or no higher than the band saw takes it.
    expect(checkOf('an oval table', { sawDepth: 10, resawHeight: 250 }).level).toBe('good');
    expect(checkOf('an oval table', { sawDepth: 10, resawHeight: 5 }).level).toBe('watch');
  });

  it('a long groove is never told to be cut in rows with a chisel', () => {
    for (const { name, document } of CONSTRUCTIONS) {
      const { piece, checks } = derive(document, {
        shop: {
          ...shop,
          tools: { ...shop.tools, mortises: { widths: [3], depth: 200 }, cutters: [], kerf: 9, sawDepth: 10 },
        },
        boards: thickBoards,
      });
      const told = checks.find((c) => c.id === 'machines.other-mortises');
      if (told?.level !== 'watch' || !JSON.stringify(told.wayOut!.say).includes('in rows')) continue;
      const slot = slotsOf(piece).find(
        ({ cut, joint, deep }) =>
          cut.part === told.where[0] && joint.from === told.where[1] && deep === told.value.amount,
      )!;
      expect(slot.cut.what === 'mortise' || slot.long <= 6 * slot.wide, name).toBe(true);
    }
  });

  it('a groove open at both ends is sawn in passes', () => {
    const splined = checkOf('box stool', { mortises: { widths: [], depth: 0 }, cutters: [], kerf: 3, sawDepth: 60 });
    expect(splined.level).toBe('good');
    expect(checkOf('box stool', { mortises: { widths: [], depth: 0 }, cutters: [], kerf: 9, sawDepth: 60 }).level).toBe(
      'watch',
    );
  });
});

describe('round holes', () => {
  const by = (words: string, tools: Partial<Shop['tools']>) =>
    derive(CONSTRUCTIONS.find((c) => c.name.includes(words))!.document, {
      shop: { ...shop, tools: { ...shop.tools, ...tools } },
      boards: thickBoards,
    }).checks;
  const levelOf = (checks: ReturnType<typeof by>, id: string) => checks.find((c) => c.id === id)?.level;

  it('want a bit of their size, and dowels in stock', () => {
    const low = 'cross-dowelled mitres';
    const none = by(low, { borers: [], dowels: [] });
    expect(levelOf(none, 'machines.bits')).toBe('watch');
    const size = none.find((c) => c.id === 'machines.bits')!.value.amount;
    const both = by(low, { borers: [size], dowels: [{ diameter: size, length: 60 }] });
    expect(levelOf(both, 'machines.bits')).toBe('good');
    expect(levelOf(both, 'machines.other-dowels')).toBe('good');
    expect(levelOf(by(low, { borers: [size], dowels: [] }), 'machines.other-dowels')).toBe('watch');
  });

  it('for pegs want a bit and no dowels: pegs are split and driven through a plate', () => {
    const pegged = by('draw-bored pegs', { borers: [], dowels: [] });
    expect(levelOf(pegged, 'machines.bits')).toBe('watch');
    expect(levelOf(pegged, 'machines.other-dowels')).toBeUndefined();
  });
});

describe('parts and cut-outs by the saw and the cutter', () => {
  const of = (words: string, tools: Partial<Shop['tools']>, id: string) =>
    derive(CONSTRUCTIONS.find((c) => c.name.includes(words))!.document, {
      shop: { ...shop, tools: { ...shop.tools, ...tools } },
      boards: thickBoards,
    }).checks.find((c) => c.id === id);

  it('a part wider than the saw crosscuts is told, flat or on edge', () => {
    const saw = (crosscut: number, sawDepth: number) =>
      of('a refectory table', { crosscut, sawDepth }, 'machines.part-crosscut')!.level;
    expect(saw(600, 200)).toBe('good');
    expect(saw(100, 30)).toBe('watch');
  });

  it('a cut-out deeper than the longest cutter is told', () => {
    const by = (reach: number) => of('with outlets', { cutters: [{ diameter: 12, reach }] }, 'machines.cut-out')!.level;
    const { amount } = of('with outlets', {}, 'machines.cut-out')!.value;
    expect(by(amount)).toBe('good');
    expect(by(amount - 1)).toBe('watch');
  });
});
