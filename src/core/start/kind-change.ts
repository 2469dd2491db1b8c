import type { Change } from '../document/job-document';
import { mm, type Phrase, say } from '../measure/quantity';
import type { CaseForm } from '../piece/case/form';
import { OPENS } from '../piece/case/form-fields';
import { backKind, caseTopKind, cornerKind, fixingKind, standKind } from '../piece/case/kinds';
import { baseKind, type TableForm, topKind } from '../piece/table/form';
import { HOLDS } from '../piece/table/holds/hold';

/** Says what a change of a kind of a case changes: one sentence for each decision. */
export function sayCaseChange(changes: readonly Change[], form: CaseForm): Phrase[] {
  const named = (what: string, from: string, to: string) => [say`${what}: ${lower(from)} → ${lower(to)}.`];
  return changes.flatMap(({ path, value }): Phrase[] => {
    switch (path) {
      case 'form.carcass.corner': {
        const next = value as CaseForm['carcass']['corner'];
        return named('Carcass', cornerKind(form.carcass.corner.kind).name, cornerKind(next.kind).name);
      }
      case 'form.back': {
        const next = value as CaseForm['back'];
        return named('Back', backKind(form.back.kind).name, backKind(next.kind).name);
      }
      case 'form.top': {
        const next = value as CaseForm['top'];
        return named('Over it', caseTopKind(form.top.kind).name, caseTopKind(next.kind).name);
      }
      case 'form.inside.fixing': {
        const next = value as CaseForm['inside']['fixing'];
        return named('Shelves', fixingKind(form.inside.fixing.kind).name, fixingKind(next.kind).name);
      }
      case 'form.opens':
        return named('Opens', OPENS[form.opens].name, OPENS[value as CaseForm['opens']].name);
      case 'form.alcove':
        return form.alcove && value === null ? [say`It stands free, and not in its alcove.`] : [];
      case 'form.inside.cells':
        return form.inside.cells.some(({ loose }) => loose > 0) ? [say`Its loose shelves are taken out.`] : [];
      case 'form.stand': {
        const next = value as CaseForm['stand'];
        return named('Stands on', standKind(form.stand.kind).name, standKind(next.kind).name);
      }
      default:
        return [];
    }
  });
}

const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);

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
