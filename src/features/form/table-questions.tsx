'use client';

import { HEIGHT_FIELDS, LOAD_FIELDS, LOAD_QUESTION, SIZE_FIELDS, SIZE_QUESTION, TableFormSchema } from '@/core';
import { BaseFields } from './base-fields';
import { FieldsQuestion } from './form-question';
import { useSizeWords } from './size-words';
import { TopFields } from './top-fields';

/** What is asked of a table. */
export function TableQuestions() {
  return (
    <>
      <FieldsQuestion
        question={SIZE_QUESTION}
        fields={[...SIZE_FIELDS, ...HEIGHT_FIELDS]}
        schema={TableFormSchema}
        at="form"
        answer={useSizeWords()}
      />
      <TopFields />
      <BaseFields />
      <FieldsQuestion question={LOAD_QUESTION} fields={LOAD_FIELDS} schema={TableFormSchema} at="form" />
    </>
  );
}
