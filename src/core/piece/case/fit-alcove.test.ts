import { describe, expect, it } from 'vitest';
import { type Alcove, fitAlcove, roomToTilt } from './fit-alcove';

const plain: Alcove = {
  wide: { floor: 1200, middle: 1200, head: 1200 },
  deep: { left: 350, right: 356 },
  lean: 0,
  rise: 0,
  ceiling: 2400,
  skirting: null,
};

describe('a case is fitted to an alcove; worked by hand', () => {
  it('square and plumb: the width less the room, shared at both sides', () => {
    const fitted = fitAlcove(plain, 16, 80);
    expect(fitted?.width).toBe(1184);
    expect(fitted?.depth).toBe(350);
    expect(fitted?.scribe).toEqual({ left: { least: 8, greatest: 8 }, right: { least: 8, greatest: 8 } });
    expect(fitted?.strip).toEqual({ left: 18, right: 18 });
    expect(fitted?.plinth).toEqual({ left: 80, right: 80 });
  });

  it('narrower at the head: as wide as it is there, where only the right wall leans', () => {
    const fitted = fitAlcove({ ...plain, wide: { floor: 1206, middle: 1201, head: 1190 } }, 10, 80);
    expect(fitted?.width).toBe(1180);
    // Plumb at the left: 5 all the way up. At the right 5 at the head, 16 half way up, 21 at the floor.
    expect(fitted?.scribe.left).toEqual({ least: 5, greatest: 5 });
    expect(fitted?.scribe.right).toEqual({ least: 5, greatest: 21 });
    expect(fitted?.strip.right).toBe(31);
  });

  it('alike wide everywhere and leaning to one side: less than it is wide anywhere', () => {
    // Both walls lean 24 to the right: free over the whole height are 1 200 − 24.
    const fitted = fitAlcove({ ...plain, lean: 24 }, 12, 80);
    expect(fitted?.width).toBe(1200 - 24 - 12);
    expect(fitted?.scribe.left).toEqual({ least: 6, greatest: 30 });
    expect(fitted?.scribe.right).toEqual({ least: 6, greatest: 30 });
  });

  it('a floor that rises to the right is made up at the left; a skirting is let into the sides', () => {
    const fitted = fitAlcove({ ...plain, rise: 14, skirting: { height: 120, thickness: 18 } }, 16, 70);
    expect(fitted?.plinth).toEqual({ left: 84, right: 70 });
    expect(fitted?.notch).toEqual({ height: 120, depth: 18 });
    expect(fitAlcove({ ...plain, rise: -9 }, 16, 70)?.plinth).toEqual({ left: 70, right: 79 });
  });

  it('walls that leave nothing are told', () => {
    expect(fitAlcove({ ...plain, lean: 1300 }, 16, 80)).toBeNull();
  });
});

describe('it is stood up under the ceiling', () => {
  it.each([
    // √(2 300² + 350²) = 2 326.5.
    [{ height: 2300, depth: 350, plinth: 0, ceiling: 2400 }, 73.5],
    // √(2 380² + 350²) = 2 405.6: too high by 5.6, though it would stand.
    [{ height: 2380, depth: 350, plinth: 0, ceiling: 2400 }, -5.6],
    // The same on a plinth of its own of 90: √(2 290² + 350²) = 2 316.6, and 2 380 once it is on it.
    [{ height: 2290, depth: 350, plinth: 90, ceiling: 2400 }, 20],
    [{ height: 2000, depth: 600, plinth: 100, ceiling: 2090 }, -10],
  ])('%j: %f left', (given, left) => {
    expect(roomToTilt(given)).toBeCloseTo(left, 1);
  });
});
