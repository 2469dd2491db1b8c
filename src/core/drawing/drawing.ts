import { isRow, type Part, type Size } from '../piece/part';
import type { CasePiece, Piece, TablePiece } from '../piece/piece';
import type { OtherPiece } from '../room/in-room';
import { areaVectors, type Convex, facesOf, mapped, middleOf, shifted } from '../solid/convex';
import { inPart, inPiece, solidInPiece, stretched } from '../solid/frame';
import { chordAt, type Flat, hullOf, insideBy, polygonOf } from '../solid/outline';
import { cross, dot, minus, plus, times, unit, type Vec } from '../solid/vector';
import { tonesOf } from '../wood/heartwood';
import { dimensionsOf } from './dimensions';
import { paintOrder } from './paint-order';
import { drawSection } from './section';
import { silhouette } from './silhouette';
import type { DrawnPart, Point, Shape, View, ViewName } from './view';

export interface ViewOptions {
  /** Size of each part as it is drawn; the default is its finished size. */
  sizeOf?: (part: Part) => Size;
  /** How many times larger than true the movement is drawn. */
  exaggeration?: number;
  /** Widths of the top's strips in order, for its joint lines. */
  strips?: readonly number[];
  /** Taken apart: how far. */
  apart?: Apart;
  /** What stands under it, on it and beside it, in thin lines from the front and the side. */
  others?: readonly OtherPiece[];
}

/** How a view looks on the piece: its two axes on paper, v downward, and the way toward the one who looks. */
/** From the front, the right and above. */
const FROM_ABOVE = unit([0.5, -0.76, 0.42]);
const RIGHT = unit(cross([0, 0, 1], FROM_ABOVE));

const LOOKS: Record<Exclude<ViewName, 'section'>, { u: Vec; v: Vec; toward: Vec }> = {
  plan: { u: [1, 0, 0], v: [0, -1, 0], toward: [0, 0, 1] },
  front: { u: [1, 0, 0], v: [0, 0, -1], toward: [0, -1, 0] },
  end: { u: [0, 1, 0], v: [0, 0, -1], toward: [-1, 0, 0] },
  apart: { u: RIGHT, v: times(cross(FROM_ABOVE, RIGHT), -1), toward: FROM_ABOVE },
  above: { u: RIGHT, v: times(cross(FROM_ABOVE, RIGHT), -1), toward: FROM_ABOVE },
};
type Look = (typeof LOOKS)[keyof typeof LOOKS];

const onPaper =
  ({ u, v }: Look) =>
  (p: Vec): Point => [dot(u, p), dot(v, p)];

