import { describe, expect, it } from 'vitest';
import { alcoveBookcase, bookcase, caseOf } from '../../../tests/fixtures/cases';
import { scribeLines } from './scribe-lines';

describe('scribe lines at full size', () => {
  const drawings = scribeLines(caseOf(alcoveBookcase), { system: 'metric' });
  const wallOf = (i: number) => {
    const [own] =
      drawings[i]?.marks.flatMap((m) => (m.kind === 'line' && m.layer === 'SHOULDER' ? [m.points] : [])) ?? [];
    const edge = drawings[i]?.marks.flatMap((m) =>
      m.kind === 'line' && m.layer === 'OUTLINE' ? [m.points] : [],
    )[0]?.[0];
    return own?.map(([x, y]) => [x - (edge?.[0] ?? 0), y - (edge?.[1] ?? 0)].map((n) => Math.round(n * 1000) / 1000));
  };

  it('the left wall leans in by 9: 16 off at the floor, 7 at the head; the strip begins on a plinth of 100', () => {
    // Narrowest at the head: 998 less 14; the case stands 7 off the wall there.
    expect(wallOf(0)).toEqual([
      [0, 15.571],
      [950, 11.5],
      [2000, 7],
    ]);
  });

  it('the right one follows the three widths: 12 off where the floor rises to 11, 8.5 half way up, 7 at the head', () => {
    expect(wallOf(1)).toEqual([
      [0, 11.702],
      [955.5, 8.5],
      [2000, 7],
    ]);
  });

  it('a case that stands free has none', () => {
    expect(scribeLines(caseOf(bookcase), { system: 'metric' })).toEqual([]);
  });
});
