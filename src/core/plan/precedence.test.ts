import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived, topOf } from '../../../tests/fixtures/constructions';
import { change } from '../../../tests/fixtures/demo';
import { withChanges } from '../document/job-document';
import type { TableInJob } from '../document/piece-in-job';
import { GLUES } from '../glueup/glue';
import type { Operation } from './operation';
import { schedule } from './schedule';

// What must come before what, in every plan: common practice.

const named = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!.document;
const planOf = (document: TableInJob) => derived(document).operations;
const find = (plan: readonly Operation[], id: string) => plan.find((own) => own.id === id);

/** Whether one operation waits for another, by whatever way. */
function waitsFor(plan: readonly Operation[], later: string, earlier: string): boolean {
  const seen = new Set<string>();
  const visit = (id: string): boolean => {
    if (seen.has(id)) return false;
    seen.add(id);
    return (find(plan, id)?.after ?? []).some((before) => before === earlier || visit(before));
  };
  return visit(later);
}

/** Hours that must have passed between the end of one operation and another that waits for it, straight or by others. */
function restBefore(plan: readonly Operation[], later: string, earlier: string): number {
  const own = find(plan, earlier)!;
  const after = find(plan, later)?.after ?? [];
  if (after.includes(earlier)) return own.wait;
  return Math.max(-1, ...after.map((id) => (waitsFor(plan, id, earlier) ? restBefore(plan, id, earlier) : -1)));
}

const CUTS =
  /^(joints|rail-joints|groove|taper|peg-holes|pegs|corner-blocks|pads|level-feet|leg-heads|top-notches|batten-slots|channel-grooves|slides$|hold-cuts|top-flat|top-outline|top-edge|top-cut-outs|breadboard|halves-bolts|seams|leaf|frame)/;

describe.each(CONSTRUCTIONS.map((c) => [c.name, c.document] as const))('%s', (_, document) => {
  const job = derived(document);
  const plan = job.operations;

  it('finishes nothing before it is cut, grooved, bored, levelled and sanded', () => {
    const coats = plan.filter(({ id }) => id.startsWith('coat-'));
    for (const cut of plan.filter(({ id }) => CUTS.test(id) || id.startsWith('glue-') || id.startsWith('sand-'))) {
      for (const coat of coats) {
        expect(waitsFor(plan, cut.id, coat.id), `${cut.id} after ${coat.id}`).toBe(false);
        expect(waitsFor(plan, coat.id, cut.id), `${coat.id} before ${cut.id}`).toBe(true);
      }
    }
  });

  it('levels a joint only when the glue’s water has left, and squares no blank before its glue is dry', () => {
    const glue = GLUES[document.glueUp.glue];
    for (const [later, earlier] of [
      ['leg-squared', 'leg-blanks'],
      ['leg-squared', 'leg-faces-2'],
      ['leg-faces-2', 'leg-faces-1'],
      ['post-squared', 'post-blanks'],
      ['foot-squared', 'foot-blanks'],
    ] as const) {
      if (find(plan, later) && find(plan, earlier))
        expect(restBefore(plan, later, earlier)).toBeGreaterThanOrEqual(glue.levelAfter);
    }
    const panels = plan.filter(({ id }) => id.startsWith('glue-panel') || /-panel$/.test(id));
    for (const { id } of panels) {
      if (find(plan, 'top-flat') && waitsFor(plan, 'top-flat', id))
        expect(restBefore(plan, 'top-flat', id)).toBeGreaterThanOrEqual(glue.levelAfter);
    }
  });

  it('levels the feet and fits the top to the glued base', () => {
    for (const id of ['level-feet', 'top-notches', 'leg-heads']) {
      if (find(plan, id) && find(plan, 'glue-base')) expect(waitsFor(plan, id, 'glue-base'), id).toBe(true);
    }
    if (document.form.base.kind !== 'steel' && document.form.base.kind !== 'box')
      expect(find(plan, 'level-feet')).toBeDefined();
    expect(plan.map(({ name }) => name).join()).not.toMatch(/Level the feet, look it over/);
  });

  it('speaks of pegs, blocks, rails, pads and both faces just where they are', () => {
    const words = plan.map(({ name }) => name).join('; ');
    const has = (kind: string) => job.piece.parts.some((part) => part.kind === kind);
    const pegs = job.piece.joints.some(({ kind }) => kind === 'pegs' || kind === 'breadboard-pegs');
    if (!pegs) expect(words).not.toMatch(/\bpegs?\b/);
    expect(/corner blocks/.test(words)).toBe(has('block'));
    expect(/cross rails/.test(words)).toBe(has('cross-rail') && document.form.base.kind === 'leg-apron');
    expect(/pads under/.test(words)).toBe(has('pad'));
    expect(/both faces alike/.test(words)).toBe(document.season.coated === 'both' && document.plan.finish !== 'none');
    if (document.form.top.kind === 'breadboard') {
      expect(words).toMatch(/Trim the ends/);
      expect(/loose tenons/.test(find(plan, 'breadboard-joints')!.name)).toBe(document.form.top.end.tongue === 'loose');
    }
    expect(words).toMatch(/Sand the top with 80, 120/);
  });

  it('begins nothing in the calendar before what it waits for is done and dry, and each morning with the first that can be begun', () => {
    const { dated } = job.schedule;
    const ready = new Map(dated.map((own) => [own.operation.id, own.readyOn]));
    for (const { operation, start } of dated) {
      for (const id of operation.after) expect(start >= ready.get(id)!, `${operation.id} after ${id}`).toBe(true);
    }
  });
});

