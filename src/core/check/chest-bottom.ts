import { mm, movement, say } from '../measure/quantity';
import { type Part, woodOf } from '../piece/part';
import { findPart } from '../piece/piece';
import { GRAVITY } from '../piece/weight';
import { boundsOf } from '../solid/convex';
import { uniformSag } from './beam';
import { type CaseContext, type Check, judge } from './check';
import { CREEP } from './stiffness';

/** Blankets and linen, laid in without pressing, kg/m³; common practice. */
const LINEN = 150;
/** A bottom that hangs by more of its span comes out of its rabbets; common practice. */
const HANGS = 1 / 100;
const WATCHED = 0.8;
/** A sheet of which nobody said what it is, MPa: poplar plywood, from memory of the Wood Handbook ch. 12. */
const ANY_SHEET = 5000;

/** What the bottom of a chest hangs by, in time, when it is full: its boards and panels from front to back, a sheet over its shorter way. */
export function chestBottom({ piece, document, species }: CaseContext): Check[] {
  const { opens, back, carcass } = document.form;
  if (opens !== 'above' || back.kind === 'open') return [];
  const bottom = piece.parts.filter(isBottom);
  const wall = findPart(piece, piece.leading);
  if (bottom.length === 0 || !wall) return [];
  const { from, to } = boundsOf(wall.placed);
  const high = to[2] - from[2];
  const inside = { x: piece.overall.length - 2 * carcass.sides, y: piece.overall.width - 2 * carcass.across };
  // N/mm²
  const full = (LINEN * GRAVITY * high) / 1e9;
  const found = bottom.map((part) => {
    const sheet = part.material === 'sheet' || part.wood?.sheet === true;
    const span = sheet ? Math.min(inside.x, inside.y) : Math.min(part.size.length, inside.y);
    const modulus = part.material === 'sheet' ? ANY_SHEET : woodOf(part, species).modulusOfElasticity;
    const section = { breadth: 1, depth: part.size.thickness, modulus };
    return { part, span, modulus, sag: CREEP * uniformSag(section, span, full) };
  });
  const worst = found.reduce((a, b) => (b.sag / b.span > a.sag / a.span ? b : a));
  const { part, span, modulus, sag } = worst;
  const limit = span * HANGS;
  const thicker = Math.ceil(part.size.thickness * Math.cbrt(sag / (WATCHED * limit)));
  const path = back.kind === 'framed' ? 'form.back.panelThickness' : 'form.back.thickness';
  return [
    {
      id: 'stiffness.chest-bottom',
      step: 'form',
      level: judge(sag, limit, { sense: 'at-most', watchFrom: WATCHED * limit }),
      sentence: say`Full of linen its bottom hangs, in time, ${movement(sag)}; a hundredth of what it spans is ${movement(limit)}.`,
      value: movement(sag),
      limit: movement(limit),
      where: bottom.map(({ id }) => id),
      why: 'A bottom that hangs works its screws loose and comes out of its rabbets. Books weigh four times as much as linen.',
      school: 'Linen 150 kg/m³, a hundredth of the span; common practice',
      figure: {
        id: 'stiffness.chest-bottom',
        label: 'Sag of the bottom, in time',
        quantity: movement(sag),
        formula: `${CREEP} · 5qL⁴/384EI, with shear`,
        inputs: [
          { label: 'Spans L', quantity: mm(span) },
          { label: 'Thick', quantity: mm(part.size.thickness) },
          { label: 'Linen over it, high', quantity: mm(high) },
          { label: 'E', quantity: { amount: modulus, unit: 'megapascal' } },
        ],
        source: 'Roark, beam formulas with shear; species table',
        limits:
          'As a strip whose ends rest; its other edges, and the bars of a frame between its panels, are left out.',
      },
      wayOut: { say: say`Make it ${mm(thicker)} thick`, changes: [{ path, value: thicker }] },
    },
  ];
}

/** Boards, panels and sheets; a frame's bars are stiffer than what they hold. */
const isBottom = ({ id, kind }: Part): boolean =>
  kind === 'back' ||
  kind === 'back-panel' ||
  (kind === 'sheet' && id === 'back') ||
  (kind === 'panel' && id.startsWith('back-'));
