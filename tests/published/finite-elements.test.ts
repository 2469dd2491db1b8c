import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../fixtures/constructions';

// Finite elements by CalculiX (Debian's calculix-ccx), run by `npm run finite-elements`: frames of quadratic beams with
// stiff joints, and an orthotropic plate of quadratic shells. The file holds what came out.
const recorded: { results: Record<string, { piece: string; value: number }> } = JSON.parse(
  readFileSync(join(import.meta.dirname, '../fixtures/finite-elements.json'), 'utf8'),
);

describe('beside finite elements', () => {
  it.each([
    ['sway-along-legs', 'stiffness.sway-along', 1],
    ['sway-along-tapered', 'stiffness.sway-along', 1],
    ['sway-along-trestle', 'stiffness.sway-along', 1],
    ['sway-along-crossed', 'stiffness.sway-along', 1],
    ['bow-of-apron', 'stiffness.apron-bow', 1],
    // After years: twice what it is at once.
    ['sag-of-top', 'stiffness.top-sag', 2],
  ])('%s is what %s says to within a twentieth', (key, id, creep) => {
    const { piece, value } = recorded.results[key]!;
    const { document } = CONSTRUCTIONS.find((c) => c.name === piece)!;
    const check = derived(document).checks.find((c) => c.id === id)!;
    expect(check.value.amount / creep / value).toBeGreaterThan(0.95);
    expect(check.value.amount / creep / value).toBeLessThan(1.05);
  });

  it('a leaf drawn out gives what bending and the play of its keys come to, to within a twentieth', () => {
    const { piece, value } = recorded.results['leaf-drawn-out']!;
    const { document } = CONSTRUCTIONS.find((c) => c.name === piece)!;
    const { inputs } = derived(document).checks.find((c) => c.id === 'slides.give')!.figure!;
    const part = (label: string) => {
      const quantity = inputs.find((input) => input.label === label)!.quantity;
      return typeof quantity === 'object' ? quantity.amount : Number.NaN;
    };
    const sum = part('Bending') + part('Tilting by it');
    expect(sum / value).toBeGreaterThan(0.95);
    expect(sum / value).toBeLessThan(1.05);
  });
});
