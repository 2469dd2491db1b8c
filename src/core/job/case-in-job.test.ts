import { describe, expect, it } from 'vitest';
import { bookcase, sideboard } from '../../../tests/fixtures/cases';
import { boards, demoJob, jobOf, places, shop } from '../../../tests/fixtures/demo';
import type { PieceInJob } from '../document/piece-in-job';
import { drawView } from '../drawing/drawing';
import { assembliesOf } from '../format/assemblies';
import { cutList } from '../format/cut-list';
import { fullSizeDrawings } from '../format/full-size';
import { readJobFile, writeJobFile } from '../format/job-file';
import { writePhrase } from '../measure/write-quantity';
import type { CaseForm } from '../piece/case/form';
import { deriveJob } from './derive-job';
import { ownedChecks } from './shown-piece';

/** Birch plywood. */
const SHEET = 'plywood-birch';

const inJob = (form: CaseForm): PieceInJob => ({ ...demoJob('2-long-table'), use: 'stand', seatsAsked: null, form });

function caseJob(form: CaseForm) {
  const job = deriveJob({ document: jobOf(inJob(form)), shop, places, boards, layouts: [] });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  const [own] = job.pieces;
  if (own?.piece.build !== 'case') throw new Error('no case');
  return { job, own, piece: own.piece };
}

describe.each<[string, CaseForm]>([
  ['bookcase', bookcase],
  ['sideboard', sideboard],
])('a %s through the chain', (_, form) => {
  const { job, own, piece } = caseJob(form);

  it('nothing of the case itself stops the work', () => {
    const stops = ownedChecks(job).filter(
      ({ check }) => check.level === 'stop' && ['form', 'season', 'joints'].includes(check.step),
    );
    expect(stops.map(({ check }) => `${check.id}: ${writePhrase(check.sentence, { system: 'metric' })}`)).toEqual([]);
  });

  it('panels are glued up of strips, a sheet is bought, everything else is cut', () => {
    const panels = own.demand.panels.map(({ id }) => id);
    expect(panels).toEqual(expect.arrayContaining(['side-left', 'side-right', 'top', 'bottom']));
    const asked = new Set([...panels, ...own.demand.parts.map(({ id }) => id)]);
    for (const part of piece.parts) expect(asked.has(part.id), part.id).toBe(part.material === undefined);
    expect(own.glueUps.map(({ panel }) => panel)).toEqual(panels);
  });

  it('its side is what the season is told by', () => {
    expect(own.season.reference.width).toBe(form.depth);
    expect(own.season.leadingWidth.wettest).toBeGreaterThan(form.depth);
  });

  it('the order of work has every part, and each operation after one that is there', () => {
    const ids = new Set(job.operations.map(({ id }) => id));
    for (const { after } of job.operations) for (const before of after) expect(ids.has(before)).toBe(true);
    const worked = new Set(job.operations.flatMap(({ parts }) => parts));
    for (const part of piece.parts) expect(worked.has(part.id), part.id).toBe(true);
  });

  it('is drawn from all sides with its clear spaces, and goes out at full size and as a cut list', () => {
    for (const view of ['plan', 'front', 'end', 'apart', 'above'] as const)
      expect(drawView(piece, view).shapes.length).toBeGreaterThan(0);
    const drawn = new Map(drawView(piece, 'front').dimensions.map(({ id, value }) => [id, value]));
    for (const { id, of, left, right, low, high } of piece.spaces) {
      const parent = piece.spaces.find((space) => space.id === of);
      if (parent?.divided === 'uprights') expect(drawn.get(`wide-${id}`)).toBe(right - left);
      if (parent?.divided === 'shelves') expect(drawn.get(`high-${id}`)).toBe(high - low);
    }
    expect(fullSizeDrawings(piece, { system: 'metric' }).length).toBeGreaterThan(0);
    const rows = assembliesOf(piece, own.demand).flatMap((assembly) => assembly.rows);
    expect(rows.reduce((sum, { count }) => sum + count, 0)).toBeGreaterThanOrEqual(piece.parts.length - 1);
  });
});

describe('of sheet stock', () => {
  const sheets = { ...inJob(bookcase), species: SHEET };
  const job = deriveJob({ document: jobOf(sheets), shop, places, boards, layouts: [] });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  const [own] = job.pieces;

  it('nothing is glued up, every part is cut from sheets, and nothing fights', () => {
    expect(own?.demand.panels).toEqual([]);
    expect(own?.glueUps).toEqual([]);
    expect(own?.demand.parts.every(({ sheet }) => sheet)).toBe(true);
    expect(own?.restraint.traps).toEqual([]);
  });
});

