import type { BaseOf, Joints } from '../decision/job-document';
import type { Joint } from '../joint/joint';
import {
  CORNERS as CORNER_KINDS,
  type CornerJoint,
  type InsertedCorner,
  isInserted,
  LEAST_BACK_WALL,
  legCorner,
} from '../joint/leg-corner';
import { stubTenonLength, stubTies } from '../joint/stub-tenon';
import { tenonJoint } from '../joint/tenon';
import type { Problem } from '../measure/problem';
import { squareFrame } from '../solid/frame';
import type { Vec } from '../solid/vector';
import { cornerBlocks } from './corner-blocks';
import { cornerFittings, cornerResists } from './corner-holds';
import { legStretchers } from './leg-stretchers';
import { midLegs } from './mid-legs';
import { type Draft, forJoint } from './part';
import type { BasePlan, PieceDecisions, Racking, Rest, TopSize } from './piece';
import { LEG_IDS, settleLegApron } from './settle-locks';
import { splayedLegs } from './splayed-legs';
import { squareLegs } from './square-legs';

/** Below the apron before a taper begins, mm; common practice. */
const BEFORE_TAPER = 15;

/** Four legs, four aprons and perhaps cross rails between the long aprons. */
export function legApronBase(
  form: BaseOf<'leg-apron'>,
  { form: whole, joints, bench }: PieceDecisions,
  top: TopSize,
): BasePlan {
  const { splay } = form.leg;
  const splayed = splay.ends > 0 || splay.sides > 0;
  // Between legs that lean there are plain tenons; what else is chosen is told, and not listed.
  const choice: Joints = splayed ? { ...joints, corner: 'mortise-tenon', haunch: 'none', pegs: 'none' } : joints;
  // Lower down a leaning leg has moved outward: its tenons are sized as if the aprons stood back by so much more.
  const leaned = (height: number) => height * Math.tan((Math.max(splay.ends, splay.sides) * Math.PI) / 180);
  const cornerFor = (section: number, apronThickness: number, apronHeight: number) =>
    legCorner({
      section,
      apronThickness,
      apronHeight,
      reveal: form.apron.reveal + leaned(apronHeight),
      choice,
      squareOnly: splayed,
    });
  const grown = (own: CornerJoint) => (own.kind === 'mortise-tenon' ? own.tenon.length : 0);

  const settled = settleLegApron(form, whole.top, top, splayed ? withoutLengths(bench) : bench, (s, t, h) =>
    grown(cornerFor(s, t, h)),
  );
  const { leg, apron } = settled;
  const corner = cornerFor(leg.section, apron.thickness, apron.height);
  const base = {
    length: Math.max(settled.base.length, 2 * leg.section + 1),
    width: Math.max(settled.base.width, 2 * leg.section + 1),
  };
  const shoulder = { long: base.length - 2 * leg.section, short: base.width - 2 * leg.section };
  // Legs that run through the top end with its upper face.
  const underside = form.leg.through ? leg.length - top.thickness : leg.length;
  const apronInset = form.apron.reveal + apron.thickness / 2;
  const { taper: tapered } = form.leg;
  const taper =
    tapered.kind === 'tapered'
      ? { foot: tapered.foot, from: underside - apron.height - BEFORE_TAPER, faces: tapered.faces }
      : null;
  const places = { form, base, underside, apron, taper, legs: CORNERS, long: LONG, short: SHORT };
  const { legs, aprons, ...framed } =
    splayed && isInserted(corner)
      ? splayedLegs({ ...places, section: leg.section, corner })
      : squareLegs({ ...places, leg, corner, choice, hollowFrom });
  const shortX = base.length / 2 - apronInset;
  const middle = midLegs({
    form: splayed ? { ...form, midLegs: 0 } : form,
    base,
    leg,
    apron,
    underside,
    taper,
    aprons: aprons.slice(0, LONG.length),
  });

  // Slides run through them: what is left under their ways carries.
  const share = whole.top.kind === 'extending' ? 1 : 0.6;
  const rails = crossRails({
    count: form.crossRails,
    base,
    apronInset,
    apron,
    legLength: underside,
    arch: form.apron.arch,
    share,
    mids: middle.drafts,
  });

  const low = splayed ? NO_STRETCHERS : legStretchers(form, base, leg, legs);
  const [front, ends] = [aprons.slice(0, LONG.length), aprons.slice(LONG.length)];
  const blocks =
    form.cornerBlocks && !splayed
      ? cornerBlocks({
          legs,
          long: front,
          short: ends,
          taken: corner.kind === 'pocket-screws' ? corner.screw.places : [],
        })
      : { drafts: [], joints: [], fittings: [], problems: [] };

  const inside = base.width / 2 - form.apron.reveal - apron.thickness;
  const endInside = shortX - apron.thickness / 2;
  const across = (part: string, x: number, reach: number): Rest => ({
    part,
    from: [x, -reach],
    to: [x, reach],
    held: [x, 0],
    slides: false,
  });
  const rests: Rest[] = [
    ...LONG.map(
      ({ id, side }): Rest => ({
        part: id,
        from: [-shoulder.long / 2, side * inside],
        to: [shoulder.long / 2, side * inside],
        held: null,
        slides: true,
      }),
    ),
    ...SHORT.map(({ id, side }) => across(id, side * endInside, shoulder.short / 2)),
    ...rails.map((rail) => across(rail.id, rail.frame.at[0], inside)),
  ];
  return {
    drafts: [...legs, ...middle.drafts, ...aprons, ...rails, ...low.drafts, ...blocks.drafts],
    joints: [
      ...framed.joints,
      ...stubs(aprons, middle.drafts, rails),
      ...middle.joints,
      ...low.joints,
      ...blocks.joints,
    ],
    rests,
    underside,
    through: form.leg.through ? { ...form.leg.through, legs: LEG_IDS } : null,
    clearAcross: inside,
    feet: [...framed.feet, ...middle.feet],
    knees: {
      height: underside - apron.height + form.apron.arch,
      parts: ['apron-front', 'apron-back'],
      words: form.apron.arch > 0 ? 'the middle of the apron' : 'the apron',
    },
    span: {
      along: (base.length - 2 * form.apron.reveal) / (form.crossRails + 1),
      beyond: Math.max(0, (top.length - base.length) / 2 + form.apron.reveal),
      across: base.width - 2 * (form.apron.reveal + apron.thickness),
    },
    bending: [
      {
        id: 'apron',
        part: 'apron-front',
        words: 'The long aprons',
        how: 'span',
        // Middle legs part it.
        span: shoulder.long / (form.midLegs + 1),
        breadth: apron.thickness,
        depth: apron.height - form.apron.arch,
        share: 0.5 / (form.midLegs + 1),
        path: 'form.base.apron.height',
      },
    ],
    leaned: isInserted(corner)
      ? [
          {
            id: 'corner',
            joint: `the aprons’ ${CORNER_KINDS[corner.kind].many}`,
            parts: ['apron-front', 'apron-back', 'apron-left', 'apron-right'],
            // Of legs that lean the foot pushes up outside the joint.
            lever: (underside - apron.height / 2) * Math.tan((Math.max(splay.ends, splay.sides) * Math.PI) / 180),
            modulus: leanModulus(corner, apron.height),
            area: shearedOf(corner),
            formula: 'load · how far the foot stands outside the joint, all on one leg',
          },
        ]
      : [],
    racking: racking({ ...leg, length: underside }, apron, shoulder, corner),
    corner,
    fittings: [...cornerFittings(corner, choice, leg.section), ...blocks.fittings],
    problems: [
      ...impossible(form, settled, corner, whole, splayed ? joints : null),
      ...low.problems,
      ...blocks.problems,
    ],
  };
}

