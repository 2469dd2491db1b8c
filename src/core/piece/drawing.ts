import { extent, type Part, type Place, type Size } from './part';
import type { Piece } from './piece';

export type ViewName = 'plan' | 'front' | 'end';
export type Point = readonly [number, number];

export interface Shape {
  part: string;
  /** `seen` outlines, `hidden` edges dashed, `tenon` inside a leg, `joint` glue lines between strips. */
  style: 'seen' | 'hidden' | 'tenon' | 'joint';
  points: readonly Point[];
}

export interface Dimension {
  id: string;
  from: Point;
  to: Point;
  /** Which side of the piece the figure stands, and how many steps away from it. */
  side: 'above' | 'below' | 'left' | 'right';
  step: number;
  /** True length, mm; not that of the exaggerated drawing. */
  value: number;
  /** A tenth of a millimetre matters here. */
  moves: boolean;
}

export interface FastenerMark {
  id: string;
  at: Point;
  holdsMiddle: boolean;
}

/** A measured view in true mm: u to the right, v downward. */
export interface View {
  name: ViewName;
  bounds: { left: number; top: number; width: number; height: number };
  shapes: readonly Shape[];
  dimensions: readonly Dimension[];
  fasteners: readonly FastenerMark[];
}

export interface ViewOptions {
  /** Size of each part as it is drawn; the default is its finished size. */
  sizeOf?: (part: Part) => Size;
  /** How many times larger than true the movement is drawn. */
  exaggeration?: number;
  /** Widths of the top's strips in order, for its joint lines. */
  strips?: readonly number[];
}

/** Draws a view from the parts; nothing in it is placed by hand. */
export function drawView(piece: Piece, name: ViewName, options: ViewOptions = {}): View {
  const { exaggeration = 1 } = options;
  const drawn = piece.parts.map((part) => {
    const real = options.sizeOf?.(part) ?? part.size;
    const stretch = (now: number, was: number) => was + (now - was) * exaggeration;
    const size = {
      length: part.size.length,
      width: stretch(real.width, part.size.width),
      thickness: stretch(real.thickness, part.size.thickness),
    };
    return { part, real, box: boxOf(part, size) };
  });
  const shapes = drawn.flatMap(({ part, box }) => shapesOf(part, box, name));
  const top = drawn.find((d) => d.part.kind === 'top');
  if (name === 'plan' && top && options.strips) shapes.push(...jointLines(top.box, options.strips));

  const points = shapes.flatMap((shape) => shape.points);
  const [us, vs] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const [left, upper] = [Math.min(...us), Math.min(...vs)];
  const bounds = { left, top: upper, width: Math.max(...us) - left, height: Math.max(...vs) - upper };
  return {
    name,
    bounds,
    shapes,
    dimensions: dimensionsOf(piece, name, drawn),
    fasteners:
      name === 'plan'
        ? piece.fasteners.map((f) => ({ id: f.id, at: [f.x, -f.y] as Point, holdsMiddle: f.holdsMiddle }))
        : [],
  };
}

interface Box {
  from: Place;
  to: Place;
}

interface DrawnPart {
  part: Part;
  real: Size;
  box: Box;
}

/** Across the grain a part grows about its middle; rails keep their upper edge, which the top lies on. */
function boxOf(part: Part, size: Size): Box {
  const was = extent(part);
  const now = extent({ size, shoulderLength: part.shoulderLength, axes: part.axes });
  const z = part.kind === 'top' ? part.place.z + (now.z - was.z) / 2 : part.place.z - (now.z - was.z) / 2;
  const { x, y } = part.place;
  return {
    from: { x: x - now.x / 2, y: y - now.y / 2, z: z - now.z / 2 },
    to: { x: x + now.x / 2, y: y + now.y / 2, z: z + now.z / 2 },
  };
}

/** u and v of a view's two axes in the piece; v runs downward on the drawing. */
const AXES: Record<ViewName, { u: 'x' | 'y'; v: 'y' | 'z' }> = {
  plan: { u: 'x', v: 'y' },
  front: { u: 'x', v: 'z' },
  end: { u: 'y', v: 'z' },
};

