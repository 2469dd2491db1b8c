import { HOLD_CARDS, OWN_SCREWS } from '../joint/hold-words';
import type { Cut, Joint } from '../joint/joint';
import type { JointWords } from '../joint/joint-card';
import { JOINTS } from '../joint/joint-words';
import type { Figure } from '../measure/figure';
import { mm, movement } from '../measure/quantity';
import { isRow, type Part } from '../piece/part';
import { findPart, type Piece } from '../piece/piece';
import { HOLDS } from '../piece/table/holds/hold';
import { type Convex, clipAll, isEmpty, type Plane, reach, volume } from '../solid/convex';
import { inPart, solidInPart } from '../solid/frame';
import { boundsOfFlat, hullOf } from '../solid/outline';
import { cross, dot, minus, norm, plus, times, unit, type Vec } from '../solid/vector';
import { dovetailFigures, drawDovetails } from './dovetail-drawing';
import { silhouette } from './silhouette';
import type { Dimension, Point, Shape, View } from './view';

/** Joints alike: of one kind, between parts of the same kinds, cut to the same size. */
export interface JointFamily {
  /** The joint that stands for them. */
  id: string;
  joints: readonly Joint[];
  words: string;
}

/** Joints, and after them the seats of what holds the top. */
const allJoints = ({ joints, seats }: Piece): readonly Joint[] => [...joints, ...seats];

/** What stands on the card of a joint. */
export const wordsOfJoint = ({ kind, hold }: Joint): JointWords =>
  hold ? HOLD_CARDS[hold] : kind === 'hold' ? OWN_SCREWS : JOINTS[kind];

export function jointFamilies(piece: Piece): JointFamily[] {
  const families = new Map<string, { id: string; joints: Joint[]; words: string }>();
  for (const joint of allJoints(piece)) {
    const [into, from] = [findPart(piece, joint.into), findPart(piece, joint.from)];
    if (!into || !from) continue;
    const cut = leadingCut(joint);
    // Along the part, and the other two whichever way they lie.
    const [along = 0, ...others] = cut ? extents(cut, into) : [];
    const size = [along, ...others.sort((a, b) => a - b)].map((n) => n.toFixed(1));
    const key = [joint.kind, joint.hold ?? '', into.kind, from.kind, ...size].join(' ');
    const known = families.get(key);
    if (known) known.joints.push(joint);
    else families.set(key, { id: joint.id, joints: [joint], words: familyWords(joint, into, from) });
  }
  return named(piece, [...families.values()]);
}

/** Families of one name are told apart: by what kind of joint each is, and then by the letters of the parts it is cut into. */
function named(piece: Piece, families: readonly JointFamily[]): JointFamily[] {
  const alike = (list: readonly JointFamily[], one: JointFamily) => list.filter(({ words }) => words === one.words);
  const byKind = families.map((own) => {
    const kinds = new Set(alike(families, own).map(({ joints }) => wordsOfJoint(joints[0] as Joint).name));
    return kinds.size > 1
      ? { ...own, words: `${own.words}: ${wordsOfJoint(own.joints[0] as Joint).name.toLowerCase()}` }
      : own;
  });
  const byParts = byKind.map((own) => {
    if (alike(byKind, own).length < 2) return own;
    const letters = [...new Set(own.joints.map(({ into }) => findPart(piece, into)?.letter ?? ''))];
    return { ...own, words: `${own.words} ${letters.join(', ')}` };
  });
  return byParts.map((own) => {
    const same = alike(byParts, own);
    return same.length < 2 ? own : { ...own, words: `${own.words}, ${same.indexOf(own) + 1}` };
  });
}

