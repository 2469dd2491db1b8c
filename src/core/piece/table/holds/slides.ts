import type { Cut, Grown, Joint } from '../../../joint/joint';
import { fixed, sliding } from '../../../restraint/tie';
import { box, type Convex } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Vec } from '../../../solid/vector';
import type { Draft } from '../../part';
import { type BasePlan, type BendingPart, NO_GEAR, type Rest, type TopGear, type TopPlan } from '../../plans';
import type { Unbuildable } from '../../unbuildable';
import type { TableForm } from '../form';
import { travelOfHalf } from '../tops/extending';

/**
 * Slides of an extending table: at either side a guide that stays with the base, and a runner for each half on either side
 * of it, keyed into it. They lie against the underside of the top and go through the end aprons in ways cut for them.
 */

/** Between a runner and the sides of its way, and between its key and its groove; mm, common practice. */
const PLAY = 0.5;
/** A key stands out by so much of the runner's thickness, and is so high as a third of the slide. */
const KEY_OUT = 0.4;
/** Between the outer runner and the leg beside which it passes, mm; common practice. */
const BESIDE_LEG = 35;
/** A runner ends so far inside its half's end, mm. */
const FROM_END = 70;
/** Its inner end stays so far from the other end apron when closed, mm. */
const BEFORE_APRON = 12;

/** The key of a runner: how far it reaches into its guide, how high it is, and how much it can go up and down there. mm */
export const keyOf = ({ height, thickness }: { height: number; thickness: number }) => ({
  deep: KEY_OUT * thickness - PLAY,
  high: height / 3,
  play: 2 * PLAY,
});

const NOTHING = NO_GEAR;

const SIDES = [
  { word: 'front', side: -1 },
  { word: 'back', side: 1 },
] as const;
const ENDS = [
  { word: 'left', end: -1 },
  { word: 'right', end: 1 },
] as const;

export function planSlides(form: TableForm, top: TopPlan, base: BasePlan): TopGear {
  const { top: extending, base: under } = form;
  if (extending.kind !== 'extending') return NOTHING;
  if (under.kind !== 'leg-apron' || under.leg.splay.ends > 0 || under.leg.splay.sides > 0 || under.leg.through) {
    return {
      ...NOTHING,
      problems: [
        {
          problem: 'Leaves on slides are reckoned on upright legs and aprons under the top only.',
          where: 'form.base.kind',
          wayOut: 'Take legs and aprons that stand upright, or a top without leaves.',
        },
      ],
    };
  }
  const { height, thickness } = extending.slides;
  const find = (id: string) => base.drafts.find((draft) => draft.id === id);
  const [left, right] = [find('apron-left'), find('apron-right')];
  const leg = find('leg-front-left');
  if (!left || !right || !leg) return NOTHING;
  const legInside = Math.abs(leg.frame.at[1]) - leg.size.thickness / 2;
  // From the middle of the table to the middle of the guide.
  const apart = legInside - BESIDE_LEG - 1.5 * thickness - PLAY;
  const { underside } = base;
  const travel = travelOfHalf(extending);
  const inside = { from: left.frame.at[0] + left.size.thickness / 2, to: right.frame.at[0] - right.size.thickness / 2 };
  // The guide is let half into both end aprons.
  const guideEnd = right.frame.at[0];
  const z = underside - height / 2;
  const closedHalf = (top.size.length - extending.leaves * extending.leaf) / 2;
  const reachIn = runnerReach(extending, inside.to);
  const length = closedHalf - FROM_END + reachIn;
  const bar = (id: string, name: string, x: number, y: number, long: number): Draft => ({
    id,
    name,
    kind: 'slide',
    grade: 'hidden',
    size: { length: long, width: height, thickness },
    frame: squareFrame([x, y, z], { length: 'x', width: 'z', thickness: 'y' }),
  });
  const drafts: Draft[] = [];
  const joints: Joint[] = [];
  const rests: Rest[] = [];
  for (const { word, side } of SIDES) {
    const y = side * apart;
    const guide = bar(`guide-${word}`, `Guide, ${word}`, 0, y, 2 * guideEnd);
    drafts.push(guide);
    const runners = ENDS.map(({ word: where, end }) => {
      // The left half's runner outside, the right half's inside of the guide.
      const at = y - end * side * (thickness + PLAY);
      // Drawn out as the piece is drawn.
      const x = end * (closedHalf - FROM_END + travel - length / 2);
      const runner = bar(`runner-${where}-${word}`, `Runner, ${where} ${word}`, x, at, length);
      joints.push(keyed(runner, guide, Math.sign(at - y) as 1 | -1, { height, thickness }));
      rests.push({
        part: runner.id,
        id: `${where}-${word}`,
        from: [Math.max(x - length / 2, end < 0 ? -Infinity : travel), at],
        to: [Math.min(x + length / 2, end < 0 ? -travel : Infinity), at],
        // Across, every half is held at its front runners and slides over the back ones.
        held: side < 0 ? [end * (travel + closedHalf / 2), at] : null,
        slides: true,
      });
      return runner;
    });
    drafts.push(...runners);
    const crossed = base.drafts.filter(
      ({ id, kind }) => id === 'apron-left' || id === 'apron-right' || kind === 'cross-rail',
    );
    joints.push(
      ...crossed.map((rail) => way(rail, guide, runners, { y, height, wide: 3 * thickness + 4 * PLAY, underside })),
    );
  }
  return {
    drafts,
    joints,
    rests,
    bending: [guideUnderTop(guideEnd, under.crossRails, extending.slides)],
    fittings: [{ name: 'Stops that keep the runners in their guides', count: 4, size: [] }],
    problems: apart < 60 ? [tooNarrow] : [],
  };
}