/** Draws a view from the parts; nothing in it is placed by hand. */
export function drawView(piece: Piece, name: ViewName, options: ViewOptions = {}): View {
  if (name === 'section') return piece.build === 'case' ? drawSection(piece) : drawView(piece, 'end', options);
  const look = LOOKS[name];
  const paper = onPaper(look);
  const drawn = piece.parts.map((part): DrawnPart => {
    const drawnAs = asDrawn(piece, part, options);
    const away = name === 'apart' ? takenApart(piece, part, options.apart ?? TOGETHER) : null;
    const set = (list: readonly Convex[]) => (away ? list.map((solid) => shifted(solid, away)) : list);
    const [solids, tenons, real] = [set(drawnAs.solids), set(drawnAs.tenons), drawnAs.real];
    // What is let into its own part too is seen only when the piece is taken apart.
    const shown = name === 'above' ? [] : tenons.filter((_, i) => name === 'apart' || !part.added[i]?.inside);
    const painted = [...solids, ...shown];
    const points = painted.map((solid) => solid.corners);
    return {
      part,
      real,
      solids,
      tenons,
      outlines: part.profile
        ? [...curved(part, drawnAs.by, away, look), ...shown.map((solid) => hullOf(solid.corners.map(paper)))]
        : isRow(part)
          ? [silhouette(solids, part.frame, paper), ...shown.map((solid) => hullOf(solid.corners.map(paper)))]
          : points.map((list) => hullOf(list.map(paper))),
      near:
        name === 'apart' || name === 'above'
          ? dot(look.toward, middleOf(solids))
          : Math.max(...solids.flatMap((solid) => solid.corners).map((p) => dot(look.toward, p))),
    };
  });
  const isTop = (d: DrawnPart) => piece.over.includes(d.part.id);
  const ordered =
    name === 'apart'
      ? paintOrder(drawn, look.toward)
      : name === 'above'
        ? // Put together, what lies over all hides whatever lies under it.
          [false, true].flatMap((top) =>
            paintOrder(
              drawn.filter((d) => isTop(d) === top),
              look.toward,
            ),
          )
        : [...drawn].sort((a, b) => a.near - b.near);
  // From above the top hides all else, which is drawn dashed; from the sides what stands behind is left away.
  const seen =
    name === 'plan'
      ? ordered.filter(isTop)
      : name === 'apart' || name === 'above'
        ? ordered
        : ordered.filter((d, i) => !concealed(d, ordered.slice(i + 1)));
  const dashed = name === 'plan' ? ordered.filter((d) => !isTop(d)) : [];
  const outlines = (list: readonly DrawnPart[], style: Shape['style']) =>
    list.flatMap((d) => d.outlines.map((points): Shape => ({ part: d.part.id, style, points })));
  const shapes: Shape[] = [
    ...seen.flatMap((d) => [
      ...outlines([d], 'seen'),
      ...[...(d.part.profile ? [] : d.solids), ...(name === 'apart' ? d.tenons : [])].flatMap((solid) =>
        edges(solid, look, isRow(d.part) ? d.part.frame.length : null).map((points) => ({
          part: d.part.id,
          style: 'edge' as const,
          points,
        })),
      ),
    ]),
    ...outlines(dashed, 'hidden'),
    ...(name === 'apart' || name === 'above' ? [] : [...seen, ...dashed]).flatMap((d) =>
      d.tenons
        .filter((solid) => areaOnPaper(solid, look))
        .map((solid): Shape => ({ part: d.part.id, style: 'tenon', points: hullOf(solid.corners.map(paper)) })),
    ),
    ...(name === 'front' && piece.build === 'case' ? aroundCase(piece) : []),
    ...(options.others ?? []).flatMap((other) => outlinesOf(other, name)),
    ...(name === 'plan' && piece.build === 'table' ? holesFromAbove(piece) : []),
    ...(name === 'plan' ? seen.flatMap(stripsFromAbove) : []),
    ...(name === 'plan' && options.strips && piece.build === 'table' ? jointLines(piece, drawn, options.strips) : []),
  ];

  const points = shapes.flatMap((shape) => shape.points);
  const [us, vs] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const [left, upper] = [Math.min(...us), Math.min(...vs)];
  return {
    name,
    bounds: { left, top: upper, width: Math.max(...us) - left, height: Math.max(...vs) - upper },
    shapes,
    dimensions: name === 'apart' || name === 'above' ? [] : dimensionsOf(piece, name, drawn),
    fasteners:
      name === 'plan'
        ? piece.fasteners.map((f) => ({ id: f.id, at: [f.x, -f.y] as Point, holdsMiddle: f.holdsMiddle }))
        : [],
  };
}

/** A part at the size of the day: grown about its middle, but a rail keeps its upper edge, which the top lies on. */
function asDrawn(piece: Piece, part: Part, { sizeOf, exaggeration = 1 }: ViewOptions) {
  const real = sizeOf?.(part) ?? part.size;
  const plain = part.placed;
  const tenons = part.added.map(({ solid }) => solid);
  if (!sizeOf) return { real, solids: plain, tenons, by: [1, 1, 1] as Vec };
  const ratio = (now: number, was: number) => (was > 0 ? 1 + (now / was - 1) * exaggeration : 1);
  const by: Vec = [1, ratio(real.width, part.size.width), ratio(real.thickness, part.size.thickness)];
  const grown = part.body.map((solid) => solidInPiece(part.frame, stretched(solid, by)));
  const top = piece.over.includes(part.id);
  const level = (solids: readonly Convex[]) => {
    const heights = solids.flatMap((solid) => solid.corners).map((p) => p[2]);
    return top ? Math.min(...heights) : Math.max(...heights);
  };
  const shift: Vec = [0, 0, level(plain) - level(grown)];
  const moved = (solid: Convex) => shifted(solid, shift);
  const scaled = (p: Vec): Vec => {
    const [l, w, t] = inPart(part.frame, p);
    return plus(inPiece(part.frame, [l * by[0], w * by[1], t * by[2]]), shift);
  };
  return {
    real,
    by,
    solids: grown.map(moved),
    tenons: tenons.map((solid) => mapped(solid, scaled)),
  };
}

