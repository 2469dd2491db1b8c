import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change } from '../../../tests/fixtures/demo';
import { jointFamilies } from '../drawing/joint-drawing';
import { travelOfTop } from '../season/restraint-of-piece';
import { dot } from '../solid/vector';
import { HOLDS } from './table/holds/hold';

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

  it('a joint that grain runs along says so, and steel or boards across a rail have words of their own', () => {
    for (const { name, document } of CONSTRUCTIONS) {
      const { piece } = derived(document);
      for (const joint of piece.joints.filter(({ kind }) => kind === 'screwed')) {
        const [a, b] = [joint.into, joint.from].map((id) => piece.parts.find((part) => part.id === id)!);
        expect(a!.material ?? b!.material, name).toBeUndefined();
        expect(Math.abs(dot(a!.frame.length, b!.frame.length)), name).toBeGreaterThan(0.9);
      }
    }
  });

  it('what slides and is no fastener of the top is listed as what it is', () => {
    const whats = (words: string) => {
      const { piece, restraint } = derived(CONSTRUCTIONS.find((c) => c.name.includes(words))!.document);
      return new Set(travelOfTop(piece, restraint).map(({ what }) => what));
    };
    expect(whats('three fields with stripes')).toContain('tenon');
    expect(whats('a refectory table')).toContain('peg');
    expect(whats('with glass between')).toContain('glass');
    for (const { one, measured } of Object.values(HOLDS)) expect(measured, one).not.toBe('');
    expect(HOLDS['figure-eight'].measured).not.toMatch(/slot|shank/);
  });
});
