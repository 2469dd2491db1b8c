import { describe, expect, it } from 'vitest';
import { type Cell, divideCell, growCells, isDivided, joinCell, nameOfCell, partsOf, resizeCell, WHOLE } from './cells';

const ids = (cells: readonly Cell[], of: string) => partsOf(cells, of).map(({ id }) => id);
const inTwo = divideCell([WHOLE], 'all', 'uprights', 2);
const [left = '', right = ''] = ids(inTwo, 'all');

describe('a space divided', () => {
  it('has so many of its own, with ids that no other has', () => {
    const nested = divideCell(inTwo, left, 'shelves', 3);
    expect(ids(nested, 'all')).toHaveLength(2);
    expect(ids(nested, left)).toHaveLength(3);
    expect(new Set(nested.map(({ id }) => id)).size).toBe(nested.length);
    expect(nested.filter((cell) => isDivided(nested, cell)).map(({ id }) => id)).toEqual(['all', left]);
  });

  it('into more keeps those that are there; into fewer loses the last, and all that was in it', () => {
    const filled = divideCell(inTwo, right, 'shelves', 2).map((cell) =>
      cell.id === left ? { ...cell, loose: 4 } : cell,
    );
    const more = divideCell(filled, 'all', 'uprights', 3);
    expect(more.find(({ id }) => id === left)?.loose).toBe(4);
    expect(ids(more, right)).toHaveLength(2);
    const fewer = divideCell(divideCell(filled, left, 'shelves', 2), 'all', 'uprights', 1);
    expect(fewer.map(({ id }) => id)).toEqual(['all']);
    const two = divideCell(divideCell(more, ids(more, 'all')[2] ?? '', 'shelves', 4), 'all', 'uprights', 2);
    expect(two).toHaveLength(filled.length);
  });

  it('the other way begins anew: bays are no shelves', () => {
    const turned = divideCell(divideCell(inTwo, left, 'shelves', 3), 'all', 'shelves', 2);
    expect(turned).toHaveLength(3);
    expect(turned[0]?.divided).toBe('shelves');
  });

  it('is one again when nothing divides it', () => {
    expect(joinCell(divideCell(inTwo, left, 'shelves', 3), 'all')).toEqual([WHOLE]);
  });

  it('holds no loose shelves of its own any more', () => {
    expect(divideCell([{ ...WHOLE, loose: 3 }], 'all', 'shelves', 2)[0]?.loose).toBe(0);
  });
});

describe('a size of its own', () => {
  it('leaves the others to follow', () => {
    const sized = resizeCell(inTwo, left, 412);
    expect(partsOf(sized, 'all').map(({ clear }) => clear)).toEqual([412, null]);
  });

  it('given to the last that followed lets the one beside it follow', () => {
    const both = resizeCell(resizeCell(inTwo, left, 412), right, 300);
    expect(partsOf(both, 'all').map(({ clear }) => clear)).toEqual([null, 300]);
  });

  it('taken away, it follows again', () => {
    expect(partsOf(resizeCell(resizeCell(inTwo, left, 412), left, null), 'all').map(({ clear }) => clear)).toEqual([
      null,
      null,
    ]);
  });
});

describe('spaces that grow', () => {
  const four = divideCell([WHOLE], 'all', 'shelves', 4);
  it('are each so many times the one before, and equal by 1', () => {
    const shares = partsOf(growCells(four, 'all', 1.25), 'all').map(({ share }) => share);
    for (const [i, share] of shares.slice(1).entries()) expect(share / (shares[i] ?? 0)).toBeCloseTo(1.25, 9);
    expect(partsOf(growCells(four, 'all', 1), 'all').map(({ share }) => share)).toEqual([1, 1, 1, 1]);
  });

  it('stay within what a share may be, however many they are', () => {
    const many = growCells(divideCell([WHOLE], 'all', 'shelves', 12), 'all', 2);
    for (const { share } of partsOf(many, 'all')) {
      expect(share).toBeGreaterThanOrEqual(0.05);
      expect(share).toBeLessThanOrEqual(20);
    }
  });
});

describe('what a space is called', () => {
  it('by its place from the left or from below, and by what it is part of', () => {
    const nested = divideCell(inTwo, right, 'shelves', 2);
    expect(nameOfCell(nested, 'all')).toBe('All of the inside');
    expect(nameOfCell(nested, left)).toBe('Bay 1');
    expect(nameOfCell(nested, ids(nested, right)[1] ?? '')).toBe('Bay 2, space 2');
  });
});