/** How far the straight lines of a curved part on paper may lie beside its arcs, mm. */
const DRAWN = 0.2;

/**
 * A curved part on paper: its outline where it is looked at square, the outlines of its far and its near face where it is
 * looked at askew, a bar where it is seen from its edge.
 */
function curved(part: Part, by: Vec, away: Vec | null, look: Look): Point[][] {
  const paper = onPaper(look);
  const facing = dot(part.frame.thickness, look.toward);
  const points = polygonOf(part.profile ?? [], DRAWN);
  const face = (t: number) =>
    points.map(([l, w]): Point => {
      const p = inPiece(part.frame, [l * by[0], w * by[1], t]);
      return paper(away ? plus(p, away) : p);
    });
  const half = (part.size.thickness * by[2]) / 2;
  if (Math.abs(facing) > 0.999) return [face(half)];
  if (Math.abs(facing) < 1e-3) return [hullOf([...face(-half), ...face(half)])];
  const near = facing > 0 ? half : -half;
  return [face(-near), face(near)];
}

/** How far a piece is taken apart: its top, and what is under it, each part by a share of its distance from the middle. */
export interface Apart {
  top: number;
  rest: number;
}

const TOGETHER: Apart = { top: 0, rest: 0 };

/** Where a part is moved when the piece is taken apart: away from the middle, the top straight up. */
export function takenApart(piece: Piece, part: Part, apart: Apart): Vec {
  const middle: Vec = [0, 0, piece.overall.height / 2];
  const away = minus(part.frame.at, middle);
  const lifted = piece.over.includes(part.id);
  const own: Vec = lifted ? [away[0] * 0.5, away[1] * 0.5, piece.overall.height * 0.7] : away;
  return times(own, lifted ? apart.top : apart.rest);
}

/** Whether everything of a part lies behind what stands nearer. */
function concealed(d: DrawnPart, nearer: readonly DrawnPart[]): boolean {
  const covers = nearer.flatMap((other) => other.outlines);
  return d.outlines.every((outline) => {
    const n = outline.length;
    const middle: Point = [
      outline.reduce((sum, p) => sum + p[0], 0) / n,
      outline.reduce((sum, p) => sum + p[1], 0) / n,
    ];
    // A hair inside its own edge, so that what lies edge on edge is taken to be behind.
    const within = (p: Point): Point => [p[0] + (middle[0] - p[0]) * 0.02, p[1] + (middle[1] - p[1]) * 0.02];
    const probes = [middle, ...outline.flatMap((p, i) => [within(p), within(half(p, outline[(i + 1) % n] ?? p))])];
    return probes.every((p) => covers.some((cover) => insideBy(cover, p) > 0));
  });
}

const half = (a: Point, b: Point): Point => [(a[0] + b[0]) / 2, (a[1] + b[1]) / 2];

/**
 * Edges within an outline: between two faces that both look at the viewer and are not in one plane. Of a row of solids only
 * those along it.
 */
function edges(solid: Convex, look: Look, row: Vec | null): Point[][] {
  const paper = onPaper(look);
  const key = (p: Vec) => p.map((n) => Math.round(n * 1e3)).join();
  // Every edge by its two ends, with the face that has it.
  const known = new Map<string, Vec>();
  const found: Point[][] = [];
  const normals = areaVectors(solid).map(unit);
  for (const [i, face] of facesOf(solid).entries()) {
    const normal = normals[i] as Vec;
    if (dot(normal, look.toward) < 1e-3 || (row && Math.abs(dot(normal, row)) > 0.999)) continue;
    face.forEach((p, i) => {
      const q = face[(i + 1) % face.length] ?? p;
      const id = [key(p), key(q)].sort().join(' ');
      const other = known.get(id);
      if (!other) known.set(id, normal);
      // A round edge is drawn with many faces that hardly turn.
      else if (dot(normal, other) < 0.97) found.push([paper(p), paper(q)]);
    });
  }
  return found;
}