const KIND_WORDS: Readonly<Record<Part['kind'], string>> = {
  top: 'panel',
  slat: 'slat',
  slab: 'slab',
  leaf: 'leaf',
  border: 'border',
  sheet: 'panel',
  side: 'side',
  slide: 'slide',
  fill: 'channel',
  breadboard: 'end',
  leg: 'leg',
  apron: 'apron',
  'cross-rail': 'cross rail',
  'top-rail': 'top rail',
  foot: 'foot',
  post: 'post',
  brace: 'brace',
  stretcher: 'stretcher',
  shelf: 'shelf',
  bearer: 'bearer',
  pad: 'pad',
  batten: 'batten',
  block: 'corner block',
  wedge: 'wedge',
  channel: 'channel',
  'steel-leg': 'steel leg',
  lift: 'mechanism',
  connector: 'connector',
  'case-top': 'top',
  'case-bottom': 'bottom',
  upright: 'upright',
  'case-shelf': 'shelf',
  moulding: 'moulding',
  'case-post': 'post',
  'case-rail': 'rail',
  back: 'back',
  'back-panel': 'back',
  plinth: 'plinth',
  lip: 'lip',
  lipping: 'lipping',
  scribe: 'scribe strip',
  lid: 'lid',
  cleat: 'cleat',
  'wall-rail': 'wall rail',
  'stand-rail': 'rail',
  stile: 'stile',
  rail: 'rail',
  muntin: 'muntin',
  panel: 'panel',
};

/** Parts that have a word of their own among those of their kind. */
const OWN_WORDS: Readonly<Record<string, string>> = { arm: 'arm', tusk: 'tusk' };

/** What a part is called among the joints: a sheet behind is the back. */
const wordFor = ({ id, kind }: Part): string =>
  id === 'back' ? 'back' : (OWN_WORDS[id.split('-', 1)[0] ?? ''] ?? KIND_WORDS[kind]);

function familyWords({ kind, hold }: Joint, into: Part, from: Part): string {
  const [a, b] = [kind === 'hold' ? (hold ? HOLDS[hold].one : 'screw') : wordFor(from), wordFor(into)];
  const first = a.charAt(0).toUpperCase() + a.slice(1);
  return a === b ||
    kind === 'case-dovetails' ||
    kind === 'half-blind-dovetails' ||
    kind === 'box-joint' ||
    kind === 'glued-edge'
    ? `${first} on ${b}`
    : `${first} in ${b}`;
}

/** mm that a cut goes in from its face. */
function depthOf({ solid, open }: Cut): number {
  const { from, to } = reach(solid, unit(open[0] ?? [1, 0, 0]));
  return to - from;
}

/** The cut that shows what the joint is: in the part that takes the other, the deepest, the nearest to its middle. */
function leadingCut(joint: Joint): Cut | undefined {
  const own = joint.removed.filter((cut) => cut.part === joint.into);
  const off = (cut: Cut) => Math.abs(cut.solid.corners.reduce((sum, p) => sum + p[1], 0));
  // A recess along a whole edge is of many pieces: the largest shows it.
  if (joint.kind === 'set-in') return [...own].sort((a, b) => volume(b.solid) - volume(a.solid))[0];
  const better = (a: Cut, b: Cut) =>
    depthOf(b) > depthOf(a) + 1e-6 || (depthOf(b) > depthOf(a) - 1e-6 && off(b) < off(a) - 1e-6);
  return own.length === 0 ? undefined : own.reduce((a, b) => (better(a, b) ? b : a));
}

/** How far a cut reaches along the axes of its part, mm. */
function extents({ solid }: Cut, part: Part): [number, number, number] {
  const own = solidInPart(part.frame, solid);
  return (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as Vec[]
  ).map((axis) => {
    const { from, to } = reach(own, axis);
    return to - from;
  }) as [number, number, number];
}

const MARGIN = 45;

/**
 * A joint square onto the face it goes in by, or cut open through its middle, cropped to what lies round it. True mm.
 *
 * @returns null for a joint without anything cut
 */
