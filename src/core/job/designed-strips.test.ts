import { describe, expect, it } from 'vitest';
import { thickBoards } from '../../../tests/fixtures/constructions';
import { boards, jobOf, places, shop, sixSeats } from '../../../tests/fixtures/demo';
import { type JobDocument, withChanges } from '../document/job-document';
import { drawView } from '../drawing/drawing';
import { cutList } from '../format/cut-list';
import { checkLayout } from '../layout/check-layout';
import { planLayout } from '../layout/plan-layout';
import { partWeight } from '../piece/weight';
import { partWoodChanges } from '../start/pieces';
import { dimensionalChange } from '../wood/movement';
import { findSpecies } from '../wood/species';
import { deriveJob } from './derive-job';

const [walnut, maple] = [findSpecies('walnut-black')!, findSpecies('maple-sugar')!];
/** A rack with boards enough of both. */
const rack = ['walnut-black', 'maple-sugar'].flatMap((species) =>
  thickBoards.map((board) => ({ ...board, id: `${species}-${board.id}`, tag: `${species[0]}${board.tag}`, species })),
);

const plain = withChanges(jobOf(sixSeats('walnut-black')) as JobDocument, [
  { path: 'pieces.p1.form.top.length', value: 1400 },
  { path: 'pieces.p1.form.top.width', value: 700 },
  {
    path: 'pieces.p1.form.top.stripes',
    value: { strips: 10, pattern: 'alternate', many: 1, block: null },
  },
]);
const striped = withChanges(plain, partWoodChanges(plain, 'p1', 'top/stripes', 'maple-sugar'));
const blocked = withChanges(
  withChanges(striped, [
    { path: 'pieces.p1.form.top.stripes.block', value: { end: 'right', edge: 'front', strips: 3, length: 300 } },
  ]),
  partWoodChanges(striped, 'p1', 'top/block', 'walnut-black'),
);
const derive = (document: JobDocument) => {
  const job = deriveJob({ document, shop, places, boards: [...boards, ...rack], layouts: [] });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return job;
};
const topOf = (document: JobDocument) => {
  const piece = derive(document).pieces[0]!;
  return { piece, top: piece.piece.parts.find(({ id }) => id === 'top')! };
};

