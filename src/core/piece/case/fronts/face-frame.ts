import * as v from 'valibot';
import { length } from '../../../decision/fields';
import { noneOr } from '../../../decision/form-field';
import type { Joint } from '../../../joint/joint';
import { fixed, givingAcross, glued } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { FrontEdge, FrontKind } from '../kind';
import { SHELL } from '../shell';

const schema = v.object({
  kind: v.literal('face-frame'),
  thickness: length(12, 40),
  stile: length(25, 150),
  rail: length(25, 150),
  /** Of the rails before shelves and rails within; null where their edges are left bare. */
  within: v.optional(v.nullable(length(18, 150)), null),
});
type FaceFrame = v.InferOutput<typeof schema>;

/** Tenons are a third of the frame thick, six tenths of the stile deep, and have this shoulder at a rail's edges, mm; common practice. */
const TENON_SHARE = 0.6;
const SHOULDER = 6;

/** A frame glued to the front edges: stiles on the sides and before the uprights, rails on top and bottom. */
export const faceFrame: FrontKind<typeof schema> = {
  name: 'A face frame',
  reason: 'Stiles and rails, mortised and tenoned, glued to the edges: it covers them, and keeps the case square.',
  only: 'front',
  schema,
  fields: [
    { ask: 'figure', at: 'thickness', label: 'Face frame, thick' },
    { ask: 'figure', at: 'stile', label: 'Its stiles, wide' },
    { ask: 'figure', at: 'rail', label: 'Its rails, wide' },
    {
      at: 'within',
      label: 'Before shelves that are fixed',
      ...noneOr<FaceFrame, FaceFrame['within']>(
        ({ within }) => within,
        { none: 'Nothing', some: 'A rail', reason: 'Tenoned between the stiles, its upper edge flush with the shelf.' },
        ({ rail }) => Math.min(40, rail),
      ),
    },
    { ask: 'figure', at: 'within', label: 'Rails before shelves, wide', when: ({ within }) => within !== null },
  ],
  start: () => ({ kind: 'face-frame', thickness: 20, stile: 45, rail: 45, within: null }),
  depth: ({ thickness }) => thickness,
  plan(own, place) {
    const { shell, edges } = place;
    const { width, foot, under, over } = shell;
    const half = width / 2;
    // Before every upright of the carcass that has room for a stile of its own.
    const between = edges
      .filter(({ upright, id }) => upright && id !== SHELL.left && id !== SHELL.right)
      .filter(({ low, high }) => high - low > over - under - 2 * shell.across - 1)
      .map(({ id, left, right }) => ({ id, x: (left + right) / 2 }));
    const outer = [
      { id: 'front-stile-left', name: 'Stile of the face frame, left', into: SHELL.left, x: -half + own.stile / 2 },
      { id: 'front-stile-right', name: 'Stile of the face frame, right', into: SHELL.right, x: half - own.stile / 2 },
    ];
    const rails = [
      { id: 'front-rail-bottom', name: 'Rail of the face frame, lower', into: SHELL.bottom, low: under },
      { id: 'front-rail-top', name: 'Rail of the face frame, upper', into: SHELL.top, low: over - own.rail },
    ];
    const [inner, clear] = [half - own.stile, over - under - 2 * own.rail];
    const y = place.front + own.thickness / 2;
    const tenon = Math.round(own.stile * TENON_SHARE);
    const stub = Math.round(own.rail * TENON_SHARE);
    const drafts: Draft[] = [];
    const joints: Joint[] = [];
    for (const { id, name, into, x } of outer) {
      drafts.push(standing({ id, name, x, y, low: foot, high: over, beyond: 0 }, own));
      joints.push(
        onEdge(
          {
            id,
            name,
            into,
            x: Math.sign(x) * (half - shell.sides / 2),
            y: place.front + own.thickness,
            z: (foot + over) / 2,
          },
          'x',
          own.stile,
        ),
      );
    }
    for (const { id, name, into, low } of rails) {
      drafts.push({
        ...{ id, name, kind: 'rail', grade: 'one-face' },
        size: { length: 2 * inner + 2 * tenon, width: own.rail, thickness: own.thickness },
        beyond: { start: tenon, end: tenon },
        frame: squareFrame([0, y, low + own.rail / 2], { length: 'x', width: 'z', thickness: 'y' }),
      });
      joints.push(
        onEdge(
          {
            id,
            name,
            into,
            x: 0,
            y: place.front + own.thickness,
            z: into === SHELL.top ? over - shell.across / 2 : under + shell.across / 2,
          },
          'z',
          own.rail,
        ),
      );
      for (const stile of outer) joints.push(railInStile({ id, name, low }, stile, { inner, tenon, y }, own));
    }
    for (const [i, { id: into, x }] of between.entries()) {
      const id = `front-muntin-${i + 1}`;
      const name = `Inner stile of the face frame ${i + 1}`;
      drafts.push({
        ...standing({ id, name, x, y, low: under + own.rail, high: over - own.rail, beyond: stub }, own),
        kind: 'muntin',
      });
      joints.push(onEdge({ id, name, into, x, y: place.front + own.thickness, z: (under + over) / 2 }, 'x', own.stile));
      for (const rail of rails) joints.push(stileInRail({ id, name, x }, rail, { stub, y }, own));
    }
    const stiles = [
      ...outer.map(({ id, x }) => ({ id, x })),
      ...between.map(({ x }, i) => ({ id: `front-muntin-${i + 1}`, x })),
    ].sort((a, b) => a.x - b.x);
    const { within } = own;
    const made =
      within === null
        ? []
        : edges
            .filter(isWithin)
            .flatMap((edge) => railWithin(edge, stiles, within, { y, back: place.front + own.thickness }, own) ?? []);
    drafts.push(...made.map(({ draft }) => draft));
    joints.push(...made.flatMap((rail) => rail.joints));
    return { drafts, joints, problems: problemsOf(own, { inner, clear, between: between.length }), fittings: [] };
  },
};

