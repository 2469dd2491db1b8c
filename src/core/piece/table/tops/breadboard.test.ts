import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, topOf } from '../../../../../tests/fixtures/constructions';
import { change } from '../../../../../tests/fixtures/demo';
import type { TableInJob } from '../../../document/piece-in-job';
import { fullSizeDrawings } from '../../../format/full-size';
import { pegDiameter } from '../../../joint/breadboard';
import type { Cut } from '../../../joint/joint';
import { boundsOfFlat, polygonOf, radiusOf } from '../../../solid/outline';
import { findPart } from '../../piece';

const table = (shape: Extract<TableInJob['form']['top'], { kind: 'breadboard' }>['end']['shape']) =>
  change(CONSTRUCTIONS.find((c) => c.name.includes('a breadboarded trestle table'))!.document, (d) => {
    topOf(d, 'breadboard').end.shape = shape;
  });
const volumeOfEnd = (document: TableInJob, id: string) => findPart(derived(document).piece, id)!.volume * 1e9;

describe('the ends of a breadboarded top', () => {
  it('curved, lose what lies between the arc and its box: the segment of a circle is left', () => {
    const { piece } = derived(table({ kind: 'curved', sagitta: 26 }));
    const plain = derived(table({ kind: 'straight' })).piece;
    for (const id of ['breadboard-left', 'breadboard-right']) {
      const { size } = findPart(piece, id)!;
      const r = radiusOf(size.length, 26);
      const half = Math.asin(size.length / 2 / r);
      const segment = r ** 2 * (half - Math.sin(half) * Math.cos(half));
      const lost = (size.length * 26 - segment) * size.thickness;
      const reckoned =
        volumeOfEnd(table({ kind: 'straight' }), id) - volumeOfEnd(table({ kind: 'curved', sagitta: 26 }), id);
      // Straight lines stand for the arc, within a fifth of a millimetre.
      expect(Math.abs(reckoned / lost - 1)).toBeLessThan(0.02);
    }
    // Over all the top is as long as before, and its widest place is in the middle of both ends.
    expect(piece.overall).toEqual(plain.overall);
    const { left, right } = boundsOfFlat(polygonOf(piece.top.outline));
    expect(right - left).toBeCloseTo(piece.overall.length, 6);
    for (const id of ['breadboard-left', 'breadboard-right']) {
      const out = findPart(piece, id)!.placed.flatMap((solid) => solid.corners);
      const far = out.reduce((a, b) => (Math.abs(b[0]) > Math.abs(a[0]) + 1e-6 ? b : a));
      expect(Math.abs(far[1])).toBeLessThan(20);
    }
  });

  it('with their corners off lose two triangles', () => {
    const off = table({ kind: 'chamfered', corner: 30 });
    for (const id of ['breadboard-left', 'breadboard-right']) {
      const lost = volumeOfEnd(table({ kind: 'straight' }), id) - volumeOfEnd(off, id);
      expect(lost).toBeCloseTo(30 * 30 * 38, 3);
    }
  });

  it('are stopped where a corner would run out to short grain, and told how far they may be shaped', () => {
    const { problems } = derived(table({ kind: 'curved', sagitta: 90 }));
    const problem = problems.find(({ where }) => where === 'form.top.end.shape.sagitta')!;
    const most = Number(problem.mends);
    const where = (sagitta: number) => derived(table({ kind: 'curved', sagitta })).problems.map((p) => p.where);
    expect(where(most)).not.toContain('form.top.end.shape.sagitta');
    expect(where(most + 1)).toContain('form.top.end.shape.sagitta');
  });

  it('go out as templates with a true arc', () => {
    const drawings = fullSizeDrawings(derived(table({ kind: 'curved', sagitta: 26 })).piece, { system: 'metric' });
    const template = drawings.find((d) => d.id === 'template-breadboard-right-width')!;
    const outline = template.marks.find((mark) => mark.kind === 'line' && mark.layer === 'OUTLINE');
    expect(outline?.kind === 'line' && outline.sagittas?.some((s) => Math.abs(Math.abs(s) - 26) < 1e-9)).toBe(true);
  });
});