export function drawJoint(piece: Piece, id: string, view: 'face' | 'section'): View | null {
  const joint = allJoints(piece).find((own) => own.id === id);
  if (joint?.dovetails) return drawDovetails(piece, joint, view);
  const into = joint && findPart(piece, joint.into);
  const cut = joint && leadingCut(joint);
  const entry = cut?.open[0];
  if (!joint || !into || !cut || !entry) return null;
  const from = findPart(piece, joint.from);
  const slant = slantOf(into, cut);
  // What lies askew is drawn in its own axes, so that its true sizes are measured.
  const { right, up } = slant ? { right: cross(slant.up, unit(entry)), up: slant.up } : paperFor(into, entry);
  const spread = (axis: Vec) => {
    const { from: a, to: b } = reach(cut.solid, axis);
    return b - a;
  };
  // Cut open along the longer side of the mortise, looked at across it; a rail square across, where its upper edge shows.
  const look =
    view === 'face'
      ? { u: right, v: times(up, -1), toward: unit(entry) }
      : spread(up) >= spread(right) || joint.kind === 'hold'
        ? { u: unit(entry), v: times(up, -1), toward: unit(cross(unit(entry), times(up, -1))) }
        : { u: right, v: times(unit(entry), -1), toward: unit(cross(right, times(unit(entry), -1))) };
  const { u, v, toward } = look;
  const paper = (p: Vec): Point => [dot(u, p), dot(v, p)];

  const whole = into.placed;
  const others = from?.placed ?? [];
  const grown = joint.added.map((g) => g.solid);
  const middle = times(cut.solid.corners.reduce(plus), 1 / cut.solid.corners.length);
  const windowed = [...windowAround(cut.solid, u, v, view === 'section' ? 1.6 : 1)];
  const opened: Plane[] = view === 'section' ? [{ normal: toward, offset: dot(toward, middle) }] : [];
  const cropped = (solids: readonly Convex[], planes: readonly Plane[]) =>
    solids.map((solid) => clipAll(solid, planes)).filter((solid) => !isEmpty(solid));
  const shape = (part: string, style: Shape['style']) => (solid: Convex) => ({
    part,
    style,
    points: hullOf(solid.corners.map(paper)),
  });

  // A row of solids that follows a curve is one shape.
  const bodyOf = (part: Part, solids: readonly Convex[], planes: readonly Plane[]): Shape[] => {
    const own = cropped(solids, planes);
    if (!isRow(part) || own.length < 2) return own.map(shape(part.id, 'seen'));
    return [{ part: part.id, style: 'seen', points: silhouette(own, part.frame, paper) }];
  };
  const shapes: Shape[] = [
    ...bodyOf(into, whole, [...windowed, ...opened]),
    ...(view === 'section' && from ? bodyOf(from, others, [...windowed, ...opened]) : []),
    ...into.removed.flatMap((other) =>
      cropped([other.solid], [...windowed, ...opened]).map(shape(into.id, other === cut ? 'cut' : 'tenon')),
    ),
    // A pocket, a kerf or a hole in the part that comes to it.
    ...(view === 'section'
      ? joint.removed
          .filter((other) => other.part === joint.from && !other.late)
          .flatMap((other) => cropped([other.solid], [...windowed, ...opened]).map(shape(joint.from, 'tenon')))
      : []),
    ...(view === 'face'
      ? cropped(others, windowed).map(shape(joint.from, 'hidden'))
      : cropped(grown, [...windowed, ...opened]).map(shape(joint.from, 'tenon'))),
  ];
  const all = boundsOfFlat(shapes.flatMap((s) => s.points));
  return {
    name: 'front',
    bounds: { left: all.left, top: all.low, width: all.right - all.left, height: all.high - all.low },
    shapes,
    dimensions: dimensions(cut, whole, paper, all),
    fasteners: [],
  };
}

/** Turned by less than this, degrees, a mortise lies along its part. */
const ASKEW = 0.5;

/** A mortise that lies askew to its part: how far it leans from square to the face it goes in by, and is turned in it. Degrees. */
export function slantOf(part: Part, cut: Cut): { leans: number; turned: number; up: Vec } | null {
  const entry = cut.open[0];
  if (!entry || !cut.slot) return null;
  const out = unit(entry);
  const { along, wide } = cut.slot;
  const degrees = (cosine: number) => (Math.acos(Math.min(1, Math.abs(cosine))) * 180) / Math.PI;
  const inFace = (way: Vec) => minus(way, times(out, dot(way, out)));
  const leans = degrees(dot(along, out));
  // The part's own axes in that face: its length, or across it where the mortise goes in by the end.
  const own = [part.frame.length, part.frame.width, part.frame.thickness]
    .map(inFace)
    .filter((axis) => norm(axis) > 0.7);
  const lies = inFace(wide);
  if (norm(lies) < 1e-6) return null;
  const up = unit(lies);
  const turned = Math.min(...own.map((axis) => degrees(dot(up, unit(axis)))));
  return leans > ASKEW || turned > ASKEW ? { leans, turned, up } : null;
}

