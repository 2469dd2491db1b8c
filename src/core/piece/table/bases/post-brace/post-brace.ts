import { dovetailLength, dovetailRail } from '../../../../joint/dovetail-rail';
import type { Joint } from '../../../../joint/joint';
import { legPeg, pegHeights, pegs } from '../../../../joint/pegs';
import { postTenons } from '../../../../joint/post-tenons';
import { tenonJoint } from '../../../../joint/tenon';
import { tenonModulus } from '../../../../joint/tenon-strength';
import { fixed } from '../../../../restraint/tie';
import { squareFrame } from '../../../../solid/frame';
import type { Vec } from '../../../../solid/vector';
import { type Draft, type Fitting, forJoint } from '../../../part';
import type { BasePlan, BendingPart, BuildDecisions, Racking, Rest, TopSize } from '../../../plans';
import { measured, settleSection } from '../../../settle-locks';
import type { BaseKind } from '../../kind';
import { LARGE_TABLE, to5, within } from '../../round-figure';
import {
  barBetween,
  bearerOn,
  footUnder,
  onBothSides,
  onTwoBearers,
  postOn,
  SIDES,
  settleFrames,
  swayHeldByBar,
} from '../frames/two-frames';
import { ofStaves } from '../leg-apron/making';
import { bracesOf, FRONT_BACK, runOf } from './braces';
import type { PostBrace } from './decisions';
import { schema } from './decisions';
import { POST_BRACE_FIELDS } from './fields';
import { postBraceProblems } from './problems';
import { deepOf, type PostFrame, stringerEnd, stringerTenon } from './stringer';

/** A base of posts and braces as drawn or as cut, and the sizes that follow from it. mm */
interface Sizes {
  form: Form;
  /** Of the posts, in foot and bearer; of the stringer in the posts. */
  tenon: { foot: PostTenons; bearer: PostTenons };
  beamTenon: ReturnType<typeof stringerTenon>;
  /** How far the stringer projects beyond its shoulders, and the top rails' dovetails. */
  deep: number;
  dovetail: number;
  underside: number;
  /** From the middle of the table to that of a frame. */
  middle: number;
  /** Of a foot, of a bearer, of a post from shoulder to shoulder. */
  across: number;
  bearerLong: number;
  postLong: number;
}
type PostTenons = ReturnType<typeof postTenons>;

/**
 * Two square posts, each on a foot under a bearer, a stringer deep through or into both, top rails dovetailed into the
 * bearers and braces at 45°: pegs, dovetails and wedges hold it, no glue.
 */
export function postBraceBase(drawn: PostBrace, build: BuildDecisions, top: TopSize): BasePlan {
  const sizes = sizesOf(drawn, build, top);
  const { form, tenon, beamTenon, underside, middle, across, bearerLong, postLong } = sizes;
  const { foot, bearer } = form;
  const frames = SIDES.map((own) => oneFrame(sizes, own));
  const topRails = topRailsOf(sizes);
  const beam = stringerOf(sizes);
  const ends = frames.map((frame) => stringerEnd(frame, beam, form, beamTenon));
  const braced = frames.flatMap((frame) => bracesOf(frame, form, topRails, underside));
  const under = onTwoBearers({
    middle,
    underside,
    bearer: { long: bearerLong, thickness: bearer.thickness },
    foot: { long: across, thickness: foot.thickness },
    top,
  });
  const { out, rise } = runOf(form);
  return {
    drafts: [
      ...frames.flatMap((frame) => [frame.foot, frame.post, frame.bearer]),
      beam,
      ...ends.flatMap((end) => end.wedges),
      ...topRails,
      ...braced.map(({ brace }) => brace),
    ],
    joints: [
      ...frames.flatMap((frame) => [
        ...pegged(frame, frame.foot, -1, foot.height, tenon.foot),
        ...pegged(frame, frame.bearer, 1, foot.height + postLong, tenon.bearer),
      ]),
      ...ends.flatMap((end) => end.joints),
      ...frames.flatMap((frame) => topRails.map((rail) => dovetailed(sizes, frame, rail))),
      ...braced.flatMap(({ joints }) => joints),
    ],
    ...under,
    ...onTopRails(sizes, topRails, under.rests),
    bending: bendingOf(sizes, top),
    leaned: [
      {
        id: 'post',
        joint: 'the posts’ tenons',
        parts: [...onBothSides('post'), ...onBothSides('foot'), ...onBothSides('bearer')],
        lever: top.width / 2,
        modulus: Math.min(tenonModulus(tenon.foot), tenonModulus(tenon.bearer)),
        area: tenon.bearer.thickness * tenon.bearer.width,
        formula: 'load · half the top’s width, all on one post',
      },
    ],
    racking: racking({ form, underside, span: 2 * middle, into: tenon.foot, tenon: beamTenon, rise }),
    fittings: fittingsOf(form, tenon, beamTenon),
    problems: postBraceProblems(form, { underside, bearerLong, out, rise }),
  };
}

