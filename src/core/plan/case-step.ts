import type { Part } from '../piece/part';
import type { Operation, PlanGiven } from './operation';

/** What is done to a case, without what comes before it. */
export type Step = Pick<Operation, 'id' | 'name' | 'work' | 'wait' | 'caution' | 'parts'>;

/** A case as its work is planned. */
export interface CaseWork extends PlanGiven {
  chest: boolean;
  ids: (...kinds: Part['kind'][]) => string[];
  /** Glued up of boards, and cut from sheets. */
  panels: readonly string[];
  sheets: readonly string[];
  shell: readonly string[];
  within: readonly string[];
}

/** A lid that is sawn off is closed in with the glue. */
export const lidInWalls = ({ form }: CaseWork['document']): boolean => form.top.kind === 'sawn-off';

/** Its back, or a chest's bottom, goes in with the glue. */
export const isGrooved = ({ form }: CaseWork['document']): boolean =>
  form.build === 'case' && form.back.kind === 'grooved';
