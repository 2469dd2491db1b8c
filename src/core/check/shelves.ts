import { mm, movement, say } from '../measure/quantity';
import { woodOf } from '../piece/part';
import { partsOfKind } from '../piece/piece';
import { GRAVITY, weightOf } from '../piece/weight';
import { sizeAt } from '../season/size-at';
import { bendingStress, uniformSag } from './beam';
import { type Check, judge, type TableContext, WORKING_STRESS_SCHOOL } from './check';
import { CREEP, SAG_PER_SPAN, STRESS_FACTOR, WATCHED } from './stiffness';

const CAUTION = 'A design figure for clear, straight-grained wood; not a certification.';
/** A gap closed to this catches crumbs and clamps the boards, mm; common practice. */
const LEAST_GAP = 1;

/** A low shelf: what its boards sag under their load, and whether they have room to swell. */
export function shelves(context: TableContext): Check[] {
  const { document, piece, season } = context;
  const { base } = document.form;
  const boards = partsOfKind(piece, 'shelf');
  const [board] = boards;
  if (base.kind !== 'leg-apron' || base.stretchers.kind !== 'shelf' || !board) return [];
  const shelf = base.stretchers;
  const species = woodOf(board, context.species);
  const where = boards.map(({ id }) => id);
  const span = Math.max(10, board.size.length - 2 * shelf.thickness);
  const own = weightOf([board], species, season.glued.moisture) * GRAVITY;
  const perMm = (shelf.load / boards.length + own) / span;
  const section = { breadth: board.size.width, depth: board.size.thickness, modulus: species.modulusOfElasticity };
  const once = uniformSag(section, span, perMm);
  const sag = CREEP * once;
  const limit = span * SAG_PER_SPAN;
  const stress = bendingStress(section, (perMm * span ** 2) / 8);
  const working = species.modulusOfRupture / STRESS_FACTOR;
  const thicker = Math.ceil(board.size.thickness * Math.cbrt(sag / (WATCHED * limit)) + 1);
  const newton = (amount: number) => ({ amount, unit: 'newton' as const });
  const megapascal = (amount: number) => ({ amount, unit: 'megapascal' as const });
  const checks: Check[] = [
    {
      id: 'stiffness.shelf-sag',
      step: 'form',
      level: judge(sag, limit, { sense: 'at-most', watchFrom: limit * WATCHED }),
      sentence: say`Under ${newton(shelf.load)} the shelf sags, in time, ${movement(sag)}; the eye accepts ${movement(limit)}.`,
      value: movement(sag),
      limit: movement(limit),
      where,
      why: `What sags at once sags more after years. ${CAUTION}`,
      school: 'Elastic bending under the top’s weight and the design load; the limit is common practice',
      figure: {
        id: 'stiffness.shelf-sag',
        label: 'Sag of the shelf, in time',
        quantity: movement(sag),
        formula: `${CREEP} · (5wL⁴/384EI + wL²/8κGA)`,
        inputs: [
          { label: 'Between the end stretchers L', quantity: mm(span) },
          { label: 'Each board wide', quantity: mm(board.size.width) },
          { label: 'Thickness', quantity: mm(board.size.thickness) },
          { label: 'Load of the shelf', quantity: newton(shelf.load) },
          { label: 'Boards', quantity: { amount: boards.length, unit: 'count' } },
          { label: 'E', quantity: megapascal(species.modulusOfElasticity) },
          { label: 'At once', quantity: movement(once) },
        ],
        source: `Roark, beam formulas with shear (G = E/16); species table; creep × ${CREEP}, Wood Handbook ch. 5`,
        limits: CAUTION,
      },
      wayOut: {
        say: say`Make the shelf ${mm(thicker)} thick`,
        changes: [{ path: 'form.base.stretchers.boardThickness', value: thicker }],
      },
    },
    {
      id: 'strength.shelf',
      step: 'form',
      level: judge(stress, working, { sense: 'at-most', watchFrom: working * 0.8 }),
      sentence: say`The shelf is stressed to ${megapascal(stress)} of ${megapascal(working)}.`,
      value: megapascal(stress),
      limit: megapascal(working),
      where,
      why: `The working stress is the breaking stress over ${STRESS_FACTOR}. ${CAUTION}`,
      school: WORKING_STRESS_SCHOOL,
      wayOut: { say: say`Make it thicker, or say less load`, changes: [] },
    },
  ];
  if (boards.length < 2) return checks;
  const [made, wettest] = [season.glued, season.wettest].map(({ moisture }) => sizeAt(board, season, moisture).width);
  const swells = Math.max(0, (wettest ?? 0) - (made ?? 0));
  const left = shelf.gap - swells;
  const enough = Math.ceil((swells + LEAST_GAP) * 2) / 2;
  return [
    ...checks,
    {
      id: 'season.shelf-gaps',
      step: 'season',
      level: judge(left, 0, { sense: 'at-least', watchFrom: LEAST_GAP }),
      sentence: say`In the wettest week ${movement(Math.max(0, left))} are left between the boards of the shelf.`,
      value: movement(left),
      limit: movement(LEAST_GAP),
      where,
      why: 'Boards that swell tight push the legs apart, or buckle off their screws.',
      school: 'Each board held in its middle; common practice',
      wayOut: {
        say: say`Leave ${movement(enough)} between them`,
        changes: [{ path: 'form.base.stretchers.gap', value: enough }],
      },
    },
  ];
}
