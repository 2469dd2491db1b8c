import type { BaseOf } from '../decision/job-document';
import { dovetailLength, dovetailRail } from '../joint/dovetail-rail';
import type { Joint } from '../joint/joint';
import { looseWedge, neckOf } from '../joint/loose-wedge';
import { legPeg, pegHeights, pegs } from '../joint/pegs';
import { postTenons } from '../joint/post-tenons';
import { tenonJoint } from '../joint/tenon';
import { tenonModulus } from '../joint/tenon-strength';
import { fixed } from '../restraint/tie';
import { squareFrame } from '../solid/frame';
import { unit, type Vec } from '../solid/vector';
import { BRACE_DEPTH, type Brace, braceBetween } from './brace';
import { type Draft, type Fitting, forJoint } from './part';
import type { BasePlan, BendingPart, PieceDecisions, Racking, Rest, TopSize } from './piece';
import { postBraceProblems } from './post-brace-problems';
import { drawnSize, measured, settleSection } from './settle-locks';
import { bearerOn, middleOfFrame, onBothSides, onTwoBearers, SIDES, swayHeldByBar } from './two-frames';

const FRONT_BACK = [
  { side: -1, word: 'front' },
  { side: 1, word: 'back' },
] as const;

/** A pegged stringer goes into three quarters of its post; common practice. */
const DEEP = 0.75;

/**
 * Two square posts, each on a foot under a bearer, a stringer deep through or into both, top rails dovetailed into the
 * bearers and braces at 45°: pegs, dovetails and wedges hold it, no glue.
 */
