import { describe, expect, it } from 'vitest';
import { places } from '../../../tests/fixtures/demo';
import { ALL_SPECIES } from '../wood/species';
import { daysUntilReady, READY_WITHIN, type WaitingBoard, waitsUntilReady } from './ready-to-mill';

const place = places.find(({ kind }) => kind === 'shop')!;
const given = { woods: ALL_SPECIES, target: 8, place, from: '2027-01-10' as const };
const board = (id: string, thickness: number, moisture: number | null, species = 'oak-white'): WaitingBoard => ({
  ...{ id, species, thickness, moisture },
});

function last<T, R>(steps: Generator<T, R>): R {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

describe('boards that wait to be milled', () => {
  it('wait each as long as alone; those not read, and of a wood nobody knows, are not told of', () => {
    const boards = [
      board('a', 30, 12),
      board('b', 60, 12),
      board('c', 30, 12),
      board('d', 30, null),
      board('e', 30, 12, 'no-such-wood'),
      board('f', 30, given.target + READY_WITHIN),
    ];
    const waits = last(waitsUntilReady(boards, given));
    expect([...waits.keys()]).toEqual(['a', 'b', 'c', 'f']);
    const oak = ALL_SPECIES.find(({ id }) => id === 'oak-white')!;
    expect(waits.get('a')).toBe(daysUntilReady({ ...given, thickness: 30, species: oak, moisture: 12 }));
    expect(waits.get('c')).toBe(waits.get('a'));
    expect(waits.get('f')).toBe(0);
  });

  it('thicker and wetter boards wait longer', () => {
    const kinds = [board('a', 20, 11), board('b', 40, 11), board('c', 40, 14)];
    const [thin, thick, wet] = [...last(waitsUntilReady(kinds, { ...given, target: 9 })).values()].map(
      (d) => d ?? Infinity,
    );
    expect(thick).toBeGreaterThan(thin!);
    expect(wet).toBeGreaterThan(thick!);
  });
});
