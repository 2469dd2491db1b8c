import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, topOf } from '../../../tests/fixtures/constructions';
import { change, level } from '../../../tests/fixtures/demo';
import type { CutOut } from '../document/job-document';
import { keptOffJoints } from '../job/panels';
import { pieceWeight } from './stability';

const { document } = CONSTRUCTIONS.find((c) => c.name.includes('a square table'))!;
const withHoles = (...holes: CutOut[]) =>
  derived(
    change(document, (d) => {
      topOf(d, 'glued-panel').cutOuts = holes;
    }),
  );
/** Half a metre in from both sides of a top of 860, so that no rail is near. */
const inTheMiddle = { fromEnd: 430, fromFront: 430, length: 120, width: 60 };

describe('a hole through the top', () => {
  it('keeps 25 mm of wood to the edge, better 50 (common practice)', () => {
    const at = (fromEnd: number) => level(withHoles({ ...inTheMiddle, fromEnd }), 'form.cut-out-edge');
    expect(at(60 + 24)).toBe('stop');
    expect(at(60 + 30)).toBe('watch');
    expect(at(430)).toBe('good');
  });

  it('keeps as much to the next one', () => {
    const beside = (gap: number) =>
      level(
        withHoles({ ...inTheMiddle, fromEnd: 430 - 60 - gap / 2 }, { ...inTheMiddle, fromEnd: 430 + 60 + gap / 2 }),
        'form.cut-out-edge',
      );
    expect(beside(10)).toBe('stop');
    expect(beside(40)).toBe('watch');
    expect(beside(60)).toBe('good');
  });

  it('stands clear of the rails and of what is driven into the top', () => {
    expect(level(withHoles(inTheMiddle), 'form.cut-out-under')).toBe('good');
    const overApron = withHoles({ ...inTheMiddle, fromFront: 75, width: 40 });
    expect(level(overApron, 'form.cut-out-under')).toBe('stop');
    const named = overApron.checks.find((check) => check.id === 'form.cut-out-under')!;
    expect(named.where).toContain('apron-front');
    const [fastener] = withHoles(inTheMiddle).piece.fasteners;
    const onIt = { fromEnd: fastener!.x + 430, fromFront: fastener!.y + 430, length: 20, width: 20 };
    expect(level(withHoles(onIt), 'form.cut-out-under')).toBe('stop');
  });

  it('leaves half of the top’s width running through', () => {
    expect(level(withHoles({ ...inTheMiddle, width: 400 }), 'form.cut-out-left')).toBe('good');
    expect(level(withHoles({ ...inTheMiddle, width: 460 }), 'form.cut-out-left')).toBe('watch');
    // Two behind each other along the grain take no more than one of them.
    const two = withHoles({ ...inTheMiddle, fromEnd: 250, width: 300 }, { ...inTheMiddle, fromEnd: 610, width: 300 });
    expect(level(two, 'form.cut-out-left')).toBe('good');
  });

  it('takes its wood off the weight, and joint lines keep off both its long edges', () => {
    const [whole, cut] = [withHoles(), withHoles(inTheMiddle)];
    const weight = (job: typeof whole) => pieceWeight({ piece: job.piece, species: job.species, season: job.season });
    const top = whole.piece.parts.find((part) => part.id === 'top')!;
    const share = (120 * 60 * top.size.thickness * 1e-9) / top.volume;
    const topWeight = (top.volume / whole.piece.parts.reduce((sum, part) => sum + part.volume, 0)) * weight(whole);
    expect(weight(whole) - weight(cut)).toBeCloseTo(topWeight * share, 9);
    expect(keptOffJoints(cut.piece, 'top')).toEqual(expect.arrayContaining([-30, 30]));
    expect(cut.operations.map(({ id }) => id)).toContain('top-cut-outs');
  });
});
