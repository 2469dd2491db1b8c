import { describe, expect, it } from 'vitest';
import { thickBoards } from '../../../tests/fixtures/constructions';
import { boards, jobOf, places, shop, sixSeats, tableOf } from '../../../tests/fixtures/demo';
import { type JobDocument, withChanges } from '../document/job-document';
import { checkLayout } from '../layout/check-layout';
import { planLayout } from '../layout/plan-layout';
import { sizeAt } from '../season/size-at';
import { partWoodChanges } from '../start/pieces';
import { startTop } from '../start/start-form';
import type { Board } from '../stock/board';
import { density, findSpecies } from '../wood/species';
import { deriveJob } from './derive-job';

const sheet = (tag: string, thickness: number): Board => ({
  ...(thickBoards[0] as Board),
  id: tag,
  tag,
  species: 'plywood-birch',
  length: 2440,
  width: 1220,
  thickness,
  surface: 'dressed',
  quarters: null,
  moisture: null,
  moistureOn: null,
  defects: [],
});

const table = withChanges(jobOf(sixSeats('oak-white')) as JobDocument, [
  {
    path: 'pieces.p1.form.base.stretchers',
    value: { kind: 'shelf', height: 45, thickness: 22, at: 150, boards: 1, boardThickness: 18, gap: 0, load: 200 },
  },
]);
const shelved = withChanges(table, partWoodChanges(table, 'p1', 'shelf', 'plywood-birch'));
const derive = (document: JobDocument, rack: readonly Board[]) => {
  const job = deriveJob({ document, shop, places, boards: [...boards, ...thickBoards, ...rack], layouts: [] });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return job;
};

describe('a shelf of plywood in a table of oak', () => {
  const job = derive(shelved, [sheet('P1', 18.2), sheet('P2', 12)]);
  const [piece] = job.pieces;
  const shelf = piece!.piece.parts.find(({ kind }) => kind === 'shelf')!;
  const wood = job.woods.find(({ species }) => species.id === 'plywood-birch')!;

  it('is cut to its size from the sheet that is as thick, and from no other', () => {
    expect(wood.demand.parts.map(({ id, rough, sheet: is }) => [id, rough.length, rough.width, is])).toEqual([
      ['p1.1:shelf-1', Math.ceil(shelf.size.length), Math.ceil(shelf.size.width), true],
    ]);
    const layout = planLayout(wood.demand, wood.boards, wood.layoutOptions);
    expect(checkLayout(wood.demand, wood.boards, wood.layoutOptions, layout)).toEqual([]);
    expect(layout.boards).toEqual(['P1']);
    const onThin = { ...layout, placements: layout.placements.map((own) => ({ ...own, board: 'P2' })), boards: ['P2'] };
    expect(checkLayout(wood.demand, wood.boards, wood.layoutOptions, onThin).join()).toMatch(/not as thick/);
  });

  it('may lie up to the edge of its sheet: nothing is trimmed from a sheet', () => {
    expect(wood.layoutOptions.endTrim).toBe(0);
    expect(job.woods.find(({ species }) => species.id === 'oak-white')!.layoutOptions.endTrim).toBeGreaterThan(0);
  });

  it('hardly moves, where one of oak would move millimetres', () => {
    const { season } = piece!;
    const moved = (own: typeof shelf) =>
      sizeAt(own, season, season.wettest.moisture).width - sizeAt(own, season, season.driest.moisture).width;
    const { wood: _, ...solid } = shelf;
    expect(moved(shelf)).toBeLessThan(1);
    expect(moved(solid as typeof shelf)).toBeGreaterThan(4);
  });

  it('weighs as plywood does', () => {
    const species = findSpecies('plywood-birch')!;
    expect(density(species, 10)).toBeGreaterThan(600);
    expect(density(species, 10)).toBeLessThan(750);
  });

  it('is stopped where no sheet is as thick, with the thickness that there is', () => {
    const none = derive(shelved, [sheet('P2', 12)]).pieces[0]!;
    const stop = none.checks.find(({ id }) => id === 'stock.thickness-shelf')!;
    expect(stop.level).toBe('stop');
    expect(stop.wayOut?.changes).toEqual([{ path: 'pieces.p1.form.base.stretchers.boardThickness', value: 12 }]);
    expect(piece!.checks.find(({ id }) => id === 'stock.thickness-shelf')?.level).toBe('good');
  });
});

describe('a panel of a sheet in a mitred frame', () => {
  const plain = jobOf(sixSeats('oak-white')) as JobDocument;
  const framed = withChanges(plain, [
    {
      path: 'pieces.p1.form.top',
      value: { ...startTop('framed', tableOf(plain.pieces[0]!).top), panel: 'sheet', panelThickness: 18 },
    },
  ]);
  const wanted = (document: JobDocument) =>
    derive(document, [sheet('P1', 18)]).pieces[0]!.demand.parts.map(({ id }) => id);

  it('is bought to size until the maker says of which sheets it is cut', () => {
    expect(wanted(framed)).not.toContain('panel');
    expect(wanted(withChanges(framed, partWoodChanges(framed, 'p1', 'sheet', 'plywood-birch')))).toContain('panel');
  });
});

it('a table that is of plywood altogether is cut from sheets, its top without a glue-up, and its legs from none that there is', () => {
  const [wood] = (jobOf(sixSeats('oak-white')) as JobDocument).woods;
  const ply = withChanges(jobOf(sixSeats('oak-white')) as JobDocument, [
    { path: `woods.${wood!.id}.species`, value: 'plywood-birch' },
    { path: 'pieces.p1.form.top.thickness', value: 18 },
  ]);
  const { demand, glueUps, checks } = derive(ply, [sheet('P1', 18)]).pieces[0]!;
  expect(demand.panels).toEqual([]);
  expect(glueUps).toEqual([]);
  expect(demand.parts.every(({ sheet: is }) => is)).toBe(true);
  expect(checks.find(({ id }) => id === 'stock.thickness-top')?.level).toBe('good');
  expect(checks.find(({ id }) => id === 'stock.thickness-leg')?.level).toBe('stop');
});
