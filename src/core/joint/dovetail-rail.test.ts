import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';
import { findPart } from '../piece/piece';
import { boundsOf, volume } from '../solid/convex';
import { dovetailLength, dovetailSize } from './dovetail-rail';

const table = () => CONSTRUCTIONS.find((c) => c.name.includes('loose in a mitred frame'))!.document;

describe('a rail dovetailed into the aprons', () => {
  it('slopes between 1 : 6 and 1 : 8 and keeps shoulders beside its neck (common practice)', () => {
    for (const thickness of [16, 20, 22, 28]) {
      const length = dovetailLength(22);
      const { neck, end, lap } = dovetailSize({ thickness, height: 60 }, length);
      const slope = length / ((end - neck) / 2);
      expect(slope).toBeGreaterThanOrEqual(6);
      expect(slope).toBeLessThanOrEqual(8);
      expect(end).toBeLessThan(thickness);
      expect(lap).toBeLessThanOrEqual(30);
    }
    expect(dovetailLength(22)).toBe(14);
    expect(22 - dovetailLength(22)).toBeGreaterThanOrEqual(6);
  });

  it('drops in from above: its socket is open there, as large as the tail, wider inside than at the mouth', () => {
    const { piece } = derived(table());
    const joints = piece.joints.filter(({ kind }) => kind === 'dovetail-rail');
    expect(joints).toHaveLength(2);
    for (const { removed, added, into } of joints) {
      const [socket] = removed;
      expect(volume(socket!.solid)).toBeCloseTo(volume(added[0]!.solid), 9);
      const apron = findPart(piece, into)!;
      expect(socket!.solid.bounds.to[2]).toBeCloseTo(boundsOf(apron.placed).to[2], 9);
      const out = Math.sign(apron.frame.at[1]);
      const at = (y: number) => {
        const xs = socket!.solid.corners.filter((p) => Math.abs(p[1] - y) < 1e-6).map((p) => p[0]);
        return Math.max(...xs) - Math.min(...xs);
      };
      const { from, to } = socket!.solid.bounds;
      const [mouth, inside] = out > 0 ? [from[1], to[1]] : [to[1], from[1]];
      expect(at(inside)).toBeGreaterThan(at(mouth));
    }
  });

  it('is longer over all than a stubbed one by what its tails go deeper, and its shoulders stay', () => {
    const stubbed = derived(
      change(table(), (d) => {
        baseOf(d, 'leg-apron').railJoint = 'stub';
      }),
    ).piece;
    const [a, b] = [findPart(derived(table()).piece, 'cross-rail-1')!, findPart(stubbed, 'cross-rail-1')!];
    expect(a.shoulderLength).toBeCloseTo(b.shoulderLength, 9);
    expect(a.size.length - b.size.length).toBeCloseTo(2 * (14 - 11), 9);
  });

  it('stays clear of what holds the top, and of the apron’s outer face', () => {
    const job = derived(table());
    expect(level(job, 'joints.cuts-meet')).not.toBe('stop');
    expect(level(job, 'joints.walls')).not.toBe('stop');
  });
});
