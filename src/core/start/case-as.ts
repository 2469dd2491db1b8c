import type { Change } from '../decision/changes';
import { withChanges } from '../decision/changes';
import type { CaseForm } from '../piece/case/form';
import { divideCell, WHOLE } from '../piece/case/inside/cells';
import { startBackChanges, startCornerChanges, startFrontChanges, startStandChanges } from './start-case';

/** Kinds that a case begins with where they are not the usual ones of its use. */
export interface CaseAs {
  corner?: CaseForm['carcass']['corner']['kind'];
  front?: CaseForm['front']['kind'];
  back?: CaseForm['back']['kind'];
  stand?: CaseForm['stand']['kind'];
  /** Its inside in so many openings over one another, rails between them. */
  rails?: number;
  /** In so many bays beside one another. */
  bays?: number;
}

/** A first case with such kinds. Nothing was decided before: there is nothing to come back to. */
export function caseAs(form: CaseForm, { corner, front, back, stand, rails, bays }: CaseAs): CaseForm {
  let made = form;
  const take = (changes: readonly Change[]) => {
    made = withChanges({ form: made }, changes).form;
  };
  if (corner) take(startCornerChanges(corner, made));
  if (front) take(startFrontChanges(front, made));
  if (back) take(startBackChanges(back, made));
  if (stand) take(startStandChanges(stand, made));
  if (rails) take([{ path: 'form.inside.cells', value: divideCell([WHOLE], WHOLE.id, 'rails', rails) }]);
  if (bays) take([{ path: 'form.inside.cells', value: divideCell([WHOLE], WHOLE.id, 'uprights', bays) }]);
  return { ...made, aside: form.aside };
}