/**
 * Two frames either way, each two legs and an apron, resting on the floor: of a push F each leg takes a quarter, so that at
 * its apron stands F/4 · h. Sway of such a frame under F/2: F/2 · h²/12E · (2h/I_leg + L/I_apron).
 */
function racking(
  leg: { section: number; length: number },
  apron: { height: number; thickness: number },
  shoulder: { long: number; short: number },
  corner: CornerJoint,
): Racking[] {
  const height = leg.length - apron.height / 2;
  const resists = cornerResists(corner, apron.height);
  const [ofLeg, ofApron] = [leg.section ** 4 / 12, (apron.thickness * apron.height ** 3) / 12];
  const ways = [
    ['along', shoulder.long, ['apron-front', 'apron-back']],
    ['across', shoulder.short, ['apron-left', 'apron-right']],
  ] as const;
  return ways.map(([way, span, parts]) => ({
    way,
    joint: `the aprons’ ${CORNER_KINDS[corner.kind].many}`,
    parts,
    lever: height / 4,
    resists,
    sway: (height ** 2 / 24) * ((2 * height) / ofLeg + (span + leg.section) / ofApron),
    formula: 'push ÷ 4 legs · height of the apron’s middle',
  }));
}

const CORNERS = [
  { id: 'leg-front-left', name: 'Leg, front left', sx: -1, sy: -1 },
  { id: 'leg-front-right', name: 'Leg, front right', sx: 1, sy: -1 },
  { id: 'leg-back-left', name: 'Leg, back left', sx: -1, sy: 1 },
  { id: 'leg-back-right', name: 'Leg, back right', sx: 1, sy: 1 },
] as const;
const LONG = [
  { id: 'apron-front', name: 'Apron, front', side: -1 },
  { id: 'apron-back', name: 'Apron, back', side: 1 },
] as const;
const SHORT = [
  { id: 'apron-left', name: 'Apron, left', side: -1 },
  { id: 'apron-right', name: 'Apron, right', side: 1 },
] as const;

