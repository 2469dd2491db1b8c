import { expect, it } from 'vitest';
import { CONSTRUCTIONS } from '../../../tests/fixtures/constructions';
import { withChanges } from '../document/job-document';
import { writePhrase } from '../measure/write-quantity';
import { BASE_KINDS, TOP_KINDS } from '../piece/table/form';
import { sayKindChange } from './kind-change';
import { startBaseChanges, startTopChanges } from './start-form';

const metric = { system: 'metric' } as const;

it('every kind that can be taken says what it changes, and only what then is different', () => {
  for (const { document } of CONSTRUCTIONS) {
    const { form } = document;
    for (const changes of [
      ...TOP_KINDS.map(({ kind }) => startTopChanges(kind, form)),
      ...BASE_KINDS.map(({ kind }) => startBaseChanges(kind, form)),
    ]) {
      const said = sayKindChange(changes, form).map((phrase) => writePhrase(phrase, metric));
      const next = withChanges({ form }, changes).form as typeof form;
      expect(said.some((text) => text.startsWith('Top:'))).toBe(next.top.kind !== form.top.kind);
      expect(said.some((text) => text.startsWith('Base:'))).toBe(next.base.kind !== form.base.kind);
      expect(said.some((text) => text.startsWith('Held by'))).toBe(next.hold.kind !== form.hold.kind);
      if (next.top.endOverhang !== form.top.endOverhang && next.top.kind === form.top.kind)
        expect(said.some((text) => text.startsWith('Overhang, ends'))).toBe(true);
      if (changes.length === 0) expect(said).toEqual([]);
    }
  }
});
