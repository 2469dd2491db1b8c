import type { Joint } from '../../../../joint/joint';
import { BOLTED_STUB, postTenons, stretcherTenon, TUSK_BEYOND } from '../../../../joint/post-tenons';
import type { StretcherEnd } from '../../../../joint/stretcher-ends';
import { tenonJoint } from '../../../../joint/tenon';
import { tenonModulus } from '../../../../joint/tenon-strength';
import { fixed, glued } from '../../../../restraint/tie';
import { archedOutline, hollowedOutline } from '../../../../solid/profile';
import type { Vec } from '../../../../solid/vector';
import { type Draft, type Fitting, forJoint } from '../../../part';
import type { BasePlan, BuildDecisions, Racking, TopSize } from '../../../plans';
import { measured, settleSection } from '../../../settle-locks';
import type { BaseKind } from '../../kind';
import { LARGE_TABLE, to5 } from '../../round-figure';
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
import { buttressBraces, footPads, trestleBraces } from './braces';
import type { Trestle } from './decisions';
import { schema } from './decisions';
import { TRESTLE_FIELDS } from './fields';
import { trestleProblems } from './problems';
import { cutsForHold, mortiseOnly, tuskFor } from './stretcher';

/** A trestle base as drawn or as cut, and the sizes that follow from it. mm */
interface Sizes {
  form: Trestle;
  footTop: number;
  /** Tenons of the posts. */
  into: { foot: PostTenons; bearer: PostTenons };
  /** Of the stretcher's end, and how far that is beyond its shoulder. */
  tenon: ReturnType<typeof stretcherTenon>;
  out: number;
  underside: number;
  /** From the middle of the table to that of a trestle. */
  middle: number;
  /** Of a foot, of a bearer, of a post from shoulder to shoulder. */
  across: number;
  bearerLong: number;
  postLong: number;
}
type PostTenons = ReturnType<typeof postTenons>;

/** One trestle, at one end of the table. */
interface OneTrestle {
  side: 1 | -1;
  x: number;
  post: Draft;
  foot: Draft;
  bearer: Draft;
}

/** Two trestles, each a post on a foot under a bearer, and a stretcher through both posts. */
export function trestleBase(drawn: Trestle, build: BuildDecisions, top: TopSize): BasePlan {
  const sizes = sizesOf(drawn, build, top);
  const { form, underside, middle, across, bearerLong } = sizes;
  const { foot, post, bearer, stretcher, pads } = form;
  const trestles = SIDES.map((own) => oneTrestle(sizes, own));
  const rail = railOf(sizes);
  const tusks =
    stretcher.joint === 'tusk' ? trestles.map(({ side, post: p }) => tuskFor(endOf(sizes, side, p.id), rail)) : [];
  const braces = [
    ...trestles.flatMap(({ x, post: upright, bearer: beam }) =>
      form.braces ? trestleBraces(form, form.braces, upright, beam, x, underside - bearer.height) : [],
    ),
    ...buttressBraces(
      form,
      trestles.map(({ side, post: upright }) => ({ side, post: upright, inner: side * (middle - post.thickness / 2) })),
      rail,
    ),
  ];
  const underFeet = pads > 0 ? trestles.flatMap(({ x, foot: under }) => footPads(form, under, x, across)) : [];
  return {
    drafts: [
      ...trestles.flatMap((trestle) => [trestle.foot, trestle.post, trestle.bearer]),
      rail,
      ...tusks.map((own) => own.draft),
      ...braces.map(({ brace }) => brace),
      ...underFeet.map(({ pad }) => pad),
    ],
    joints: [
      ...trestles.flatMap((trestle) => jointsOf(sizes, trestle, rail)),
      ...tusks.map((own) => own.joint),
      ...braces.flatMap((own) => own.joints),
      ...underFeet.map(({ joint }) => joint),
    ],
    ...onTwoBearers({
      middle,
      underside,
      bearer: { long: bearerLong, thickness: bearer.thickness },
      foot: { long: across, thickness: foot.thickness },
      top,
    }),
    ...strengthOf(sizes, top),
    fittings: fittingsOf(form),
    problems: trestleProblems(form, underside, sizes.tenon, bearerLong),
  };
}

