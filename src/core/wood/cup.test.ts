import { describe, expect, it } from 'vitest';
import { cupHeight, cuppedSection } from './cup';
import { dimensionalChange } from './movement';
import { heartSides, type PanelStrip, panelShape, type RingSchool } from './panel-shape';
import { findSpecies } from './species';

const oak = findSpecies('oak-northern-red')!;
const board = {
  width: 180,
  thickness: 25,
  species: oak,
  rings: { distance: 60, offset: 0 },
  fromMoisture: 9,
  toMoisture: 6,
  heartUp: true,
};

describe('the cup of a single board', () => {
  it('drying, the bark side turns hollow: heart side up crowns, heart side down hollows (common practice)', () => {
    expect(cupHeight(cuppedSection(board))).toBeGreaterThan(0.3);
    expect(cupHeight(cuppedSection({ ...board, heartUp: false }))).toBeLessThan(-0.3);
  });

  it('wetting turns it the other way, no change leaves it flat', () => {
    expect(cupHeight(cuppedSection({ ...board, toMoisture: 12 }))).toBeLessThan(-0.3);
    expect(Math.abs(cupHeight(cuppedSection({ ...board, toMoisture: 9 })))).toBeLessThan(1e-9);
  });

  it('near a circle of curvature 2·(C_T − C_R)·ΔM over the distance to the pith, for a pith far away', () => {
    const distance = 800;
    const height = cupHeight(cuppedSection({ ...board, rings: { distance, offset: 0 } }));
    const curvature = (2 * (oak.coefficientTangential - oak.coefficientRadial) * 3) / distance;
    expect(height / ((curvature * 180 ** 2) / 8)).toBeCloseTo(1, 1);
  });

  it('a board nearer the pith cups more, a quarter-sawn one hardly', () => {
    const height = (rings: typeof board.rings | number) => Math.abs(cupHeight(cuppedSection({ ...board, rings })));
    expect(height({ distance: 40, offset: 0 })).toBeGreaterThan(height({ distance: 120, offset: 0 }));
    expect(height(88)).toBeLessThan(height(5) / 3);
  });

  it('its width is what the movement of the same rings says, to a part in a thousand of the width', () => {
    const { middle } = cuppedSection(board);
    const drawn = middle.slice(1).reduce((sum, [y, z], i) => sum + Math.hypot(y - middle[i]![0], z - middle[i]![1]), 0);
    const reckoned =
      180 + dimensionalChange({ dimension: 180, species: oak, ringAngle: board.rings, fromMoisture: 9, toMoisture: 6 });
    expect(Math.abs(drawn - reckoned)).toBeLessThan(0.18);
  });

  it('a wetter upper face crowns the board, whatever its rings', () => {
    const flat = { ...board, toMoisture: 9, moistureSlope: 0.1 };
    const height = cupHeight(cuppedSection(flat));
    const coefficient = (oak.coefficientTangential + oak.coefficientRadial) / 2;
    expect(height).toBeCloseTo((coefficient * 0.1 * 180 ** 2) / 8, 4);
    expect(cupHeight(cuppedSection({ ...flat, heartUp: false }))).toBeCloseTo(height, 9);
  });
});

describe('the shape of a panel by the way its strips are laid', () => {
  const panel = (school: RingSchool, moisture = 6) => {
    const sides = heartSides(7, school, (i) => i % 3 !== 0);
    const strips = sides.map(
      (heartUp): PanelStrip => ({ width: 130, species: oak, rings: { distance: 80, offset: 0 }, moisture: 9, heartUp }),
    );
    return panelShape(strips, 25, moisture);
  };

  it('all one way bows most and in one sweep, alternate stays near flat, best face lies between', () => {
    const [alternate, best, oneWay] = (['alternate', 'best-face', 'all-one-way'] as const).map((s) => panel(s).height);
    expect(alternate!).toBeLessThan(best!);
    expect(best!).toBeLessThan(oneWay!);
    expect(oneWay!).toBeGreaterThan(3 * alternate!);
  });

  it('its joints turn far less than a strip’s middle line does, so that it bows less than one board as wide would', () => {
    const one = Math.abs(cupHeight(cuppedSection({ ...board, width: 130, rings: { distance: 80, offset: 0 } })));
    // Turning by t·(atan(u/d) − u·d/(u² + d²)) at each edge, u half a strip: what seven strips then rise to, plus one strip's own ripple.
    const t = (oak.coefficientTangential - oak.coefficientRadial) * 3;
    const turn = 2 * t * (Math.atan(65 / 80) - (65 * 80) / (65 ** 2 + 80 ** 2));
    const sweep = (turn / 130) * ((7 * 130) ** 2 / 8);
    expect(Math.abs(panel('all-one-way').height / (sweep + one) - 1)).toBeLessThan(0.1);
  });

  it('joints stay closed: each strip starts where the last one ended', () => {
    const { strips } = panel('best-face');
    for (let i = 1; i < strips.length; i += 1) {
      for (const face of ['upper', 'lower'] as const) {
        const [a, b] = [strips[i - 1]![face].at(-1)!, strips[i]![face][0]!];
        expect(Math.hypot(a[0] - b[0], a[1] - b[1])).toBeLessThan(0.05);
      }
    }
  });

  it('lies flat at the moisture it was glued at', () => {
    expect(panel('all-one-way', 9).height).toBeLessThan(1e-9);
  });
});