function sizesOf(drawn: PostBrace, { form: whole, bench }: BuildDecisions, top: TopSize): Sizes {
  const form = settled(drawn, bench);
  const { foot, post, bearer } = form;
  const tenonIn = (into: number) => postTenons({ width: post.section, thickness: post.section, count: 1, into });
  const tenon = { foot: tenonIn(foot.height), bearer: tenonIn(bearer.height) };
  const deep = deepOf(form);
  const dovetail = dovetailLength(bearer.thickness);
  // A stringer that is cut sets the frames as far apart; where it is not, a top rail does.
  const cutStringer = measured(bench, ['stringer'], 'length');
  const cutRail = measured(bench, ['top-rail-front', 'top-rail-back'], 'length');
  return {
    form,
    tenon,
    beamTenon: stringerTenon(form),
    deep,
    dovetail,
    ...settleFrames({
      bench,
      whole,
      top,
      height: form.height,
      footTop: foot.height,
      bearer,
      post: { width: post.section, tenons: tenon.foot.length + tenon.bearer.length },
      thickest: Math.max(foot.thickness, post.section, bearer.thickness),
      apart:
        cutStringer !== undefined
          ? cutStringer - 2 * deep + post.section
          : cutRail !== undefined
            ? cutRail - 2 * dovetail + bearer.thickness
            : undefined,
    }),
  };
}

function oneFrame(sizes: Sizes, { side, word }: (typeof SIDES)[number]): PostFrame {
  const { form, tenon, middle, across, underside, bearerLong, postLong } = sizes;
  const { foot, post, bearer } = form;
  const x = side * middle;
  const section = { width: post.section, thickness: post.section };
  return {
    side,
    word,
    x,
    post: postOn({ word, x, z: foot.height, long: postLong, section, tenons: tenon }),
    foot: footUnder({ word, x, z: 0, long: across, foot }),
    bearer: bearerOn({ word, x, long: bearerLong, underside, bearer }),
  };
}

/** Length of the top rails between the bearers. mm */
const betweenBearers = ({ form, middle }: Sizes) => 2 * middle - form.bearer.thickness;

function topRailsOf(sizes: Sizes): Draft[] {
  const { form, dovetail, underside } = sizes;
  const { rails } = form;
  return FRONT_BACK.map(({ side, word }) => ({
    id: `top-rail-${word}`,
    name: `Top rail, ${word}`,
    kind: 'top-rail',
    grade: 'hidden',
    size: { length: betweenBearers(sizes) + 2 * dovetail, width: rails.width, thickness: rails.thickness },
    beyond: { start: dovetail, end: dovetail },
    frame: squareFrame([0, (side * rails.apart) / 2, underside - rails.thickness / 2], {
      length: 'x',
      width: 'y',
      thickness: 'z',
    }),
  }));
}

const stringerOf = ({ form: { post, stringer }, middle, deep }: Sizes): Draft =>
  barBetween({
    id: 'stringer',
    name: 'Stringer',
    z: stringer.at,
    long: 2 * middle - post.section,
    beyond: deep,
    bar: stringer,
  });

const dovetailed = ({ form, underside, dovetail }: Sizes, { side, x, bearer: into }: PostFrame, rail: Draft): Joint =>
  dovetailRail({
    id: `${into.id}/${rail.id}`,
    into: forJoint(into),
    from: forJoint(rail),
    at: [x - (side * form.bearer.thickness) / 2, rail.frame.at[1], underside],
    along: [side, 0, 0],
    length: dovetail,
    rail: { thickness: form.rails.width, height: form.rails.thickness },
  });

