import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, insertedCorner, shop, sixSeats } from '../../../tests/fixtures/demo';
import type { Shop } from '../decision/shop';
import { withChanges } from '../document/job-document';
import { writePhrase } from '../measure/write-quantity';

const withTools = (part: Partial<Shop['tools']>) => ({ shop: { ...shop, tools: { ...shop.tools, ...part } } });
const check = (job: ReturnType<typeof derive>, id: string) => job.checks.find((c) => c.id === id)!;

describe('what the shop’s cutters make', () => {
  const document = sixSeats();
  const { tenon } = insertedCorner(derive(document).piece);

  it('is told for the mortise’s width: in one row, in two, or by hand', () => {
    const by = (widths: number[]) =>
      check(derive(document, withTools({ mortises: { widths, depth: 100 } })), 'machines.mortise-width');
    expect(by([6, tenon.thickness]).level).toBe('good');
    const two = by([tenon.thickness - 2]);
    expect(two.level).toBe('watch');
    expect(writePhrase(two.wayOut!.say, { system: 'metric' })).toMatch(/two rows/);
    expect(writePhrase(by([tenon.thickness + 3]).wayOut!.say, { system: 'metric' })).toMatch(/by hand/);
  });

  it('is told for its depth, with a way out that stays within it', () => {
    const tools = withTools({ mortises: { widths: [tenon.thickness], depth: tenon.length - 5 } });
    const deep = check(derive(document, tools), 'machines.mortise-depth');
    expect(deep.level).toBe('watch');
    const shorter = derive(withChanges(document, deep.wayOut!.changes), tools);
    expect(check(shorter, 'machines.mortise-depth').level).toBe('good');
    expect(insertedCorner(shorter.piece).tenon.length).toBe(tenon.length - 5);
  });

  it('is told for loose tenons only where there are some', () => {
    expect(check(derive(document), 'machines.loose-tenon')).toBeUndefined();
    const loose = change(document, (d) => {
      d.joints.corner = 'loose-tenon';
    });
    const { tenon: wanted } = insertedCorner(derive(loose).piece);
    const stock = { thickness: wanted.thickness, width: wanted.width, length: wanted.length + wanted.intoApron };
    expect(check(derive(loose, withTools({ looseTenons: [stock] })), 'machines.loose-tenon').level).toBe('good');
    const longer = [{ ...stock, length: stock.length + 20 }];
    expect(check(derive(loose, withTools({ looseTenons: longer })), 'machines.loose-tenon').level).toBe('watch');
  });
});

describe('the top on saw and bench', () => {
  it('is cut square on the saw up to its crosscut, and along a track beyond it', () => {
    const document = demoJob('2-long-table');
    const width = derive(document).piece.overall.width;
    expect(check(derive(document, withTools({ crosscut: width })), 'machines.crosscut').level).toBe('good');
    const wide = check(derive(document, withTools({ crosscut: width - 1 })), 'machines.crosscut');
    expect(wide.level).toBe('watch');
    expect(writePhrase(wide.wayOut!.say, { system: 'metric' })).toMatch(/track-guided/);
  });

  it('lies steady while no more than a third hangs over', () => {
    const document = demoJob('2-long-table');
    const { length, width } = derive(document).piece.overall;
    const on = (bench: { length: number; width: number }) =>
      check(derive(document, { shop: { ...shop, space: { ...shop.space, bench } } }), 'machines.bench').level;
    expect(on({ length: (length * 2) / 3 + 1, width })).toBe('good');
    expect(on({ length: (length * 2) / 3 - 1, width })).toBe('watch');
  });
});

describe('sections in their clamps', () => {
  it('are glued in turns where there is no room for all', () => {
    const document = change(demoJob('2-long-table'), (d) => {
      d.glueUp.staging = 'planer-width';
    });
    const sections = derive(document).glueUps[0]!.stages.length - 1;
    expect(sections).toBeGreaterThan(1);
    const at = (drying: number) =>
      check(derive(document, { shop: { ...shop, space: { ...shop.space, drying } } }), 'glue-up.sections.room');
    expect(at(sections)).toBeUndefined();
    expect(at(sections - 1).level).toBe('watch');
  });
});
