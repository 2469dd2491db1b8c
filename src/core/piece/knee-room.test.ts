import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';

const hollowed = CONSTRUCTIONS.find((c) => c.name.includes('hollowed for the knees'))!.document;

describe('free under a hollowed apron', () => {
  it('is what the knees beside a leg have, not the middle of the hollow', () => {
    const { piece } = derived(hollowed);
    const { height, arch } = baseOf(hollowed, 'leg-apron').apron;
    const underside = piece.overall.height - piece.top.size.thickness;
    expect(piece.knees.height).toBeGreaterThanOrEqual(underside - height);
    expect(piece.knees.height).toBeLessThan(underside - height + arch - 5);
  });

  it('is found again on the circle of the hollow', () => {
    const one = change(hollowed, (d) => {
      // One sits in the middle: his knees reach 200 mm to either side of it.
      d.form.top.length = 1200;
      baseOf(d, 'leg-apron').apron.arch = 40;
    });
    const { piece } = derived(one);
    const apron = piece.parts.find(({ id }) => id === 'apron-front')!;
    const [from, to] = apron
      .profile!.filter(({ at }) => at[1] < 0)
      .map(({ at }) => at[0])
      .sort((a, b) => a - b)
      .slice(1, 3) as [number, number];
    const chord = to - from;
    const radius = chord ** 2 / (8 * 40) + 20;
    const rise = (x: number) => Math.sqrt(radius ** 2 - x ** 2) - (radius - 40);
    const base = piece.overall.height - piece.top.size.thickness - baseOf(one, 'leg-apron').apron.height;
    expect(piece.knees.height).toBeCloseTo(base + rise(200), 0);
  });

  it('the height that is asked for is the job’s own: 700 for a wheelchair', () => {
    const asked = (kneeRoom: number | null) =>
      level(
        derived(
          change(hollowed, (d) => {
            d.brief.kneeRoom = kneeRoom;
          }),
        ),
        'people.knees',
      );
    expect(asked(null)).not.toBe('stop');
    expect(asked(600)).toBe('good');
    expect(asked(700)).toBe('stop');
  });
});