/** The top lies on the rails too, and knees meet them first. */
function onTopRails(
  sizes: Sizes,
  topRails: readonly Draft[],
  rests: readonly Rest[],
): Pick<BasePlan, 'rests' | 'clearAcross' | 'knees'> {
  const { form, underside } = sizes;
  const { rails } = form;
  const half = betweenBearers(sizes) / 2;
  const inner = rails.apart / 2 - rails.width / 2;
  return {
    rests: [
      ...rests,
      ...FRONT_BACK.map(
        ({ side, word }): Rest => ({
          part: `top-rail-${word}`,
          from: [-half, side * inner],
          to: [half, side * inner],
          held: null,
          slides: true,
        }),
      ),
    ],
    clearAcross: Math.max(0, inner),
    knees: { height: underside - rails.thickness, parts: topRails.map(({ id }) => id), words: 'the top rails' },
  };
}

function bendingOf(sizes: Sizes, top: TopSize): BendingPart[] {
  const { form, bearerLong } = sizes;
  const { post, bearer, rails, braces } = form;
  const held = braces.way === 'diagonal' ? runOf(form).out : 0;
  const [ofRail, ofTop] = [rails.width * rails.thickness ** 3, top.width * top.thickness ** 3];
  return [
    {
      id: 'bearer',
      part: 'bearer-left',
      words: 'The bearers, from the post to their ends,',
      how: 'cantilever',
      span: Math.max(10, (bearerLong - post.section) / 2 - (braces.way === 'across' ? braces.reach : 0)),
      breadth: bearer.thickness,
      depth: bearer.height,
      share: 0.25,
      path: 'form.base.bearer.height',
    },
    {
      id: 'top-rail',
      part: 'top-rail-front',
      words: held > 0 ? 'The top rails, from brace to brace,' : 'The top rails',
      how: 'span',
      span: Math.max(10, betweenBearers(sizes) - 2 * held),
      breadth: rails.width,
      depth: rails.thickness,
      // Top and rails bend together: each takes of the load as it is stiff.
      share: ofRail / (ofTop + 2 * ofRail),
      path: 'form.base.rails.thickness',
    },
  ];
}

type Form = PostBrace;

/** Its sections as they were cut; a post is square. */
function settled(drawn: Form, bench: BuildDecisions['bench']): Form {
  const posts = onBothSides('post');
  const sides = [measured(bench, posts, 'width'), measured(bench, posts, 'thickness')].filter((mm) => mm !== undefined);
  const section = sides.length > 0 ? sides.reduce((sum, side) => sum + side, 0) / sides.length : drawn.post.section;
  return {
    ...drawn,
    foot: settleSection(bench, onBothSides('foot'), drawn.foot, 'height'),
    post: { ...drawn.post, section },
    bearer: settleSection(bench, onBothSides('bearer'), drawn.bearer, 'height'),
    rails: settleSection(bench, ['top-rail-front', 'top-rail-back'], drawn.rails, 'width'),
    stringer: settleSection(bench, ['stringer'], drawn.stringer, 'height'),
  };
}

/** A post's tenon in its foot or its bearer, held by draw-bored pegs from the outside. */
function pegged(
  { side, x, post }: PostFrame,
  into: Draft,
  upward: 1 | -1,
  z: number,
  size: { length: number; width: number; thickness: number },
): Joint[] {
  const id = `${into.id}/${post.id}`;
  const at: Vec = [x, 0, z];
  const along: Vec = [0, 0, upward];
  const tie = { name: `${post.name} in ${into.name.toLowerCase()}`, a: into.id, b: post.id, at: { x, y: 0, z } };
  const joint = tenonJoint({
    id,
    kind: 'mortise-tenon',
    into: forJoint(into),
    from: forJoint(post),
    at,
    along,
    wide: [0, 1, 0],
    size,
    ties: [fixed({ id, ...tie })],
  });
  return [
    joint,
    pegs({
      id: `${id}/pegs`,
      holds: joint,
      into: forJoint(into),
      from: forJoint(post),
      at,
      along,
      tenon: size,
      wide: [0, 1, 0],
      wall: into.size.thickness / 2,
      inward: [-side, 0, 0],
      diameter: legPeg(into.size.thickness),
      drawBored: true,
    }),
  ];
}

