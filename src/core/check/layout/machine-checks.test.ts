import { describe, expect, it } from 'vitest';
import { shop } from '../../../../tests/fixtures/demo';
import { aBoard, aPart, demandFor, plainOptions } from '../../../../tests/fixtures/layout-parts';
import type { Shop } from '../../decision/shop';
import { planLayout } from '../../layout/plan-layout';
import { writePhrase } from '../../measure/write-quantity';
import { findSpecies } from '../../wood/species';
import { machineChecks } from './machine-checks';

const oak = findSpecies('oak-white')!;
const boards = [aBoard('K1', 2400, 280, { thickness: 60, surface: 'rough' }), aBoard('K2', 1000, 200)];
const demand = demandFor([aPart('long', 2000, 250, 40), aPart('short', 240, 60)]);
const layout = planLayout(demand, boards, plainOptions);
const roomy: Partial<Shop['tools']> = {
  jointerWidth: 300,
  jointerLength: 2100,
  planerShortest: 200,
  sawDepth: 70,
  lift: 60,
};
const found = (part: Partial<Shop['tools']>) =>
  machineChecks({
    layout,
    boards,
    species: oak,
    shop: { ...shop, tools: { ...shop.tools, ...roomy, ...part } },
    nameOf: (p) => p.part,
  });

describe('what a layout asks of the machines', () => {
  it('is nothing where they are large enough', () => {
    expect(layout.shortfall).toEqual([]);
    expect(found({})).toEqual([]);
  });

  it.each<[string, Partial<Shop['tools']>, RegExp, RegExp]>([
    ['jointer-width', { jointerWidth: 240, planerWidth: 300 }, /long is up to 250 mm wide/, /sled through the planer/],
    ['jointer-width', { jointerWidth: 240, planerWidth: 245 }, /the jointer takes 240 mm/, /hand planes/],
    [
      'jointer-length',
      { jointerLength: 1900 },
      /A blank is 2\s000 mm long; the jointer makes 1\s900 mm straight/,
      /track-guided/,
    ],
    ['planer-short', { planerShortest: 300 }, /short is down to 240 mm long/, /one length with its neighbour/],
    ['saw-depth', { sawDepth: 50 }, /K1 is 60 mm thick; the saw cuts 50 mm deep/, /two passes/],
    ['saw-depth', { sawDepth: 25 }, /K1 is 60 mm thick/, /band saw/],
    // 2.4 × 0.28 × 0.06 m of oak.
    ['heavy-boards', { lift: 20 }, /K1 weighs \d/, /second person/],
  ])('%s is told with the way round it', (id, tools, says, wayOut) => {
    const [check, ...others] = found(tools);
    expect(others).toEqual([]);
    expect(check!.id).toBe(`machines.${id}`);
    expect(writePhrase(check!.sentence, { system: 'metric' })).toMatch(says);
    expect(writePhrase(check!.wayOut!.say, { system: 'metric' })).toMatch(wayOut);
  });
});
