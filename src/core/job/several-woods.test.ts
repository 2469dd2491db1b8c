import { describe, expect, it } from 'vitest';
import { thickBoards } from '../../../tests/fixtures/constructions';
import { boards, jobOf, places, shop, sixSeats } from '../../../tests/fixtures/demo';
import { read } from '../decision/issues';
import { type JobDocument, JobDocumentSchema, withChanges } from '../document/job-document';
import { cutList } from '../format/cut-list';
import { checkLayout } from '../layout/check-layout';
import { planLayout } from '../layout/plan-layout';
import { partWeight } from '../piece/weight';
import { sizeAt } from '../season/size-at';
import { partWoodChanges, woodChanges } from '../start/pieces';
import { findSpecies } from '../wood/species';
import { type DerivedPiece, deriveJob } from './derive-job';
import type { JobInputs } from './inputs';
import { ownedChecks, shownPiece } from './shown-piece';

const [oak, ash] = [findSpecies('oak-white')!, findSpecies('ash-white')!];
const allOak = jobOf(sixSeats('oak-white'));
const allAsh = jobOf(sixSeats('ash-white'));
const BASE = ['leg', 'apron', 'cross-rail'];

/** An oak top on a base of ash. */
const both = BASE.reduce(
  (job, kind) => withChanges(job, partWoodChanges(job, 'p1', kind, 'ash-white')),
  allOak as JobDocument,
);
const derive = (document: JobDocument, more: Partial<JobInputs> = {}) => {
  const job = deriveJob({ document, shop, places, boards, layouts: [], ...more });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return job;
};
const pieceOf = (document: JobDocument): DerivedPiece => derive(document).pieces[0]!;
const [piece, oaken, ashen] = [pieceOf(both), pieceOf(allOak), pieceOf(allAsh)];
const value = (own: DerivedPiece, id: string) => own.checks.find((check) => check.id === id)!.value.amount;
const part = (own: DerivedPiece, id: string) => own.piece.parts.find((one) => one.id === id)!;

describe('a top of one wood on a base of another', () => {
  it('weighs what each part weighs in its own wood', () => {
    const weigh = (own: DerivedPiece, id: string, species = own.species) =>
      partWeight(part(own, id), species, own.season.glued.moisture);
    expect(weigh(piece, 'top')).toBe(weigh(oaken, 'top'));
    expect(weigh(piece, 'leg-front-left')).toBeCloseTo(weigh(ashen, 'leg-front-left'), 9);
    expect(weigh(piece, 'leg-front-left')).not.toBeCloseTo(weigh(oaken, 'leg-front-left'), 3);
  });

  it('moves by the wood of each part: the top as oak, the aprons as ash', () => {
    expect(piece.season.leadingWidth).toEqual(oaken.season.leadingWidth);
    const high = (own: DerivedPiece, id: string) => {
      const { season } = own;
      return sizeAt(part(own, id), season, season.wettest.moisture).width / part(own, id).size.width;
    };
    expect(high(piece, 'apron-front')).toBeCloseTo(high(ashen, 'apron-front'), 9);
    expect(high(piece, 'apron-front')).not.toBeCloseTo(high(oaken, 'apron-front'), 6);
  });

  it('is as strong and as stiff as what is asked: the base is ash, what lies on it is oak', () => {
    for (const id of ['stiffness.sway-along', 'stiffness.sway-across', 'stiffness.apron-bow'])
      expect(value(piece, id), id).toBeCloseTo(value(ashen, id), 9);
    const limit = (own: DerivedPiece) => own.checks.find(({ id }) => id === 'strength.racking-along')!.limit.amount;
    expect(limit(piece)).toBeCloseTo(ash.modulusOfRupture / 4, 9);
    expect(limit(oaken)).toBeCloseTo(oak.modulusOfRupture / 4, 9);
    // The top bends as oak under its own weight.
    expect(value(piece, 'stiffness.top-sag')).toBeCloseTo(value(oaken, 'stiffness.top-sag'), 9);
  });

  it('where parts of two woods meet in a joint, the weaker one counts', () => {
    const pine = withChanges(allOak, partWoodChanges(allOak, 'p1', 'apron', 'pine-eastern-white'));
    const own = pieceOf(pine);
    const weak = findSpecies('pine-eastern-white')!;
    expect(own.checks.find(({ id }) => id === 'strength.racking-along')!.limit.amount).toBeCloseTo(
      weak.modulusOfRupture / 4,
      9,
    );
    expect(value(own, 'stiffness.sway-along')).toBeGreaterThan(value(oaken, 'stiffness.sway-along'));
  });

  it('is cut from boards of both, each layout sound, and complete only with both', () => {
    const job = derive(both);
    expect(job.woods.map(({ species }) => species.id)).toEqual(['oak-white', 'ash-white']);
    expect(job.woods[0]!.demand.panels.map(({ id }) => id)).toEqual(['p1.1:top']);
    expect(job.woods[0]!.demand.parts).toEqual([]);
    expect(job.woods[1]!.demand.panels).toEqual([]);
    const layouts = job.woods.map((wood) => {
      const layout = planLayout(wood.demand, wood.boards, { ...wood.layoutOptions, effort: 20 });
      expect(checkLayout(wood.demand, wood.boards, wood.layoutOptions, layout)).toEqual([]);
      return layout;
    });
    const rack = new Map(boards.map((board) => [board.id, board.species]));
    const laid = derive(both, { layouts });
    const [own] = laid.pieces;
    expect(own!.layoutComplete).toBe(true);
    for (const { part: id, board } of own!.layout!.placements)
      expect(rack.get(board)).toBe(id === 'top' ? 'oak-white' : 'ash-white');
    expect(own!.panels[0]!.laid.length).toBeGreaterThan(3);
    const half = derive(both, { layouts: layouts.slice(0, 1) });
    expect(half.pieces[0]!.layoutComplete).toBe(false);
    expect(half.pieces[0]!.panels[0]!.laid).toEqual([]);
    // Every check once, of whichever boards.
    const ids = shownPiece(laid).checks.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(shownPiece(laid, 'p1', 1, 'ash-white').wood.species.id).toBe('ash-white');
  });

  it('asks the rack for the wood of each part', () => {
    const onlyAsh = derive(both, { boards: thickBoards.map((board) => ({ ...board, species: 'ash-white' })) });
    const stock = (id: string) => ownedChecks(onlyAsh).find(({ check }) => check.id === id)!.check;
    expect(stock('stock.thickness-leg').level).toBe('good');
    expect(stock('stock.thickness-top').level).toBe('stop');
    expect(stock('stock.thickness-top').sentence.join(' ')).toContain(oak.commonName);
  });

  it('says on the cut list which parts are of the other wood', () => {
    const woods = new Set(cutList(piece.piece.parts, piece.demand).map(({ letter, wood }) => `${letter} ${wood}`));
    expect(woods.has('A null')).toBe(true);
    expect(woods.has(`B ${ash.commonName}`)).toBe(true);
  });
});

