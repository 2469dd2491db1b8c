import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived, thickBoards } from '../../../../../../tests/fixtures/constructions';
import { change, demoJob, derive, type JobOn, level, shop } from '../../../../../../tests/fixtures/demo';
import { withChanges } from '../../../../document/job-document';
import { cutList } from '../../../../format/cut-list';
import { checkLayout } from '../../../../layout/check-layout';
import { labelsOfPiece } from '../../../../layout/labels';
import { planLayout } from '../../../../layout/plan-layout';
import { findPart } from '../../../piece';
import { blankId, halfDiagonal, legBlanks, ownerOf } from './making';

type Making = JobOn<'leg-apron'>['form']['base']['leg']['making'];
const made = (making: Making) =>
  derive(
    change(demoJob('2-long-table'), (d) => {
      d.form.base.leg.making = making;
    }),
  );
const leg = findPart(made({ kind: 'solid' }).piece, 'leg-front-left')!;
const section = leg.size.width;
const kinds: Making[] = [
  { kind: 'solid' },
  { kind: 'staves', count: 3 },
  { kind: 'two-at-45' },
  { kind: 'faced', veneer: 4 },
];

describe('the blanks of a leg', () => {
  it.each(kinds)('become the whole leg, no more: %j', (making) => {
    const blanks = legBlanks(leg, making);
    const volume = leg.size.length * section * section * 1e-9;
    expect(blanks.reduce((sum, blank) => sum + blank.becomes, 0)).toBeCloseTo(volume, 12);
    for (const { finished, becomes } of blanks) {
      expect(becomes).toBeLessThanOrEqual(finished.length * finished.width * finished.thickness * 1e-9 + 1e-12);
    }
  });

  it('of staves are together a little thicker than the leg, to be squared', () => {
    const blanks = legBlanks(leg, { kind: 'staves', count: 3 });
    expect(blanks).toHaveLength(3);
    expect(blanks.reduce((sum, blank) => sum + blank.finished.thickness, 0)).toBeCloseTo(section + 2, 9);
  });

  it('of two pieces hold the leg’s section on its corner', () => {
    // 8/4 stock, 1 3/4 in surfaced, gives legs of up to 63 mm so (common practice; NHLA thickness).
    expect(halfDiagonal(62.8)).toBeLessThan(44.45);
    const [half] = legBlanks(leg, { kind: 'two-at-45' });
    const corners = [0, 90, 180, 270].map((turn) => {
      const angle = (turn * Math.PI) / 180;
      return [(Math.cos(angle) * section) / Math.SQRT2, (Math.sin(angle) * section) / Math.SQRT2] as const;
    });
    expect(Math.max(...corners.map(([x]) => x)) * 2).toBeCloseTo(half!.finished.width, 9);
    expect(Math.max(...corners.map(([, y]) => y))).toBeCloseTo(half!.finished.thickness, 9);
  });

  it('of a faced leg are a core and four veneers from one board', () => {
    const [core, ...veneers] = legBlanks(leg, { kind: 'faced', veneer: 4 });
    expect(core!.finished.width).toBe(section - 8);
    expect(veneers.map((blank) => blank.suffix)).toEqual(['v1', 'v2', 'v3', 'v4']);
    expect(veneers.every((blank, i) => blank.together === i && blank.finished.thickness === 4)).toBe(true);
  });

  it('carry their leg’s id', () => {
    expect(ownerOf(blankId('leg-front-left', 'v1'))).toBe('leg-front-left');
    expect(ownerOf('top')).toBe('top');
    expect(labelsOfPiece(made({ kind: 'solid' }).piece)({ part: 'leg-front-left/v1' })).toBe('B.v1');
  });
});