describe('what goes wrong with a case', () => {
  const levelOf = (form: CaseForm, id: string) => caseJob(form).own.checks.find((check) => check.id === id)?.level;

  it('shelves too long for books sag; a lip or a thicker board mends it', () => {
    const long: CaseForm = { ...bookcase, width: 1000, inside: { ...bookcase.inside, thickness: 18 } };
    expect(levelOf(long, 'stiffness.case-shelf')).toBe('stop');
    const check = caseJob(long).own.checks.find(({ id }) => id === 'stiffness.case-shelf');
    const lip = { depth: 38, thickness: 20 };
    expect(check?.wayOut?.changes[0]).toEqual({ path: expect.stringMatching(/form\.inside\.lip$/), value: lip });
    expect(levelOf({ ...long, inside: { ...long.inside, lip } }, 'stiffness.case-shelf')).not.toBe('stop');
  });

  it('a bottom that is too thin for what stands on it is stopped, and made thicker itself', () => {
    const thin: CaseForm = { ...bookcase, carcass: { ...bookcase.carcass, across: 16 } };
    const check = caseJob(thin).own.checks.find(
      ({ id, level, where }) => id.startsWith('stiffness.case-shelf') && level === 'stop' && where.includes('bottom'),
    );
    const [change] = check?.wayOut?.changes ?? [];
    expect(change?.path).toMatch(/form\.carcass\.across$/);
    const mended: CaseForm = { ...thin, carcass: { ...thin.carcass, across: Number(change?.value) } };
    expect(
      caseJob(mended).own.checks.filter(({ level, where }) => level === 'stop' && where.includes('bottom')),
    ).toEqual([]);
    // A plinth is under it all along its front and its back.
    const onPlinth: CaseForm = {
      ...thin,
      stand: { kind: 'plinth', height: 90, thickness: 20, setBack: 20, travel: 8 },
    };
    expect(caseJob(onPlinth).piece.spans.some(({ part }) => part === 'bottom')).toBe(false);
  });

  it('boards of a back without gaps press on each other; the way out leaves enough', () => {
    const gapless: CaseForm = {
      ...sideboard,
      back: { kind: 'boards', count: 10, thickness: 12, edges: 'lapped', lap: 8, gap: 0 },
    };
    const stop = caseJob(gapless).own.checks.find(({ id }) => id === 'season.back-gaps');
    expect(stop?.level).toBe('stop');
    const gap = Number(stop?.wayOut?.changes[0]?.value);
    const mended: CaseForm = {
      ...gapless,
      back: { kind: 'boards', count: 10, thickness: 12, edges: 'lapped', lap: 8, gap },
    };
    expect(levelOf(mended, 'season.back-gaps')).toBe('good');
  });

  it('an empty bookcase is tipped by less than it is asked to stand, by hand: m · g · (reach − 5 % of its middle’s height) ÷ height', () => {
    const { own, piece } = caseJob(bookcase);
    const check = own.checks.find(({ id }) => id === 'stability.case-tips');
    const weight = own.figures.find(({ id }) => id === 'weight')?.quantity.amount ?? 0;
    // 300 deep and 1 800 high. The sheet, 6 of 42 kg and 147 behind the middle, draws the middle of all 20 back.
    const about = (weight * 9.80665 * (130 - 0.05 * 900)) / 1800;
    expect(check?.level).toBe('watch');
    expect(check?.value.amount).toBeGreaterThan(about * 0.97);
    expect(check?.value.amount).toBeLessThan(about * 1.03);
    expect(piece.overall.height).toBe(1800);
  });

  it('a solid back glued all round fights', () => {
    const fixed: CaseForm = { ...bookcase, back: { kind: 'panel', thickness: 12, hold: 'all-round', room: 0 } };
    expect(levelOf(fixed, 'season.ties-1')).toBe('stop');
    const free: CaseForm = { ...bookcase, width: 400, back: { kind: 'panel', thickness: 12, hold: 'middle', room: 6 } };
    expect(levelOf(free, 'season.ties')).toBe('good');
    expect(levelOf(free, 'season.slot:side-right/back')).not.toBe('stop');
    const tight: CaseForm = { ...free, back: { kind: 'panel', thickness: 12, hold: 'middle', room: 1 } };
    expect(levelOf(tight, 'season.slot:side-right/back')).toBe('stop');
  });

  it('a plinth with short slots fights', () => {
    const short: CaseForm = {
      ...sideboard,
      stand: { kind: 'plinth', height: 90, thickness: 20, setBack: 20, travel: 3 },
    };
    const id = 'season.slot:plinth-back/bottom';
    const stop = caseJob(short).own.checks.find((check) => check.id === id);
    expect(stop?.level).toBe('stop');
    const travel = stop?.wayOut?.changes[0]?.value;
    expect(levelOf({ ...short, stand: { ...short.stand, travel } as CaseForm['stand'] }, id)).toBe('good');
  });
});

