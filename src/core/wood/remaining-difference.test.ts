import { describe, expect, it } from 'vitest';
import { diffuse } from './diffusion';
import { remainingDifference } from './remaining-difference';

describe('what is left of a board’s difference to its air', () => {
  const diffusivity = { at10: 2e-10, moisture: 0, warmth: 0 };

  it.each([20, 38, 60])(
    'is what the diffusion of a %d mm board leaves of it, within two parts in a hundred',
    (thickness) => {
      const { mean } = diffuse({
        thickness,
        diffusivity,
        faces: { upper: 1e-4, lower: 1e-4 },
        air: { moisture: [9] },
        start: 13,
        steps: 120,
        step: 1,
        cells: 40,
      });
      for (let days = 0; days <= 120; days += 5) {
        const left = (mean[days]! - 9) / 4;
        expect(Math.abs(remainingDifference({ thickness, diffusivity, days }) - left), `${days} days`).toBeLessThan(
          0.02,
        );
      }
    },
  );

  it('never grows, and its two forms meet', () => {
    let last = 1;
    for (let days = 0; days < 300; days += 0.5) {
      const left = remainingDifference({ thickness: 38, diffusivity, days });
      expect(left).toBeLessThanOrEqual(last + 1e-3);
      expect(left).toBeGreaterThan(0);
      last = left;
    }
  });
});
