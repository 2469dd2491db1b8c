import { bored, type Joint } from '../../../../joint/joint';
import { fixed } from '../../../../restraint/tie';
import { mapped, prism } from '../../../../solid/convex';
import type { Vec } from '../../../../solid/vector';
import { type Draft, type Fitting, shoulderLengthOf } from '../../../part';
import type { Unbuildable } from '../../../unbuildable';

/** Thickness of a corner block, and how far it stays under the upper edge, mm; common practice. */
const THICK = 30;
const BELOW = 2;
/** Of its height, so much of the apron's; common practice. */
const OF_APRON = 0.75;
const SCREW = 4;
/** Into the apron at most two thirds of it; into the leg so far, mm. */
const INTO_LEG = 30;

/**
 * Blocks across the corners: two ends at 45° on the aprons' inside faces, their back against the leg's inner corner,
 * screwed to both aprons and to the leg. Sizes are common practice.
 */
export function cornerBlocks(given: {
  legs: readonly Draft[];
  long: readonly Draft[];
  short: readonly Draft[];
  /** What else comes into the aprons near their ends, down from their upper edges. */
  taken: readonly number[];
}): {
  drafts: Draft[];
  joints: Joint[];
  fittings: Fitting[];
  problems: Unbuildable[];
} {
  const made = given.legs.flatMap((leg) => {
    const front = given.long.find((apron) => Math.sign(apron.frame.at[1]) === Math.sign(leg.frame.at[1]));
    const end = given.short.find((apron) => Math.sign(apron.frame.at[0]) === Math.sign(leg.frame.at[0]));
    return front && end ? [blockIn(leg, front, end, given.taken)] : [];
  });
  const bite = made[0]?.bite ?? 0;
  const problems: Unbuildable[] = [];
  if (made.some(({ room }) => room < 0)) {
    problems.push({
      problem: 'The corner blocks are longer than the short aprons have room for.',
      where: 'form.base.cornerBlocks',
      wayOut: 'Leave them away, or make the base wider.',
    });
  }
  return {
    drafts: made.map(({ draft }) => draft),
    joints: made.flatMap(({ joints }) => joints),
    fittings:
      made.length > 0
        ? [
            {
              name: 'Screws for the corner blocks',
              count: made.reduce((sum, { screws }) => sum + screws, 0),
              size: [SCREW, Math.round(THICK + bite)],
            },
          ]
        : [],
    problems,
  };
}

