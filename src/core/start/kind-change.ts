import type { Change } from '../document/job-document';
import { mm, type Phrase, say } from '../measure/quantity';
import { baseKind, type TableForm, topKind } from '../piece/table/form';
import { HOLDS } from '../piece/table/holds/hold';

/** Says what a change of the kind of top or base changes beside it: one sentence for each decision. */
export function sayKindChange(changes: readonly Change[], form: TableForm): Phrase[] {
  return changes.flatMap(({ path, value }): Phrase[] => {
    switch (path) {
      case 'form.top': {
        const next = value as TableForm['top'];
        return [say`Top: ${topKind(form.top.kind).name.toLowerCase()} → ${topKind(next.kind).name.toLowerCase()}.`];
      }
      case 'form.base': {
        const next = value as TableForm['base'];
        return [say`Base: ${baseKind(form.base.kind).name.toLowerCase()} → ${baseKind(next.kind).name.toLowerCase()}.`];
      }
      case 'form.hold': {
        const next = value as TableForm['hold'];
        if (next.kind === form.hold.kind) return [];
        return [say`Held by ${HOLDS[form.hold.kind].name.toLowerCase()} → ${HOLDS[next.kind].name.toLowerCase()}.`];
      }
      case 'form.top.endOverhang':
        return changed('Overhang, ends', form.top.endOverhang, Number(value));
      case 'form.top.sideOverhang':
        return changed('Overhang, sides', form.top.sideOverhang, Number(value));
      default:
        return [];
    }
  });
}

const changed = (what: string, from: number, to: number): Phrase[] =>
  Math.abs(from - to) < 1e-6 ? [] : [say`${what}: ${mm(from)} → ${mm(to)}.`];
