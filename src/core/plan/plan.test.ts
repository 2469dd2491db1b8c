import { describe, expect, it } from 'vitest';
import { change, demoJob, derive, shop } from '../../../tests/fixtures/demo';
import { GLUES } from '../glueup/glue';
import { planGlueUps } from '../glueup/plan-glue-ups';
import { weekday } from '../measure/calendar';
import { writePhrase } from '../measure/write-quantity';
import { findSpecies } from '../wood/species';
import { schedule } from './schedule';

const strips = (...widths: number[]) => widths.map((width, i) => ({ label: `A${i + 1}`, width }));
const glueUp = (
  staging: 'planer-width' | 'in-halves' | 'all-at-once',
  widths: number[],
  glue: keyof typeof GLUES = 'pva',
) =>
  planGlueUps({
    panel: 'top',
    strips: strips(...widths),
    length: 2000,
    thickness: 30,
    staging,
    glue: GLUES[glue],
    shop,
    species: findSpecies('oak-white')!,
  });

describe('gluing a panel', () => {
  const nine = [100, 100, 100, 100, 100, 100, 100, 100, 100];
  it('in sections that go through the planer, as even as can be, joined last', () => {
    const { stages } = glueUp('planer-width', nine);
    expect(stages.map((s) => s.width)).toEqual([300, 300, 300, 900]);
    expect(stages.slice(0, 3).every((s) => s.planes && s.width <= shop.tools.planerWidth)).toBe(true);
    expect(stages.at(-1)!.members).toEqual(['Section 1', 'Section 2', 'Section 3']);
    expect(stages.reduce((sum, s) => sum + s.joints, 0)).toBe(8);
  });

  it('in halves as equal as the strips allow, or all at once', () => {
    expect(glueUp('in-halves', nine).stages.map((s) => s.width)).toEqual([400, 500, 900]);
    expect(glueUp('all-at-once', nine).stages.map((s) => s.joints)).toEqual([8]);
  });

  it('by whatever school joins every strip once and takes the same glue', () => {
    for (const staging of ['planer-width', 'in-halves', 'all-at-once'] as const) {
      const { stages } = glueUp(staging, [80, 120, 95, 140, 60, 110, 130]);
      expect(stages.reduce((sum, s) => sum + s.joints, 0)).toBe(6);
      expect(stages.reduce((sum, s) => sum + s.glue, 0)).toBeCloseTo(6 * 2 * 0.03 * 180, 9);
    }
  });

  it('a panel narrower than the planer is one go; a single strip needs none', () => {
    expect(glueUp('planer-width', [100, 100]).stages).toHaveLength(1);
    expect(glueUp('planer-width', [380]).stages).toHaveLength(0);
  });

  it('stands clamps no further apart than pressure spreads: two outer strips', () => {
    const [stage] = glueUp('all-at-once', [80, 200, 80]).stages;
    expect(stage!.clamps.spacing).toBeLessThanOrEqual(2 * 80 + 20);
  });

  it('names a section of one strip by the strip itself, and lists it', () => {
    const { stages } = glueUp('planer-width', Array(7).fill(shop.tools.planerWidth / 2));
    expect(stages.map((s) => s.members)).toEqual([
      ['A1', 'A2'],
      ['A3', 'A4'],
      ['A5', 'A6'],
      ['Section 1', 'Section 2', 'Section 3', 'A7'],
    ]);
    const named = new Set([
      ...stages.map(({ name }) => name),
      ...strips(...Array(7).fill(1)).map(({ label }) => label),
    ]);
    for (const { members } of stages) for (const member of members) expect(named).toContain(member);
  });

  it('presses all joints of a clamp-up alike: what the clamps give together over one joint, not over all of them', () => {
    const [two] = glueUp('all-at-once', [400, 400]).stages;
    const [four] = glueUp('all-at-once', [200, 200, 200, 200]).stages;
    const full = (s: typeof two) => Math.min(s!.clamps.asked, s!.clamps.force / (2000 * 30));
    for (const s of [two, four]) expect(s!.clamps.pressure).toBeCloseTo(full(s), 9);
    // Worked by hand: 0.8 m wide, 11 of 5 000 N press 2 000 × 30 mm with 0.92 MPa (adhesive makers ask 1.2 in hardwood).
    const own = { ...shop, tools: { ...shop.tools, clamps: [{ length: 1200, count: 11, force: 5000 }] } };
    const given = {
      panel: 'top',
      strips: strips(200, 200, 200, 200),
      length: 2000,
      thickness: 30,
      staging: 'all-at-once' as const,
    };
    const made = planGlueUps({ ...given, glue: GLUES.pva, shop: own, species: findSpecies('oak-white')! });
    expect(made.stages[0]!.clamps.count).toBe(11);
    expect(made.stages[0]!.clamps.pressure).toBeCloseTo(55_000 / 60_000, 9);
    expect(made.limits.map(({ kind }) => kind)).toContain('pressure');
    const strong = { ...own, tools: { ...own.tools, clamps: [{ length: 1200, count: 11, force: 7000 }] } };
    const enough = planGlueUps({ ...given, glue: GLUES.pva, shop: strong, species: findSpecies('oak-white')! });
    expect(enough.limits.map(({ kind }) => kind)).not.toContain('pressure');
    // They could press with 1.28 MPa, and are tightened less.
    expect(enough.stages[0]!.clamps.pressure).toBe(GLUES.pva.pressure.hardwood);
  });

  it('a section of short strips toward the side of a round top is no longer than they are', () => {
    const round = [1100, 1100, 900, 900, 500, 500].map((length, i) => ({ label: `A${i + 1}`, width: 190, length }));
    const { stages } = planGlueUps({
      panel: 'top',
      strips: round,
      length: 1100,
      thickness: 30,
      staging: 'planer-width',
      glue: GLUES.pva,
      shop,
      species: findSpecies('oak-white')!,
    });
    expect(stages.map(({ length }) => length)).toEqual([1100, 900, 500, 1100]);
  });

  it('says when the clamps do not reach or the glue is too quick', () => {
    expect(
      glueUp('all-at-once', Array(14).fill(150))
        .limits.map((l) => writePhrase(l.sentence, { system: 'metric' }))
        .join(),
    ).toMatch(/clamps that open 2.160 mm/);
    expect(
      glueUp('all-at-once', nine)
        .limits.map((l) => writePhrase(l.sentence, { system: 'metric' }))
        .join(),
    ).toMatch(/closed within 10 min/);
    expect(
      glueUp('all-at-once', nine, 'hide')
        .limits.map((l) => writePhrase(l.sentence, { system: 'metric' }))
        .join(),
    ).not.toMatch(/closed within/);
  });
});

