import DxfParser from 'dxf-parser';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { change, demoJob, derive } from '../../../tests/fixtures/demo';
import { aBoard, aPart, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import { withChanges } from '../document/job-document';
import { blanksOf } from '../layout/blanks';
import { checkLayout } from '../layout/check-layout';
import { cutSequence } from '../layout/cut-sequence';
import { cutSteps } from '../layout/cut-steps';
import { labelsOfPiece } from '../layout/labels';
import { placeOn } from '../layout/move-piece';
import { planLayout } from '../layout/plan-layout';
import { writeCutsCsv } from './cuts-csv';
import { DXF_LAYERS, writeLayoutDxf } from './layout-dxf';
import { sayCut, sayFreed } from './say-cuts';

const job = derive(demoJob('1-square-table'));
const labelOf = labelsOfPiece(job.piece);
const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 200 });

describe('the cuts of a layout', () => {
  const steps = cutSteps(layout, job.boards, job.demand, job.layoutOptions);
  const through = steps.filter(({ kind }) => kind !== 'resaw');

  it('set every piece free exactly once, each cut going through what lies on the saw', () => {
    const freed = through.flatMap((step) => step.frees.placements);
    expect(new Set(freed).size).toBe(freed.length);
    expect(freed).toHaveLength(layout.placements.length);
    for (const { kind, from, at, set, side } of through) {
      const [start, size] = kind === 'crosscut' ? [from.x, from.length] : [from.y, from.width];
      expect(side === 'near' ? at - start : start + size - at - job.layoutOptions.kerf).toBeCloseTo(set, 9);
      expect(set).toBeGreaterThanOrEqual(0);
      expect(set).toBeLessThan(size);
    }
    // What a step of the saw leaves on a piece is not cut off.
    expect(through.length).toBeLessThanOrEqual(layout.cuts);
  });

  it('are said as they are set at the saw', () => {
    const [cross, rip] = cutSequence(
      { x: 0, y: 0, length: 2000, width: 200 },
      [{ x: 0, y: 0, length: 1310, width: 148 }],
      { kerf: 3, step: 0 },
    )!;
    const base = { board: 'b', tag: 'b', number: 1, frees: { placements: [], offcut: false } };
    expect(sayCut({ ...base, ...cross!, trims: false }, { system: 'metric' })).toBe('crosscut at 1\u202f310');
    expect(sayCut({ ...base, ...rip!, trims: false }, { system: 'metric' })).toBe('rip 148 from the straight edge');
  });

  it('part what is resawn after all else, as thick as it is wanted and over, and free each of its pieces', () => {
    const veneers = demandFor(['v1', 'v2', 'v3'].map((id) => aPart(id, 740, 85, 6)));
    const boards = [aBoard('b', 800, 90, { thickness: 52 })];
    const options = { ...plainOptions, resaw: { height: 250, kerf: 1.5, allowance: 3 } };
    const sawn = cutSteps(planLayout(veneers, boards, options), boards, veneers, options);
    const last = sawn.at(-1)!;
    expect(last).toMatchObject({ kind: 'resaw', set: 9, number: sawn.length, from: { length: 740, width: 85 } });
    expect(last.frees.placements.map(({ part }) => part)).toEqual(['v1', 'v2', 'v3']);
    expect(sayCut(last, { system: 'metric' })).toBe('resaw 9 from the flat face, 2 times');
    expect(sayFreed(last, labelOf)).toBe('v1, v2, v3');
    const blank = sawn.findLast(({ kind, frees }) => kind !== 'resaw' && frees.placements.length > 0)!;
    expect(sayFreed(blank, labelOf)).toBe('v1+v2+v3');
  });

  it('go out as CSV with one row a cut', () => {
    const { data } = Papa.parse<Record<string, string>>(
      writeCutsCsv(steps, labelOf, { length: { system: 'metric' }, decimal: 'point' }),
      {
        header: true,
        skipEmptyLines: true,
      },
    );
    expect(data).toHaveLength(steps.length);
    expect(data[0]).toMatchObject({ board: steps[0]!.tag, cut: '1', kind: steps[0]!.kind });
    expect(Number(data[0]!.set_mm)).toBeCloseTo(steps[0]!.set, 2);
  });
});

