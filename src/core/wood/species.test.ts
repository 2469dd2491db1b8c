import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, level, shop } from '../../../tests/fixtures/demo';
import { read } from '../decision/issues';
import { leadingWidthAt } from '../season/size-at';
import { ALL_SPECIES, findSpecies, type OwnSpecies, OwnSpeciesSchema, speciesSource, speciesWith } from './species';

const own: OwnSpecies = {
  ...{ id: 'plum-orchard', commonName: 'Orchard plum', botanicalName: 'Prunus domestica', kind: 'hardwood' },
  ...{ shrinkageRadial: null, shrinkageTangential: null, shrinkageVolumetric: null, fibreSaturation: 30 },
  ...{ coefficientRadial: 0.0018, coefficientTangential: 0.0034, specificGravity: 0.7 },
  ...{ modulusOfElasticity: 10500, modulusOfRupture: 95, outdoorDurability: 'low' },
  ...{ source: 'own', sourceNote: 'measured on our own sticks, 2026' },
} as OwnSpecies;

describe('woods of the workshop’s own', () => {
  it('stand beside the table’s, or in place of one of them', () => {
    expect(findSpecies('plum-orchard')).toBeUndefined();
    expect(findSpecies('plum-orchard', [own])).toBe(own);
    expect(speciesWith([own])).toHaveLength(ALL_SPECIES.length + 1);
    const oak = { ...own, id: 'oak-white' };
    expect(findSpecies('oak-white', [oak])!.coefficientTangential).toBe(0.0034);
    expect(speciesWith([oak])).toHaveLength(ALL_SPECIES.length);
    expect(findSpecies('oak-white')!.coefficientTangential).toBe(0.00376);
  });

  it('a job takes their values, and its figures name their source', () => {
    const withOak = { shop: { ...shop, species: [{ ...own, id: 'oak-white', coefficientTangential: 0.006 }] } };
    const [plain, mine] = [derive(demoJob('2-long-table')), derive(demoJob('2-long-table'), withOak)];
    expect(leadingWidthAt(mine.season, 14)).toBeGreaterThan(leadingWidthAt(plain.season, 14) + 3);
    expect(mine.figures['top-swing']!.source).toContain('measured on our own sticks');
    expect(speciesSource(own)).toBe(own.sourceNote);
  });

  it.each([
    ['no source', { sourceNote: ' ' }, 'sourceNote'],
    ['no name', { commonName: '' }, 'commonName'],
    ['an id of other letters', { id: 'Plum!' }, 'id'],
    ['coefficients the wrong way round', { coefficientRadial: 0.004 }, 'coefficientTangential'],
    ['a coefficient in percent', { coefficientTangential: 0.34 }, 'coefficientTangential'],
    ['wood heavier than any', { specificGravity: 2 }, 'specificGravity'],
  ])('%s is refused with its place', (_, part, where) => {
    const result = read(OwnSpeciesSchema, { ...own, ...part }, 'the wood');
    expect('problems' in result && result.problems[0]!.where).toBe(where);
  });
});

describe('leg and apron that lie flush (common practice: a reveal of about 5 mm hides it)', () => {
  it('are felt within the year, and a reveal is the way out', () => {
    const flush = derive(
      change(demoJob('2-long-table'), (d) => {
        d.form.base.apron.reveal = 0;
      }),
    );
    const check = flush.checks.find((c) => c.id === 'season.step-at-legs')!;
    expect(check.level).toBe('watch');
    expect(check.wayOut!.changes).toEqual([{ path: 'form.base.apron.reveal', value: 5 }]);
    expect(level(derive(demoJob('2-long-table')), 'season.step-at-legs')).toBe('good');
  });
});