describe('a top of alternating strips of walnut and maple', () => {
  const { piece, top } = topOf(striped);

  it('has ten strips of a tenth of its width, every second of maple, from the front', () => {
    expect(top.strips!.map(({ wood, width, low }) => [wood?.id, width, low])).toEqual(
      Array.from({ length: 10 }, (_, i) => [i % 2 === 1 ? 'maple-sugar' : 'walnut-black', 70, 70 * i]),
    );
  });

  it('moves by what its strips move, added up', () => {
    const { season } = piece;
    const grown = top.strips!.reduce(
      (sum, { wood, width }) =>
        sum +
        dimensionalChange({
          dimension: width,
          species: wood!,
          ringAngle: season.ringAngle,
          fromMoisture: season.glued.moisture,
          toMoisture: season.wettest.moisture,
        }),
      0,
    );
    // Beyond 14 % the shrinkage of both is averaged, and its curve a little less than exactly.
    expect((season.leadingWidth.wettest - 700) / grown).toBeCloseTo(1, 2);
  });

  it('weighs half as walnut and half as maple', () => {
    const { moisture } = piece.season.glued;
    const as = (species: typeof walnut) => partWeight({ ...top, wood: species }, species, moisture);
    expect(partWeight(top, piece.species, moisture)).toBeCloseTo((as(walnut) + as(maple)) / 2, 6);
  });

  it('wants each strip from a board of its wood, and is laid out without a fault', () => {
    const job = derive(striped);
    expect(job.woods.map(({ species }) => species.id).sort()).toEqual(['maple-sugar', 'walnut-black']);
    for (const wood of job.woods) {
      const strips = wood.demand.parts.filter(({ id }) => id.includes('top/'));
      expect(strips).toHaveLength(5);
      for (const { finished } of strips) expect(finished.length).toBe(1400);
      const layout = planLayout(wood.demand, wood.boards, wood.layoutOptions);
      expect(checkLayout(wood.demand, wood.boards, wood.layoutOptions, layout)).toEqual([]);
    }
    expect(job.pieces[0]!.demand.panels).toEqual([]);
  });

  it('is glued of its strips in their order', () => {
    const members = piece.glueUps.flatMap(({ stages }) => stages.flatMap((stage) => stage.members));
    const own = members.filter((label) => label.includes('.s'));
    expect(own).toEqual(top.strips!.map(({ id }) => `${top.letter}.${id}`));
  });

  it('is judged by the step between two strips: the difference of what both move through their thickness', () => {
    const step = piece.checks.find(({ id }) => id === 'stripes.step')!;
    const through = (species: typeof walnut, toMoisture: number) =>
      dimensionalChange({
        dimension: top.size.thickness,
        species,
        ringAngle: 90 - piece.season.ringAngle,
        fromMoisture: piece.season.glued.moisture,
        toMoisture,
      });
    const { wettest, driest } = piece.season;
    const off = [wettest, driest].map(({ moisture }) => Math.abs(through(walnut, moisture) - through(maple, moisture)));
    expect(step.value.amount).toBeCloseTo(Math.max(...off), 9);
  });

  it('is in the cut list strip by strip, each of its wood', () => {
    const rows = cutList(piece.piece.parts, piece.demand).filter(({ letter }) => letter.startsWith(`${top.letter}.`));
    expect(rows.map(({ wood }) => wood)).toEqual(top.strips!.map(({ wood }) => wood?.commonName));
    for (const { width, rough } of rows) expect(rough!.width).toBeGreaterThan(width);
  });

  it('shows its strips from above, walnut dark and maple pale', () => {
    const shapes = drawView(piece.piece, 'plan').shapes.filter(({ style }) => style === 'strip');
    expect(shapes.map(({ tone }) => tone)).toEqual([3, 0, 3, 0, 3, 0, 3, 0, 3, 0]);
  });
});

describe('a block of walnut at a corner', () => {
  const { piece, top } = topOf(blocked);

  it('takes the place of the ends of the strips it stands against, and no wood is there twice', () => {
    const area = top.strips!.reduce((sum, { width, length }) => sum + width * length, 0);
    expect(area).toBeCloseTo(1400 * 700, 6);
    const short = top.strips!.filter(({ of, length }) => of !== 'block' && length < 1400);
    expect(short.map(({ id, length, from }) => [id, length, from])).toEqual([
      ['s1', 1100, 0],
      ['s2', 1100, 0],
      ['s3', 1100, 0],
    ]);
    const block = top.strips!.filter(({ of }) => of === 'block');
    expect(block.map(({ from, low, length }) => [from, low, length])).toEqual([
      [1100, 0, 300],
      [1100, 105, 300],
    ]);
  });

  it('comes to differ from the ends that it meets by what the maple among them moves otherwise', () => {
    const { season } = piece;
    const across = (species: typeof walnut, toMoisture: number) =>
      dimensionalChange({
        dimension: 70,
        species,
        ringAngle: season.ringAngle,
        fromMoisture: season.glued.moisture,
        toMoisture,
      });
    const off = [season.wettest, season.driest].map(({ moisture }) =>
      Math.abs(across(walnut, moisture) - across(maple, moisture)),
    );
    const check = piece.checks.find(({ id }) => id === 'stripes.block')!;
    expect(check.figure!.quantity.amount).toBeCloseTo(Math.max(...off), 9);
  });

  it('is not taken larger than the top: that is stopped, with a figure that mends it', () => {
    const long = withChanges(blocked, [{ path: 'pieces.p1.form.top.stripes.block.length', value: 1390 }]);
    const stop = topOf(long).piece.checks.find(({ id }) => id.endsWith('stripes.block.length'))!;
    expect(stop.level).toBe('stop');
    expect(stop.wayOut?.changes).toEqual([{ path: 'pieces.p1.form.top.stripes.block.length', value: 1250 }]);
  });
});