/** An apron's hollow begins so far from its shoulder: six tenths of its height, so that the joint keeps all of it; common practice. */
const BEFORE_HOLLOW = 0.6;

const hollowFrom = (long: number, height: number) => Math.min(height * BEFORE_HOLLOW, long / 4);

const NO_STRETCHERS = { drafts: [], joints: [], problems: [] };

const RAIL_SET = 6;

function crossRails(given: {
  count: number;
  base: { length: number; width: number };
  apronInset: number;
  apron: { height: number; thickness: number };
  legLength: number;
  arch: number;
  /** Of the apron's height. */
  share: number;
  mids: readonly Draft[];
}): Draft[] {
  const { count, base, apronInset, apron, legLength, arch, share, mids } = given;
  const stub = stubTenonLength(apron.thickness);
  const between = base.width - 2 * apronInset - apron.thickness;
  // Where the aprons are hollowed there is less of them to stand in.
  const room = apron.height - (arch > 0 ? arch + RAIL_SET : 0);
  const height = Math.max(20, Math.round(Math.min(room, Math.max(40, apron.height * share))));
  return Array.from({ length: count }, (_, i) => {
    const x = -base.length / 2 + (base.length * (i + 1)) / (count + 1);
    const [leg] = besideLegs(x, mids);
    const clear = leg ? base.width - 2 * leg.size.thickness : between;
    return {
      id: `cross-rail-${i + 1}`,
      name: `Cross rail ${i + 1}`,
      kind: 'cross-rail' as const,
      grade: 'hidden' as const,
      size: { length: clear + 2 * stub, width: height, thickness: apron.thickness },
      beyond: { start: stub, end: stub },
      frame: squareFrame([leg?.frame.at[0] ?? x, 0, legLength - height / 2], {
        length: 'y',
        width: 'z',
        thickness: 'x',
      }),
    };
  });
}