describe('a job with a case', () => {
  const written = (use: PieceInJob['use']) => readJobFile(writeJobFile(jobOf({ ...inJob(bookcase), use }), []));

  it('is read as it was written', () => {
    const read = written('bookcase');
    expect('value' in read && read.value.job.pieces[0]?.form).toEqual(bookcase);
  });

  it('for a use of tables is refused with its place', () => {
    const read = written('dining');
    expect('problems' in read && read.problems.map(({ where }) => where)).toEqual(['job.pieces.0.use']);
  });
});

describe('a case of sheet', () => {
  const BOARDS = ['side', 'case-top', 'case-bottom', 'upright', 'case-shelf'] as const;
  const speciesOf = Object.fromEntries(BOARDS.map((kind) => [kind, SHEET]));
  const ofSheet = (form: CaseForm) => {
    const job = deriveJob({
      document: jobOf({ ...inJob(form), speciesOf }),
      ...{ shop, places, boards, layouts: [] },
    });
    if (!('pieces' in job) || !job.pieces[0]) throw new Error(JSON.stringify('problems' in job ? job.problems : []));
    return { job, own: job.pieces[0] };
  };
  const lipped: CaseForm = { ...bookcase, front: { kind: 'lipped', thickness: 8 } };

  it('its boards are cut from sheets, 8 mm less deep than it is, and its lippings from the wood of the piece', () => {
    const { job, own } = ofSheet(lipped);
    const side = own.demand.parts.find(({ id }) => id === 'side-left');
    expect(side).toMatchObject({ sheet: true, species: SHEET, finished: { width: 292 } });
    const lipping = own.demand.parts.find(({ id }) => id === 'lipping-side-left');
    // As long as the side, as wide as that is thick.
    expect(lipping).toMatchObject({ finished: { length: 1800, width: 20, thickness: 8 } });
    expect(lipping?.sheet).toBeUndefined();
    expect(own.glueUps.map(({ panel }) => panel)).toEqual([]);
    const worked = new Set(job.operations.flatMap(({ parts }) => parts));
    for (const part of own.piece.parts) expect(worked.has(part.id), part.id).toBe(true);
  });

  it('the cut list says which edges are lipped and which faces show', () => {
    const { own } = ofSheet(lipped);
    const rows = new Map(cutList(own.piece.parts, own.demand).map((row) => [row.name, row]));
    expect(rows.get('Side, left')).toMatchObject({ lipped: 8, grade: 'all-faces' });
    expect(rows.get('Bottom')).toMatchObject({ lipped: 8, grade: 'one-face' });
    expect(rows.get('Lipping of left side')).toMatchObject({ lipped: null });
  });

  it('hardly moves: its side does so by less than a tenth of one of white oak', () => {
    const moved = (season: { leadingWidth: { driest: number; wettest: number } }) =>
      season.leadingWidth.wettest - season.leadingWidth.driest;
    expect(moved(ofSheet(lipped).own.season)).toBeLessThan(moved(caseJob(bookcase).own.season) / 10);
  });

  it('layers at its edges are told; tails in it are stopped, and loose tenons cure it', () => {
    const level = (form: CaseForm, id: string) => ofSheet(form).own.checks.find((check) => check.id === id)?.level;
    expect(level(bookcase, 'form.sheet-edges')).toBe('watch');
    expect(level(lipped, 'form.sheet-edges')).toBe('good');
    const tails: CaseForm = {
      ...lipped,
      carcass: { ...lipped.carcass, corner: { kind: 'dovetails', tails: 6, pin: 10, slope: 8 } },
    };
    const stop = ofSheet(tails).own.checks.find(({ id }) => id === 'joints.sheet');
    expect(stop?.level).toBe('stop');
    const corner = stop?.wayOut?.changes[0]?.value as CaseForm['carcass']['corner'];
    expect(level({ ...tails, carcass: { ...tails.carcass, corner } }, 'joints.sheet')).toBe('good');
  });
});

describe('what keeps a bookcase square', () => {
  const sway = (form: CaseForm) =>
    caseJob(form).own.checks.find(({ id }) => id === 'stiffness.case-sway')?.value.amount ?? Number.NaN;
  const open: CaseForm = { ...bookcase, back: { kind: 'open' } };
  const frame = { thickness: 18, stile: 60, rail: 60, across: 2, up: 1, panelThickness: 8, tongue: 16, room: 6 };

  it('a face frame, a framed back and a sheet behind, each more than nothing', () => {
    const faced = sway({ ...open, front: { kind: 'face-frame', thickness: 20, stile: 45, rail: 50, within: null } });
    const framed = sway({ ...open, back: { kind: 'framed', ...frame, beside: 2 } });
    expect(faced).toBeLessThan(sway(open));
    expect(framed).toBeLessThan(sway(open));
    expect(sway(bookcase)).toBeLessThan(framed / 10);
  });
});