function blockIn(leg: Draft, front: Draft, end: Draft, taken: readonly number[]) {
  const [sx, sy] = [Math.sign(leg.frame.at[0]), Math.sign(leg.frame.at[1])];
  const half = leg.size.width / 2;
  // Where both inside faces would meet, and how far the leg's inner corner stands in from there.
  const ox = end.frame.at[0] - (sx * end.size.thickness) / 2;
  const oy = front.frame.at[1] - (sy * front.size.thickness) / 2;
  const [lx, ly] = [leg.frame.at[0] - sx * half, leg.frame.at[1] - sy * half];
  const near = Math.max(40, Math.abs(ox - lx) + Math.abs(oy - ly));
  const far = near + THICK * Math.SQRT2;
  const height = Math.round(front.size.width * OF_APRON);
  const z = front.frame.at[2] + front.size.width / 2 - BELOW - height / 2;
  const inward: Vec = [-sx * Math.SQRT1_2, -sy * Math.SQRT1_2, 0];
  // Along the block from the front apron's face to the end apron's; so turned that its own axes are right-handed.
  const along: Vec = [sx * Math.SQRT1_2, -sy * Math.SQRT1_2, 0];
  const turn = -sx * sy;
  const length: Vec = [along[0] * turn, along[1] * turn, 0];
  const middle = (near + far) / 2;
  const at: Vec = [ox - (sx * middle) / 2, oy - (sy * middle) / 2, z];
  const word = leg.id.replace('leg-', '');
  const [shortHalf, longHalf] = [(near * Math.SQRT2) / 2, (far * Math.SQRT2) / 2];
  const block = prism(
    [
      [-shortHalf, -height / 2],
      [shortHalf, -height / 2],
      [shortHalf, height / 2],
      [-shortHalf, height / 2],
    ],
    -THICK / 2,
    THICK / 2,
  );
  // The block widens from its back, against the leg, to its front.
  const body = mapped(block, ([l, w, t]): Vec => [t > 0 ? Math.sign(l) * longHalf : l, w, t]);
  const draft: Draft = {
    id: `block-${word}`,
    name: `Corner block, ${word.replace('-', ' ')}`,
    kind: 'block',
    grade: 'hidden',
    size: { length: far * Math.SQRT2, width: height, thickness: THICK },
    frame: { at, length, width: [0, 0, 1], thickness: inward },
    body: [body],
    ends: { start: { mitre: 0, bevel: 45 }, end: { mitre: 0, bevel: 45 } },
  };
  const places = clearPlaces(
    height,
    taken.map((down) => height / 2 + BELOW - down),
  );
  const screwed = (apron: Draft, across: 'x' | 'y'): Joint => {
    // Square to the apron's face, from the middle of the block's end.
    const run = across === 'x' ? [ox - (sx * middle) / 2, oy] : [ox, oy - (sy * middle) / 2];
    const way: Vec = across === 'x' ? [0, sy, 0] : [sx, 0, 0];
    const reach = Math.floor(apron.size.thickness * (2 / 3));
    const own = { id: `${apron.id}/${draft.id}`, name: `${draft.name} on ${apron.name.toLowerCase()}` };
    const foot = (dz: number): Vec => [run[0] ?? 0, run[1] ?? 0, z + dz];
    return {
      ...own,
      kind: 'corner-block',
      into: apron.id,
      from: draft.id,
      removed: places.map((dz) => ({
        part: apron.id,
        what: 'screw hole',
        ...bored(foot(dz), [foot(dz)[0] + way[0] * reach, foot(dz)[1] + way[1] * reach, z + dz], SCREW * 0.75),
        open: [[0 - way[0], 0 - way[1], 0]],
      })),
      added: [],
      ties: [fixed({ ...own, a: apron.id, b: draft.id, at: { x: foot(0)[0], y: foot(0)[1], z } })],
    };
  };
  const toLeg: Joint = {
    id: `${leg.id}/${draft.id}`,
    name: `${draft.name} on ${leg.name.toLowerCase()}`,
    kind: 'corner-block',
    into: leg.id,
    from: draft.id,
    removed: [
      {
        part: leg.id,
        what: 'screw hole',
        ...bored([lx, ly, z], [lx - inward[0] * INTO_LEG, ly - inward[1] * INTO_LEG, z], SCREW * 0.75),
        open: [
          [0 - sx, 0, 0],
          [0, 0 - sy, 0],
        ],
      },
    ],
    added: [],
    ties: [],
  };
  return {
    draft,
    joints: [screwed(front, 'x'), screwed(end, 'y'), toLeg],
    bite: Math.floor(Math.min(front.size.thickness, end.size.thickness) * (2 / 3)),
    screws: 2 * places.length + 1,
    room: shoulderLengthOf(end) / 2 - far,
  };
}

/** Nearer to a screw of the corner's own than this no block's screw is set, mm. */
const BESIDE = 9;

/** Heights of the two screws from the block's middle: a quarter up and down, or as near to that as leaves room. */
function clearPlaces(height: number, taken: readonly number[]): number[] {
  const grid = Array.from({ length: Math.max(1, Math.floor(height / 2 - 10)) }, (_, i) => i);
  return [-1, 1].flatMap((side) => {
    const free = grid.map((i) => side * i).filter((z) => taken.every((t) => Math.abs(t - z) >= BESIDE));
    const off = (z: number) => Math.abs(Math.abs(z) - height / 4);
    return free.length > 0 ? [free.reduce((best, z) => (off(z) < off(best) ? z : best))] : [];
  });
}
