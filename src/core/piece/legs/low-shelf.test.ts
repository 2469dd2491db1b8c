import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../tests/fixtures/constructions';
import { change, level } from '../../../../tests/fixtures/demo';
import { withChanges } from '../../document/job-document';
import { boundsOf } from '../../solid/convex';
import { findPart, partsOfKind } from '../piece';

const table = () => CONSTRUCTIONS.find((c) => c.name.includes('a shelf of boards'))!.document;
const shelf = (edit: Record<string, number>) =>
  change(table(), (d) => {
    Object.assign(baseOf(d, 'leg-apron').stretchers, edit);
  });

describe('a low shelf', () => {
  it('fills what is between the legs, board and gap, and lies on both end stretchers flush with their outsides', () => {
    const { piece } = derived(table());
    const boards = partsOfKind(piece, 'shelf').map((part) => boundsOf(part.placed));
    expect(boards).toHaveLength(4);
    for (const [i, own] of boards.slice(1).entries()) expect(own.from[1] - boards[i]!.to[1]).toBeCloseTo(8, 9);
    const [front, back] = ['leg-front-left', 'leg-back-left'].map((id) => boundsOf(findPart(piece, id)!.placed));
    expect(boards[0]!.from[1] - front!.to[1]).toBeCloseTo(3, 9);
    expect(back!.from[1] - boards.at(-1)!.to[1]).toBeCloseTo(3, 9);
    for (const side of ['left', 'right'] as const) {
      const end = boundsOf(findPart(piece, `stretcher-${side}`)!.placed);
      for (const own of boards) {
        expect(own.from[2]).toBeCloseTo(end.to[2], 9);
        expect(side === 'left' ? own.from[0] : own.to[0]).toBeCloseTo(side === 'left' ? end.from[0] : end.to[0], 9);
      }
    }
  });

  it('is asked of the rack board by board, with the stretchers it lies on', () => {
    const { demand } = derived(table());
    expect(demand.parts.filter((part) => part.id.startsWith('shelf-'))).toHaveLength(4);
    expect(demand.parts.some((part) => part.id === 'stretcher')).toBe(false);
  });

  it('is laid on after the base is glued, before the top goes on', () => {
    const { operations } = derived(table());
    const own = operations.find((o) => o.id === 'shelf')!;
    expect(own.parts).toHaveLength(4);
    expect(own.after).toEqual(['glue-base']);
    expect(operations.some((o) => o.after.includes('shelf'))).toBe(true);
  });

  it('every board moves by itself: nothing traps, however wide they are', () => {
    for (const boards of [1, 3, 6]) expect(derived(shelf({ boards })).restraint.traps).toEqual([]);
  });

  it('sags by its load: twice as thick an eighth as much, and the way out holds', () => {
    const value = (edit: Record<string, number>) =>
      derived(shelf(edit)).checks.find((c) => c.id === 'stiffness.shelf-sag')!;
    const ratio =
      value({ boardThickness: 10, load: 3000 }).value.amount / value({ boardThickness: 20, load: 3000 }).value.amount;
    expect(ratio).toBeGreaterThan(7.5);
    expect(ratio).toBeLessThan(8.1);
    const heavy = shelf({ boardThickness: 10, load: 900 });
    const stop = derived(heavy).checks.find((c) => c.id === 'stiffness.shelf-sag')!;
    expect(stop.level).toBe('stop');
    expect(level(derived(withChanges(heavy, stop.wayOut!.changes)), 'stiffness.shelf-sag')).not.toBe('stop');
  });

  it('gaps too small for a damp house are told, and the way out opens them', () => {
    const damp = change(shelf({ gap: 1 }), (d) => {
      d.season.homePlaceId = 'heron-ferry';
    });
    const check = derived(damp).checks.find((c) => c.id === 'season.shelf-gaps')!;
    expect(check.level).not.toBe('good');
    expect(level(derived(withChanges(damp, check.wayOut!.changes)), 'season.shelf-gaps')).toBe('good');
  });

  it('more boards than there is room for cannot be built', () => {
    expect(derived(shelf({ boards: 12, gap: 40 })).problems.map((p) => p.where)).toContain(
      'form.base.stretchers.boards',
    );
  });
});
