import type { FormField } from '../../decision/form-field';
import type { PartKind } from '../part';

/** What a maker asks of a piece in one go: fields that belong together, and the parts that they are about. */
export interface FormQuestion {
  id: string;
  ask: string;
  /** First keys of the paths of its fields. */
  of: readonly string[];
  parts: readonly PartKind[];
  /** Parts that are lit beside those of its kinds: by their ids. */
  named?: RegExp;
}

const TOP: readonly PartKind[] = ['top', 'slat', 'slab', 'leaf', 'border', 'sheet', 'fill', 'breadboard'];

/** Of a top, in a maker's order; what is in none of them belongs to the kind of top. */
export const TOP_QUESTIONS: readonly FormQuestion[] = [
  { id: 'ends', ask: 'How do its ends finish?', of: ['end', 'tongue'], parts: ['breadboard', 'side'] },
  { id: 'strips', ask: 'How do its strips lie?', of: ['stripes', 'stripe', 'seams', 'seam'], parts: ['top'] },
  {
    id: 'opens',
    ask: 'Does it open or lift?',
    of: ['leaves', 'leaf', 'stored', 'slides', 'lift'],
    parts: ['leaf', 'slide', 'lift'],
  },
  { id: 'edges', ask: 'How are its edges worked?', of: ['edge'], parts: TOP },
  { id: 'cut-outs', ask: 'Is anything cut out of it?', of: ['cutOuts'], parts: TOP },
];

/** What the top is itself, behind its kind. */
export const TOP_QUESTION: FormQuestion = { id: 'top', ask: 'What is its top?', of: [], parts: TOP };
export const SIZE_QUESTION: FormQuestion = { id: 'size', ask: 'How large is it?', of: [], parts: TOP };
export const FLAT_QUESTION: FormQuestion = {
  id: 'flat',
  ask: 'What keeps it flat?',
  of: [],
  parts: ['batten', 'channel'],
};
export const JOINED_QUESTION: FormQuestion = {
  id: 'joined',
  ask: 'Does another join it?',
  of: [],
  parts: ['connector'],
};
export const LOAD_QUESTION: FormQuestion = { id: 'loads', ask: 'What must it bear?', of: [], parts: [] };

export const BASE_QUESTION: FormQuestion = {
  id: 'base',
  ask: 'What does it stand on?',
  of: [],
  parts: ['leg', 'apron', 'cross-rail', 'top-rail', 'foot', 'post', 'brace', 'stretcher', 'bearer', 'steel-leg'],
};

/** Of a base, in a maker's order; what is in none of them belongs to the kind of base. */
export const BASE_QUESTIONS: readonly FormQuestion[] = [
  {
    id: 'legs',
    ask: 'What are its legs like?',
    of: ['leg', 'legs', 'midLegs', 'lean', 'spread', 'post', 'tube', 'plate', 'weight'],
    parts: ['leg', 'post', 'steel-leg'],
  },
  { id: 'feet', ask: 'How does it meet the floor?', of: ['foot', 'pads'], parts: ['foot', 'pad'] },
  {
    id: 'rails',
    ask: 'What carries the top?',
    of: ['apron', 'crossRails', 'railJoint', 'rails', 'rail', 'bearer', 'arm', 'cornerBlocks'],
    parts: ['apron', 'cross-rail', 'top-rail', 'bearer', 'block'],
  },
  {
    id: 'ties',
    ask: 'What ties it below?',
    of: ['stretcher', 'stretchers', 'stringer'],
    parts: ['stretcher', 'shelf', 'wedge'],
  },
  { id: 'braces', ask: 'What braces it?', of: ['braces', 'buttresses'], parts: ['brace'] },
];

/** Fields by the question that they belong to; first those that belong to none of the list. */
export function byQuestion<F>(
  fields: readonly FormField<F>[],
  questions: readonly FormQuestion[],
): { rest: FormField<F>[]; asked: { question: FormQuestion; fields: FormField<F>[] }[] } {
  const asked = questions.map((question) => ({ question, fields: [] as FormField<F>[] }));
  const rest: FormField<F>[] = [];
  // A figure that is shown stays beside the field that it follows.
  let last: FormField<F>[] = rest;
  for (const field of fields) {
    if (field.ask !== 'nothing') {
      const [key = ''] = field.at.split('.', 1);
      last = asked.find(({ question }) => question.of.includes(key))?.fields ?? rest;
    }
    last.push(field);
  }
  return { rest, asked: asked.filter((own) => own.fields.length > 0) };
}