describe('where makers lose a piece', () => {
  it('the mitred box is cut out of its panel when that is level, and is not levelled as one board after', () => {
    const plan = planOf(named('a box stool with splined mitres'));
    expect(waitsFor(plan, 'joints', 'top-flat')).toBe(true);
    expect(waitsFor(plan, 'glue-ends', 'joints')).toBe(true);
    expect(waitsFor(plan, 'top-flat', 'glue-ends')).toBe(false);
  });

  it('what is screwed, bolted, pegged or drawn by tusks waits for no glue', () => {
    for (const [name, ids] of [
      ['a slatted stand with pocket screws', ['glue-ends', 'glue-base']],
      ['comes apart at its corner plates', ['glue-ends', 'glue-base']],
      ['drawn by tusks', ['glue-base']],
      ['a reading table on bolted trestles', ['glue-base']],
      ['the stringer pegged', ['glue-ends', 'glue-base']],
    ] as const) {
      const plan = planOf(named(name));
      for (const id of ids) expect(find(plan, id)!.wait, `${name}: ${id}`).toBe(0);
    }
    expect(find(planOf(named('a square table on tapered legs')), 'glue-base')!.wait).toBe(24);
  });

  it('draw-bored aprons are bored apart before gluing; their pegs are driven with it', () => {
    const plan = planOf(named('haunched tenons and draw-bored pegs'));
    expect(waitsFor(plan, 'glue-ends', 'peg-holes')).toBe(true);
    expect(waitsFor(plan, 'pegs', 'glue-base')).toBe(true);
    const straight = planOf(
      change(named('haunched tenons and draw-bored pegs'), (d) => {
        d.joints.pegs = 'straight';
      }),
    );
    expect(find(straight, 'peg-holes')).toBeUndefined();
    expect(find(straight, 'pegs')!.name).toMatch(/through leg and tenon/);
  });

  it('legs through the top are trimmed flush to it before it is sanded', () => {
    const plan = planOf(named('legs run up through its top'));
    expect(waitsFor(plan, 'leg-heads', 'top-notches')).toBe(true);
    expect(waitsFor(plan, 'sand-top', 'leg-heads')).toBe(true);
  });

  it('one face chosen is one face finished', () => {
    const plan = planOf(
      change(named('a square table on tapered legs'), (d) => {
        d.season.coated = 'show';
      }),
    );
    expect(find(plan, 'coat-1')!.name).toMatch(/show face of the top only/);
  });

  it('dovetailed rails and loose-tenon breadboards are called what they are', () => {
    const rails = change(named('a long table on faced legs'), (d) => {
      baseOf(d, 'leg-apron').railJoint = 'dovetail';
    });
    expect(find(planOf(rails), 'rail-joints')!.name).toMatch(/dovetails/);
    const loose = change(named('a breadboarded table on legs'), (d) => {
      topOf(d, 'breadboard').end.tongue = 'loose';
      topOf(d, 'breadboard').end.pegs = 'none';
    });
    expect(find(planOf(loose), 'breadboard-joints')!.name).not.toMatch(/tongue|peg/);
  });

  it('the calendar takes in the morning what became ready overnight and stands first', () => {
    const op = (id: string, work: number, wait: number, after: string[] = []): Operation => ({
      id,
      name: id,
      group: 'Base',
      work,
      wait,
      after,
      caution: '',
      parts: [],
    });
    // Six hours a day: the first is glued until the morning, the day ends with the second.
    const { dated } = schedule(
      [op('glue', 1, 12), op('level', 1, 0, ['glue']), op('mill', 5, 0), op('plane', 5, 0)],
      { hoursPerDay: 6 },
      '2027-03-08',
    );
    expect(dated.map(({ operation }) => operation.id)).toEqual(['glue', 'mill', 'level', 'plane']);
  });

  it('the season and the plan may not drift apart unsaid: five months, a delivery before the end, a gluing after it', () => {
    const document = named('a square table on tapered legs');
    const level = (gluedOn: string, deliveredOn: string) => {
      const { checks } = derived(
        change(document, (d) => {
          d.season.gluedOn = gluedOn;
          d.season.deliveredOn = deliveredOn;
        }),
      );
      return ['plan.gluing-day', 'plan.delivery-day'].map((id) => checks.find((own) => own.id === id)!);
    };
    const { gluedOn, deliveredOn } = document.season;
    expect(level(gluedOn, deliveredOn).map((own) => own.level)).toEqual(['good', 'good']);
    expect(level('2026-10-10', deliveredOn)[0]!.level).toBe('watch');
    expect(level(gluedOn, gluedOn)[1]!.level).toBe('watch');
    const [after] = level('2027-09-01', '2027-10-01');
    expect(after!.level).toBe('watch');
    const { checks } = derived(withChanges(document, after!.wayOut!.changes));
    expect(checks.find(({ id }) => id === 'plan.gluing-day')!.level).toBe('good');
    expect(checks.find(({ id }) => id === 'plan.delivery-day')!.level).toBe('good');
  });
});
