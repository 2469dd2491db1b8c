import { expect, it } from 'vitest';
import { differences } from './differences';

it('two versions differ in the decisions that differ, by their paths, and in nothing else', () => {
  const mine = { a: { b: 1, c: [1, 2] }, same: { x: 1 }, gone: true };
  const theirs = { a: { b: 2, c: [1, 3] }, same: { x: 1 }, come: null };
  expect(differences(mine, theirs)).toEqual([
    { path: 'a.b', mine: '1', theirs: '2' },
    { path: 'a.c', mine: '[1,2]', theirs: '[1,3]' },
    { path: 'gone', mine: 'true', theirs: 'nothing' },
    { path: 'come', mine: 'nothing', theirs: 'null' },
  ]);
  expect(differences(mine, structuredClone(mine))).toEqual([]);
});
