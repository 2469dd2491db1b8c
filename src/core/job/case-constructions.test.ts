import { describe, expect, it } from 'vitest';
import { CASE_CONSTRUCTIONS } from '../../../tests/fixtures/case-constructions';
import { demoJob, jobOf, places, shop } from '../../../tests/fixtures/demo';
import { type PieceInJob, partOfPiece } from '../document/piece-in-job';
import { assembliesOf } from '../format/assemblies';
import { writePhrase } from '../measure/write-quantity';
import type { CaseForm } from '../piece/case/form';
import { BACK_KINDS, CASE_TOP_KINDS, CORNER_KINDS, FIXING_KINDS, FRONT_KINDS, STAND_KINDS } from '../piece/case/kinds';
import { deriveJob } from './derive-job';
import type { JobInputs } from './inputs';
import { ownedChecks } from './shown-piece';
import { searchWayOut } from './ways-out';

const inputsOf = (form: CaseForm, other?: CaseForm): JobInputs => {
  const piece: PieceInJob = { ...demoJob('2-long-table'), use: 'bookcase', seatsAsked: null, form };
  const brief = { ...piece.brief, door: { width: 1200, height: 2300 } };
  const document = jobOf({ ...piece, brief });
  const lower = document.pieces.flatMap((own) => (other ? { ...own, id: 'p2', name: 'The other', form: other } : []));
  return { document: { ...document, pieces: [...document.pieces, ...lower] }, shop, places, boards: null, layouts: [] };
};
const derived = (inputs: JobInputs) => {
  const job = deriveJob(inputs);
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return job;
};
/** Of the case itself: what the rack has is another matter. */
const stopsOf = (job: ReturnType<typeof derived>) =>
  ownedChecks(job).filter(
    ({ check }) => check.level === 'stop' && ['form', 'season', 'joints', 'brief'].includes(check.step),
  );

describe.each(CASE_CONSTRUCTIONS)('$name', ({ form, below, left, bad }) => {
  const other = below ?? left;
  it('can be built, and nothing stops it', () => {
    const stops = stopsOf(derived(inputsOf(form, other)));
    expect(stops.map(({ check }) => `${check.id}: ${writePhrase(check.sentence, { system: 'metric' })}`)).toEqual([]);
  });

  it('its sway, its tipping and its way through the door are judged', () => {
    const ids = new Set(derived(inputsOf(form, other)).pieces[0]?.checks.map(({ id }) => id));
    const stands = form.stand.kind !== 'wall' && form.stand.kind !== 'bevelled-cleats';
    expect(ids.has('people.door')).toBe(true);
    expect(ids.has('stability.case-tips')).toBe(stands && !below);
    expect(ids.has('stability.stack-tips')).toBe(below !== undefined);
    const { stand, opens, inside } = form;
    const between =
      stand.kind === 'leg-frame' || inside.cells.some((cell) => cell.of === null && cell.divided === 'uprights');
    expect(ids.has('stiffness.case-sags')).toBe(
      stands && !below && opens === 'front' && stand.kind !== 'plinth' && between,
    );
    expect(ids.has('stiffness.case-sway')).toBe(stands && form.opens === 'front');
  });

  it('goes from a worker to the screen as it is: nothing in it is a function', () => {
    expect(() => structuredClone(derived(inputsOf(form, other)))).not.toThrow();
  });

  it('every part is in the order of work and in one assembly', () => {
    const job = derived(inputsOf(form, other));
    const own = job.pieces[0];
    if (!own) throw new Error('nothing is derived');
    const worked = new Set(
      job.operations
        .flatMap(({ parts }) => parts)
        .map(partOfPiece)
        .filter(({ pieceId }) => !other || pieceId === own.pieceId)
        .map(({ part }) => part),
    );
    for (const { id, name } of own.piece.parts) expect(worked.has(id), name).toBe(true);
    const listed = assembliesOf(own.piece, own.demand).flatMap(({ rows }) => rows);
    // A sheet is bought to size where no wood is chosen for it.
    const made = own.piece.parts.filter(({ material }) => material === undefined);
    expect(listed.reduce((sum, { count }) => sum + count, 0)).toBe(made.length);
  });

  it.each(bad)('$how: stopped, and said how it is mended', ({ form: variant, stop }) => {
    const inputs = inputsOf(variant, other);
    const job = derived(inputs);
    const found = stopsOf(job).find(({ check }) => check.id === stop || check.id.startsWith(`${stop}-`));
    expect(
      found?.check.id,
      stopsOf(job)
        .map(({ check }) => check.id)
        .join(),
    ).toBeDefined();
    if (!found) return;
    expect(found.check.wayOut ?? found.check.otherWaysOut?.[0]).toBeDefined();
    const search = searchWayOut(inputs, job, found);
    let step = search.next();
    while (!step.done) step = search.next();
    // What is offered as a press is tried on the whole job before: it cures.
    expect(step.value.changes, found.check.id).not.toEqual([]);
  });
});

describe('every kind that there is', () => {
  const forms = CASE_CONSTRUCTIONS.map(({ name, form }) => ({ name, form }));
  it.each([
    ['corner', CORNER_KINDS, ({ carcass }: CaseForm) => carcass.corner.kind],
    ['fixing', FIXING_KINDS, ({ inside }: CaseForm) => inside.fixing.kind],
    ['back', BACK_KINDS, ({ back }: CaseForm) => back.kind],
    ['front', FRONT_KINDS, ({ front }: CaseForm) => front.kind],
    ['top', CASE_TOP_KINDS, ({ top }: CaseForm) => top.kind],
    ['stand', STAND_KINDS, ({ stand }: CaseForm) => stand.kind],
  ] as const)('of a %s has a construction that nothing stops', (_, kinds, kindOf) => {
    const missing = kinds.filter(({ kind }) => !forms.some(({ form }) => kindOf(form) === kind));
    expect(missing.map(({ kind }) => kind)).toEqual([]);
  });

  it('of a division, and each construction has three variants that are stopped', () => {
    const divided = new Set(forms.flatMap(({ form }) => form.inside.cells.map((cell) => cell.divided)));
    expect([...divided].sort()).toEqual(['not', 'rails', 'shelves', 'uprights']);
    for (const { name, bad } of CASE_CONSTRUCTIONS) expect(bad.length, name).toBeGreaterThanOrEqual(3);
  });
});
