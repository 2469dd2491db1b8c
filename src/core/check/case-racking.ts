import { mm, movement, say } from '../measure/quantity';
import { boardOrBar } from '../piece/case/shell';
import type { Part } from '../piece/part';
import type { CasePiece } from '../piece/piece';
import { type CaseContext, type Check, judge, softestOf } from './check';
import { type PlaneFrame, solveFrame } from './plane-frame';

/** In the plane of a thin sheet, MPa; plywood and fibreboard, Wood Handbook ch. 12, from memory. */
export const SHEET_SHEAR = 600;
/** A case that goes farther than this share of its height binds doors and works its joints loose; common practice. */
const SWAY = 1 / 200;
/** So many times as far, and nothing else holds it; common practice. */
const FALLS = 4;

/** What is behind or in front is not bent with the boards; legs have a check of their own. */
const BESIDE: ReadonlySet<Part['kind']> = new Set([
  ...(['back', 'back-panel', 'sheet', 'stile', 'rail', 'muntin', 'panel'] as const),
  ...(['leg', 'stand-rail', 'stretcher'] as const),
]);

/**
 * The boards of a case that are joined to one another, from the front, as a frame with stiff joints: pushed sideways at its
 * upper edge, its lower ends resting on the floor. N, mm, MPa
 *
 * @param brace what closes it behind or in front keeps its corners square by, N a millimetre: two ties from corner to corner that
 *              are as stiff together
 */
export function frameOfCase(
  piece: CasePiece,
  modulus: number,
  push: number,
  brace = 0,
): { frame: PlaneFrame; pushed: number } | null {
  const nodes: [number, number][] = [];
  const places = new Map<string, number>();
  const node = (x: number, z: number): number => {
    // To the millimetre, with the steps where no figure of a maker falls.
    const key = `${Math.round(x + 0.0137)} ${Math.round(z + 0.0137)}`;
    const known = places.get(key) ?? nodes.push([x, z]) - 1;
    places.set(key, known);
    return known;
  };
  const byId = new Map(piece.parts.map((part) => [part.id, part]));
  const upright = (part: Part) => Math.abs(part.frame.length[2]) > 0.9;
  const level = (part: Part) => Math.abs(part.frame.length[0]) > 0.9;
  /** Places along each board where another is joined to it. */
  const along = new Map<string, number[]>();
  const meets = (part: Part, place: number) => along.set(part.id, [...(along.get(part.id) ?? []), place]);
  for (const { into, from } of piece.joints) {
    const [a, b] = [byId.get(into), byId.get(from)];
    if (!a || !b) continue;
    const [post, rail] = upright(a) && level(b) ? [a, b] : upright(b) && level(a) ? [b, a] : [];
    if (!post || !rail || BESIDE.has(post.kind) || BESIDE.has(rail.kind)) continue;
    meets(post, rail.frame.at[2]);
    meets(rail, post.frame.at[0]);
  }
  const members: PlaneFrame['members'][number][] = [];
  for (const [id, places] of along) {
    const part = byId.get(id);
    if (!part) continue;
    const standing = upright(part);
    // A side that runs down stands on the floor.
    const foot = standing && part.frame.at[2] - part.shoulderLength / 2 < 1 ? [0] : [];
    const sorted = [...new Set([...foot, ...places])].sort((p, q) => p - q);
    const { width: breadth, thickness } = part.size;
    sorted.slice(1).forEach((to, i) => {
      const before = sorted[i] ?? to;
      const [a, b] = standing
        ? [node(part.frame.at[0], before), node(part.frame.at[0], to)]
        : [node(before, part.frame.at[2]), node(to, part.frame.at[2])];
      if (a !== b)
        members.push({ from: a, to: b, area: breadth * thickness, second: (breadth * thickness ** 3) / 12, modulus });
    });
  }
  if (nodes.length < 3) return null;
  const [left, right, bottom, top] = (['left', 'right', 'bottom', 'top'] as const).map(
    (which) => boardOrBar(piece.parts, which)?.frame.at,
  );
  const ties: NonNullable<PlaneFrame['ties']>[number][] = [];
  if (brace > 0 && left && right && bottom && top) {
    const wide = right[0] - left[0];
    const stiffness = (brace * (Math.hypot(wide, top[2] - bottom[2]) / wide) ** 2) / 2;
    ties.push(
      { from: node(left[0], bottom[2]), to: node(right[0], top[2]), stiffness },
      { from: node(right[0], bottom[2]), to: node(left[0], top[2]), stiffness },
    );
  }
  const lowest = Math.min(...nodes.map(([, z]) => z));
  const highest = Math.max(...nodes.map(([, z]) => z));
  const held = nodes.flatMap(([, z], i) => (z - lowest < 1 ? [i] : []));
  const pushed = nodes.findIndex(([x, z]) => highest - z < 1 && x === Math.min(...nodes.map(([own]) => own)));
  return { frame: { nodes, members, held, ties, loads: [{ node: pushed, force: [push, 0] }] }, pushed };
}

