import { describe, expect, it } from 'vitest';
import { blanketChest, bookcase, caseOf, sideboard } from '../../../tests/fixtures/cases';
import { boards, demoJob, jobOf, places, shop } from '../../../tests/fixtures/demo';
import { deriveJob } from '../job/derive-job';
import type { CaseForm } from '../piece/case/form';
import { divideCell, WHOLE } from '../piece/case/inside/cells';
import { sagOfFrame } from './case-sags';

const G = 9.81;

function judged(form: CaseForm) {
  const piece = { ...demoJob('2-long-table'), use: 'bookcase' as const, seatsAsked: null, form };
  const job = deriveJob({ document: jobOf(piece), shop, places, boards, layouts: [] });
  if (!('pieces' in job) || !job.pieces[0]) throw new Error('not derived');
  const [own] = job.pieces;
  // Wood Handbook ch. 4: volume · 1000 · G12 · (1 + M/100).
  const density = 1000 * own.species.specificGravity * (1 + own.season.glued.moisture / 100);
  const check = (id: string) => own.checks.find((each) => each.id === id);
  return { check, value: (id: string) => check(id)?.value.amount ?? Number.NaN, density };
}

describe('a case by hand', () => {
  it('a pin bears a quarter of what stands on its shelf, and of the shelf: (350 · 0.858 + m · g) ÷ 4', () => {
    const loose: CaseForm = { ...bookcase, inside: { ...bookcase.inside, cells: [{ ...WHOLE, loose: 3 }] } };
    const { value, density } = judged(loose);
    // 860 clear less 2 at the ends; 294 deep less 2 behind; 24 thick.
    const weight = 0.858 * 0.292 * 0.024 * density * G;
    expect(value('strength.pins')).toBeCloseTo((350 * 0.858 + weight) / 4, 3);
  });

  it('screws in the wall are sheared by all that hangs, and drawn by half its depth over the rail’s arm', () => {
    const hung: CaseForm = {
      ...bookcase,
      ...{ width: 840, height: 600, depth: 220 },
      carcass: { sides: 20, across: 20, corner: { kind: 'rabbets' } },
      inside: { ...bookcase.inside, cells: [WHOLE] },
      stand: { kind: 'wall', over: 1400, rail: { height: 70, thickness: 20 }, screws: 3 },
      loads: { shelf: 300, push: 0 },
    };
    const { value, check } = judged(hung);
    const input = (label: string) => {
      const quantity = check('strength.wall-screws')?.figure?.inputs.find((own) => own.label === label)?.quantity;
      return typeof quantity === 'object' ? quantity.amount : Number.NaN;
    };
    // Its bottom alone carries: 800 clear.
    expect(input('On its shelves and its bottom')).toBeCloseTo(300 * 0.8, 6);
    const whole = input('Its own weight') * G + 240 + 300;
    // The middle of the rail over the lower edge: 600 − 20 − 35.
    const drawn = (whole * 110) / 545;
    expect(value('strength.wall-screws')).toBeCloseTo(Math.sqrt(whole ** 2 + drawn ** 2) / 3, 3);
  });

  it('a lid turns about its hinges with m · g · depth ÷ 2', () => {
    const { top, width, depth } = blanketChest;
    if (top.kind !== 'lid') throw new Error('no lid');
    const plain: CaseForm = { ...blanketChest, top: { ...top, battens: { ...top.battens, count: 0 } } };
    const { value, density } = judged(plain);
    const [long, wide] = [(width + 2 * top.ends) / 1000, (depth + top.front) / 1000];
    const mass = long * wide * (top.thickness / 1000) * density;
    expect(value('safety.lid-stay')).toBeCloseTo((mass * G * wide) / 2, 4);
  });

  it('air is asked of what a child can get into, 30 litres, and of nothing smaller', () => {
    const shut = (width: number, height: number, depth: number): CaseForm => ({
      ...blanketChest,
      ...{ width, height, depth },
      carcass: { ...blanketChest.carcass, corner: { kind: 'rabbets' } },
      top: { ...blanketChest.top, air: { width: 0, height: 0 } } as CaseForm['top'],
      stand: { kind: 'sides', lift: 0 },
    });
    expect(judged(shut(340, 240, 300)).check('safety.air')).toBeUndefined();
    expect(judged(shut(600, 400, 400)).check('safety.air')?.level).toBe('stop');
    // Two openings of a square inch, 645 mm², each: ASTM F963 for toy chests, from memory.
    const open = (height: number): CaseForm => ({
      ...shut(600, 400, 400),
      top: { ...blanketChest.top, air: { width: 65, height } } as CaseForm['top'],
    });
    expect(judged(open(9)).check('safety.air')?.level).toBe('stop');
    expect(judged(open(10)).check('safety.air')?.level).not.toBe('stop');
  });

  it('of a push each leg of its frame takes a quarter: F/4 · h ÷ (n · t · w² ÷ 6)', () => {
    const onLegs: CaseForm = {
      ...sideboard,
      stand: {
        kind: 'leg-frame',
        ...{ height: 240, section: 45, foot: 45, rail: { height: 60, thickness: 21, reveal: 4 } },
        ...{ corner: 'mortise-tenon', stretchers: null, setBack: 10, travel: 12 },
      },
    };
    // A third of 21; of 60 less a quarter above and 6 below.
    const modulus = (7 * (60 - 15 - 6) ** 2) / 6;
    expect(judged(onLegs).value('strength.racking-along')).toBeCloseTo(((200 / 4) * (240 - 30)) / modulus, 6);
  });

  it('a framed back’s panel needs its own growth halved at each side', () => {
    const frame = { thickness: 18, stile: 60, rail: 60, across: 2, up: 1, panelThickness: 8, tongue: 16, room: 6 };
    const framed: CaseForm = { ...bookcase, back: { kind: 'framed', ...frame, beside: 2 } };
    const { check } = judged(framed);
    const side = check('season.slot:back-stile-left/back-panel-1');
    expect(side?.level).toBe('good');
    // Half of a panel some 330 wide, and what its stile moves toward it: flat-sawn white oak, 0.37 % for a point.
    expect(side?.value.amount).toBeGreaterThan(2);
    expect(side?.value.amount).toBeLessThan(9);
  });

  it('between its ends, an upright in its middle: top and bottom bend together, stiffer than resting, softer than built in', () => {
    const form: CaseForm = {
      ...bookcase,
      ...{ width: 1800, height: 700, depth: 300 },
      carcass: { sides: 20, across: 20, corner: { kind: 'rabbets' } },
      inside: { ...bookcase.inside, thickness: 20, cells: divideCell([WHOLE], WHOLE.id, 'uprights', 2) },
      back: { kind: 'open' },
      stand: { kind: 'feet', height: 60, section: 60, setBack: 0 },
    };
    const modulus = 12_000;
    const load = 1000;
    const sag = sagOfFrame(caseOf(form), modulus, { weight: load });
    // Half of what lies on the bottom goes to its middle, the rest to its ends; two boards of 300 × 20 carry it.
    const two = 2 * ((300 * 20 ** 3) / 12);
    const [between, clear] = [1800 - 60, 1800 - 2 * 60];
    expect(sag).toBeLessThan(((load / 2) * between ** 3) / (48 * modulus * two));
    expect(sag).toBeGreaterThan(((load / 2) * clear ** 3) / (192 * modulus * two));
  });

  it('the bottom of a chest full of linen: 2 · 5qL⁴ ÷ 384EI of a strip a millimetre wide', () => {
    const chest: CaseForm = { ...blanketChest, back: { kind: 'sheet', thickness: 6 } };
    const { check, value } = judged(chest);
    const given = check('stiffness.chest-bottom')?.figure?.inputs ?? [];
    const input = (label: string) => {
      const found = given.find((each) => each.label === label)?.quantity;
      return typeof found === 'object' ? found.amount : Number.NaN;
    };
    const span = chest.depth - 2 * chest.carcass.across;
    expect(input('Spans L')).toBeCloseTo(span, 9);
    const load = 150 * G * input('Linen over it, high') * 1e-9;
    const bending = (2 * 5 * load * span ** 4) / (384 * 5000 * (6 ** 3 / 12));
    expect(value('stiffness.chest-bottom')).toBeGreaterThan(bending);
    expect(value('stiffness.chest-bottom')).toBeLessThan(bending * 1.01);
  });
});
