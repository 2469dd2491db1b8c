import type { CaseForm } from './case/form';
import type { TableForm } from './table/form';

/** How a piece is composed, told apart by its `build`. */
export type Form = TableForm | CaseForm;
