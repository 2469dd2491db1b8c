import { expect, it } from 'vitest';
import { termsIn } from './words-here';

const terms = ['board', 'rough, dressed', 'kerf', 'moisture', 'haunch', 'sheet'].map((term) => ({ term, meaning: '' }));
const found = (text: string) => termsIn(terms, text).map(({ term }) => term);

it('finds the terms of a screen by whole words, also of many, and each of several words for one thing', () => {
  expect(found('Two boards, dressed. Haunches and a kerf; the moisture.')).toEqual([
    'board',
    'rough, dressed',
    'kerf',
    'moisture',
    'haunch',
  ]);
  expect(found('boarding sheetrock')).toEqual([]);
});
