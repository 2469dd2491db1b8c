import type { CasePiece, CaseSpace } from '../piece/piece';
import { boundsOf, clipAll, isEmpty, type Plane } from '../solid/convex';
import { boundsOfFlat, type Flat, hullOf } from '../solid/outline';
import type { Vec } from '../solid/vector';
import type { Dimension, Shape, View } from './view';

/** A bore is drawn of so many corners. */
const CORNERS = 12;

/** Seen from the left: the front is at the left, v downward. */
const paper = ([, y, z]: Vec): Flat => [y, -z];

/** A case cut open from front to back, in the middle of its widest space, and seen from the left: mm. */
export function drawSection(piece: CasePiece): View {
  const leaves = piece.spaces.filter(({ divided }) => divided === 'not');
  const [widest] = [...leaves].sort((a, b) => b.right - b.left - (a.right - a.left) || a.left - b.left);
  const cut = widest ? (widest.left + widest.right) / 2 : 0;
  const kept: Plane = { normal: [-1, 0, 0], offset: -cut };
  const clipped = piece.parts
    .map((part) => {
      const whole = [...part.placed, ...part.added.map(({ solid }) => solid)];
      const { from, to } = boundsOf(whole);
      const solids = whole.map((solid) => clipAll(solid, [kept])).filter((solid) => !isEmpty(solid));
      return { part, solids, near: -Math.max(from[0], cut), isCut: from[0] < cut && cut < to[0] };
    })
    .filter(({ solids }) => solids.length > 0)
    // What is cut open lies in front of all that is seen behind it.
    .sort((a, b) => Number(a.isCut) - Number(b.isCut) || a.near - b.near);
  const shapes: Shape[] = clipped.flatMap(({ part, solids, isCut }) =>
    solids.map(
      ({ corners }): Shape => ({
        part: part.id,
        style: isCut ? 'cut' : 'seen',
        points: hullOf(corners.map(paper)),
      }),
    ),
  );
  const across = piece.opens === 'above' ? [] : leaves.filter(({ left, right }) => left <= cut && cut <= right);
  const bores = piece.pinRows
    .filter(({ into, space }) => into > 0 && across.some(({ id }) => id === space))
    .flatMap(({ wall, y, from, apart, count, diameter }) =>
      Array.from({ length: count }, (_, i): Shape => {
        const z = from + i * apart;
        const round = Array.from({ length: CORNERS }, (_, k): Flat => {
          const angle = (2 * Math.PI * k) / CORNERS;
          return [y + (diameter / 2) * Math.cos(angle), -z - (diameter / 2) * Math.sin(angle)];
        });
        return { part: wall, style: 'edge', points: round };
      }),
    );
  // Bores are seen on what stands behind them, and covered by what is cut open.
  const opened = shapes.filter(({ style }) => style === 'cut');
  const behind = shapes.filter(({ style }) => style !== 'cut');
  const all = boundsOfFlat(shapes.flatMap(({ points }) => points));
  return {
    name: 'section',
    bounds: { left: all.left, top: all.low, width: all.right - all.left, height: all.high - all.low },
    shapes: [...behind, ...bores, ...opened],
    dimensions: witnesses(piece, across, all),
    fasteners: [],
  };
}

/** Over all, every clear height, and how high over the floor the boards lie: each with its witness lines out of the case. */
function witnesses(
  piece: CasePiece,
  across: readonly CaseSpace[],
  { left, right, low, high }: ReturnType<typeof boundsOfFlat>,
): Dimension[] {
  const level = (id: string, a: number, b: number, side: 'left' | 'right', step: number): Dimension => {
    const edge = side === 'right' ? right : left;
    return { id, from: [edge, -b], to: [edge, -a], side, step, value: b - a, moves: false };
  };
  const { width, height } = piece.overall;
  const lowest = Math.min(...across.map((space) => space.low));
  const over: Dimension = {
    ...{
      id: 'across',
      from: [-width / 2, low],
      to: [width / 2, low],
      side: 'above',
      step: 1,
      value: width,
      moves: true,
    },
  };
  return [
    over,
    level('height', 0, height, 'right', 2),
    ...across.map(({ id, low: from, high: to }) => level(`high-${id}`, from, to, 'right', 1)),
    ...(across.length > 0 && lowest > 0 ? [level('bottom', 0, lowest, 'right', 1)] : []),
    ...across.filter((space) => space.low > lowest).map(({ id, low: at }) => level(`floor-${id}`, 0, at, 'left', 1)),
  ].filter(({ value }) => value > 0 && high >= low);
}
