import { Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../../../tests/fixtures/constructions';
import { change } from '../../../../../../tests/fixtures/demo';
import type { TableInJob } from '../../../../document/piece-in-job';
import { findPart } from '../../../piece';

const table = (angled: TableInJob['joints']['angled']) =>
  change(CONSTRUCTIONS.find((c) => c.name.includes('splayed both ways'))!.document, (d) => {
    d.joints.angled = angled;
  });
const degrees = (a: Vector3, b: Vector3) => (a.angleTo(b) * 180) / Math.PI;

describe('tenons of aprons in legs that lean', () => {
  it('in line run along the apron; square ones stand square to the leg’s own axes (three.js vectors)', () => {
    for (const angled of ['in-line', 'square'] as const) {
      const { piece } = derived(table(angled));
      const joints = piece.joints.filter((joint) => joint.from.startsWith('apron-'));
      expect(joints).toHaveLength(8);
      for (const joint of joints) {
        const leg = findPart(piece, joint.into)!;
        const apron = findPart(piece, joint.from)!;
        const way = new Vector3(...joint.along!);
        const grain = new Vector3(...leg.frame.length);
        const length = new Vector3(...apron.frame.length);
        if (way.dot(length) < 0) length.negate();
        if (angled === 'square') expect(degrees(way, grain)).toBeCloseTo(90, 6);
        else expect(degrees(way, length)).toBeCloseTo(0, 6);
      }
    }
  });

  it('square ones lose fibres by the splay: 1 − L·tan α ÷ W, told; in line they keep all', () => {
    const job = derived(table('square'));
    const check = job.checks.find((c) => c.id === 'joints.short-grain')!;
    expect(check.level).not.toBe('stop');
    // The lean of a leg against its aprons is its splay, or a hair of it: both ways at once.
    const joint = job.piece.joints.find((j) => j.id === 'leg-front-left/apron-front')!;
    const apron = new Vector3(...findPart(job.piece, 'apron-front')!.frame.length);
    const way = new Vector3(...joint.along!);
    if (way.dot(apron) < 0) apron.negate();
    expect(degrees(way, apron)).toBeCloseTo(6, 0);
    expect(check.value.amount).toBeLessThan(100);
    expect(derived(table('in-line')).checks.find((c) => c.id === 'joints.short-grain')).toBeUndefined();
  });

  it('either way nothing stands in anything, and mortises keep their walls', () => {
    for (const angled of ['in-line', 'square'] as const) {
      const job = derived(table(angled));
      expect(
        job.checks.filter((c) => c.level === 'stop').map((c) => c.id),
        angled,
      ).toEqual([]);
    }
  });

  it('ask nothing of legs that stand upright', () => {
    const upright = (angled: TableInJob['joints']['angled']) =>
      derived(
        change(table(angled), (d) => {
          baseOf(d, 'leg-apron').leg.splay = { ends: 0, sides: 0 };
        }),
      ).piece;
    expect(upright('square').joints.map((j) => j.removed)).toEqual(upright('in-line').joints.map((j) => j.removed));
  });
});
