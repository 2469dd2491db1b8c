import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../tests/fixtures/demo';
import { seatsOf } from '../../../check/people';
import { withChanges } from '../../../document/job-document';
import { boundsOf } from '../../../solid/convex';
import { startTop } from '../../../start/start-form';
import { findPart, partsOfKind } from '../../piece';
import { connectorPlaces } from './joined-end';

const table = () => CONSTRUCTIONS.find((c) => c.name.includes('conference'))!.document;
const named = (words: string) => CONSTRUCTIONS.find((c) => c.name.includes(words))!.document;

describe('two tables end to end', () => {
  it('plates lie half under this one and half under the other, flush with the underside', () => {
    const { piece } = derived(table());
    const plates = partsOfKind(piece, 'connector');
    expect(plates).toHaveLength(4);
    const underside = piece.overall.height - piece.top.size.thickness;
    for (const plate of plates) {
      const { from, to } = boundsOf(plate.placed);
      const end = piece.top.size.length / 2;
      expect(to[0] - end).toBeCloseTo(end - from[0], 9);
      expect(from[2]).toBeCloseTo(underside, 9);
      // Each in the half it lies under.
      const joint = piece.joints.find((j) => j.from === plate.id)!;
      expect(joint.into).toBe(plate.frame.at[1] < 0 ? 'half-front' : 'half-back');
      expect(findPart(piece, joint.into)!.removed.some((cut) => cut.what === 'recess for a connector')).toBe(true);
    }
  });

  it('slots are asked by how far one top is drier: by hand from the change of a half metre of it', () => {
    const job = derived(table());
    const check = job.checks.find((c) => c.id === 'joined.slots')!;
    const input = (label: string) => {
      const { quantity } = check.figure!.inputs.find((own) => own.label === label)!;
      return typeof quantity === 'string' ? Number.NaN : quantity.amount;
    };
    const out = Math.max(...connectorPlaces(1500, 4));
    expect(input('Outer connector from the middle y')).toBe(out);
    const half = findPart(job.piece, 'half-front')!.size.width;
    const asked = out * ((input('Width, moister') - input('Width, drier')) / half) + 1;
    expect(check.limit.amount).toBeCloseTo(asked, 9);
    // Twice as far apart in moisture, next to twice as far.
    const twice = derived(
      change(table(), (d) => {
        d.form.joined!.apart = 4;
      }),
    ).checks.find((c) => c.id === 'joined.slots')!;
    expect((twice.limit.amount - 1) / (check.limit.amount - 1)).toBeCloseTo(2, 1);
    expect(twice.level).toBe('stop');
    const mended = withChanges(
      change(table(), (d) => {
        d.form.joined!.apart = 4;
      }),
      twice.wayOut!.changes,
    );
    expect(level(derived(mended), 'joined.slots')).toBe('good');
  });

  it('a bearer under a connector is told, with the overhang that frees it', () => {
    const close = change(table(), (d) => {
      d.form.top.endOverhang = 20;
    });
    const check = derived(close).checks.find((c) => c.id === 'joined.reach')!;
    expect(check.level).toBe('stop');
    expect(level(derived(withChanges(close, check.wayOut!.changes)), 'joined.reach')).toBe('good');
  });

  it('nobody sits where the other table stands', () => {
    const { piece } = derived(table());
    const alone = change(table(), (d) => {
      d.form.joined = null;
    });
    expect(seatsOf({ document: alone, piece }) - seatsOf({ document: table(), piece })).toBe(1);
  });

  it('round tops and tops with leaves do not stand end to end', () => {
    for (const words of ['a round table on three splayed', 'leaves on slides']) {
      const job = derived(
        change(named(words), (d) => {
          d.form.joined = { connectors: 3, slot: 4, apart: 2 };
        }),
      );
      expect(job.problems.map((p) => p.where)).toContain('form.joined');
      expect(partsOfKind(job.piece, 'connector')).toEqual([]);
    }
  });

  it('is stopped where a bevel from below leaves nothing to let connectors into, and led out of it', () => {
    const plain = CONSTRUCTIONS.find(({ document }) => document.form.joined)!.document;
    const bevelled = change(plain, (d) => {
      const top = startTop('glued-panel', d.form.top);
      d.form.top = { ...top, edge: { kind: 'under-bevelled', width: 60, left: 12 } } as typeof top;
    });
    const check = derived(bevelled).checks.find(({ id }) => id === 'joined.bevel')!;
    expect(check.level).toBe('stop');
    const mended = derived(withChanges(bevelled, check.wayOut!.changes));
    expect(mended.checks.some(({ id }) => id === 'joined.bevel')).toBe(false);
  });
});