/** Middle legs that a rail there would stand beside: it stands between them instead. */
const besideLegs = (x: number, mids: readonly Draft[]): readonly Draft[] =>
  mids.filter((leg) => Math.abs(leg.frame.at[0] - x) < leg.size.width + 20);

function stubs(aprons: readonly Draft[], mids: readonly Draft[], rails: readonly Draft[]): Joint[] {
  return rails.flatMap((rail) => {
    const legs = mids.filter((leg) => Math.abs(leg.frame.at[0] - rail.frame.at[0]) < 1);
    return (legs.length > 0 ? legs : aprons.filter((apron) => apron.frame.length[0] === 1)).map((into) => {
      const side = Math.sign(into.frame.at[1]);
      const size = {
        length: rail.beyond?.end ?? 0,
        width: rail.size.width - 2 * RAIL_SET,
        thickness: Math.round(rail.size.thickness / 3),
      };
      const at: Vec = [rail.frame.at[0], into.frame.at[1] - (side * into.size.thickness) / 2, rail.frame.at[2]];
      return tenonJoint({
        id: `${into.id}/${rail.id}`,
        kind: 'stub-tenon',
        into: forJoint(into),
        from: forJoint(rail),
        at,
        along: [0, side, 0],
        wide: [0, 0, 1],
        size,
        ties: stubTies({
          apron: into,
          rail,
          at: { x: at[0], y: into.frame.at[1], z: at[2] },
          tenonWidth: size.width,
        }),
      });
    });
  });
}

function impossible(
  form: BaseOf<'leg-apron'>,
  settled: ReturnType<typeof settleLegApron>,
  corner: CornerJoint,
  whole: PieceDecisions['form'],
  /** How the aprons are wanted to stand in legs that lean. */
  leaning: Joints | null,
): Problem[] {
  const problems: Problem[] = [];
  if (form.cornerBlocks && corner.kind === 'corner-plate') {
    problems.push({
      problem: 'A corner block and a corner plate want the same corner.',
      where: 'form.base.cornerBlocks',
      wayOut: 'Leave the blocks away: the plate does their work.',
    });
  }
  const { base, leg, apron } = settled;
  if (base.length < 2 * leg.section + 50 || base.width < 2 * leg.section + 50) {
    const across = base.width < 2 * leg.section + 50;
    problems.push({
      problem: 'The legs would stand in each other: too little is left between them.',
      where: across ? 'form.top.sideOverhang' : 'form.top.endOverhang',
      wayOut: 'Make the top larger, the overhang smaller or the legs thinner.',
    });
  }
  const { arch } = form.apron;
  const behind = leg.section - form.apron.reveal - apron.thickness;
  if (form.midLegs > 0 && behind < leg.section / 2) {
    problems.push({
      problem: 'Behind the apron too little of a middle leg is left.',
      where: 'form.base.leg.section',
      wayOut: `Make the legs at least ${Math.ceil(2 * (form.apron.reveal + apron.thickness))} mm, or the aprons thinner.`,
    });
  }
  if (form.midLegs > 0 && arch > 0) {
    problems.push({
      problem: 'Aprons hollowed in their middle leave a middle leg nothing to stand behind.',
      where: 'form.base.apron.arch',
      wayOut: 'Leave the hollow away, or the middle legs.',
    });
  }
  const shorter = Math.min(base.length, base.width) - 2 * leg.section;
  // Beyond a half circle a hollow is none.
  const most = Math.floor(Math.min(apron.height - 25, (shorter - 2 * hollowFrom(shorter, apron.height)) / 2));
  if (arch > 0 && arch > most) {
    problems.push({
      problem: 'The hollow in the aprons leaves too little of them.',
      where: 'form.base.apron.arch',
      wayOut: `Hollow them by at most ${Math.max(0, most)} mm, or make them higher.`,
    });
  }
  const back = form.apron.reveal + apron.thickness;
  if (back > leg.section - LEAST_BACK_WALL) {
    problems.push({
      problem: 'The apron is set so far back, or is so thick, that its tenon misses the leg.',
      where: 'form.base.apron.reveal',
      wayOut: 'Make the reveal or the apron smaller, or the leg thicker.',
    });
  }
  if (leaning) problems.push(...againstLeaning(form, leaning));
  if (form.leg.through && !('cutOuts' in whole.top)) {
    problems.push({
      problem: 'Slats, slabs with a channel and leaves are not notched round legs.',
      where: 'form.base.leg.through',
      wayOut: 'Let the legs end under the top, or take a panel.',
    });
  }
  if (leg.length <= apron.height + 20) {
    problems.push({
      problem: 'The apron reaches the floor.',
      where: 'form.base.apron.height',
      wayOut: 'Make the apron lower or the table higher.',
    });
  }
  if (form.leg.taper.kind === 'tapered' && form.leg.taper.foot > leg.section) {
    problems.push({
      problem: 'The foot of the leg is thicker than its top.',
      where: 'form.base.leg.taper.foot',
      wayOut: 'A taper ends thinner than it starts: make the foot smaller.',
    });
  }
  return problems;
}