describe('the pegs of an end', () => {
  const table = () => CONSTRUCTIONS.find((c) => c.name.includes('a breadboarded trestle table'))!.document;
  const pegsOf = (document: ReturnType<typeof table>) => {
    const { piece } = derived(document);
    return { piece, joint: piece.joints.find((j) => j.kind === 'breadboard-pegs' && j.into === 'breadboard-right') };
  };
  const spanOf = (cut: Cut, axis: 0 | 1 | 2) => {
    const all = cut.solid.corners.map((p) => p[axis]);
    return { from: Math.min(...all), to: Math.max(...all), middle: (Math.min(...all) + Math.max(...all)) / 2 };
  };

  it('stand one in every tenon, in slots that grow longer outward and stay inside their tenons', () => {
    const { piece, joint } = pegsOf(table());
    const { end } = topOf(table(), 'breadboard');
    const inTongue = joint!.removed.filter((cut) => cut.part === 'top');
    expect(inTongue).toHaveLength(end.tenons);
    const tenons = piece.joints
      .find((j) => j.id === 'breadboard-right')!
      .added.map((own) => own.solid.bounds)
      .filter((b) => b.to[0] - b.from[0] > 11);
    const long = inTongue.map((cut) => {
      const { from, to, middle } = spanOf(cut, 1);
      const tenon = tenons.find((b) => b.from[1] < middle && b.to[1] > middle)!;
      expect(from - tenon.from[1]).toBeGreaterThan(5.9);
      expect(tenon.to[1] - to).toBeGreaterThan(5.9);
      return { off: Math.abs(middle), long: to - from };
    });
    long.sort((a, b) => a.off - b.off);
    for (const [i, own] of long.entries()) {
      const before = long[i - 1];
      if (before) expect(own.long).toBeGreaterThanOrEqual(before.long - 1e-9);
    }
    expect(long.at(-1)!.long).toBeGreaterThan(long[0]!.long);
  });

  it('let the panel go as far as the seasons take it there', () => {
    const job = derived(table());
    const joint = job.piece.joints.find((j) => j.kind === 'breadboard-pegs')!;
    const slots = joint.removed.filter((cut) => cut.what === 'slot for a peg');
    const diameter = pegDiameter(table().form.top.thickness);
    const needs = job.restraint.ledger.filter(
      (line) => line.tie.startsWith('breadboard-left:peg-') && line.axis === 'y',
    );
    expect(needs.length).toBe(slots.length);
    const ties = new Map(job.piece.joints.flatMap((j) => j.ties).map((tie) => [tie.id, tie]));
    for (const line of needs) {
      const { y } = ties.get(line.tie)!.at;
      const slot = slots.find((cut) => Math.abs(spanOf(cut, 1).middle - y) < 1e-6)!;
      const { from, to } = spanOf(slot, 1);
      expect((to - from - diameter) / 2).toBeGreaterThan(Math.max(line.plus.need, line.minus.need));
    }
  });

  it('are drawn toward the shoulder by a millimetre, and bored from both faces round', () => {
    const { joint } = pegsOf(table());
    const holes = joint!.removed.filter((cut) => cut.part === 'breadboard-right');
    const slots = joint!.removed.filter((cut) => cut.part === 'top');
    expect(holes).toHaveLength(2 * slots.length);
    for (const hole of holes) expect(hole.bore!.diameter).toBe(pegDiameter(table().form.top.thickness));
    for (const slot of slots) expect(holes[0]!.bore!.from[0] - spanOf(slot, 0).middle).toBeCloseTo(1, 9);
    const straight = pegsOf(
      change(table(), (d) => {
        topOf(d, 'breadboard').end.pegs = 'straight';
      }),
    ).joint!;
    const own = straight.removed.filter((cut) => cut.part === 'top');
    for (const slot of own) expect(holes[0]!.bore!.from[0] - spanOf(slot, 0).middle).toBeCloseTo(0, 9);
  });

  it('none stands in the short tongue between an even number of tenons; none at all where none are wanted', () => {
    const even = pegsOf(
      change(table(), (d) => {
        topOf(d, 'breadboard').end.tenons = 4;
      }),
    );
    expect(even.joint!.removed.filter((cut) => cut.part === 'top')).toHaveLength(4);
    expect(even.piece.fittings.find((f) => f.name === 'Pegs for the ends')!.count).toBe(8);
    const none = pegsOf(
      change(table(), (d) => {
        topOf(d, 'breadboard').end.pegs = 'none';
      }),
    );
    expect(none.joint).toBeUndefined();
  });
});
