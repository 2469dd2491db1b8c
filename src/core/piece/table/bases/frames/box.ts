import * as v from 'valibot';
import { length } from '../../../../decision/fields';
import { noneOr, optionsOf } from '../../../../decision/form-field';
import { crossDowels, MITRE_KEYS, mitre, mitrePlane, splineSize } from '../../../../joint/mitre';
import { tenonJoint } from '../../../../joint/tenon';
import { clip } from '../../../../solid/convex';
import { planeInPart, squareFrame } from '../../../../solid/frame';
import { times } from '../../../../solid/vector';
import { blockOf, type Draft, type Fitting, forJoint } from '../../../part';
import type { BasePlan, BuildDecisions, Racking, TopSize } from '../../../plans';
import { atFigure, type Unbuildable } from '../../../unbuildable';
import type { BaseKind } from '../../kind';
import { SIDES } from './two-frames';

const schema = v.object({
  kind: v.literal('box'),
  height: length(150, 1400),
  key: v.picklist(['spline', 'dowels']),
  /** Between the sides, floor to its middle; null for none. */
  rail: v.optional(
    v.nullable(v.object({ height: length(30, 300), thickness: length(12, 80), at: length(30, 1200) })),
    null,
  ),
});
type Box = v.InferOutput<typeof schema>;

/** A rail's tenon in a side: so deep a share of its thickness, its shoulders above and below; mm, common practice. */
const TENON_SHARE = 0.6;
const TENON_SET = 8;