/** Two guides carry what the long aprons do not, a third of the top and its load each, over the rails that cross under them. */
const guideUnderTop = (
  end: number,
  crossRails: number,
  { height, thickness }: { height: number; thickness: number },
): BendingPart => ({
  id: 'guide',
  part: 'guide-front',
  words: 'The guides of the slides',
  how: 'span',
  span: (2 * end) / (crossRails + 1),
  breadth: thickness,
  depth: height,
  share: 1 / 3 / (crossRails + 1),
  path: 'form.top.slides.height',
});

const tooNarrow: Unbuildable = {
  problem: 'Between the legs there is no room for slides at both sides.',
  where: 'form.top.width',
  wayOut: 'Make the table wider, its legs thinner or its slides thinner.',
};

/**
 * How far a runner reaches past the middle when the table is closed, mm: far enough to stay in its guide by what is asked
 * when it is drawn out, no farther than the other end apron, and never short of the middle by more than it reaches at all.
 */
export function runnerReach(
  { leaves, leaf, slides }: { leaves: number; leaf: number; slides: { overlap: number } },
  inside: number,
): number {
  const wanted = travelOfHalf({ leaves, leaf }) + slides.overlap - inside;
  return Math.min(inside - BEFORE_APRON, Math.max(wanted, -0.3 * inside));
}

function keyed(
  runner: Draft,
  guide: Draft,
  away: 1 | -1,
  { height, thickness }: { height: number; thickness: number },
): Joint {
  const face = guide.frame.at[1] + (away * thickness) / 2;
  const [key, z] = [height / 3, guide.frame.at[2]];
  const out = KEY_OUT * thickness;
  const strip = (from: number, to: number, x: readonly [number, number], tall: number): Convex =>
    box([x[0], Math.min(from, to), z - tall / 2], [x[1], Math.max(from, to), z + tall / 2]);
  const whole = guide.size.length / 2;
  const own = runner.size.length / 2;
  const x0 = runner.frame.at[0];
  const removed: Cut[] = [
    {
      part: guide.id,
      what: 'groove',
      solid: strip(face, face - away * (out + PLAY), [-whole, whole], key + 2 * PLAY),
      open: [
        [0, away, 0],
        [1, 0, 0],
        [-1, 0, 0],
      ],
    },
  ];
  const added: Grown[] = [
    {
      part: runner.id,
      solid: strip(face + away * PLAY, face - away * out, [x0 - own, x0 + own], key),
    },
  ];
  const id = `${guide.id}/${runner.id}`;
  return {
    id,
    kind: 'slide-key',
    name: `${runner.name} in its guide`,
    into: guide.id,
    from: runner.id,
    removed,
    added,
    ties: [
      sliding(
        { id, name: `key of ${runner.name.toLowerCase()}`, a: guide.id, b: runner.id, at: { x: 0, y: face, z } },
        { y: PLAY, z: PLAY },
      ),
    ],
  };
}

/** One way in a rail for a guide and both its runners. */
function way(
  rail: Draft,
  guide: Draft,
  runners: readonly Draft[],
  { y, height, wide, underside }: { y: number; height: number; wide: number; underside: number },
): Joint {
  const [x, half] = [rail.frame.at[0], rail.size.thickness / 2];
  const id = `${rail.id}/${guide.id}`;
  const through: Vec[] = [
    [0, 0, 1],
    [1, 0, 0],
    [-1, 0, 0],
  ];
  return {
    id,
    kind: 'slide-way',
    name: `Way for the slides in ${rail.name.toLowerCase()}, ${y < 0 ? 'front' : 'back'}`,
    into: rail.id,
    from: guide.id,
    passes: runners.map((runner) => runner.id),
    removed: [
      {
        part: rail.id,
        what: 'way',
        solid: box([x - half, y - wide / 2, underside - height - PLAY], [x + half, y + wide / 2, underside]),
        open: through,
      },
    ],
    added: [],
    ties: [
      fixed({
        id,
        name: `guide in ${rail.name.toLowerCase()}`,
        a: rail.id,
        b: guide.id,
        at: { x, y, z: underside - height },
      }),
    ],
  };
}