/** Right and up on paper, square to the way in, along the part's own axes; up is what stands highest in the piece. */
function paperFor(part: Part, entry: Vec): { right: Vec; up: Vec } {
  const axes = [part.frame.length, part.frame.width, part.frame.thickness].sort(
    (a, b) => Math.abs(dot(a, entry)) - Math.abs(dot(b, entry)),
  );
  const [a, b] = [axes[0] as Vec, axes[1] as Vec];
  const higher = Math.abs(a[2]) >= Math.abs(b[2]) ? a : b;
  const upright = higher[2] < 0 ? times(higher, -1) : higher;
  const toward = unit(entry);
  const up = unit(minus(upright, times(toward, dot(upright, toward))));
  return { right: cross(up, toward), up };
}

function* windowAround(solid: Convex, u: Vec, v: Vec, times2: number): Generator<Plane> {
  for (const axis of [u, v]) {
    const { from, to } = reach(solid, axis);
    const margin = Math.max(MARGIN, (to - from) * 0.7) * times2;
    yield { normal: axis, offset: to + margin };
    yield { normal: times(axis, -1), offset: -(from - margin) };
  }
}

function dimensions(
  cut: Cut,
  whole: readonly Convex[],
  paper: (p: Vec) => Point,
  shown: ReturnType<typeof boundsOfFlat>,
): Dimension[] {
  const own = boundsOfFlat(cut.solid.corners.map(paper));
  const part = boundsOfFlat(whole.flatMap((solid) => solid.corners).map(paper));
  const list: Dimension[] = [
    {
      id: 'along',
      from: [own.left, shown.low],
      to: [own.right, shown.low],
      side: 'above',
      step: 1,
      value: own.right - own.left,
      moves: true,
    },
    {
      id: 'upright',
      from: [shown.left, own.low],
      to: [shown.left, own.high],
      side: 'left',
      step: 1,
      value: own.high - own.low,
      moves: true,
    },
  ];
  // What is left of the part on either side, where its edge is in sight.
  const beside = (id: string, a: Point, b: Point, side: Dimension['side']) => {
    const value = Math.hypot(b[0] - a[0], b[1] - a[1]);
    if (value > 0.5) list.push({ id, from: a, to: b, side, step: 1, value, moves: true });
  };
  if (part.left > shown.left - 1e-6) beside('left', [part.left, shown.high], [own.left, shown.high], 'below');
  if (part.right < shown.right + 1e-6) beside('right', [own.right, shown.high], [part.right, shown.high], 'below');
  if (part.low > shown.low - 1e-6) beside('above', [shown.right, part.low], [shown.right, own.low], 'right');
  if (part.high < shown.high + 1e-6) beside('below', [shown.right, own.high], [shown.right, part.high], 'right');
  return list;
}

/** What is cut into the part that takes the other, and where, as figures. mm */
export function jointFigures(piece: Piece, id: string): Figure[] {
  const joint = allJoints(piece).find((own) => own.id === id);
  const into = joint && findPart(piece, joint.into);
  const cut = joint && leadingCut(joint);
  const entry = cut?.open[0];
  if (joint?.dovetails) return dovetailFigures(joint);
  if (!joint || !into || !cut || !entry) return [];
  const own = cut.solid.corners.map((p) => inPart(into.frame, p));
  const body = into.body.flatMap((solid) => solid.corners);
  const along = { from: Math.min(...own.map((p) => p[0])), to: Math.max(...own.map((p) => p[0])) };
  const ends = { from: Math.min(...body.map((p) => p[0])), to: Math.max(...body.map((p) => p[0])) };
  const { right, up } = paperFor(into, entry);
  const size = (axis: Vec) => {
    const { from, to } = reach(cut.solid, axis);
    return to - from;
  };
  const slant = slantOf(into, cut);
  const { slot } = cut;
  const [deep, a, b] =
    slant && slot ? [size(slot.along), slot.width, slot.thickness] : [size(unit(entry)), size(right), size(up)];
  const what = cut.what.charAt(0).toUpperCase() + cut.what.slice(1);
  const source = 'geometry of the joint’s solids; the rule of size stands above';
  if (cut.bore) return boreFigures(into, what, cut.bore, ends);
  const figure = (key: string, label: string, amount: number, formula: string, inputs: Figure['inputs']): Figure => ({
    id: `joint-${key}`,
    label,
    quantity: movement(amount),
    formula,
    inputs,
    source,
  });
  const sizes = [
    { label: 'Long', quantity: movement(Math.max(a, b)) },
    { label: 'Wide', quantity: movement(Math.min(a, b)) },
    { label: 'Deep', quantity: movement(deep) },
  ];
  return [
    figure('long', `${what}, long`, Math.max(a, b), 'as its tenon is wide, with what it needs to move', sizes),
    figure('wide', `${what}, wide`, Math.min(a, b), 'as its tenon is thick', sizes),
    figure('deep', `${what}, deep`, deep, slant ? 'along its own way in' : 'as far as its tenon goes in', sizes),
    ...(slant ? slantFigures(slant, source) : []),
    ...wallFigures(into, cut, source),
    figure(
      'from-start',
      `From one end of ${into.letter}`,
      along.from - ends.from,
      'along the part, from its end to the near edge',
      [{ label: `${into.name}, between its shoulders`, quantity: mm(ends.to - ends.from) }],
    ),
    figure(
      'from-end',
      `From the other end of ${into.letter}`,
      ends.to - along.to,
      'along the part, from its end to the far edge',
      [{ label: `${into.name}, between its shoulders`, quantity: mm(ends.to - ends.from) }],
    ),
  ];
}

