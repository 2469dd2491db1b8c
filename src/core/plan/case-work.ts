import { madeParts } from '../piece/material';
import { isPanel, type Part } from '../piece/part';
import { carcassSteps, frameSteps, jointSteps, openingSteps, panelSteps, shapingSteps } from './case-carcass-work';
import { checkedOver, closingSteps, frontSteps, standSteps } from './case-fitting-work';
import type { CaseWork, Step } from './case-step';
import { finishing } from './finishing';
import { milling } from './milling';
import type { Operation, PlanGiven } from './operation';

/**
 * The order of work for a case: panels, joints, inside finished before it is glued, carcass, back, finish (common practice).
 * Hours by the number of panels and joints; adjust to the shop.
 */
export function planCase(given: PlanGiven): Operation[] {
  const { document, piece, boards, resaw } = given;
  const made = madeParts(piece);
  const all = made.map(({ id }) => id);
  const ids = (...kinds: Part['kind'][]) => made.filter(({ kind }) => kinds.includes(kind)).map(({ id }) => id);
  const work: CaseWork = {
    ...given,
    chest: piece.build === 'case' && piece.opens === 'above',
    ids,
    panels: made.filter(({ kind, wood }) => isPanel(kind) && !wood?.sheet).map(({ id }) => id),
    sheets: made.filter(({ wood }) => wood?.sheet).map(({ id }) => id),
    shell: ids('side', 'case-top', 'case-bottom', 'case-post'),
    within: ids('upright', 'case-shelf', 'case-rail'),
  };
  const operations = milling({ boards, resaw, parts: all });
  const put = (group: Operation['group'], steps: readonly Step[], first: readonly string[]): readonly string[] =>
    steps.reduce<readonly string[]>((after, step) => {
      operations.push({ ...step, group, after });
      return [step.id];
    }, first);
  const stood = put(
    'Case',
    [
      ...panelSteps(work),
      ...jointSteps(work),
      ...openingSteps(work),
      ...shapingSteps(work),
      ...frameSteps(work),
      ...carcassSteps(work),
      ...frontSteps(work),
      ...standSteps(work),
    ],
    ['final-mill'],
  );
  const area = made.reduce((sum, { size }) => sum + (2 * size.length * size.width) / 1e6, 0);
  const finished = finishing({ document, piece, area, sanded: { name: 'the case', parts: all } }, stood);
  operations.push(...finished.operations);
  const closed = put('Case', closingSteps(work), finished.before);
  put('Delivery', [checkedOver(work, all)], closed);
  return operations;
}
