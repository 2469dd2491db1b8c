import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, demoJob, derive, type JobOn, jobOn, level, sixSeats } from '../../../tests/fixtures/demo';
import { withChanges } from '../document/job-document';
import type { TableInJob } from '../document/piece-in-job';

const good = () =>
  change(demoJob('1-square-table'), (d) => {
    d.form.hold.travel = 10;
  });

/** Each thing that goes wrong: how to bring it about from a sound table, and the check that must stop or warn. */
const MISHAPS: [string, string, 'stop' | 'watch', (d: JobOn<'leg-apron'>) => void][] = [
  [
    'fasteners with too little travel',
    'season.top-travel',
    'stop',
    (d) => {
      d.form.hold.travel = 2;
    },
  ],
  [
    'screws through the rail, which give nothing',
    'season.top-travel',
    'stop',
    (d) => {
      d.form.hold.kind = 'rail-screws';
    },
  ],
  [
    'figure-eight plates asked for more than they give',
    'season.top-travel',
    'stop',
    (d) => {
      d.form.hold.kind = 'figure-eight';
      d.form.hold.travel = 15;
    },
  ],
  [
    'tenons that meet in the leg',
    'joints.tenons-meet',
    'stop',
    (d) => {
      d.joints.meeting = 'shortened';
      d.joints.tenonLength = 44;
    },
  ],
  [
    'a tenon almost through the leg',
    'joints.tenon-depth',
    'stop',
    (d) => {
      d.joints.meeting = 'staggered';
      d.joints.tenonLength = 52;
    },
  ],
  [
    'a stub of a tenon',
    'joints.tenon-length',
    'stop',
    (d) => {
      d.joints.tenonLength = 8;
    },
  ],
  [
    'an apron flush with the leg, the mortise near the outside',
    'joints.wall-outside',
    'stop',
    (d) => {
      d.form.base.apron.reveal = 0;
      d.form.base.apron.thickness = 14;
    },
  ],
  [
    'a thin apron with no shoulders left',
    'joints.tenon-thickness',
    'stop',
    (d) => {
      d.form.base.apron.thickness = 10;
    },
  ],
  [
    'a deep apron on the knees',
    'people.knees',
    'stop',
    (d) => {
      d.form.base.apron.height = 160;
    },
  ],
  [
    'more people than edge',
    'people.seats',
    'stop',
    (d) => {
      d.brief.seats = 8;
    },
  ],
  [
    'no room to push a chair back',
    'people.room',
    'stop',
    (d) => {
      d.brief.room = { length: 1900, width: 1800 };
    },
  ],
  [
    'little room to push a chair back',
    'people.room',
    'watch',
    (d) => {
      d.brief.room = { length: 2600, width: 2500 };
    },
  ],
  [
    'a door too narrow for anything',
    'people.door',
    'stop',
    (d) => {
      d.brief.door = { width: 400, height: 600 };
    },
  ],
  [
    'a door that takes it only with the top off',
    'people.door',
    'watch',
    (d) => {
      d.brief.door = { width: 760, height: 2000 };
    },
  ],
  [
    'an overhang that tips under a lean',
    'stability.end',
    'stop',
    (d) => {
      d.form.top.endOverhang = 300;
      d.form.top.thickness = 18;
      d.form.loads.edge = 600;
    },
  ],
  [
    'a thin apron that sags',
    'stiffness.apron-sag',
    'stop',
    (d) => {
      d.form.top.length = 2600;
      d.form.base.apron.height = 45;
    },
  ],
  [
    'a thin wide top without cross rails',
    'stiffness.top-sag',
    'stop',
    (d) => {
      d.form.top.length = 2400;
      d.form.top.width = 1200;
      d.form.top.thickness = 15;
      d.form.base.crossRails = 0;
    },
  ],
  [
    'a long thin overhang',
    'stiffness.top-end',
    'stop',
    (d) => {
      d.form.top.length = 2000;
      d.form.top.endOverhang = 600;
      d.form.top.thickness = 18;
    },
  ],
  [
    'screws that come through',
    'fasteners.screw',
    'stop',
    (d) => {
      d.form.hold.screwLength = 60;
    },
  ],
  [
    'screws that hardly bite',
    'fasteners.screw',
    'watch',
    (d) => {
      d.form.hold.screwLength = 15;
    },
  ],
  [
    'a top thicker than the boards',
    'stock.thickness-top',
    'stop',
    (d) => {
      d.form.top.thickness = 80;
    },
  ],
  [
    'a species that is not on the rack',
    'stock.thickness-leg',
    'stop',
    (d) => {
      d.species = 'teak';
    },
  ],
  [
    'a top too heavy for one',
    'stability.lifting',
    'watch',
    (d) => {
      d.form.top.length = 2600;
      d.form.top.thickness = 45;
    },
  ],
  [
    'two aprons cut unlike',
    'bench.unlike-apron-front',
    'stop',
    (d) => {
      d.bench.locks['apron-front'] = { length: 738, width: null, thickness: null, on: '2027-03-20' };
      d.bench.locks['apron-back'] = { length: 735, width: null, thickness: null, on: '2027-03-20' };
    },
  ],
  [
    'a top wider than the clamps',
    'glue-up.panel.clamps',
    'watch',
    (d) => {
      d.form.top.width = 2100;
      d.form.top.length = 2400;
    },
  ],
  [
    'glue that sets before the panel is closed',
    'glue-up.panel.time',
    'watch',
    (d) => {
      d.form.top.length = 3000;
      d.form.top.width = 1300;
      d.glueUp = { glue: 'pva', staging: 'all-at-once', level: 'none' };
    },
  ],
  [
    'a table promised too early',
    'plan.due',
    'watch',
    (d) => {
      d.brief.dueOn = '2027-03-10';
    },
  ],
];

