import { describe, expect, it } from 'vitest';
import {
  boards,
  change,
  type Derived,
  demoJob,
  derive,
  inputs,
  jobInputs,
  jobOf,
  level,
  shop,
  sixSeats,
} from '../../../tests/fixtures/demo';
import { read } from '../decision/issues';
import { JobDocumentSchema, withChanges } from '../document/job-document';
import { checkLayout } from '../layout/check-layout';
import { planLayout } from '../layout/plan-layout';
import { deriveJob } from './derive-job';

describe('the chain of a job', () => {
  it('is plain data that survives a worker and JSON', () => {
    const job = derive(sixSeats());
    expect(structuredClone(job)).toEqual(job);
    expect(JSON.parse(JSON.stringify(job.piece))).toEqual(job.piece);
  });

  it('changes nothing it is given', () => {
    const given = jobInputs(inputs(sixSeats()));
    const before = structuredClone(given);
    deriveJob(given);
    expect(given).toEqual(before);
  });

  it('explains every figure it gives: formula, inputs and source', () => {
    const { figures } = derive(sixSeats());
    expect(Object.keys(figures).length).toBeGreaterThan(15);
    for (const figure of Object.values(figures)) {
      expect(figure.formula.length, figure.id).toBeGreaterThan(3);
      expect(figure.inputs.length, figure.id).toBeGreaterThan(0);
      expect(figure.source.length, figure.id).toBeGreaterThan(5);
      expect(Number.isFinite(figure.quantity.amount), figure.id).toBe(true);
    }
  });

  it('takes the strips of a layout that fits, and takes note of one that no longer does', () => {
    const first = derive(sixSeats());
    expect(first.layoutState).toBe('none');
    const layout = planLayout(first.demand, first.boards, { ...first.layoutOptions, effort: 200 });
    const second = derive(sixSeats(), { layout });
    expect(second.layoutState).toBe('current');
    expect(second.panels[0]!.laid.length).toBeGreaterThan(0);
    expect(level(second, 'layout.complete')).toBe('good');
    const longer = derive(
      change(sixSeats(), (d) => {
        d.form.top.length = 1700;
      }),
      { layout },
    );
    expect(longer.layoutState).toBe('stale');
    expect(longer.panels[0]!.laid).toEqual([]);
    const fewer = derive(
      change(sixSeats(), (d) => {
        d.layout.leaveOut = [layout.boards[0]!];
      }),
      { layout },
    );
    expect(fewer.layoutState).toBe('stale');
    expect(fewer.boards.map((b) => b.tag)).not.toContain(layout.boards[0]);
  });

  it('says what is missing instead of failing', () => {
    expect(
      deriveJob(
        jobInputs(
          inputs(
            change(sixSeats(), (d) => {
              d.species = 'plastic';
            }),
          ),
        ),
      ),
    ).toMatchObject({ problems: [{ where: 'woods.w1.species' }] });
    expect(deriveJob({ document: jobOf(sixSeats()), shop, boards, places: [], layouts: [] })).toMatchObject({
      problems: [{ where: 'season' }],
    });
    expect(
      derive(sixSeats(), { boards: [] })
        .checks.filter((c) => c.level === 'stop')
        .map((c) => c.id),
    ).toContain('stock.thickness-top');
  });

  it('derives something finite from every document its schema lets through, however odd', () => {
    const odd: [string, unknown][] = [
      ['form.top.length', 200],
      ['form.top.length', 6000],
      ['form.top.width', 2500],
      ['form.top.thickness', 120],
      ['form.top.endOverhang', 1500],
      ['form.base.height', 150],
      ['form.base.leg.section', 250],
      ['form.base.leg.section', 20],
      ['form.base.apron.height', 400],
      ['form.base.apron.reveal', 100],
      ['form.base.crossRails', 6],
      ['joints.tenonLength', 200],
      ['season.moistureAtGluing', 30],
      ['season.deliveredOn', '2150-01-01'],
      ['layout.leastStrip', 150],
      ['plan.hoursPerDay', 0.5],
      ['brief.seats', 40],
    ];
    for (const [path, value] of odd) {
      const document = withChanges(sixSeats(), [{ path, value }]);
      expect(read(JobDocumentSchema, jobOf(document), 'job'), path).toHaveProperty('value');
      const job = derive(document);
      for (const part of job.piece.parts)
        expect(Object.values(part.size).every(Number.isFinite), `${path} ${part.id}`).toBe(true);
      for (const check of job.checks) expect(Number.isFinite(check.value.amount), `${path} ${check.id}`).toBe(true);
    }
  });
});

describe('changing decisions', () => {
  it('shares what it does not touch', () => {
    const before = demoJob('1-square-table');
    const after = withChanges(before, [{ path: 'form.top.length', value: 900 }]);
    expect(after.form.top.length).toBe(900);
    expect(before.form.top.length).toBe(850);
    expect(after.brief).toBe(before.brief);
  });
});

describe('strips of one width', () => {
  it('are so many, all alike, and fill the panel', () => {
    const document = change(demoJob('2-long-table'), (d) => {
      d.layout.equalStrips = 9;
    });
    const job = derive(document);
    const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 200 });
    expect(layout.shortfall).toEqual([]);
    expect(layout.strips).toHaveLength(9);
    // Sawn to whole millimetres.
    const wide = Math.ceil((document.form.top.width + shop.allowances.panelWidth) / 9);
    for (const strip of layout.strips) expect(strip.width).toBeCloseTo(wide, 6);
    expect(checkLayout(job.demand, job.boards, job.layoutOptions, layout)).toEqual([]);
  });

  it('too many for the rack are told as a shortfall, not narrowed', () => {
    const document = change(demoJob('2-long-table'), (d) => {
      d.layout.equalStrips = 3;
    });
    const job = derive(document);
    const layout = planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 40 });
    expect(layout.shortfall.map((s) => s.part)).toEqual(['top']);
  });

  it('says nothing of a rack that is not known, and judges no layout beside it', () => {
    const document = demoJob('2-long-table');
    const ofTheRack = (job: Derived) => job.checks.filter(({ id }) => /^(stock|layout|glue-up.*moisture)\./.test(id));
    const empty = derive(document, { boards: [] });
    expect(ofTheRack(empty).length).toBeGreaterThan(0);
    const unknown = derive(document, { boards: null });
    expect(ofTheRack(unknown)).toEqual([]);
    expect(unknown.layoutState).toBe('none');
    expect(unknown.checks.map(({ id }) => id)).toEqual(
      empty.checks.filter((check) => !ofTheRack(empty).includes(check)).map(({ id }) => id),
    );
  });
});
