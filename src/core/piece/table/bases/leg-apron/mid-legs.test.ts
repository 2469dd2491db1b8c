import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../../../tests/fixtures/constructions';
import { change } from '../../../../../../tests/fixtures/demo';
import { boundsOf, gapBetween } from '../../../../solid/convex';
import { findPart } from '../../../piece';

const bench = () => CONSTRUCTIONS.find((c) => c.name.includes('legs in its middle'))!.document;
const without = () =>
  change(bench(), (d) => {
    baseOf(d, 'leg-apron').midLegs = 0;
  });
const value = (document: ReturnType<typeof bench>, id: string) =>
  derived(document).checks.find((c) => c.id === id)!.value.amount;

describe('legs between the corners', () => {
  it('stand under the aprons at even places, flush with the corner legs, their shoulders carrying the aprons', () => {
    const two = change(bench(), (d) => {
      baseOf(d, 'leg-apron').midLegs = 2;
    });
    const { piece } = derived(two);
    const mids = piece.parts.filter(({ id }) => id.startsWith('mid-leg'));
    expect(mids.map(({ frame }) => Math.round(frame.at[0]))).toEqual([-350, -350, 350, 350]);
    const corner = findPart(piece, 'leg-front-left')!;
    for (const leg of mids) {
      expect(Math.abs(leg.frame.at[1])).toBeCloseTo(Math.abs(corner.frame.at[1]), 9);
      const [lap] = leg.removed;
      const apron = findPart(piece, `apron-${leg.id.includes('front') ? 'front' : 'back'}`)!;
      expect(lap!.solid.bounds.from[2]).toBeCloseTo(boundsOf(apron.placed).from[2], 9);
      // What is taken out is the apron and its reveal, over the whole width of the leg.
      expect(lap!.solid.loops.length).toBe(6);
      const { from, to } = lap!.solid.bounds;
      expect((to[0] - from[0]) * (to[1] - from[1]) * (to[2] - from[2])).toBeCloseTo(60 * 27 * 80, 3);
    }
  });

  it('halve the aprons’ span: an eighth of the bending’s share of the sag is left, half of it per span', () => {
    const [with1, none] = [value(bench(), 'stiffness.apron-sag'), value(without(), 'stiffness.apron-sag')];
    // Half the span under the same load a length: a sixteenth of the bending, a quarter of the shear.
    expect(with1).toBeLessThan(none / 10);
    expect(with1).toBeGreaterThan(none / 16);
  });

  it('keep buttons clear of themselves', () => {
    const { piece } = derived(bench());
    const mids = piece.parts.filter(({ id }) => id.startsWith('mid-leg'));
    for (const seat of piece.seats)
      for (const leg of mids)
        for (const { solid } of seat.removed)
          expect(gapBetween(solid.bounds, boundsOf(leg.placed)), seat.id).toBeGreaterThanOrEqual(-1e-9);
    expect(piece.unreached).toEqual([]);
  });

  it('weigh what six legs weigh, and are cut from boards like the others', () => {
    const { demand } = derived(bench());
    expect(demand.parts.filter(({ id }) => id.includes('leg'))).toHaveLength(6);
  });
});
