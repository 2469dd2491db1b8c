import { movement, say } from '../measure/quantity';
import { partsOfKind } from '../piece/piece';
import { sizeAt } from '../season/size-at';
import { type CaseContext, type Check, judge } from './check';

/** A gap closed to this catches dust and clamps the boards; a lap that covers less is seen through, mm; common practice. */
const LEAST_GAP = 0.5;
const LEAST_COVER = 2;
/** A gap that does not show behind what stands on shelves, mm; common practice. */
const USUAL_GAP = 5;

/** Boards of a back, each held in its middle: what of their gaps is left at the wettest, and whether their laps still cover them at the driest. */
export function gapsOfBack({ document, piece, season }: CaseContext): Check[] {
  const which = piece.opens === 'above' ? 'bottom' : 'back';
  const { back } = document.form;
  const boards = partsOfKind(piece, 'back');
  // The outermost boards are let into the sides; one between them tells.
  const board = boards[1] ?? boards[0];
  if (back.kind !== 'boards' || !board) return [];
  // From the middle of one to that of the next nothing moves: a gap closes by what a board's face grows.
  const face = board.size.width - back.gap - back.lap;
  const [made, driest, wettest] = [season.glued, season.driest, season.wettest].map(
    ({ moisture }) => (face * sizeAt(board, season, moisture).width) / board.size.width,
  ) as [number, number, number];
  const [left, open] = [back.gap - (wettest - made), back.gap + (made - driest)];
  const cover = back.lap + back.gap - open;
  const [wider, longer] = [Math.ceil((back.gap + LEAST_GAP - left) * 2) / 2, Math.ceil(back.lap + LEAST_COVER - cover)];
  // Narrower ones grow less, each.
  const more = Math.ceil((back.count * (wettest - made)) / (USUAL_GAP - 2 * LEAST_GAP));
  const where = boards.map(({ id }) => id);
  const school = 'Each board held in its middle; common practice';
  return [
    {
      id: 'season.back-gaps',
      step: 'season',
      level: judge(left, 0, { sense: 'at-least', watchFrom: LEAST_GAP }),
      sentence: say`In the wettest week ${movement(Math.max(0, left))} are left between the boards of the ${which}, in the driest ${movement(open)}.`,
      value: movement(left),
      limit: movement(LEAST_GAP),
      where,
      why: 'Boards that swell tight push the sides apart, or buckle off their screws.',
      school,
      figure: {
        id: 'season.back-gaps',
        label: 'Gap between the boards of the back at the wettest',
        quantity: movement(left),
        formula: 'gap as made − (face at the wettest − face as made)',
        inputs: [
          { label: 'Gap as made', quantity: movement(back.gap) },
          { label: 'Face of a board', quantity: movement(face) },
          { label: 'At the driest', quantity: movement(open) },
        ],
        source: 'widths by the season',
      },
      wayOut: { say: say`Leave ${movement(wider)} between them`, changes: [{ path: 'form.back.gap', value: wider }] },
      otherWaysOut: [
        {
          say: say`Take ${more.toFixed(0)} boards, with ${movement(USUAL_GAP)} between them`,
          changes: [
            { path: 'form.back.count', value: more },
            { path: 'form.back.gap', value: USUAL_GAP },
            { path: 'form.back.lap', value: Math.max(back.lap, 2 * USUAL_GAP) },
          ],
        },
      ],
    },
    {
      id: 'season.back-laps',
      step: 'season',
      level: judge(cover, 0, { sense: 'at-least', watchFrom: LEAST_COVER }),
      sentence: say`In the driest week the laps of the ${which} still cover ${movement(Math.max(0, cover))}.`,
      value: movement(cover),
      limit: movement(LEAST_COVER),
      where,
      why: 'Laps that have drawn apart are seen through, and let dust in.',
      school,
      wayOut: { say: say`Lap them ${movement(longer)}`, changes: [{ path: 'form.back.lap', value: longer }] },
    },
  ];
}