describe('the woods of a job', () => {
  it('come and go with what is made of them', () => {
    expect(both.woods.map(({ species }) => species)).toEqual(['oak-white', 'ash-white']);
    const back = BASE.reduce((job, kind) => withChanges(job, partWoodChanges(job, 'p1', kind, null)), both);
    expect(back).toEqual(allOak);
    // The piece itself becomes ash: its base stays what it is, and one wood is left.
    const all = withChanges(both, woodChanges(both, 'p1', 'ash-white'));
    expect(all.woods.map(({ species }) => species)).toEqual(['ash-white']);
    expect(derive(all).woods).toHaveLength(1);
    // A single part by its own id.
    const apron = withChanges(allOak, partWoodChanges(allOak, 'p1', 'apron-front', 'cherry-black'));
    const own = pieceOf(apron);
    expect([part(own, 'apron-front').wood?.id, part(own, 'apron-back').wood?.id]).toEqual(['cherry-black', undefined]);
  });

  it('that are named and not there are refused', () => {
    const odd = withChanges(allOak, [{ path: 'pieces.p1.woodOf', value: { leg: 'w7' } }]);
    expect('problems' in read(JobDocumentSchema, odd, 'the job')).toBe(true);
    const strange = withChanges(both, [{ path: 'woods.w2.species', value: 'plastic' }]);
    expect(deriveJob({ document: strange, shop, places, boards, layouts: [] })).toMatchObject({
      problems: [{ problem: 'There is no species “plastic”.', where: 'woods.w2.species' }],
    });
  });
});

describe('a painted base under a top that is not', () => {
  const painted = withChanges(both, [{ path: 'pieces.p1.plan.painted', value: ['leg', 'apron', 'cross-rail'] }]);
  const own = pieceOf(painted);

  it('takes its parts from any sound board: nothing of them is seen', () => {
    for (const { id, shows } of own.demand.parts) expect(shows, id).toBe('none');
    expect(own.demand.panels.map(({ shows }) => shows)).toEqual(['face']);
  });

  it('is primed and painted twice, and the clear finish keeps to the top', () => {
    const { operations } = own;
    const ids = operations.map(({ id }) => id);
    const paint = ['prime', 'paint-1', 'paint-2'];
    expect(ids.filter((id) => paint.includes(id))).toEqual(paint);
    const at = (id: string) => operations.find((operation) => operation.id === id)!;
    expect(at('prime').after).toEqual(['sand-top']);
    expect([...at('paint-2').parts].sort()).toEqual(own.demand.parts.map(({ id }) => id).sort());
    expect(at('coat-1').parts).toEqual(['top']);
  });

  it('says so in the cut list', () => {
    const rows = cutList(own.piece.parts, own.demand);
    expect(rows.filter(({ painted: is }) => is).length).toBe(rows.length - 1);
  });
});