describe('the order of work', () => {
  const job = derive(demoJob('1-square-table'));

  it('names only operations that exist before it, each with a caution', () => {
    const seen = new Set<string>();
    for (const op of job.operations) {
      for (const id of op.after) expect(seen.has(id), `${op.id} after ${id}`).toBe(true);
      expect(op.caution.length).toBeGreaterThan(10);
      seen.add(op.id);
    }
  });

  it('cuts mortises before the taper, grooves before assembly, finishes both before the top is hung', () => {
    const at = (id: string) => job.operations.findIndex((op) => op.id === id);
    expect(at('joints')).toBeLessThan(at('taper'));
    expect(at('groove')).toBeLessThan(at('glue-base'));
    expect(at('coat-3')).toBeLessThan(at('hang-top'));
    expect(
      derive(
        change(demoJob('1-square-table'), (d) => {
          d.form.base.leg.taper = { kind: 'straight' };
          d.form.hold.kind = 'figure-eight';
        }),
      ).operations.map((op) => op.id),
    ).not.toContain('taper');
  });

  it('starts nothing before what it waits for is done and rested, and nothing at a week-end', () => {
    const { dated } = job.schedule;
    for (const { operation, start, end } of dated) {
      expect([0, 6]).not.toContain(weekday(start));
      expect([0, 6]).not.toContain(weekday(end));
      for (const id of operation.after) {
        const before = dated.find((d) => d.operation.id === id)!;
        expect(start >= before.readyOn, `${operation.id} on ${start}, ${id} ready on ${before.readyOn}`).toBe(true);
      }
    }
  });

  it('works no more hours in a day than the maker has', () => {
    const perDay = new Map<string, number>();
    for (const { operation, start, end } of schedule(job.operations, { hoursPerDay: 2 }, '2027-03-08').dated) {
      if (start === end) perDay.set(start, (perDay.get(start) ?? 0) + operation.work);
    }
    for (const hours of perDay.values()) expect(hours).toBeLessThanOrEqual(2 + 1e-9);
  });

  it('waits out the rest after roughing: three days between roughing and final milling', () => {
    const two = [
      { id: 'rough', name: '', group: 'Milling' as const, work: 2, wait: 72, after: [], caution: '', parts: [] },
      { id: 'final', name: '', group: 'Milling' as const, work: 2, wait: 0, after: ['rough'], caution: '', parts: [] },
    ];
    // Monday 8 March, three days' rest by the clock: Thursday.
    expect(schedule(two, { hoursPerDay: 6 }, '2027-03-08').dated[1]).toMatchObject({ start: '2027-03-11' });
    expect(schedule(two, { hoursPerDay: 6 }, '2027-03-11').dated[1]).toMatchObject({ start: '2027-03-15' });
  });
});