/** A shelf or a rail between the boards of the carcass. */
const isWithin = ({ id, upright }: FrontEdge): boolean =>
  !upright && id !== SHELL.top && id !== SHELL.bottom && !id.startsWith('loose-');

/** A rail before a shelf, tenoned into the stiles at both sides of it; none where an upright without a stile ends it. */
function railWithin(
  edge: FrontEdge,
  stiles: readonly { id: string; x: number }[],
  wide: number,
  at: { y: number; back: number },
  own: FaceFrame,
): { draft: Draft; joints: Joint[] } | null {
  const half = own.stile / 2;
  const left = stiles.findLast(({ x }) => x - half <= edge.left + 1 && x < edge.right);
  const right = stiles.find(({ x }) => x + half >= edge.right - 1 && x > edge.left);
  if (!left || !right || stiles.indexOf(right) - stiles.indexOf(left) !== 1) return null;
  const [from, to] = [left.x + half, right.x - half];
  // Two may meet in one stile.
  const tenon = Math.min(Math.round(own.stile * TENON_SHARE), Math.floor(half) - BETWEEN);
  const [low, high] = [edge.high - wide, edge.high];
  const id = `front-rail-${edge.id}`;
  const words = edge.name.charAt(0).toLowerCase() + edge.name.slice(1);
  const name = `Rail of the face frame before ${words}`;
  const z = [low + Math.min(SHOULDER, wide / 4), high - Math.min(SHOULDER, wide / 4)] as const;
  const ends = [
    { stile: left, at: from, way: -1 },
    { stile: right, at: to, way: 1 },
  ].map((end): Joint => {
    const x = [end.at, end.at + end.way * tenon].sort((p, q) => p - q) as [number, number];
    const solid = box([x[0], at.y - own.thickness / 6, z[0]], [x[1], at.y + own.thickness / 6, z[1]]);
    const between = { id: `${end.stile.id}/${id}`, name: `${name}, ${end.way < 0 ? 'left' : 'right'} end` };
    return {
      ...{ ...between, kind: 'frame-tenon', into: end.stile.id, from: id, along: [end.way, 0, 0] },
      removed: [{ part: end.stile.id, what: 'mortise', solid, open: [[-end.way, 0, 0]] }],
      added: [{ part: id, solid }],
      ties: glued(
        { ...between, a: end.stile.id, b: id, at: { x: end.at, y: at.y, z: (z[0] + z[1]) / 2 } },
        { z: z[1] - z[0] },
      ).map((tie) => givingAcross(givingAcross(tie, 'z', wide), 'x', own.stile)),
    };
  });
  return {
    draft: {
      ...{ id, name, kind: 'rail', grade: 'one-face' },
      size: { length: to - from + 2 * tenon, width: wide, thickness: own.thickness },
      beyond: { start: tenon, end: tenon },
      frame: squareFrame([(from + to) / 2, at.y, (low + high) / 2], { length: 'x', width: 'z', thickness: 'y' }),
    },
    joints: [
      onEdge({ id, name, into: edge.id, x: (from + to) / 2, y: at.back, z: (edge.low + edge.high) / 2 }, 'z', wide),
      ...ends,
    ],
  };
}

/** Wood left between two tenons that meet in a stile, to each, mm; common practice. */
const BETWEEN = 3;

