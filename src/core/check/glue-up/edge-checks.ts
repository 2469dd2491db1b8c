import type { Shop } from '../../decision/shop';
import type { Edge } from '../../document/job-document';
import type { EdgeJoint } from '../../glueup/edge-joints';
import { ALIGNERS, type Aligner, type AlignerSize } from '../../joint/edge-joint';
import { count, mm, movement, say } from '../../measure/quantity';
import { thicknessInside } from '../../piece/worked-edge';
import { type Flat, insideBy } from '../../solid/outline';
import type { Check } from '../check';

/** Wood between an aligner and a face, and in a board between those of its two edges; mm, common practice. */
const LEAST_TO_FACE = 5;
const LEAST_BETWEEN = 10;

/** Whether the shop has the dowels, and the bit for them. */
function dowelsInStock(
  panel: string,
  diameter: number,
  { dowels, borers }: Pick<Shop['tools'], 'dowels' | 'borers'>,
): Check {
  const near = (own: number) => Math.abs(own - diameter) <= 0.3;
  const inStock = dowels.some((dowel) => near(dowel.diameter));
  const bored = borers.some(near);
  return {
    id: 'glue.aligner-dowels',
    step: 'glue-up',
    level: inStock && bored ? 'good' : 'watch',
    sentence:
      inStock && bored
        ? say`Dowels of ${mm(diameter)} are in stock, and a bit for them.`
        : inStock
          ? say`No bit of the shop bores for ${mm(diameter)} dowels.`
          : say`No dowel in stock is ${mm(diameter)} thick.`,
    value: mm(diameter),
    limit: mm(Math.max(0, ...dowels.map((dowel) => dowel.diameter))),
    where: [panel],
    why: 'A dowel in a hole of another size holds nothing level.',
    school: 'common practice',
    wayOut: {
      say: say`Buy bit and dowels together, or take cauls, which leave no holes`,
      changes: [{ path: 'glueUp.level', value: 'cauls' }],
    },
  };
}

/** What keeps boards level against the panel's faces, the outline and the boards' widths. */
export function edgeChecks(given: {
  /** Id of the panel. */
  panel: string;
  kind: Aligner;
  size: AlignerSize;
  tools: Pick<Shop['tools'], 'dowels' | 'borers'>;
  joints: readonly EdgeJoint[];
  strips: readonly { label: string; width: number }[];
  thickness: number;
  edge: Edge;
  polygon: readonly Flat[];
}): Check[] {
  const { panel, kind, size, tools, joints, strips, thickness, edge, polygon } = given;
  const { one } = ALIGNERS[kind];
  // Gauged from the show face to the middle of the thickness: a bevel from below comes nearest where the edge is near.
  const spots = joints.flatMap(({ y, places }) => places.map((x): Flat => [x, y]));
  const inside = spots.map(([x, y]) =>
    Math.min(
      ...[-1, 1].flatMap((sx) =>
        [-1, 1].map((sy) => insideBy(polygon, [x + (sx * size.along) / 2, y + sy * size.deep])),
      ),
    ),
  );
  const nearest = Math.min(...inside, Number.POSITIVE_INFINITY);
  const thinnest = Number.isFinite(nearest) ? thicknessInside(thickness, edge, nearest) : thickness;
  const wall = Math.min(thickness / 2, thinnest - thickness / 2) - size.thickness / 2;
  const face = wall < 2 ? 'stop' : wall < LEAST_TO_FACE ? 'watch' : 'good';
  const inner = strips.slice(1, -1);
  const narrow = inner.reduce<(typeof inner)[number] | null>((a, b) => (!a || b.width < a.width ? b : a), null);
  const left = narrow ? narrow.width - 2 * size.deep : Number.POSITIVE_INFINITY;
  const empty = joints.filter(({ places }) => places.length < 2);
  const total = spots.length;
  return [
    {
      id: 'glue.aligner-face',
      step: 'glue-up',
      level: face,
      sentence:
        face === 'stop'
          ? say`Over a ${one} of ${mm(size.thickness)} only ${mm(wall)} of the top are left.`
          : say`Over and under each ${one} at least ${mm(wall)} of the top are left.`,
      value: mm(wall),
      limit: mm(LEAST_TO_FACE),
      where: [panel],
      why: 'A slot near a face shows as a hollow when its glue has dried, or comes through when the top is planed.',
      school: 'common practice',
      figure: {
        id: 'aligners',
        label: 'Aligners in the panel',
        quantity: count(total),
        formula: 'along each joint even, at most 300 mm apart, 40 mm inside the outline',
        inputs: [
          { label: 'Joints', quantity: count(joints.length) },
          { label: 'Thick', quantity: mm(size.thickness) },
          { label: 'Along the joint', quantity: mm(size.along) },
          { label: 'Into each edge', quantity: movement(size.deep) },
        ],
        source: 'common practice',
      },
      wayOut: {
        say: say`Take thinner ones, or cauls, which leave no holes`,
        changes: [{ path: 'glueUp.level', value: 'cauls' }],
      },
    },
    ...(kind === 'dowels' ? [dowelsInStock(panel, size.thickness, tools)] : []),
    ...(narrow
      ? [
          {
            id: 'glue.aligner-board',
            step: 'glue-up' as const,
            level: left < 0 ? ('stop' as const) : left < LEAST_BETWEEN ? ('watch' as const) : ('good' as const),
            sentence:
              left < 0
                ? say`In board ${narrow.label} those of its two edges run ${mm(-left)} into each other.`
                : say`In the narrowest board, ${narrow.label}, ${mm(left)} are left between those of its two edges.`,
            value: mm(left),
            limit: mm(LEAST_BETWEEN),
            where: [panel],
            why: 'Two slots that meet in a narrow board leave it hanging on its ends.',
            school: 'common practice',
            wayOut: {
              say: say`Set those of its second edge between those of the first, or take biscuits`,
              changes: [],
            },
          },
        ]
      : []),
    {
      id: 'glue.aligner-joints',
      step: 'glue-up',
      level: empty.length > 0 ? 'watch' : 'good',
      sentence:
        empty.length > 0
          ? say`Between ${empty.map(({ between }) => between.join(' and ')).join(', ')} there is no room for two of them inside the outline.`
          : say`Every joint has at least two, all inside the outline that is cut.`,
      value: count(empty.length),
      limit: count(0),
      where: [panel],
      why: 'What reaches beyond the outline is cut through when it is sawn, and shows in the edge.',
      school: 'common practice',
      wayOut: { say: say`Bring that joint level by hand, a clamp at its end`, changes: [] },
    },
  ];
}