describe('a table with such legs', () => {
  it.each(kinds.slice(1))('is laid out from boards, listed and planned: %j', (making) => {
    const job = made(making);
    const wanted = job.demand.parts.filter((part) => part.id.startsWith('leg-'));
    expect(wanted.length).toBe(4 * legBlanks(leg, making).length);
    const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 60 });
    expect(checkLayout(job.demand, job.boards, job.layoutOptions, layout)).toEqual([]);
    expect(layout.yield).toBeGreaterThan(0.2);
    expect(layout.yield).toBeLessThan(1);
    for (const id of ['leg-front-left', 'leg-back-right']) {
      const veneers = layout.placements.filter((p) => p.part.startsWith(`${id}/v`));
      expect(new Set(veneers.map((p) => p.board)).size).toBe(making.kind === 'faced' ? 1 : 0);
    }
    const rows = cutList(job.piece.parts, job.demand);
    expect(rows.filter((row) => row.letter.startsWith('B.'))).toHaveLength(wanted.length / 4);
    expect(rows.find((row) => row.letter === 'B')?.rough).toBeNull();
    const blanks = job.operations.filter((operation) => /^leg-(blanks|faces|squared)/.test(operation.id));
    // Squared when the glue is dry, in an operation of its own.
    expect(blanks).toHaveLength(making.kind === 'faced' ? 3 : 2);
    expect(job.operations.find((operation) => operation.id === 'joints')?.after).toContain(blanks.at(-1)!.id);
  });

  it('is told where the saws do not reach', () => {
    const level = (making: Making, tools: Partial<typeof shop.tools>, taper?: 'straight') => {
      const document = change(demoJob('2-long-table'), (d) => {
        d.form.base.leg.making = making;
        if (taper) d.form.base.leg.taper = { kind: 'straight' };
      });
      const job = derive(document, { shop: { ...shop, tools: { ...shop.tools, ...tools } } });
      return Object.fromEntries(job.checks.filter((c) => c.id.startsWith('legs.')).map((c) => [c.id, c.level]));
    };
    expect(level({ kind: 'two-at-45' }, { sawDepth45: 50 })).toEqual({ 'legs.cut-at-45': 'good' });
    expect(level({ kind: 'two-at-45' }, { sawDepth45: 40 })).toEqual({ 'legs.cut-at-45': 'watch' });
    expect(level({ kind: 'faced', veneer: 4 }, {})).toEqual({
      'legs.veneers-resawn': 'good',
      'legs.taper-through-veneer': 'stop',
    });
    expect(level({ kind: 'faced', veneer: 4 }, { resawHeight: 60 }, 'straight')).toEqual({
      'legs.veneers-resawn': 'stop',
    });
    expect(level({ kind: 'solid' }, {})).toEqual({});
  });

  it('is offered staves where no board is thick enough for a solid leg', () => {
    const document = change(demoJob('2-long-table'), (d) => {
      d.form.base.leg.section = 110;
    });
    const check = derive(document).checks.find((c) => c.id === 'stock.thickness-leg')!;
    expect(check.level).toBe('stop');
    const [first] = check.wayOut!.changes;
    expect(first).toEqual({ path: 'form.base.leg.making', value: { kind: 'staves', count: 2 } });
    const staved = change(document, (d) => {
      d.form.base.leg.making = { kind: 'staves', count: 2 };
    });
    expect(derive(staved).checks.find((c) => c.id === 'stock.thickness-leg')!.level).toBe('good');
  });
});

describe('posts and feet of a trestle', () => {
  const { document } = CONSTRUCTIONS.find((c) => c.name.includes('refectory'))!;
  const job = derived(document);

  it('glued of two boards are asked for as two, each half as thick and a little more', () => {
    const post = findPart(job.piece, 'post-left')!;
    const blanks = job.demand.parts.filter(({ id }) => ownerOf(id) === post.id);
    expect(blanks.map(({ letter }) => letter)).toEqual([`${post.letter}.1`, `${post.letter}.2`]);
    expect(blanks[0]!.finished.thickness).toBeCloseTo(post.size.thickness / 2 + 1, 9);
    expect(job.operations.map(({ id }) => id)).toEqual(expect.arrayContaining(['post-blanks', 'foot-blanks']));
    const { after } = job.operations.find(({ id }) => id === 'joints')!;
    expect(after).toEqual(expect.arrayContaining(['post-squared', 'foot-squared']));
  });

  it('too thick for any board are led to staves', () => {
    const thin = thickBoards.map((board) => ({ ...board, thickness: 52 }));
    const solid = change(document, (d) => {
      if (d.form.base.kind === 'trestle') d.form.base.foot.staves = 1;
    });
    const stop = derive(solid, { boards: thin }).checks.find((c) => c.id === 'stock.thickness-foot')!;
    expect(stop.level).toBe('stop');
    const better = derive(withChanges(solid, stop.wayOut!.changes), { boards: thin });
    expect(level(better, 'stock.thickness-foot')).not.toBe('stop');
  });
});