function sizesOf(drawn: Trestle, { form: whole, bench }: BuildDecisions, top: TopSize): Sizes {
  const form: Trestle = {
    ...drawn,
    foot: settleSection(bench, onBothSides('foot'), drawn.foot, 'height'),
    post: settleSection(bench, onBothSides('post'), drawn.post, 'width'),
    bearer: settleSection(bench, onBothSides('bearer'), drawn.bearer, 'height'),
    stretcher: settledStretcher(drawn.stretcher, bench),
  };
  const { foot, post, bearer, stretcher, pads } = form;
  const footTop = pads + foot.height;
  const into = { foot: tenonsInto(form, foot.height - foot.hollow), bearer: tenonsInto(form, bearer.height) };
  const out = {
    wedged: post.thickness + stretcher.proud,
    tusk: post.thickness + TUSK_BEYOND,
    bolted: Math.min(BOLTED_STUB, post.thickness / 3),
  }[stretcher.joint];
  const cutStretcher = measured(bench, ['stretcher'], 'length');
  return {
    form,
    footTop,
    into,
    tenon: stretcherTenon({ height: stretcher.height, thickness: stretcher.thickness, postWidth: post.width }),
    out,
    ...settleFrames({
      bench,
      whole,
      top,
      height: form.height,
      footTop,
      bearer,
      post: { width: post.width, tenons: into.foot.length + into.bearer.length },
      thickest: Math.max(foot.thickness, post.thickness, bearer.thickness),
      apart: cutStretcher === undefined ? undefined : cutStretcher - 2 * out + post.thickness,
    }),
  };
}

function oneTrestle(sizes: Sizes, { side, word }: (typeof SIDES)[number]): OneTrestle {
  const { form, footTop, into, underside, across, bearerLong, postLong } = sizes;
  const { foot, post, bearer, pads } = form;
  const x = side * sizes.middle;
  // A hollowed foot stands on its ends: a fifth of it at each; common practice.
  const hollowed = foot.hollow > 0 ? { profile: hollowedOutline(across, foot.height, foot.hollow, across / 5) } : {};
  return {
    side,
    x,
    post: postOn({ word, x, z: footTop, long: postLong, section: post, tenons: into }),
    foot: { ...footUnder({ word, x, z: pads, long: across, foot }), ...hollowed },
    bearer: bearerOn({ word, x, long: bearerLong, underside, bearer }),
  };
}

function railOf({ form: { post, stretcher }, middle, out }: Sizes): Draft {
  const { height, thickness, at, arch } = stretcher;
  const long = 2 * middle - post.thickness;
  return {
    ...barBetween({
      id: 'stretcher',
      name: 'Stretcher',
      // Of an arched one the ends stand where they are said to, its middle higher.
      z: at + arch / 2,
      long,
      beyond: out,
      bar: { height: height + arch, thickness },
    }),
    ...(arch > 0 ? { profile: archedOutline(long, height, arch) } : {}),
  };
}

const endOf = ({ form, middle, tenon }: Sizes, side: 1 | -1, post: string): StretcherEnd => ({
  post,
  stretcher: 'stretcher',
  side,
  inner: side * (middle - form.post.thickness / 2),
  outer: side * (middle + form.post.thickness / 2),
  z: form.stretcher.at,
  tenon,
});

function jointsOf(sizes: Sizes, trestle: OneTrestle, rail: Draft): Joint[] {
  const { footTop, postLong, into } = sizes;
  return [
    ...postEnd(trestle, trestle.foot, { upward: -1, z: footTop, size: into.foot }),
    ...postEnd(trestle, trestle.bearer, { upward: 1, z: footTop + postLong, size: into.bearer }),
    stretcherJoint(sizes, trestle, rail),
  ];
}

