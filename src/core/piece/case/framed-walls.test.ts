import { describe, expect, it } from 'vitest';
import { caseInSeason, caseOf, sideboard } from '../../../../tests/fixtures/cases';
import { housing } from '../../joint/housing';
import { box } from '../../solid/convex';
import { caseAs } from '../../start/case-as';
import { findPart } from '../piece';
import type { CaseForm } from './form';
import { type FramedWalls, meetBars } from './framed-walls';

const bar = (part: string, y: [number, number]) => ({
  part,
  name: part,
  bounds: box([-22, y[0], 0], [0, y[1], 800]).bounds,
});
/** A side whose posts are 60 wide, 400 deep. */
const walls: FramedWalls = new Map([['side-left', [bar('front', [-200, -140]), bar('back', [140, 200])]]]);
const shelf = housing({
  ...{ id: 'side-left/shelf-1', name: 'Shelf 1 in left side', into: 'side-left', from: 'shelf-1' },
  ...{ at: [0, 0, 400], along: [-1, 0, 0], y: [-200, 190], stop: 12, thickness: 20, depth: 7 },
});
const behind = { room: 9, path: 'form.carcass.corner.behind' };

describe('what was planned against a board, met by the bars of a frame', () => {
  const { joints } = meetBars({ joints: [shelf], cuts: [], pinRows: [] }, walls, behind);

  it('is a joint with each bar that it comes to, and cuts no more than its share', () => {
    expect(joints.map(({ id, into }) => [id, into])).toEqual([
      ['front/shelf-1', 'front'],
      ['back/shelf-1', 'back'],
    ]);
    expect(joints.map(({ removed }) => removed.map(({ solid }) => [solid.bounds.from[1], solid.bounds.to[1]]))).toEqual(
      [[[-188, -140]], [[140, 190]]],
    );
    // Between the posts nothing of its tongue is left.
    expect(joints.flatMap(({ added }) => added.map(({ solid }) => solid.bounds.to[1] - solid.bounds.from[1]))).toEqual([
      48, 50,
    ]);
  });

  it('is glued in front, and moves behind as far as it has room', () => {
    const [front, back] = joints;
    expect(front?.ties.every(({ slides }) => !slides)).toBe(true);
    const slides = back?.ties.filter((tie) => tie.slides) ?? [];
    expect(slides.map(({ room, sets }) => [room.y?.plus, sets?.path])).toEqual([[9, behind.path]]);
    expect(back?.ties.filter((tie) => !tie.slides).every(({ room }) => !room.y)).toBe(true);
  });

  it('a rail that comes to one bar alone is held there', () => {
    const rail = housing({
      ...{ id: 'side-left/rail-1', name: 'Rail 1, front, in left side', into: 'side-left', from: 'rail-1' },
      ...{ at: [0, 0, 300], along: [-1, 0, 0], y: [-200, -140], stop: 0, thickness: 20, depth: 7 },
    });
    const met = meetBars({ joints: [rail], cuts: [], pinRows: [] }, walls, behind).joints;
    expect(met.map(({ into }) => into)).toEqual(['front']);
    expect(met[0]?.ties).toHaveLength(rail.ties.length);
  });

  it('rows of pins are bored into the posts', () => {
    const row = { wall: 'side-left', space: 'all', x: 0, into: -1 as const, from: 100, apart: 32, count: 5 };
    const rows = [-170, 165].map((y) => ({ ...row, y, diameter: 5, deep: 9 }));
    expect(meetBars({ joints: [], cuts: [], pinRows: rows }, walls, behind).pinRows.map(({ wall }) => wall)).toEqual([
      'front',
      'back',
    ]);
  });
});

describe('a case of frames', () => {
  const framed = caseAs(sideboard, { corner: 'framed-sides' });

  it('its parts are as long as they are worked out by hand', () => {
    const piece = caseOf(framed);
    const corner = framed.carcass.corner as Extract<CaseForm['carcass']['corner'], { kind: 'framed-sides' }>;
    const size = (id: string) => findPart(piece, id)?.size;
    // 820 less a plinth of 90 and a board of 22 over it.
    expect(size('post-front-left')?.length).toBeCloseTo(820 - 90 - 22, 9);
    // 450 between stiles of 65, a tenon of 0.6 · 65 at each end.
    expect(size('side-left-rail-1')?.length).toBeCloseTo(450 - 130 + 2 * 39, 9);
    // 1 400 between sides of 22, tenons of 0.6 · 22.
    expect(size('bottom-front')?.length).toBeCloseTo(1400 - 44 + 2 * 13, 9);
    expect(size('side-left-panel-1')?.width).toBeCloseTo(450 - 130 + 2 * (corner.tongue - corner.room), 9);
    expect(findPart(piece, 'side-left')).toBeUndefined();
    expect(findPart(piece, 'top')).toBeUndefined();
  });

  it('hardly moves, while what lies over it and in it does', () => {
    const need = (tie: string, form = framed) => {
      const line = caseInSeason(form).restraint.ledger.find((own) => own.tie === tie);
      return line ? Math.max(line.plus.need, line.minus.need) : Number.NaN;
    };
    expect(need('top/cover-back')).toBeGreaterThan(3);
    expect(need('bottom/upright-1:slides')).toBeGreaterThan(3);
    // Over its plinth the breadth of its rails moves, and not its depth.
    const [ofFrames, ofBoards] = [need('plinth-back/bottom'), need('plinth-back/bottom', sideboard)];
    expect(ofFrames / ofBoards).toBeLessThan(0.35);
  });

  it('a board glued in front and behind tears', () => {
    const fast: CaseForm = { ...framed, inside: { ...framed.inside, fixing: { kind: 'butted', key: 'loose-tenons' } } };
    expect(caseInSeason(fast).restraint.traps.length).toBeGreaterThan(0);
  });
});
