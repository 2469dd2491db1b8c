import { describe, expect, it } from 'vitest';
import { aBoard } from '../../../tests/fixtures/layout-parts';
import { read } from '../decision/issues';
import { BoardSchema, ringsAt } from './board';
import { offcutBoard, offcutTags } from './offcut-board';

const board = aBoard('K', 2400, 240, {
  farWidth: 200,
  lot: 'log-1',
  moisture: 9.2,
  moistureOn: '2027-03-01',
  tone: 3,
  ringCentre: { distance: 60, offset: 15 },
  crook: { twist: 3, bow: 2, cup: 1 },
  price: { amount: 80, per: 'piece' },
  defects: [{ kind: 'knot', face: 'under', x: 980, y: 110, length: 60, width: 40 }],
});
const at = { x: 1000, y: 120, length: 700, width: 80 };
const offcut = offcutBoard(board, at, 'K-1');

describe('an offcut as a board', () => {
  it('is a sound board of its own size, with the wood of the one it comes from', () => {
    expect('value' in read(BoardSchema, offcut, 'offcut')).toBe(true);
    expect(offcut).toMatchObject({
      tag: 'K-1',
      length: 700,
      width: 80,
      farWidth: null,
      lot: 'log-1',
      moisture: 9.2,
      tone: 3,
    });
    expect(offcut.crook).toBeNull();
    expect(offcut).not.toHaveProperty('id');
  });
  it('has its rings about the same pith', () => {
    // A line of the offcut has the rings that the same line of the board has.
    for (const across of [10, 40, 75]) {
      expect(ringsAt(offcut, across)).toEqual(ringsAt(board, at.y + across));
    }
  });
  it('keeps what of a defect lies in it, where it lies', () => {
    expect(offcut.defects).toEqual([{ kind: 'knot', face: 'under', x: 0, y: 0, length: 40, width: 30 }]);
    expect(offcutBoard(board, { ...at, x: 1100 }, 'K-2').defects).toEqual([]);
  });
  it('takes its share of a price by the piece', () => {
    expect(offcut.price?.amount).toBeCloseTo((80 * 700 * 80) / (2400 * 220), 9);
    const by = { ...board, price: { amount: 9, per: 'board-foot' as const } };
    expect(offcutBoard(by, at, 'K-1').price).toEqual(by.price);
  });
});

describe('the tags of offcuts', () => {
  it('number on from what the rack has', () => {
    expect(offcutTags(['K', 'L', 'K'], ['K', 'K-1', 'L'])).toEqual(['K-2', 'L-1', 'K-3']);
  });
});