export function postBraceBase(
  drawnForm: BaseOf<'post-brace'>,
  { form: whole, bench }: PieceDecisions,
  top: TopSize,
): BasePlan {
  const form = settled(drawnForm, bench);
  const { foot, post, bearer, rails, braces, stringer } = form;
  const drawn = drawnSize(whole.top);
  const tenon = {
    foot: postTenons({ width: post.section, thickness: post.section, count: 1, into: foot.height }),
    bearer: postTenons({ width: post.section, thickness: post.section, count: 1, into: bearer.height }),
  };
  const cutTo = (ids: readonly string[]) => measured(bench, ids, 'length');
  const cutPost = cutTo(onBothSides('post'));
  const underside =
    cutPost === undefined
      ? form.height - top.thickness
      : foot.height + cutPost - tenon.foot.length - tenon.bearer.length + bearer.height;
  const thickest = Math.max(foot.thickness, post.section, bearer.thickness);
  const wedged = stringer.hold === 'wedge';
  const deep = wedged ? post.section : Math.floor(post.section * DEEP);
  const dovetail = dovetailLength(bearer.thickness);
  // A stringer that is cut sets the frames as far apart; where it is not, a top rail does.
  const [cutStringer, cutRail] = [cutTo(['stringer']), cutTo(['top-rail-front', 'top-rail-back'])];
  const middle =
    cutStringer !== undefined
      ? Math.max(thickest, (cutStringer - 2 * deep + post.section) / 2)
      : cutRail !== undefined
        ? Math.max(thickest, (cutRail - 2 * dovetail + bearer.thickness) / 2)
        : middleOfFrame(drawn.length, whole.top.endOverhang, thickest);
  const wide = Math.max(post.section, drawn.width - 2 * whole.top.sideOverhang);
  const across = cutTo(onBothSides('foot')) ?? wide;
  const bearerLong = cutTo(onBothSides('bearer')) ?? Math.max(post.section, wide - 2 * bearer.shorter);
  const postLong = Math.max(20, underside - bearer.height - foot.height);
  const half = post.section / 2;

  const frames = SIDES.map(({ side, word }) => {
    const x = side * middle;
    const upright: Draft = {
      id: `post-${word}`,
      name: `Post, ${word}`,
      kind: 'post',
      grade: 'all-faces',
      size: {
        length: postLong + tenon.foot.length + tenon.bearer.length,
        width: post.section,
        thickness: post.section,
      },
      beyond: { start: tenon.foot.length, end: tenon.bearer.length },
      frame: squareFrame([x, 0, foot.height + postLong / 2], { length: 'z', width: 'y', thickness: 'x' }),
    };
    const under: Draft = {
      id: `foot-${word}`,
      name: `Foot, ${word}`,
      kind: 'foot',
      grade: 'all-faces',
      size: { length: across, width: foot.height, thickness: foot.thickness },
      frame: squareFrame([x, 0, foot.height / 2], { length: 'y', width: 'z', thickness: 'x' }),
    };
    return {
      side,
      word,
      x,
      post: upright,
      foot: under,
      bearer: bearerOn({ word, x, long: bearerLong, underside, bearer }),
    };
  });

  const off = rails.apart / 2;
  const between = 2 * middle - bearer.thickness;
  const topRails = FRONT_BACK.map(
    ({ side, word }): Draft => ({
      id: `top-rail-${word}`,
      name: `Top rail, ${word}`,
      kind: 'top-rail',
      grade: 'hidden',
      size: { length: between + 2 * dovetail, width: rails.width, thickness: rails.thickness },
      beyond: { start: dovetail, end: dovetail },
      frame: squareFrame([0, side * off, underside - rails.thickness / 2], {
        length: 'x',
        width: 'y',
        thickness: 'z',
      }),
    }),
  );

  const long = 2 * middle - post.section;
  const beam: Draft = {
    id: 'stringer',
    name: 'Stringer',
    kind: 'stretcher',
    grade: 'all-faces',
    size: { length: long + 2 * deep, width: stringer.height, thickness: stringer.thickness },
    beyond: { start: deep, end: deep },
    frame: squareFrame([0, 0, stringer.at], { length: 'x', width: 'z', thickness: 'y' }),
  };
  const beamTenon = stringerTenon(form);

  const ends = frames.map((frame) => stringerEnd(frame, beam, form, beamTenon, deep));
  const posts = frames.flatMap((frame) => [
    ...pegged(frame, frame.foot, -1, foot.height, tenon.foot),
    ...pegged(frame, frame.bearer, 1, foot.height + postLong, tenon.bearer),
  ]);
  const dovetails = frames.flatMap(({ side, x, bearer: into }) =>
    topRails.map((rail) =>
      dovetailRail({
        id: `${into.id}/${rail.id}`,
        into: forJoint(into),
        from: forJoint(rail),
        at: [x - (side * bearer.thickness) / 2, rail.frame.at[1], underside],
        along: [side, 0, 0],
        length: dovetail,
        rail: { thickness: rails.width, height: rails.thickness },
      }),
    ),
  );
  // Diagonal ones run out to the rails as far along the table as across it, and rise at 45°.
  const out = Math.max(1, off - half);
  const rise = out * Math.SQRT2;
  const braced = frames.flatMap((frame) =>
    FRONT_BACK.map(({ side: way, word }, i): Brace => {
      const own = {
        id: `brace-${frame.word}-${word}`,
        name: `Brace, ${frame.word} ${word}`,
        bracing: braces,
        dry: true,
      };
      const [upper, reach] = [underside - bearer.height, braces.reach];
      const rail = topRails[i] as Draft;
      return braces.way === 'across'
        ? braceBetween({
            ...own,
            along: unit([0, way, 1]),
            start: {
              into: frame.post,
              at: [frame.x, way * half, upper - reach],
              outward: [0, way, 0],
              depth: Math.min(BRACE_DEPTH, half / 2),
            },
            end: {
              into: frame.bearer,
              at: [frame.x, way * (half + reach), upper],
              outward: [0, 0, -1],
              depth: Math.min(BRACE_DEPTH, bearer.height / 3),
            },
          })
        : braceBetween({
            ...own,
            along: unit([-frame.side, way, Math.SQRT2]),
            start: {
              into: frame.post,
              at: [frame.x, way * half, underside - rails.thickness - rise],
              outward: [0, way, 0],
              depth: Math.min(BRACE_DEPTH, half / 2),
            },
            end: {
              into: rail,
              at: [frame.x - frame.side * out, way * off, underside - rails.thickness],
              outward: [0, 0, -1],
              depth: Math.min(BRACE_DEPTH, rails.thickness / 2),
            },
          });
    }),
  );

  const under = onTwoBearers({
    middle,
    underside,
    bearer: { long: bearerLong, thickness: bearer.thickness },
    foot: { long: across, thickness: foot.thickness },
    top,
  });
  const inner = off - rails.width / 2;
  const held = braces.way === 'diagonal' ? out : 0;
  const [ofRail, ofTop] = [rails.width * rails.thickness ** 3, top.width * top.thickness ** 3];
  const bending: BendingPart[] = [
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
      span: Math.max(10, between - 2 * held),
      breadth: rails.width,
      depth: rails.thickness,
      // Top and rails bend together: each takes of the load as it is stiff.
      share: ofRail / (ofTop + 2 * ofRail),
      path: 'form.base.rails.thickness',
    },
  ];
  return {
    drafts: [
      ...frames.flatMap((frame) => [frame.foot, frame.post, frame.bearer]),
      beam,
      ...ends.flatMap((end) => end.wedges),
      ...topRails,
      ...braced.map(({ brace }) => brace),
    ],
    joints: [...posts, ...ends.flatMap((end) => end.joints), ...dovetails, ...braced.flatMap(({ joints }) => joints)],
    ...under,
    rests: [
      ...under.rests,
      ...FRONT_BACK.map(
        ({ side, word }): Rest => ({
          part: `top-rail-${word}`,
          from: [-between / 2, side * inner],
          to: [between / 2, side * inner],
          held: null,
          slides: true,
        }),
      ),
    ],
    clearAcross: Math.max(0, inner),
    knees: {
      height: underside - rails.thickness,
      parts: topRails.map(({ id }) => id),
      words: 'the top rails',
    },
    bending,
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

type Form = BaseOf<'post-brace'>;

/** Its sections as they were cut; a post is square. */
function settled(drawn: Form, bench: PieceDecisions['bench']): Form {
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

/** A third of the post thick at most, with shoulders; under a wedge the upper edge is the stringer's own. mm */
function stringerTenon({ post, stringer }: Form): { width: number; thickness: number } {
  const thickness = Math.max(6, Math.min(stringer.thickness - 12, Math.floor(post.section / 3)));
  if (stringer.hold === 'wedge') return { width: Math.max(10, neckOf(stringer.height, post.section)), thickness };
  const shoulder = Math.max(6, Math.min(12, Math.round(stringer.height / 10)));
  return { width: Math.max(10, stringer.height - 2 * shoulder), thickness };
}

interface Frame {
  side: 1 | -1;
  word: string;
  x: number;
  post: Draft;
  foot: Draft;
  bearer: Draft;
}

/** A post's tenon in its foot or its bearer, held by draw-bored pegs from the outside. */
function pegged(
  { side, x, post }: Frame,
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

/** The stringer in a post: through and wedged down, or deep and pegged from the front. */
function stringerEnd(
  { side, word, x, post }: Frame,
  beam: Draft,
  { post: { section }, stringer }: Form,
  tenon: { width: number; thickness: number },
  deep: number,
): { joints: Joint[]; wedges: Draft[] } {
  const id = `${post.id}/${beam.id}`;
  const face = x - (side * section) / 2;
  const along: Vec = [side, 0, 0];
  if (stringer.hold === 'wedge') {
    const { joint, wedge, body, held } = looseWedge({
      id,
      into: forJoint(post),
      from: forJoint(beam),
      wedge: { id: `wedge-${word}`, name: `Wedge, ${word}` },
      at: [face, 0, stringer.at + stringer.height / 2],
      along,
      depth: section,
      tenon: { height: tenon.width, thickness: tenon.thickness },
    });
    return { joints: [joint, held], wedges: [{ ...wedge, kind: 'wedge', grade: 'all-faces', body: [body] }] };
  }
  const at: Vec = [face, 0, stringer.at];
  const size = { ...tenon, length: deep };
  const joint = tenonJoint({
    id,
    kind: 'mortise-tenon',
    into: forJoint(post),
    from: forJoint(beam),
    at,
    along,
    wide: [0, 0, 1],
    size,
    ties: [
      fixed({
        id,
        name: `${beam.name} in ${post.name.toLowerCase()}`,
        a: post.id,
        b: beam.id,
        at: { x, y: 0, z: stringer.at },
      }),
    ],
  });
  const held = pegs({
    id: `${id}/pegs`,
    holds: joint,
    into: forJoint(post),
    from: forJoint(beam),
    at,
    along,
    tenon: size,
    wall: section / 2,
    inward: [0, 1, 0],
    diameter: legPeg(section),
    drawBored: true,
  });
  return { joints: [joint, held], wedges: [] };
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