/**
 * Across, each post stands in its foot: half the push at its height above the foot; sway F/2 · l³/3E·I_post. Along, the
 * stringer's two ends hold the posts upright; with diagonal braces the two that are pressed do, each taking half the
 * moment on its arm about the post's head.
 */
function racking(given: {
  form: Form;
  underside: number;
  span: number;
  into: { width: number; thickness: number };
  tenon: { width: number; thickness: number };
  rise: number;
}): Racking[] {
  const { form, underside, span, into, tenon, rise } = given;
  const { foot, post, braces, stringer } = form;
  const above = underside - foot.height;
  const upright = post.section ** 4 / 12;
  const diagonal = braces.way === 'diagonal';
  return [
    {
      way: 'along',
      parts: diagonal
        ? ['brace-left-front', 'brace-left-back', 'brace-right-front', 'brace-right-back']
        : ['stringer', 'post-left', 'post-right'],
      sway: swayHeldByBar({ height: underside, at: stringer.at, span, upright, bar: stringer }),
      ...(diagonal
        ? {
            joint: 'the two braces that are pressed',
            lever: underside / 2,
            // A brace's push has half of itself along the table: (1, 1, √2)/2.
            resists: { kind: 'bent', modulus: (rise / 2) * braces.width * braces.thickness } as const,
            formula: 'push · height ÷ 2 braces that are pressed',
          }
        : {
            joint: 'the stringer’s tenons',
            lever: underside / 2,
            resists: { kind: 'bent', modulus: tenonModulus(tenon) } as const,
            formula: 'push · height ÷ 2 ends of the stringer',
          }),
    },
    {
      way: 'across',
      joint: 'the posts’ tenons in the feet',
      parts: [...onBothSides('post'), ...onBothSides('foot')],
      lever: above / 2,
      resists: { kind: 'bent', modulus: tenonModulus(into) },
      sway: above ** 3 / (6 * upright),
      formula: 'push ÷ 2 posts · height above the foot',
    },
  ];
}

function fittingsOf(
  { post, foot, bearer, stringer }: Form,
  tenon: { foot: { width: number }; bearer: { width: number } },
  beam: { width: number },
): Fitting[] {
  const peg = (into: number, each: number): Fitting => ({ name: 'Pegs', count: 2 * each, size: [legPeg(into), into] });
  return [
    peg(foot.thickness, pegHeights(tenon.foot.width).length),
    peg(bearer.thickness, pegHeights(tenon.bearer.width).length),
    ...(stringer.hold === 'pegs' ? [peg(post.section, pegHeights(beam.width).length)] : []),
  ];
}

export const postBrace: BaseKind<typeof schema> = {
  name: 'Posts and braces',
  reason: 'Square posts, braces at 45° and dovetailed rails: heavy, and held without glue.',
  schema,
  onFrames: true,
  fields: POST_BRACE_FIELDS,
  start: ({ length: long, width, sideOverhang }, height) => {
    const large = long > LARGE_TABLE;
    const section = large ? 110 : 90;
    const wide = width - 2 * sideOverhang;
    return {
      foot: { height: 90, thickness: section + 30, staves: 3 },
      post: { section, staves: 3 },
      bearer: { height: 80, thickness: to5(section * 0.6), shorter: 20 },
      rails: { width: 90, thickness: 40, apart: to5(within(wide * 0.62, section + 140, wide - 150)) },
      braces: { width: 60, thickness: 42, way: 'across', reach: to5(within(wide * 0.18, 80, 180)) },
      stringer: { height: large ? 140 : 110, thickness: large ? 55 : 45, at: to5(height * 0.42), hold: 'wedge' },
    };
  },
  making: ({ foot, post }, kind) =>
    kind === 'post' ? ofStaves(post.staves) : kind === 'foot' ? ofStaves(foot.staves) : undefined,
  plan: postBraceBase,
};
