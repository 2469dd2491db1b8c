'use client';

import { useRouter } from 'next/navigation';
import {
  baseKind,
  CARCASS_FIELDS,
  CASE_LOAD_FIELDS,
  CASE_SIZE_FIELDS,
  type Check,
  INSIDE_FIELDS,
  SIZE_FIELDS,
  topKind,
  writePhrase,
} from '@/core';
import { useUnits } from '@/ui/units';
import type { Found } from './find';
import { useJobState, useShownPiece, useStepHref } from './job-context';
import { STEPS } from './steps';

/** Files that can be saved of a job; each is in the dialog of sheets and files. */
const FILES = [
  'Sheet, PDF',
  'Boards, PDF',
  'Full size, PDF',
  'Cut list, CSV',
  'Layout, DXF',
  'Piece, glTF',
  'Job file',
];

const CASE_FIELDS = [...CASE_SIZE_FIELDS, ...CARCASS_FIELDS, ...INSIDE_FIELDS, ...CASE_LOAD_FIELDS];

/** How long a field is waited for after its step was gone to, ms. */
const PATIENCE = 3000;

/** Goes to a field by its label, as soon as its step shows it. */
function focusField(label: string) {
  const until = performance.now() + PATIENCE;
  const look = () => {
    const found = [...document.querySelectorAll('main label')].find((own) => own.textContent?.trim() === label);
    const field = found instanceof HTMLLabelElement ? found.control : null;
    // Its question is opened, where it is closed.
    const question = field?.closest('details');
    if (question) question.open = true;
    if (field instanceof HTMLElement) field.focus();
    else if (performance.now() < until) setTimeout(look, 60);
  };
  look();
}

const label = (of: unknown): string[] => (typeof of === 'string' ? [of] : []);

/** What of a job can be found by a few letters: its steps, its checks, its sizes, its files, and what can be done. */
export function useFoundInJob(openSheets: () => void): readonly Found[] {
  const router = useRouter();
  const hrefOf = useStepHref();
  const { style } = useUnits();
  const shown = useShownPiece();
  const undo = useJobState((state) => state.undo);
  const redo = useJobState((state) => state.redo);
  const steps = STEPS.map((row) => ({ label: row.title, detail: 'step of this job', href: hrefOf(row.step) }));
  if (!shown) return steps;
  const nameOf = (step: Check['step']) => STEPS.find((row) => row.step === step)?.title ?? '';
  const checks = shown.checks
    .filter(({ level }) => level !== 'good')
    .map(({ sentence, level, step }) => ({
      label: `${level}, ${nameOf(step)}`,
      detail: writePhrase(sentence, style),
      href: hrefOf(step),
    }));
  const { form } = shown.document;
  const asked =
    form.build === 'table'
      ? [...SIZE_FIELDS, ...topKind(form.top.kind).fields, ...baseKind(form.base.kind).fields]
      : CASE_FIELDS;
  const fields = [...new Set(asked.flatMap((field) => label(field.label)))].map((name) => ({
    label: name,
    detail: 'in Form',
    href: hrefOf('form'),
    run: () => {
      router.push(hrefOf('form'));
      focusField(name);
    },
  }));
  const files = FILES.map((name) => ({ label: name, detail: 'file of this job', href: '', run: openSheets }));
  const commands = [
    { label: 'Undo', detail: 'the last change', href: '', run: () => void undo() },
    { label: 'Redo', detail: 'what was undone', href: '', run: () => void redo() },
  ];
  return [...steps, ...fields, ...files, ...commands, ...checks];
}