/** Tenons side by side at one end of a post. @param end.z of its shoulder; mm */
function postEnd(
  { x, post }: OneTrestle,
  into: Draft,
  { upward, z, size }: { upward: 1 | -1; z: number; size: PostTenons },
): Joint[] {
  const id = `${into.id}/${post.id}`;
  const several = size.places.length > 1;
  return size.places.map((y, i) =>
    tenonJoint({
      id: `${id}${several ? `/${i + 1}` : ''}`,
      kind: several ? 'twin-tenon' : 'mortise-tenon',
      into: forJoint(into),
      from: forJoint(post),
      at: [x, y, z],
      along: [0, 0, upward],
      wide: [0, 1, 0],
      size,
      ties: i > 0 ? [] : gluedTogether(id, into, post, [x, 0, z + (upward * size.length) / 2], size),
    }),
  );
}

function stretcherJoint(sizes: Sizes, { side, x, post: upright }: OneTrestle, rail: Draft): Joint {
  const { form, tenon, out } = sizes;
  const { post, stretcher } = form;
  const id = `${upright.id}/stretcher`;
  const at = { x, y: 0, z: stretcher.at };
  const tie = { id, name: `Stretcher in ${upright.name.toLowerCase()}`, a: upright.id, b: rail.id, at };
  const joint = tenonJoint({
    id,
    kind: stretcher.joint === 'bolted' ? 'bolted' : 'through-tenon',
    into: forJoint(upright),
    from: forJoint(rail),
    at: [x - (side * post.thickness) / 2, 0, stretcher.at],
    along: [side, 0, 0],
    wide: [0, 0, 1],
    size: { ...tenon, length: out },
    ...(stretcher.joint === 'bolted' ? {} : { through: { face: [side, 0, 0] } }),
    // A tusk or a bolt draws the shoulder home and holds one point; a wedged tenon is glued over its width.
    ties: stretcher.joint === 'wedged' ? glued(tie, { z: tenon.width }) : [fixed(tie)],
  });
  return {
    ...joint,
    removed: [
      // What projects beyond the post takes nothing from it.
      ...joint.removed.map((cut) => ({ ...cut, solid: mortiseOnly(cut.solid, x, post.thickness) })),
      ...cutsForHold(endOf(sizes, side, upright.id), form, out),
    ],
  };
}

function strengthOf(sizes: Sizes, top: TopSize): Pick<BasePlan, 'bending' | 'leaned' | 'racking'> {
  const { form, footTop, into, tenon, underside, middle, bearerLong } = sizes;
  const { post, bearer, stretcher, braces, buttresses } = form;
  return {
    bending: [
      {
        id: 'bearer',
        part: 'bearer-left',
        words: 'The bearers, from the post to their ends,',
        how: 'cantilever',
        // A brace carries the bearer where it meets it.
        span: Math.max(10, (bearerLong - post.width) / 2 - (braces?.reach ?? 0)),
        breadth: bearer.thickness,
        depth: bearer.height,
        share: 0.25,
        path: 'form.base.bearer.height',
      },
    ],
    leaned: [
      {
        id: 'post',
        joint: 'the posts’ tenons',
        parts: [...onBothSides('post'), ...onBothSides('foot'), ...onBothSides('bearer')],
        lever: top.width / 2,
        modulus: Math.min(tenonModulus(into.foot), tenonModulus(into.bearer)),
        area: into.bearer.places.length * into.bearer.thickness * into.bearer.width,
        formula: 'load · half the top’s width, all on one post',
      },
    ],
    racking: racking({
      height: underside,
      at: stretcher.at,
      span: 2 * middle,
      post,
      footTop,
      stretcher,
      tenon,
      into: into.foot,
      buttresses,
    }),
  };
}

/**
 * Along the table two posts rest on the floor and are held upright by the stretcher alone: each of its ends takes half of
 * push · height. Across it each post stands in its foot: half the push at its height above the foot. Sway across:
 * F/2 · l³/3E·I_post.
 */
