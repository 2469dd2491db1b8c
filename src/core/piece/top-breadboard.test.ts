import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, topOf } from '../../../tests/fixtures/constructions';
import { change } from '../../../tests/fixtures/demo';
import type { JobDocument } from '../decision/job-document';
import { fullSizeDrawings } from '../format/full-size';
import { corners } from '../solid/convex';
import { boundsOfFlat, polygonOf, radiusOf } from '../solid/outline';
import { findPart } from './piece';

const table = (shape: Extract<JobDocument['form']['top'], { kind: 'breadboard' }>['end']['shape']) =>
  change(CONSTRUCTIONS.find((c) => c.name.includes('a breadboarded trestle table'))!.document, (d) => {
    topOf(d, 'breadboard').end.shape = shape;
  });
const volumeOfEnd = (document: JobDocument, id: string) => findPart(derived(document).piece, id)!.volume * 1e9;

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
      const out = findPart(piece, id)!.placed.flatMap(corners);
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
    const most = Number(/at most (\d+)/.exec(problem.wayOut)![1]);
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