/** Stiles and rails of a back with floating panels that is screwed in at its rails, or of a face frame, as a frame with stiff joints of their own: N a millimetre. Muntins are left out. */
function stiffnessOfFrame(piece: CasePiece, modulus: number, which: 'back' | 'front'): number {
  const of = (kind: Part['kind']) =>
    piece.parts.filter((part) => part.kind === kind && part.id.startsWith(`${which}-`));
  const [stiles, all] = [of('stile'), of('rail')];
  const widest = Math.max(...all.map(({ shoulderLength }) => shoulderLength));
  // Rails between inner stiles keep nothing square.
  const rails = all
    .filter(({ shoulderLength }) => shoulderLength > widest - 1)
    .sort((a, b) => a.frame.at[2] - b.frame.at[2]);
  const levels = rails.map(({ frame }) => frame.at[2]);
  if (stiles.length !== 2 || levels.length < 2) return 0;
  const second = ({ size: { width, thickness } }: Part) => ({
    area: width * thickness,
    second: (thickness * width ** 3) / 12,
    modulus,
  });
  const nodes = levels.flatMap((z) => stiles.map(({ frame }): [number, number] => [frame.at[0], z]));
  const members = [
    ...rails.map((rail, i) => ({ from: 2 * i, to: 2 * i + 1, ...second(rail) })),
    ...stiles.flatMap((stile, side) =>
      levels.slice(1).map((_, i) => ({ from: 2 * i + side, to: 2 * i + 2 + side, ...second(stile) })),
    ),
  ];
  const top = 2 * (levels.length - 1);
  const moved = solveFrame({ nodes, members, held: [0, 1], loads: [{ node: top, force: [1, 0] }] })?.[top]?.[0];
  return moved ? 1 / moved : 0;
}

/**
 * How far a case goes sideways when it is pushed at its upper edge: its boards as a frame, and beside it a sheet behind that is
 * fixed all round as a panel in shear, G·t·width ÷ height, the frame of a back with panels, a face frame. Boards behind and panels that are
 * free to move count for nothing.
 */
export function rackingOfCase(context: CaseContext): Check[] {
  const { piece, document } = context;
  // The walls of a chest stand on all four sides of its bottom.
  if (piece.opens === 'above' || piece.hung) return [];
  const { push } = document.form.loads;
  const boards = piece.parts.filter(({ kind }) =>
    ['side', 'case-top', 'case-bottom', 'case-post', 'upright', 'case-shelf', 'case-rail'].includes(kind),
  );
  const where = boards.map(({ id }) => id);
  const { modulusOfElasticity: modulus } = softestOf(context, where);
  const made = frameOfCase(piece, modulus, 1);
  const moved = made && solveFrame(made.frame)?.[made.pushed]?.[0];
  if (!moved || !Number.isFinite(moved)) return [];
  const { back } = document.form;
  const sheet =
    back.kind === 'sheet' || back.kind === 'grooved' ? piece.parts.find(({ kind }) => kind === 'sheet') : undefined;
  const shear = sheet ? (SHEET_SHEAR * sheet.size.thickness * sheet.size.width) / sheet.size.length : 0;
  const framed = stiffnessOfFrame(piece, modulus, 'back') + stiffnessOfFrame(piece, modulus, 'front');
  const braced = shear + framed > 0 ? frameOfCase(piece, modulus, 1, shear + framed) : null;
  const value = push * ((braced && solveFrame(braced.frame)?.[braced.pushed]?.[0]) || moved);
  const limit = piece.overall.height * SWAY;
  const newton = (amount: number) => ({ amount, unit: 'newton' as const });
  return [
    {
      id: 'stiffness.case-sway',
      step: 'form',
      // Far beyond the limit it falls together under whoever leans on it.
      level: judge(value, FALLS * limit, { sense: 'at-most', watchFrom: limit }),
      sentence: say`Pushed along at its upper edge it goes ${movement(value)} sideways; a two-hundredth of its height is ${movement(limit)}.`,
      value: movement(value),
      limit: movement(limit),
      where,
      why: 'A case that racks binds its doors and drawers and works its joints loose. Housings give more than the stiff joints that are computed.',
      school: 'A two-hundredth of the height, common practice',
      figure: {
        id: 'stiffness.case-sway',
        label: 'Sideways at its upper edge',
        quantity: movement(value),
        formula:
          'the boards as a frame, braced from corner to corner by G·t·width ÷ height of a sheet behind and by its frames',
        inputs: [
          { label: 'Push', quantity: newton(push) },
          { label: 'Of the boards alone', quantity: movement(push * moved) },
          ...(framed > 0 ? [{ label: 'Of its frames alone', quantity: movement(push / framed) }] : []),
          ...(sheet ? [{ label: 'Sheet, thick', quantity: mm(sheet.size.thickness) }] : []),
          { label: 'E', quantity: { amount: modulus, unit: 'megapascal' as const } },
          ...(sheet
            ? [{ label: 'G of the sheet', quantity: { amount: SHEET_SHEAR, unit: 'megapascal' as const } }]
            : []),
        ],
        source:
          'Direct stiffness of plane frames; a panel in shear (any textbook); G from memory of Wood Handbook ch. 12',
        limits:
          'Joints taken as stiff, the sheet as fixed all round and not bulging. Backs of boards count for nothing.',
      },
      wayOut: {
        say: say`Fix a sheet behind, all round`,
        changes: [{ path: 'form.back', value: { kind: 'sheet', thickness: 6 } }],
      },
    },
  ];
}
