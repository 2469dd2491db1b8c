import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, topOf } from '../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../tests/fixtures/demo';
import { withChanges } from '../../../document/job-document';
import { seamTenons } from '../../../joint/end-seam';
import { boundsOf } from '../../../solid/convex';
import { startBase } from '../../../start/start-form';

const named = (words: string) => CONSTRUCTIONS.find((c) => c.name.includes(words))!.document;
const striped = () => named('three fields with stripes');
const plain = () => named('two fields end to end');

describe('a top of fields', () => {
  it('is as long as its fields and stripes together, each beginning where the last ends', () => {
    for (const document of [striped(), plain()]) {
      const { piece } = derived(document);
      const parts = piece.parts
        .filter((part) => piece.top.parts.includes(part.id))
        .map((part) => boundsOf(part.placed))
        .sort((a, b) => a.from[0] - b.from[0]);
      expect(parts[0]!.from[0]).toBeCloseTo(-document.form.top.length / 2, 9);
      expect(parts.at(-1)!.to[0]).toBeCloseTo(document.form.top.length / 2, 9);
      for (const [i, own] of parts.slice(1).entries()) expect(own.from[0]).toBeCloseTo(parts[i]!.to[0], 9);
    }
  });

  it('every field is a panel of its own for the layout, and a stripe is a board across', () => {
    const { demand, piece } = derived(striped());
    expect(demand.panels.map((panel) => panel.id).sort()).toEqual(['field-1', 'field-2', 'field-3']);
    const stripe = demand.parts.find((part) => part.id === 'stripe-1')!;
    expect(stripe.rough.length).toBeGreaterThanOrEqual(piece.top.size.width);
  });

  it('has tenons at most 150 mm apart with one in the middle, of whatever width', () => {
    for (const width of [200, 400, 780, 1100, 2000]) {
      const { places, wide } = seamTenons(width, 30, 400);
      expect(places.some((y) => Math.abs(y) < 1e-9)).toBe(true);
      expect(Math.max(...places) + wide / 2).toBeLessThan(width / 2);
      for (const [i, y] of places.slice(1).entries()) expect(y - places[i]!).toBeLessThanOrEqual(150 + 1e-9);
    }
  });
});

describe('seams beside a stripe', () => {
  it('let the fields come and go: what the seasons ask of every slot is less than its room, more the farther out', () => {
    const { restraint, piece } = derived(striped());
    expect(restraint.traps).toEqual([]);
    const lines = restraint.ledger.filter((line) => line.tie.includes(':tenon-') && line.axis === 'y');
    expect(lines.length).toBe(4 * (seamTenons(800, 30, 80).places.length - 1));
    const at = new Map(piece.joints.flatMap((j) => j.ties).map((tie) => [tie.id, Math.abs(tie.at.y)]));
    const asked = lines.map((line) => {
      const need = Math.max(line.plus.need, line.minus.need);
      expect(need).toBeLessThan(line.plus.room);
      return { off: at.get(line.tie)!, need };
    });
    const far = asked.filter((a) => a.off > 250);
    const near = asked.filter((a) => a.off < 150);
    expect(Math.min(...far.map((a) => a.need))).toBeGreaterThan(Math.max(...near.map((a) => a.need)));
  });

  it('glued over their whole width are traps to the restraint engine, each seam by itself; the way out frees them', () => {
    const glued = change(striped(), (d) => {
      topOf(d, 'pieced').seam = 'glued';
    });
    const job = derived(glued);
    const pairs = job.restraint.traps
      .filter((trap) => trap.bodies.length === 2)
      .map((trap) => [...trap.bodies].sort().join());
    expect(pairs.sort()).toEqual(['field-1,stripe-1', 'field-2,stripe-1', 'field-2,stripe-2', 'field-3,stripe-2']);
    const check = job.checks.find((c) => c.id === 'pieced.end-grain')!;
    expect(check.level).toBe('stop');
    expect(level(derived(withChanges(glued, check.wayOut!.changes)), 'pieced.end-grain')).toBe('good');
  });

  it('end to end two fields grow alike: glue traps nothing, and is still no joint', () => {
    const job = derived(
      change(plain(), (d) => {
        topOf(d, 'pieced').seam = 'glued';
      }),
    );
    expect(job.restraint.traps).toEqual([]);
    expect(level(job, 'pieced.end-grain')).toBe('stop');
  });
});

describe('what carries a seam', () => {
  it('is a rail on both sides of it; on trestles its tenons are bent as the sums of the span’s loads say', () => {
    expect(level(derived(plain()), 'pieced.seams-carried')).toBe('good');
    const bare = change(plain(), (d) => {
      d.form.base = startBase('trestle', d.form.top, 740);
      d.form.top.endOverhang = 40;
    });
    const job = derived(bare);
    const check = job.checks.find((c) => c.id === 'pieced.seams-carried')!;
    const input = (label: string): number => {
      const { quantity } = check.figure!.inputs.find((own) => own.label === label)!;
      return typeof quantity === 'string' ? Number.NaN : quantity.amount;
    };
    const [load, span, n, w, t] = ['Top and its load', 'Span L', 'Tenons n', 'Each wide w', 'Each thick t'].map(input);
    // A thousand small loads on a beam between two rests, their moments about its middle taken one by one.
    const q = load! / job.piece.top.size.length;
    const steps = 1000;
    const each = (q * span!) / steps;
    const reaction = (q * span!) / 2;
    let moment = (reaction * span!) / 2;
    for (let i = 0; i < steps / 2; i += 1) moment -= each * (span! / 2 - ((i + 0.5) * span!) / steps);
    expect(check.value.amount).toBeCloseTo(moment / ((n! * w! * t! ** 2) / 6), 2);
    // A bearer under the seam would carry it: with two seams over the bearers nothing is free.
    const over = change(bare, (d) => {
      topOf(d, 'pieced').seams = 2;
      d.form.top.endOverhang = d.form.top.length / 3 - 30;
    });
    expect(level(derived(over), 'pieced.seams-carried')).toBe('good');
  });

  it('what cannot be made is told', () => {
    const where = (seams: number, stripe: number) =>
      derived(
        change(plain(), (d) => {
          Object.assign(topOf(d, 'pieced'), { seams, stripe });
        }),
      ).problems.map((p) => p.where);
    expect(where(6, 250)).toContain('form.top.seams');
    expect(where(1, 20)).toContain('form.top.stripe');
  });
});
