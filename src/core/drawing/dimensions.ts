import type { CasePiece, CaseSpace, Piece, TablePiece } from '../piece/piece';
import { boundsOf } from '../solid/convex';
import type { Dimension, DrawnPart, Point, ViewName } from './view';

const dimension = (
  id: string,
  from: Point,
  to: Point,
  side: Dimension['side'],
  step: number,
  value: number,
  moves = false,
): Dimension => ({ id, from, to, side, step, value, moves });

/** The dimensions of a view from a side or from above. */
export const dimensionsOf = (piece: Piece, name: ViewName, drawn: readonly DrawnPart[]): Dimension[] =>
  piece.build === 'table' ? dimensionsOfTable(piece, name, drawn) : dimensionsOfCase(piece, name, drawn);

/** Over all, what it stands on, and every clear space between two boards that lie over or beside one another. */
function dimensionsOfCase(piece: CasePiece, name: ViewName, drawn: readonly DrawnPart[]): Dimension[] {
  const { length, width, height } = piece.overall;
  const side = drawn.find(({ part }) => part.id === piece.leading && part.kind === 'side');
  // The ends of a chest run from front to back along their grain.
  const deep = piece.opens === 'above' ? width : (side?.real.width ?? width);
  const [x, y] = [length / 2, deep / 2];
  if (name === 'plan')
    return [
      dimension('length', [-x, -y], [x, -y], 'above', 1, length),
      dimension('width', [-x, -y], [-x, y], 'left', 1, deep, true),
      ...(piece.opens === 'above' ? piece.spaces.flatMap((space) => clearOf(space, piece.spaces)) : []),
    ];
  const across =
    name === 'front'
      ? dimension('across', [-x, -height], [x, -height], 'above', 1, length)
      : dimension('across', [-y, -height], [y, -height], 'above', 1, deep, true);
  const edge = name === 'front' ? x : y;
  // A lid or a board over it that overhangs the carcass.
  const axis = name === 'front' ? 0 : 1;
  const { from, to } = boundsOf(
    drawn.filter(({ part }) => piece.over.includes(part.id)).flatMap(({ solids }) => solids),
  );
  const over = to[axis] - from[axis];
  const proud = over > (name === 'front' ? length : width) + 1;
  return [
    across,
    ...(proud ? [dimension('over', [from[axis], -height], [to[axis], -height], 'above', 2, over)] : []),
    dimension('height', [edge, -height], [edge, 0], 'right', 1, height),
    ...(name === 'front' && piece.opens === 'front'
      ? piece.spaces.flatMap((space) => clearOf(space, piece.spaces))
      : []),
  ];
}

/** How far into a space its figures are drawn, as a share of it. */
const IN_SPACE = 0.12;

/** A space along the way that it shares with those beside it; all of the inside both ways, where nothing in it says so. */
function clearOf({ id, of, divided, left, right, low, high }: CaseSpace, spaces: readonly CaseSpace[]): Dimension[] {
  const within = spaces.find((space) => space.id === of)?.divided;
  const [x, z] = [left + IN_SPACE * (right - left), low + IN_SPACE * (high - low)];
  const wide = dimension(`wide-${id}`, [left, -z], [right, -z], 'above', 0, right - left);
  const tall = dimension(`high-${id}`, [x, -high], [x, -low], 'right', 0, high - low);
  return [
    ...(within === 'uprights' || (of === null && divided !== 'uprights') ? [wide] : []),
    ...(within === 'shelves' || within === 'rails' || (of === null && divided === 'not') ? [tall] : []),
  ];
}

function dimensionsOfTable(piece: TablePiece, name: ViewName, drawn: readonly DrawnPart[]): Dimension[] {
  const tops = drawn.filter((d) => piece.over.includes(d.part.id));
  const all = tops.flatMap((d) => d.solids.flatMap((solid) => solid.corners));
  const leading = tops.find((d) => d.part.id === piece.top.leading);
  if (all.length === 0 || !leading) return [];
  const of = (axis: 0 | 1 | 2, pick: (...n: number[]) => number) => pick(...all.map((p) => p[axis]));
  // Of parts side by side the whole is measured, as it is drawn.
  const slatted = piece.top.leads !== undefined;
  // Across, the panel is measured; its ends may stand a little proud of it.
  const wide = slatted ? all : leading.solids.flatMap((solid) => solid.corners);
  const from = { x: of(0, Math.min), y: Math.min(...wide.map((p) => p[1])) };
  const to = { x: of(0, Math.max), y: Math.max(...wide.map((p) => p[1])) };
  const h = of(2, Math.max);
  const { ground } = piece;
  const width = slatted ? piece.top.size.width : leading.real.width;

  if (name === 'plan') {
    return [
      dimension('length', [from.x, -to.y], [to.x, -to.y], 'above', 1, piece.overall.length),
      dimension('width', [from.x, -to.y], [from.x, -from.y], 'left', 1, width, !slatted),
      dimension('base-length', [ground.left, -from.y], [ground.right, -from.y], 'below', 1, piece.base.length),
      ...(piece.overhang.end > 0
        ? [
            dimension(
              'overhang-end',
              [Math.max(ground.right, -ground.left), -from.y],
              [to.x, -from.y],
              'below',
              1,
              piece.overhang.end,
            ),
          ]
        : []),
      dimension('base-width', [to.x, -ground.high], [to.x, -ground.low], 'right', 1, piece.base.width),
    ];
  }
  const [u0, u1] = name === 'front' ? [from.x, to.x] : [from.y, to.y];
  const [foot0, foot1] = name === 'front' ? [ground.left, ground.right] : [ground.low, ground.high];
  const across = name === 'front' ? piece.overall.length : width;
  const apron = drawn.find((d) => d.part.kind === 'apron');
  const foot = drawn.find((d) => d.part.kind === 'leg' && d.part.taper)?.part.taper?.foot;
  // Across the piece, with the floor free under it.
  const stretcher = drawn.find((d) => d.part.kind === 'stretcher' && Math.abs(d.part.frame.length[1]) > 0.99);
  // Where it is hollowed for the knees, in its middle.
  const hollow = Math.min(0, ...(apron?.part.profile ?? []).map(({ sagitta = 0 }) => sagitta));
  const apronDeep = (apron?.real.width ?? 0) + hollow;
  const under = hollow < 0 ? piece.overall.height - piece.top.size.thickness - apronDeep : piece.knees.height;
  return [
    dimension('across', [u0, -h], [u1, -h], 'above', 1, across, name === 'end' && !slatted),
    dimension('height', [u1, -h], [u1, 0], 'right', 1, piece.overall.height),
    dimension('base', [foot0, 0], [foot1, 0], 'below', 1, foot1 - foot0),
    dimension('knees', [u0, -under], [u0, 0], 'left', 1, under),
    ...(apron ? [dimension('apron', [u0, -(under + apronDeep)], [u0, -under], 'left', 1, apronDeep)] : []),
    ...(foot === undefined ? [] : [dimension('foot', [foot0, 0], [foot0 + foot, 0], 'below', 0, foot)]),
    ...(stretcher && name === 'end'
      ? [dimension('stretcher', [0, -stretcher.part.frame.at[2]], [0, 0], 'left', 0, stretcher.part.frame.at[2])]
      : []),
  ];
}