/** A bench or a stool folded out of one board: two sides mitred to the ends of the top, and perhaps a rail between them. */
export function boxBase(form: Box, { form: whole }: BuildDecisions, top: TopSize): BasePlan {
  const { height, key, rail } = form;
  const { length, width, thickness } = top;
  const underside = height - thickness;
  const corner = (side: 1 | -1) => ({ x: (side * length) / 2, z: height, side });
  const sides = SIDES.map(({ side, word }): Draft => {
    const frame = squareFrame([(side * (length - thickness)) / 2, 0, height / 2], {
      length: 'z',
      width: 'y',
      thickness: 'x',
    });
    const { normal, offset } = planeInPart(frame, mitrePlane(corner(side)));
    // What lies beyond the mitre, on the top's side of it, is the top's.
    const body = clip(blockOf(height, width, thickness), { normal: times(normal, -1), offset: -offset });
    return {
      id: `side-${word}`,
      name: `Side, ${word}`,
      kind: 'side',
      grade: 'one-face',
      oneWith: 'top',
      size: { length: height, width, thickness },
      frame,
      body: [body],
      ends: { start: { mitre: 0, bevel: 0 }, end: { mitre: 0, bevel: 45 } },
    };
  });
  const lying = {
    id: 'top',
    name: 'Top',
    frame: squareFrame([0, 0, underside + thickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
    body: [blockOf(length, width, thickness)],
  };
  const mitres = sides.map((own, i) =>
    mitre({
      id: `${own.id}/top`,
      name: `Mitre of top and ${own.name.toLowerCase()}`,
      standing: forJoint(own),
      lying,
      ...corner(i === 0 ? -1 : 1),
      thickness,
      width,
      key,
    }),
  );
  const between = length - 2 * thickness;
  const tenon = Math.round(thickness * TENON_SHARE);
  const bar: Draft | null = rail && {
    id: 'stretcher',
    name: 'Rail',
    kind: 'stretcher',
    grade: 'all-faces',
    size: { length: between + 2 * tenon, width: rail.height, thickness: rail.thickness },
    beyond: { start: tenon, end: tenon },
    frame: squareFrame([0, 0, rail.at], { length: 'x', width: 'z', thickness: 'y' }),
  };
  const rails = bar
    ? sides.map((own, i) => {
        const side = i === 0 ? -1 : 1;
        return tenonJoint({
          id: `${own.id}/stretcher`,
          kind: 'mortise-tenon',
          into: forJoint(own),
          from: forJoint(bar),
          at: [(side * between) / 2, 0, bar.frame.at[2]],
          along: [side, 0, 0],
          wide: [0, 0, 1],
          size: {
            length: tenon,
            width: bar.size.width - 2 * TENON_SET,
            thickness: Math.max(6, Math.round(bar.size.thickness / 3)),
          },
        });
      })
    : [];
  const [l, w] = [length / 2, width / 2];
  return {
    drafts: [...sides, ...(bar ? [bar] : [])],
    joints: [...mitres, ...rails],
    rests: [],
    underside,
    topEnds: [mitrePlane(corner(-1)), mitrePlane(corner(1))],
    clearAcross: null,
    feet: [
      [-l, -w],
      [l, -w],
      [l, w],
      [-l, w],
    ],
    knees: { height: underside, parts: [], words: 'the top' },
    span: { along: Math.max(10, between), beyond: 0, across: null },
    bending: [],
    leaned: [],
    racking: [racking(form, top)],
    corner: null,
    fittings: fittingsOf(form, top),
    problems: impossible(form, whole, top),
  };
}

/**
 * Along it two sides rest on the floor and are held upright by their mitres: each takes half of push · height. A spline is
 * drawn across, on its arm from the outer edge of the mitre; dowels are drawn. Sway of a frame that rests on the floor:
 * F·h²/12E · (2h/I_side + L/I_top).
 */
function racking({ height, key }: Box, { length, width, thickness }: TopSize): Racking {
  const second = (width * thickness ** 3) / 12;
  const spline = splineSize(thickness);
  const dowels = crossDowels(thickness, width);
  return {
    way: 'along',
    joint: key === 'spline' ? 'the splines of the mitres' : 'the dowels of the mitres',
    parts: ['top', 'side-left', 'side-right'],
    lever: height / 2,
    resists:
      key === 'spline'
        ? { kind: 'bent', modulus: spline.fromInside * width * spline.thickness }
        : {
            kind: 'drawn',
            what: 'dowel',
            reach: dowels.count * (thickness / 2),
            diameter: dowels.diameter,
            bite: dowels.deep,
          },
    sway: (height ** 2 / 12) * ((2 * height) / second + length / second),
    formula: 'push · height ÷ 2 mitres',
  };
}

function fittingsOf({ key }: Box, { width, thickness }: TopSize): Fitting[] {
  if (key === 'spline') {
    const spline = splineSize(thickness);
    return [{ name: 'Splines, grain across', count: 2, size: [spline.thickness, 2 * spline.deep, width] }];
  }
  const { diameter, count, deep } = crossDowels(thickness, width);
  return [{ name: 'Dowels', count: 2 * count, size: [diameter, Math.ceil(deep + thickness / 2)] }];
}

function impossible({ height, rail }: Box, whole: BuildDecisions['form'], top: TopSize): Unbuildable[] {
  const problems: Unbuildable[] = [];
  const plain = whole.top.kind === 'glued-panel' && whole.top.outline?.kind === 'rectangle';
  if (!plain) {
    problems.push({
      problem: 'A box is folded out of a plain rectangular panel.',
      where: 'form.top.kind',
      wayOut: 'Take a glued panel, rectangular from above.',
    });
  }
  if (whole.top.edge && whole.top.edge.kind !== 'square') {
    problems.push({
      problem: 'Worked edges of the top would run into the mitres.',
      where: 'form.top.edge',
      wayOut: 'Leave the edges square, and ease them together when the box is glued.',
    });
  }
  if (rail && rail.at + rail.height / 2 > height - top.thickness - 20) {
    problems.push({
      problem: 'The rail runs into the top.',
      where: 'form.base.rail.at',
      ...atFigure(
        'Put its middle at most',
        Math.max(0, Math.floor(height - top.thickness - 20 - rail.height / 2)),
        ' above the floor.',
      ),
    });
  }
  return problems;
}

export const box: BaseKind<typeof schema> = {
  name: 'Sides mitred to the top',
  reason: 'A bench or a stool folded out of one board, its grain running round the corners.',
  schema,
  onlyUnder: 'glued-panel',
  standsByItself: true,
  foldedWithTop: true,
  fields: [
    { ask: 'choice', at: 'key', label: 'Mitres kept by', options: optionsOf(MITRE_KEYS) },
    {
      at: 'rail',
      label: 'Rail between the sides',
      ...noneOr<Box, Box['rail']>(
        ({ rail }) => rail,
        { none: 'None', some: 'One', reason: 'Tenoned into both sides: it stiffens them.' },
        ({ height }) => ({ height: 70, thickness: 24, at: Math.round(height * 0.45) }),
      ),
    },
    { ask: 'figure', at: 'rail.height', label: 'Rail, high' },
    { ask: 'figure', at: 'rail.thickness', label: 'Rail, thick' },
    { ask: 'figure', at: 'rail.at', label: 'Rail, floor to its middle' },
  ],
  start: ({ length: long }, height) => ({
    height: Math.min(height, 450),
    key: 'spline',
    rail: long > 700 ? { height: 70, thickness: 24, at: 200 } : null,
  }),
  plan: boxBase,
};
