import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../../tests/fixtures/demo';
import { withChanges } from '../../../../document/job-document';
import type { TableInJob } from '../../../../document/piece-in-job';
import { cutList } from '../../../../format/cut-list';
import { startBaseChanges } from '../../../../start/start-form';
import { partWeight } from '../../../weight';

const named = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!.document;
const on = (name: string, edit: (draft: TableInJob) => void = () => {}) => derived(change(named(name), edit));
const damp = (d: TableInJob) => {
  d.season.homePlaceId = 'heron-ferry';
};

describe('bought-in steel', () => {
  it('does not move: round holes in a frame hold the top against its movement, slots let it go', () => {
    const held = on('steel frames', (d) => {
      damp(d);
      d.form.hold.travel = 0;
    });
    expect(level(held, 'season.top-travel')).toBe('stop');
    const free = on('steel frames', (d) => {
      damp(d);
      d.form.hold.travel = 15;
      if (d.form.flat.kind === 'channels') d.form.flat.travel = 18;
    });
    expect(level(free, 'season.top-travel')).not.toBe('stop');
  });

  it('separately standing legs do not restrain a top (common practice)', () => {
    const legs = on('four bought-in steel legs', (d) => {
      damp(d);
      d.form.top.width = 900;
      d.form.hold.travel = 2;
    });
    // Each plate is narrow and stands by itself: what the top moves over all of its width asks nothing of any of them.
    expect(level(legs, 'season.top-travel')).not.toBe('stop');
    expect(legs.checks.some((check) => check.id.startsWith('season.ties-') && check.level === 'stop')).toBe(false);
  });

  it('weighs what its seller says, and is neither cut from boards nor on the cut list', () => {
    const job = on('four bought-in steel legs');
    const steel = job.piece.parts.filter((part) => part.material === 'steel');
    expect(steel).toHaveLength(4);
    for (const part of steel) {
      expect(partWeight(part, job.species, 12)).toBe(4.2);
      expect(job.demand.parts.some(({ id }) => id === part.id)).toBe(false);
    }
    expect(cutList(job.piece.parts, job.demand).map(({ name }) => name)).not.toContain('Steel leg, front left');
    expect(job.piece.fittings).toContainEqual(expect.objectContaining({ name: 'Steel legs', count: 4 }));
  });

  it('a channel weighs by its own section: web and two flanges of 3 mm steel', () => {
    const job = on('steel frames');
    const part = job.piece.parts.find(({ id }) => id === 'channel-1')!;
    const area = 38 * 3 + 2 * 3 * (14 - 3);
    expect(partWeight(part, job.species, 12)).toBeCloseTo(area * part.size.length * 1e-9 * 7850, 9);
  });

  it('sways by the tube’s own stiffness: F·h³/3EI on each of its tubes, E 200 000 MPa', () => {
    const job = on('four bought-in steel legs');
    const { push } = named('four bought-in steel legs').form.loads;
    const height = job.piece.overall.height - job.piece.top.size.thickness;
    const second = (50 ** 4 - 44 ** 4) / 12;
    const sway = job.checks.find((check) => check.id === 'stiffness.sway-along')!;
    expect(sway.value.amount).toBeCloseTo(((push / 4) * height ** 3) / (3 * 200_000 * second), 9);
  });

  it('is bolted on: what wants a rail of wood is changed with the base, and changed back', () => {
    const wood = named('a square table');
    const steel = withChanges(wood, startBaseChanges('steel', wood.form));
    expect(steel.form.hold.kind).toBe('inserts');
    expect(steel.form.hold.screwLength).toBeLessThan(steel.form.top.thickness);
    const back = withChanges(steel, startBaseChanges('trestle', steel.form));
    expect(back.form.hold.kind).toBe('buttons');
    const wrong = on('steel frames', (d) => {
      d.form.hold.kind = 'buttons';
    });
    expect(level(wrong, 'form.impossible.form.hold.kind')).toBe('stop');
  });

  it('a plate without room beside its tube, and a tube that is all wall, are told', () => {
    const wrong = on('four bought-in steel legs', (d) => {
      const base = baseOf(d, 'steel');
      base.plate.length = 60;
      base.tube.wall = 12;
      base.tube.width = 20;
    });
    expect(wrong.problems.map(({ where }) => where)).toEqual(['form.base.plate.length', 'form.base.tube.wall']);
    const narrow = on('four bought-in steel legs', (d) => {
      baseOf(d, 'steel').plate.length = 60;
    });
    expect(narrow.problems.map(({ where }) => where)).toContain('form.base.plate.length');
  });
});
