import { planCase } from './case-work';
import type { Operation, PlanGiven, WorkGiven } from './operation';
import { planTable } from './table-work';

const isOfTable = (given: PlanGiven): given is PlanGiven & WorkGiven =>
  given.piece.build === 'table' && given.document.form.build === 'table';

/** The order of work for a piece, with hours worked and hours waited (common practice; adjust to the shop). */
export const planOperations = (given: PlanGiven): Operation[] =>
  isOfTable(given) ? planTable(given) : planCase(given);