describe('checks', () => {
  it('find nothing that stops the work on a sound table', () => {
    expect(derive(good()).checks.filter((c) => c.level === 'stop')).toEqual([]);
    expect(derive(sixSeats('ash-white')).checks.filter((c) => c.level === 'stop')).toEqual([]);
  });

  it.each(MISHAPS)('catch %s', (_, id, expected, edit) => {
    expect(level(derive(good()), id) ?? 'good', `${id} on the sound table`).not.toBe('stop');
    const job = derive(change(good(), edit));
    const check = job.checks.find((c) => c.id === id);
    expect(check?.level).toBe(expected);
    expect(check!.why.length).toBeGreaterThan(20);
    expect(check!.wayOut?.say.length).toBeGreaterThan(0);
    expect(check!.sentence.length).toBeGreaterThan(0);
  });

  it.each(MISHAPS.map(([name, id, , edit]) => [name, id, edit] as const))(
    'the way out of %s, where it is a button, leads out',
    (_, id, edit) => {
      let document = change(good(), edit);
      const first = derive(document).checks.find((c) => c.id === id);
      if (!first?.wayOut?.changes.length) return;
      // A way out may take a second step, such as another rail; it never takes four.
      for (let i = 0; i < 3 && level(derive(document), id) === 'stop'; i += 1) {
        const { changes } = derive(document).checks.find((c) => c.id === id)?.wayOut ?? { changes: [] };
        document = jobOn('leg-apron', withChanges(document, changes));
      }
      expect(level(derive(document), id)).not.toBe('stop');
    },
  );

  it('come in the order of what stops the work', () => {
    const levels = derive(
      change(good(), (d) => {
        d.form.hold.travel = 1;
        d.brief.dueOn = '2027-03-09';
      }),
    ).checks.map((c) => c.level);
    expect(levels).toEqual(
      [...levels].sort((a, b) => ['stop', 'watch', 'good'].indexOf(a) - ['stop', 'watch', 'good'].indexOf(b)),
    );
  });

  it('a top that came out 9 mm narrow needs less travel at its fasteners', () => {
    const travel = (d: TableInJob) => derive(d).checks.find((c) => c.id === 'season.top-travel')!.value.amount;
    const narrow = change(good(), (d) => {
      d.bench.locks.top = { length: null, width: 841, thickness: null, on: d.season.gluedOn };
    });
    expect(travel(narrow)).not.toBe(travel(good()));
    expect(derive(narrow).season.reference).toMatchObject({ width: 841, measuredOn: good().season.gluedOn });
  });
});

describe('tenons askew to the grain', () => {
  const desk = CONSTRUCTIONS.find((c) => c.name.includes('a desk on crossed legs'))!.document;
  const found = (document: TableInJob) => derived(document).checks.find((c) => c.id === 'joints.short-grain');

  it('of crossing legs lose by L·tan α what runs out at their side', () => {
    const job = derived(desk);
    const leg = job.piece.parts.find((part) => part.kind === 'leg')!;
    const alpha = (leg.ends!.start.mitre * Math.PI) / 180;
    const joint = job.piece.joints.find((own) => own.from === leg.id && own.into.startsWith('bearer'))!;
    const heights = joint.added[0]!.solid.corners.map((p) => p[2]);
    const across = joint.added[0]!.solid.corners.map((p) => p[1]);
    const [long, wide] = [heights, across].map((n) => Math.max(...n) - Math.min(...n)) as [number, number];
    expect(found(desk)!.value.amount).toBeCloseTo(100 * (1 - (long * Math.tan(alpha)) / wide), 6);
    expect(found(desk)!.level).toBe('good');
  });

  it('stop the work where a thin leg leans far and its tenon is long', () => {
    const thin = change(desk, (d) => {
      baseOf(d, 'x-frame').leg.width = 40;
      baseOf(d, 'x-frame').bearer.height = 90;
    });
    expect(found(thin)!.level).not.toBe('good');
  });

  it('are not spoken of where the tenon lies along its part, however its shoulder is cut', () => {
    expect(found(CONSTRUCTIONS.find((c) => c.name.includes('wedged stretcher'))!.document)).toBeUndefined();
    expect(found(CONSTRUCTIONS.find((c) => c.name.includes('three splayed'))!.document)).toBeUndefined();
  });
});