function shapesOf(part: Part, box: Box, name: ViewName): Shape[] {
  const { u, v } = AXES[name];
  const [u0, u1, v0, v1] = [box.from[u], box.to[u], -box.to[v], -box.from[v]];
  const outline: Point[] = [
    [u0, v0],
    [u1, v0],
    [u1, v1],
    [u0, v1],
  ];
  if (name === 'plan') {
    const style = part.kind === 'top' ? 'seen' : 'hidden';
    return [{ part: part.id, style, points: outline }, ...tenons(part, box, name)];
  }
  // Only what stands nearest: the front row from the front, the left row from the end.
  const depth = name === 'front' ? part.place.y : part.place.x;
  if (part.kind !== 'top' && depth > 0) return [];
  if (part.kind === 'cross-rail') return [];
  const facing = name === 'front' ? 'x' : 'y';
  if (part.kind === 'apron' && part.axes.length !== facing) return [];
  if (part.taper) {
    const inward = part.place[facing] < 0 ? 1 : -1;
    const outside = inward > 0 ? u0 : u1;
    const inside = inward > 0 ? u1 : u0;
    const foot = outside + inward * part.taper.foot;
    return [
      {
        part: part.id,
        style: 'seen',
        points: [
          [outside, v0],
          [inside, v0],
          [inside, -part.taper.from],
          [foot, v1],
          [outside, v1],
        ],
      },
    ];
  }
  return [{ part: part.id, style: 'seen', points: outline }, ...tenons(part, box, name)];
}

function tenons(part: Part, box: Box, name: ViewName): Shape[] {
  const { u, v } = AXES[name];
  const along = part.axes.length;
  if ((part.tenon.start === 0 && part.tenon.end === 0) || (along !== u && along !== v)) return [];
  const other = along === u ? v : u;
  const middle = (box.from[other] + box.to[other]) / 2;
  const upper = box.to.z - part.tenon.topSet;
  const [low, high] =
    other === 'z'
      ? [upper - part.tenon.width, upper]
      : [middle - part.tenon.thickness / 2, middle + part.tenon.thickness / 2];
  const at = (a: number, b: number): Point => (along === u ? [a, -b] : [b, -a]);
  const rectangle = (from: number, to: number): Point[] => [at(from, low), at(to, low), at(to, high), at(from, high)];
  return [
    { part: part.id, style: 'tenon', points: rectangle(box.from[along] - part.tenon.start, box.from[along]) },
    { part: part.id, style: 'tenon', points: rectangle(box.to[along], box.to[along] + part.tenon.end) },
  ];
}

function jointLines(top: Box, strips: readonly number[]): Shape[] {
  const total = strips.reduce((sum, width) => sum + width, 0);
  const scale = total > 0 ? (top.to.y - top.from.y) / total : 0;
  let y = top.from.y;
  return strips.slice(0, -1).map((width) => {
    y += width * scale;
    return {
      part: 'top',
      style: 'joint',
      points: [
        [top.from.x, -y],
        [top.to.x, -y],
      ],
    };
  });
}

function dimensionsOf(piece: Piece, name: ViewName, drawn: readonly DrawnPart[]): Dimension[] {
  const top = drawn.find((d) => d.part.kind === 'top');
  const leg = drawn.find((d) => d.part.kind === 'leg');
  if (!top || !leg) return [];
  const { from, to } = top.box;
  const h = to.z;
  const dimension = (
    id: string,
    a: Point,
    b: Point,
    side: Dimension['side'],
    step: number,
    value: number,
    moves = false,
  ): Dimension => ({ id, from: a, to: b, side, step, value, moves });
  const half = { length: piece.base.length / 2, width: piece.base.width / 2 };
  const apron = drawn.find((d) => d.part.kind === 'apron');
  const underApron = piece.kneeHeight;

  if (name === 'plan') {
    return [
      dimension('length', [from.x, -to.y], [to.x, -to.y], 'above', 1, piece.overall.length),
      dimension('width', [from.x, -to.y], [from.x, -from.y], 'left', 1, top.real.width, true),
      dimension('base-length', [-half.length, -from.y], [half.length, -from.y], 'below', 1, piece.base.length),
      dimension('overhang-end', [half.length, -from.y], [to.x, -from.y], 'below', 1, piece.overhang.end),
      dimension('base-width', [to.x, -half.width], [to.x, half.width], 'right', 1, piece.base.width),
    ];
  }
  const [u0, u1] = name === 'front' ? [from.x, to.x] : [from.y, to.y];
  const halfBase = name === 'front' ? half.length : half.width;
  const across = name === 'front' ? piece.overall.length : top.real.width;
  return [
    dimension('across', [u0, -h], [u1, -h], 'above', 1, across, name === 'end'),
    dimension('height', [u1, -h], [u1, 0], 'right', 1, piece.overall.height),
    dimension('base', [-halfBase, 0], [halfBase, 0], 'below', 1, 2 * halfBase),
    dimension('knees', [u0, -underApron], [u0, 0], 'left', 1, underApron),
    ...(apron
      ? [dimension('apron', [u0, -(underApron + apron.real.width)], [u0, -underApron], 'left', 1, apron.real.width)]
      : []),
  ];
}