describe('a layout as DXF, read by another’s parser', () => {
  const tapered = aBoard('T1', 2000, 200, { farWidth: 160, liveEdges: { near: 0, far: 10 } });
  const read = (boards: typeof job.boards, laid = layout) =>
    new DxfParser().parseSync(writeLayoutDxf(laid, labelOf, boards))!;
  const drawn = read(job.boards);
  const boxes = (layer: string, from = drawn) =>
    from.entities
      .filter((entity) => entity.layer === layer && entity.type === 'LWPOLYLINE')
      .map((entity) => (entity as unknown as { vertices: { x: number; y: number }[] }).vertices);
  const span = (points: { x: number; y: number }[]) => {
    const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
    return [Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)];
  };

  it('is in millimetres, on its own layers', () => {
    expect(drawn.header.$INSUNITS).toBe(4);
    expect(Object.keys(drawn.tables.layer.layers)).toEqual(expect.arrayContaining([...DXF_LAYERS]));
  });

  it('has every part at its true size', () => {
    const sizes = boxes('PARTS').map(span);
    const wanted = blanksOf(layout.placements).map((p) => [p.length, p.width]);
    const sorted = (list: number[][]) => list.map(([a = 0, b = 0]) => `${a.toFixed(2)}×${b.toFixed(2)}`).sort();
    expect(sorted(sizes)).toEqual(sorted(wanted));
  });

  it('draws a board with its taper', () => {
    const laid = planLayout({ ...job.demand, parts: [], panels: [] }, [tapered], plainOptions);
    const only = read([tapered], { ...laid, boards: [tapered.id] });
    const [outline] = boxes('BOARDS', only);
    const ys = outline!.map((p) => p.y);
    expect([...new Set(ys.map((y) => Math.round(y - Math.min(...ys))))].sort((a, b) => a - b)).toEqual([0, 160, 200]);
  });
});

describe('a pinned board', () => {
  it('keeps its pieces through another search, and gives back those whose size has changed', () => {
    const [board] = layout.boards;
    const tag = job.boards.find((b) => b.id === board)!.tag;
    const pinned = change(demoJob('1-square-table'), (d) => {
      d.layout.pinned = [tag];
      d.layout.greatestStrip = 140;
    });
    const next = derive(pinned, { layout });
    const kept = next.layoutOptions.fixed!;
    expect(kept.length).toBeGreaterThan(0);
    expect(kept.every((p) => p.board === board)).toBe(true);
    const again = planLayout(next.demand, next.boards, { ...next.layoutOptions, effort: 100 });
    for (const placement of kept) expect(again.placements).toContainEqual(placement);
    const shorter = change(pinned, (d) => {
      d.form.top.length = 800;
      d.form.base.height = 700;
      d.form.base.apron.height = 70;
      d.form.top.width = 800;
    });
    expect(derive(shorter, { layout }).layoutOptions.fixed).toEqual([]);
  });
});

describe('a piece put by hand', () => {
  const leg = layout.placements.find((p) => p.part.startsWith('leg'))!;
  const board = job.boards.find((b) => !layout.boards.includes(b.id) && placesFor(b) !== null)!;
  function placesFor(b: (typeof job.boards)[number]) {
    const { demand, boards, layoutOptions: options } = job;
    return placeOn({ demand, boards, options, layout }, { ...leg, placements: [leg] }, b);
  }
  const moved = change(demoJob('1-square-table'), (d) => {
    d.layout.moved = placesFor(board)!;
  });

  it('lies there in everything that rests on the layout, and stays through another search', () => {
    const next = derive(moved, { layout });
    const there = next.layout!.placements.find((p) => p.part === leg.part)!;
    expect(there.board).toBe(board.id);
    expect(next.layoutState).toBe('current');
    expect(checkLayout(next.demand, next.boards, next.layoutOptions, next.layout!)).toEqual([]);
    expect(next.layoutOptions.fixed).toContainEqual(there);
    const again = planLayout(next.demand, next.boards, { ...next.layoutOptions, effort: 100 });
    expect(derive(moved, { layout: again }).layout!.placements).toContainEqual(there);
  });

  it('is given up, and said so, when it no longer fits there', () => {
    const longer = change(moved, (d) => {
      d.layout.moved = d.layout.moved.map((m) => ({ ...m, x: board.length - leg.length }));
    });
    const next = derive(longer, { layout });
    expect(next.layout!.placements.find((p) => p.part === leg.part)).toEqual(leg);
    const check = next.checks.find((c) => c.id === 'layout.moves-given-up')!;
    expect(check.level).toBe('watch');
    expect(withChanges(longer, check.wayOut!.changes).layout.moved).toEqual([]);
  });
});
