import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Defect } from './board';
import { defectMoved, defectSized } from './move-defect';

const board = { length: 2400, width: 180, farWidth: 210 };
const knot: Defect = { kind: 'knot', x: 500, y: 60, length: 40, width: 30, face: 'through' };

describe('a defect that is pushed about on its board', () => {
  it('goes by as much as it is pushed, to a whole millimetre', () => {
    expect(defectMoved(board, knot, 10, -1)).toEqual({ x: 510, y: 59 });
    expect(defectMoved(board, { ...knot, x: 500.4 }, 0.3, 0)).toEqual({ x: 501, y: 60 });
    expect(defectSized(board, knot, 12, 0)).toEqual({ length: 52, width: 30 });
  });

  it('never leaves the board, however it is pushed or pulled', () => {
    const far = fc.integer({ min: -5000, max: 5000 });
    fc.assert(
      fc.property(far, far, (along, across) => {
        const moved = { ...knot, ...defectMoved(board, knot, along, across) };
        const sized = { ...knot, ...defectSized(board, knot, along, across) };
        for (const d of [moved, sized]) {
          expect(d.x).toBeGreaterThanOrEqual(0);
          expect(d.y).toBeGreaterThanOrEqual(0);
          expect(d.x + d.length).toBeLessThanOrEqual(2400);
          expect(d.y + d.width).toBeLessThanOrEqual(210);
          expect(Math.min(d.length, d.width)).toBeGreaterThanOrEqual(1);
        }
      }),
    );
  });
});