/** A tenon looked at end on is covered by its own part. */
const areaOnPaper = (solid: Convex, { u, v }: Look) => {
  const list = solid.corners;
  const spread = (axis: Vec) => {
    const d = list.map((p) => dot(axis, p));
    return Math.max(...d) - Math.min(...d);
  };
  return spread(u) > 1e-6 && spread(v) > 1e-6;
};

const holesFromAbove = ({ top }: TablePiece): Shape[] =>
  [...(top.holes ?? []), ...(top.notches ?? [])].map(({ left, right, low, high }) => ({
    part: top.leading,
    style: 'cut',
    points: [
      [left, -low],
      [right, -low],
      [right, -high],
      [left, -high],
    ],
  }));

function jointLines(piece: TablePiece, drawn: readonly DrawnPart[], strips: readonly number[]): Shape[] {
  const panel = drawn.find((d) => d.part.kind === 'top');
  if (!panel) return [];
  const ys = panel.solids.flatMap((solid) => solid.corners);
  const [low, high] = [Math.min(...ys.map((p) => p[1])), Math.max(...ys.map((p) => p[1]))];
  const ends = [Math.min(...ys.map((p) => p[0])), Math.max(...ys.map((p) => p[0]))] as const;
  const total = strips.reduce((sum, width) => sum + width, 0);
  const scale = total > 0 ? (high - low) / total : 0;
  let y = low;
  return strips.slice(0, -1).flatMap((width): Shape[] => {
    y += width * scale;
    const chord = chordAt(piece.top.polygon, (y * piece.top.size.width) / Math.max(1e-9, high - low));
    if (!chord) return [];
    const [from, to] = [Math.max(ends[0], chord.from), Math.min(ends[1], chord.to)];
    return [
      {
        part: panel.part.id,
        style: 'joint',
        points: [
          [from, -y],
          [to, -y],
        ],
      },
    ];
  });
}

/** Strips that are decided, on their panel from above; on a round one those that lie whole within it. */
function stripsFromAbove({ part, real }: DrawnPart): Shape[] {
  const { strips } = part;
  if (!strips) return [];
  const tones = tonesOf(strips.flatMap(({ wood }) => wood ?? []));
  const [mx, my] = part.frame.at;
  const across = real.width / part.size.width;
  const face = hullOf(part.placed.flatMap(({ corners }) => corners.map((c): Flat => [c[0], c[1]])));
  return strips.flatMap((strip): Shape[] => {
    const [left, right] = [strip.from, strip.from + strip.length].map((x) => mx + x - part.size.length / 2);
    const [low, high] = [strip.low, strip.low + strip.width].map((y) => my + (y - part.size.width / 2) * across);
    const corners = [
      [left, low],
      [right, low],
      [right, high],
      [left, high],
    ] as Flat[];
    if (across === 1 && !corners.every((corner) => insideBy(face, corner) > -0.5)) return [];
    return [
      {
        part: part.id,
        style: 'strip',
        tone: tones.get(strip.wood?.id ?? '') ?? 0,
        points: corners.map(([x, y]): Point => [x, -y]),
      },
    ];
  });
}

/** The alcove that a case stands in, and what must be kept clear on its wall. */
/** What stands under a piece or on it, where both are seen from the side. */
function outlinesOf({ piece, up, back, aside }: OtherPiece, name: ViewName): Shape[] {
  if (name !== 'front' && name !== 'end') return [];
  // What stands beside it would hide it from the side.
  if (name === 'end' && aside !== 0) return [];
  const right = name === 'end' ? back : aside;
  return drawView(piece, name)
    .shapes.filter(({ style }) => style === 'seen')
    .map(({ points }): Shape => {
      const moved = points.map(([u, v]): Point => [u + right, v - up]);
      return { part: '', style: 'joint', points: [...moved, ...moved.slice(0, 1)] };
    });
}

function aroundCase({ around }: CasePiece): Shape[] {
  if (!around) return [];
  const up = ([x, z]: Point): Point => [x, -z];
  return [
    { part: '', style: 'joint', points: around.walls.map(up) },
    ...around.clear.map((points): Shape => ({ part: '', style: 'hidden', points: points.map(up) })),
  ];
}