const angle = (id: string, label: string, amount: number, formula: string, source: string): Figure => ({
  id: `joint-${id}`,
  label,
  quantity: { amount, unit: 'degrees' },
  formula,
  inputs: [],
  source,
});

const slantFigures = ({ leans, turned }: NonNullable<ReturnType<typeof slantOf>>, source: string): Figure[] => [
  ...(leans > ASKEW
    ? [angle('leans', 'Leans from square to the face', leans, 'between its way in and the face’s normal', source)]
    : []),
  ...(turned > ASKEW
    ? [
        angle(
          'turned',
          'Turned in the face from the part’s edge',
          turned,
          'between its longer side and the part’s edge',
          source,
        ),
      ]
    : []),
];

/** What is left of a part beside a cut, toward each of its four long faces that the cut does not open to. mm */
function wallFigures(into: Part, cut: Cut, source: string): Figure[] {
  if (into.body.length !== 1) return [];
  const body = into.body.flatMap((solid) => solid.corners);
  const own = cut.solid.corners.map((p) => inPart(into.frame, p));
  const walls = ([1, 2] as const).flatMap((k) => {
    const axis = k === 1 ? into.frame.width : into.frame.thickness;
    return ([-1, 1] as const).flatMap((side) => {
      const outward = times(axis, side);
      if (cut.open.some((way) => dot(unit(way), outward) > 0.9)) return [];
      const far = (points: readonly Vec[]) => Math.max(...points.map((p) => side * p[k]));
      return [{ outward, left: far(body) - far(own) }];
    });
  });
  return walls.map(({ outward, left }, i) => ({
    id: `joint-wall-${i + 1}`,
    label: `Wood left ${sideWords(outward)}`,
    quantity: movement(left),
    formula: 'from the cut to that face of the part',
    inputs: [],
    source,
  }));
}

/** Where a direction points, in words. */
function sideWords([x, y, z]: Vec): string {
  const most = Math.max(Math.abs(x), Math.abs(y), Math.abs(z));
  if (Math.abs(z) === most) return z > 0 ? 'above it' : 'below it';
  if (Math.abs(y) === most) return y > 0 ? 'toward the back' : 'toward the front';
  return x > 0 ? 'toward the right' : 'toward the left';
}

/** A bored hole: bit, depth, and where its middle stands from both ends and from the edges of its face. */
function boreFigures(
  into: Part,
  what: string,
  { from, to, diameter }: NonNullable<Cut['bore']>,
  ends: { from: number; to: number },
): Figure[] {
  const [along] = inPart(into.frame, from);
  const long = { label: `${into.name}, between its shoulders`, quantity: mm(ends.to - ends.from) };
  const source = 'geometry of the joint; the rule of size stands above';
  const figure = (key: string, label: string, amount: number, formula: string, inputs: Figure['inputs']): Figure => ({
    id: `joint-${key}`,
    label,
    quantity: movement(amount),
    formula,
    inputs,
    source,
  });
  return [
    figure('wide', `${what}, bit`, diameter, 'as thick as what goes in, less for a screw’s thread', []),
    figure('deep', `${what}, deep`, norm(minus(to, from)), 'along the bit, to the stop', []),
    figure('from-start', `Middle from one end of ${into.letter}`, along - ends.from, 'along the part', [long]),
    figure('from-end', `Middle from the other end of ${into.letter}`, ends.to - along, 'along the part', [long]),
  ];
}