function standing(
  at: { id: string; name: string; x: number; y: number; low: number; high: number; beyond: number },
  { stile, thickness }: FaceFrame,
): Draft {
  return {
    ...{ id: at.id, name: at.name, kind: 'stile', grade: 'one-face' },
    size: { length: at.high - at.low + 2 * at.beyond, width: stile, thickness },
    ...(at.beyond > 0 ? { beyond: { start: at.beyond, end: at.beyond } } : {}),
    frame: squareFrame([at.x, at.y, (at.low + at.high) / 2], { length: 'z', width: 'x', thickness: 'y' }),
  };
}

/** A part of the frame glued along an edge of the carcass, grain along grain. */
function onEdge(
  at: { id: string; name: string; into: string; x: number; y: number; z: number },
  across: 'x' | 'z',
  wide: number,
): Joint {
  const own = { id: `${at.into}/${at.id}`, name: `${at.name} on its edge` };
  return {
    ...{ ...own, kind: 'glued-edge', into: at.into, from: at.id, removed: [], added: [] },
    ties: [givingAcross(fixed({ ...own, a: at.into, b: at.id, at: { x: at.x, y: at.y, z: at.z } }), across, wide)],
  };
}

function railInStile(
  rail: { id: string; name: string; low: number },
  stile: { id: string; name: string; x: number },
  at: { inner: number; tenon: number; y: number },
  own: FaceFrame,
): Joint {
  const way = stile.x < 0 ? -1 : 1;
  const x = [way * at.inner, way * (at.inner + at.tenon)].sort((p, q) => p - q) as [number, number];
  const z = [rail.low + SHOULDER, rail.low + own.rail - SHOULDER] as const;
  const solid = box([x[0], at.y - own.thickness / 6, z[0]], [x[1], at.y + own.thickness / 6, z[1]]);
  const between = { id: `${stile.id}/${rail.id}`, name: `${rail.name} in ${way < 0 ? 'left' : 'right'} stile` };
  return {
    ...{ ...between, kind: 'frame-tenon', into: stile.id, from: rail.id, along: [way, 0, 0] },
    removed: [{ part: stile.id, what: 'mortise', solid, open: [[-way, 0, 0]] }],
    added: [{ part: rail.id, solid }],
    ties: glued(
      { ...between, a: stile.id, b: rail.id, at: { x: way * at.inner, y: at.y, z: (z[0] + z[1]) / 2 } },
      { z: z[1] - z[0] },
    ),
  };
}

function stileInRail(
  stile: { id: string; name: string; x: number },
  rail: { id: string; low: number },
  at: { stub: number; y: number },
  own: FaceFrame,
): Joint {
  const upper = rail.id === 'front-rail-top';
  const z = upper
    ? ([rail.low, rail.low + at.stub] as const)
    : ([rail.low + own.rail - at.stub, rail.low + own.rail] as const);
  const half = own.stile / 2 - SHOULDER;
  const solid = box([stile.x - half, at.y - own.thickness / 6, z[0]], [stile.x + half, at.y + own.thickness / 6, z[1]]);
  const between = { id: `${rail.id}/${stile.id}`, name: `${stile.name} in ${upper ? 'upper' : 'lower'} rail` };
  return {
    ...{ ...between, kind: 'frame-tenon', into: rail.id, from: stile.id, along: [0, 0, upper ? 1 : -1] },
    removed: [{ part: rail.id, what: 'mortise', solid, open: [[0, 0, upper ? -1 : 1]] }],
    added: [{ part: stile.id, solid }],
    ties: glued(
      { ...between, a: rail.id, b: stile.id, at: { x: stile.x, y: at.y, z: upper ? z[0] : z[1] } },
      { x: 2 * half },
    ).map((tie) => givingAcross(tie, 'z', own.rail)),
  };
}

/** mm */
const LEAST_CLEAR = 60;

function problemsOf(
  { stile, rail }: FaceFrame,
  { inner, clear, between }: { inner: number; clear: number; between: number },
) {
  const wide = (2 * inner - between * stile) / (between + 1);
  return [
    ...(wide < LEAST_CLEAR
      ? [
          {
            problem: 'The stiles of the face frame leave nothing open between them.',
            where: 'form.front.stile',
            wayOut: 'Make them narrower.',
            mends: Math.max(25, Math.floor(stile - (LEAST_CLEAR - wide))),
          },
        ]
      : []),
    ...(clear < LEAST_CLEAR
      ? [
          {
            problem: 'The rails of the face frame leave nothing open between them.',
            where: 'form.front.rail',
            wayOut: 'Make them narrower.',
            mends: Math.max(25, Math.floor(rail - (LEAST_CLEAR - clear) / 2)),
          },
        ]
      : []),
  ];
}
