import * as v from 'valibot';
import { CaseFormSchema } from './case/form';
import { TableFormSchema } from './table/form';

/** How a piece is composed, told apart by its `build`; a form that does not say it is a table. */
export const FormSchema = v.variant('build', [TableFormSchema, CaseFormSchema]);
export type Form = v.InferOutput<typeof FormSchema>;
