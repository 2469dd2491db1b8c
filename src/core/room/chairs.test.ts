import { describe, expect, it } from 'vitest';
import { change, derive, sixSeats } from '../../../tests/fixtures/demo';
import { chairsOf } from './chairs';

const chairsFor = (seats: number) => {
  const { piece, document } = derive(sixSeats());
  return { chairs: chairsOf(piece, { ...document, seatsAsked: seats }), overall: piece.overall };
};

describe('chairs at a table', () => {
  it('stand along its sides and one at each end, outside its edge', () => {
    const { chairs, overall } = chairsFor(6);
    expect(chairs).toHaveLength(6);
    expect(chairs.filter(([, y]) => y === 0)).toHaveLength(2);
    for (const [x, y] of chairs) expect(Math.abs(x) > overall.length / 2 || Math.abs(y) > overall.width / 2).toBe(true);
  });

  it('are no more than its edge has places for, 610 mm each (common practice)', () => {
    const { chairs, overall } = chairsFor(30);
    expect(chairs).toHaveLength(2 * Math.floor(overall.length / 609.6) + 2);
    expect(chairsFor(0).chairs).toEqual([]);
  });

  it('stand even round an edge without sides', () => {
    const round = derive(
      change(sixSeats(), (d) => {
        d.form.top = {
          ...d.form.top,
          kind: 'glued-panel',
          length: 1400,
          width: 1400,
          outline: { kind: 'round' },
        } as never;
      }),
    );
    const chairs = chairsOf(round.piece, { ...round.document, seatsAsked: 5 });
    expect(chairs).toHaveLength(5);
    for (const [x, y] of chairs) expect(Math.hypot(x, y)).toBeCloseTo(900, 6);
  });
});