/** A locked length is told along a leg that leans, or between shoulders that are askew: the base does not follow it. */
const withoutLengths = (bench: PieceDecisions['bench']): PieceDecisions['bench'] => ({
  ...bench,
  locks: Object.fromEntries(Object.entries(bench.locks).map(([id, lock]) => [id, { ...lock, length: null }])),
});

/** What is not reckoned for legs that lean. */
function againstLeaning(form: BaseOf<'leg-apron'>, { corner, pegs }: Joints): Problem[] {
  const upright = 'Let the legs stand upright, or leave it away.';
  const wrong = (problem: string, where: string): Problem => ({ problem, where, wayOut: upright });
  return [
    ...(corner === 'mortise-tenon'
      ? []
      : [
          {
            problem: 'Legs that lean are reckoned with mortise and tenon only.',
            where: 'joints.corner',
            wayOut: 'Take mortise and tenon, or let the legs stand upright.',
          },
        ]),
    ...(pegs === 'none' ? [] : [wrong('Pegs in legs that lean are not reckoned.', 'joints.pegs')]),
    ...(form.leg.through ? [wrong('Legs that lean are not let through the top.', 'form.base.leg.through')] : []),
    ...(form.stretchers.kind === 'none'
      ? []
      : [wrong('Low stretchers between legs that lean are not reckoned.', 'form.base.stretchers')]),
    ...(form.midLegs > 0 ? [wrong('Middle legs between legs that lean are not reckoned.', 'form.base.midLegs')] : []),
    ...(form.cornerBlocks
      ? [wrong('Corner blocks between legs that lean are not reckoned.', 'form.base.cornerBlocks')]
      : []),
    ...(form.apron.arch > 0
      ? [wrong('Hollowed aprons between legs that lean are not reckoned.', 'form.base.apron.arch')]
      : []),
    ...(form.leg.making.kind === 'solid' || form.leg.making.kind === 'staves'
      ? []
      : [wrong('The ends of legs that lean are cut through their facing.', 'form.base.leg.making')]),
  ];
}

/** What bends a tenon when its leg is pushed outward; dowels of upright legs are not bent. mm³ */
function leanModulus(corner: CornerJoint, apronHeight: number): number {
  const resists = cornerResists(corner, apronHeight);
  return resists.kind === 'bent' ? resists.modulus : Number.POSITIVE_INFINITY;
}

/** mm² of wood that carries an apron's end in its leg. */
function shearedOf({ kind, tenon }: InsertedCorner): number {
  return tenon.count * (kind === 'dowels' ? (Math.PI / 4) * tenon.thickness ** 2 : tenon.thickness * tenon.width);
}
