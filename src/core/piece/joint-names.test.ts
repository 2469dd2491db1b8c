import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change } from '../../../tests/fixtures/demo';
import { jointFamilies } from './joint-drawing';

describe('what is listed and judged is there', () => {
  it.each(CONSTRUCTIONS.map((c) => [c.name, c.document] as const))('%s: no two joints of one name', (_, document) => {
    const words = jointFamilies(derived(document).piece).map((own) => own.words);
    expect(new Set(words).size, words.join('; ')).toBe(words.length);
  });

  it('glass has no fibres, a box without fasteners no travel, a glued seam no tenons', () => {
    for (const { name, document } of CONSTRUCTIONS) {
      const job = derived(document);
      const check = (id: string) => job.checks.find((own) => own.id === id);
      const curved = check('form.short-grain');
      for (const id of curved?.where ?? []) {
        expect(job.piece.parts.find((part) => part.id === id)?.material, name).toBeUndefined();
      }
      if (job.piece.fasteners.length === 0) expect(check('season.top-travel'), name).toBeUndefined();
      // Nothing is cut in rails for fasteners that are not there.
      if (job.piece.fasteners.length === 0) expect(job.operations.map(({ id }) => id)).not.toContain('groove');
    }
    const seams = change(CONSTRUCTIONS.find((c) => c.name.includes('two fields end to end'))!.document, (d) => {
      if (d.form.top.kind === 'pieced') d.form.top.seam = 'glued';
    });
    expect(derived(seams).checks.map(({ id }) => id)).not.toContain('pieced.seams-carried');
  });
});
