import { describe, expect, it } from 'vitest';
import { alcoveBookcase, caseOf } from '../../../../tests/fixtures/cases';
import { volumeOf } from '../../solid/convex';
import { caseAs } from '../../start/case-as';
import type { CaseForm } from './form';

const round = (back: CaseForm['back']['kind'], clear: NonNullable<CaseForm['alcove']>['clear']) => {
  const alcove = alcoveBookcase.alcove && { ...alcoveBookcase.alcove, clear };
  return caseOf(caseAs({ ...alcoveBookcase, alcove }, { back }));
};
const socket = { id: 'socket', name: 'Socket', fromLeft: 300, fromFloor: 280, width: 86, height: 70 };
const openings = (piece: ReturnType<typeof round>) =>
  piece.parts.flatMap(({ id, removed }) =>
    removed.filter(({ what }) => what === 'opening').map(({ solid }) => ({ id, solid })),
  );

describe('openings in a back for what is on the wall', () => {
  it('a sheet of 6: 86 by 70 by 6, at its place from the left wall and the floor', () => {
    const [own, ...others] = openings(round('sheet', [socket]));
    expect(others).toEqual([]);
    expect(volumeOf(own ? [own.solid] : [])).toBeCloseTo(86 * 70 * 6, 6);
    // The left wall at the floor stands 16 beside the case, which is 984 wide.
    expect(own?.solid.bounds.from[0]).toBeCloseTo(-984 / 2 - 16 + 300, 6);
    expect(own?.solid.bounds.from[2]).toBeCloseTo(280, 6);
  });

  it('boards: each that lies before it, and together as much', () => {
    const wide = { ...socket, width: 240 };
    const found = openings(round('boards', [wide]));
    expect(new Set(found.map(({ id }) => id)).size).toBeGreaterThan(1);
    // Laps lie over one another, gaps are between: never more than the whole block.
    const sum = volumeOf(found.map(({ solid }) => solid));
    expect(sum).toBeGreaterThan(0.9 * 240 * 70 * 12);
    expect(sum).toBeLessThanOrEqual(240 * 70 * 12 + 1e-6);
  });

  it('where nothing is behind the case nothing is cut', () => {
    expect(openings(round('sheet', []))).toEqual([]);
    expect(openings(round('open', [socket]))).toEqual([]);
  });
});