function racking(given: {
  height: number;
  at: number;
  span: number;
  post: { width: number; thickness: number };
  footTop: number;
  stretcher: { height: number; thickness: number };
  tenon: { width: number; thickness: number };
  into: ReturnType<typeof postTenons>;
  buttresses: Trestle['buttresses'];
}): Racking[] {
  const { height, at, span, post, footTop, stretcher, tenon, into, buttresses } = given;
  const above = height - footTop;
  const along = (post.width * post.thickness ** 3) / 12;
  const across = (post.thickness * post.width ** 3) / 12;
  return [
    {
      way: 'along',
      parts: ['stretcher', 'post-left', 'post-right'],
      sway: swayHeldByBar({ height, at, span, upright: along, bar: stretcher }),
      ...(buttresses
        ? {
            joint: 'the buttress that is pressed',
            // Its pull on the other end is not counted: the one that is pressed takes all, on its arm from the corner.
            lever: height,
            resists: {
              kind: 'bent',
              modulus: buttresses.reach * Math.SQRT1_2 * buttresses.width * buttresses.thickness,
            } as const,
            formula: 'push · height, all on the buttress that is pressed',
          }
        : {
            joint: 'the stretcher’s tenons',
            lever: height / 2,
            resists: { kind: 'bent', modulus: tenonModulus(tenon) } as const,
            formula: 'push · height ÷ 2 ends of the stretcher',
          }),
    },
    {
      way: 'across',
      joint: 'the posts’ tenons in the feet',
      parts: ['post-left', 'post-right', 'foot-left', 'foot-right'],
      lever: above / 2,
      resists: { kind: 'bent', modulus: tenonModulus(into) },
      sway: above ** 3 / (6 * across),
      formula: 'push ÷ 2 posts · height above the foot',
    },
  ];
}

/** An arched stretcher is measured over its arch. */
function settledStretcher(drawn: Trestle['stretcher'], bench: BuildDecisions['bench']) {
  const over = settleSection(bench, ['stretcher'], { ...drawn, height: drawn.height + drawn.arch }, 'height');
  return { ...over, height: Math.max(1, over.height - drawn.arch) };
}

const tenonsInto = ({ post, tenons }: Trestle, into: number) =>
  postTenons({ width: post.width, thickness: post.thickness, count: tenons, into });

/** Tenons of one end are glued together: what holds is the breadth over all of them. */
function gluedTogether(id: string, into: Draft, from: Draft, [x, y, z]: Vec, size: ReturnType<typeof postTenons>) {
  const breadth = (size.places.at(-1) ?? 0) - (size.places[0] ?? 0) + size.width;
  return glued(
    { id, name: `${from.name} in ${into.name.toLowerCase()}`, a: into.id, b: from.id, at: { x, y, z } },
    { y: breadth },
  );
}

function fittingsOf(form: Trestle): Fitting[] {
  const { stretcher } = form;
  const tenon = stretcherTenon({
    height: stretcher.height,
    thickness: stretcher.thickness,
    postWidth: form.post.width,
  });
  return [
    ...(stretcher.joint === 'wedged' ? [{ name: 'Wedges for the stretcher', count: 4, size: [tenon.thickness] }] : []),
    ...(stretcher.joint === 'bolted' ? [{ name: 'Bolts with cross dowels', count: 2, size: [120] }] : []),
  ];
}

export const trestle: BaseKind<typeof schema> = {
  name: 'Trestle',
  reason: 'A post on a foot at each end and a stretcher between: free for legs, comes apart.',
  schema,
  onFrames: true,
  fields: TRESTLE_FIELDS,
  start: ({ length: long }, height) => {
    const large = long > LARGE_TABLE;
    return {
      foot: { height: 70, thickness: 60, hollow: 0, staves: 1 },
      pads: 8,
      post: { width: large ? 110 : 90, thickness: 50, staves: 1 },
      bearer: { height: 60, thickness: 60, shorter: 20 },
      tenons: 2,
      stretcher: {
        height: large ? 100 : 80,
        thickness: 40,
        at: to5(height * 0.36),
        joint: 'wedged',
        proud: 4,
        arch: 0,
      },
      buttresses: null,
      braces: null,
    };
  },
  making: ({ foot, post }, kind) =>
    kind === 'post' ? ofStaves(post.staves) : kind === 'foot' ? ofStaves(foot.staves) : undefined,
  plan: trestleBase,
};
