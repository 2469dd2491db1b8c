import type { Joints } from '../../../../decision/joints';
import { CORNERS as CORNER_KINDS, type CornerJoint, isInserted, legCorner } from '../../../../joint/leg-corner';
import { cornerFittings, leanModulus, pinsOf, shearedOf } from '../../../legs/corner-holds';
import { LEGS, LONG, SHORT } from '../../../legs/four-legs';
import { legRacking } from '../../../legs/leg-racking';
import { squareLegs } from '../../../legs/square-legs';
import { legStretchers } from '../../../legs/stretchers';
import { type Draft, type Part, shoulderLengthOf } from '../../../part';
import type { BasePlan, BendingPart, BuildDecisions, Leaned, Rest, TopSize } from '../../../plans';
import { LEG_IDS, LONG_APRON_IDS, measured, SHORT_APRON_IDS, settleLegApron } from '../../../settle-locks';
import type { BaseKind } from '../../kind';
import { LARGE_TABLE } from '../../round-figure';
import { cornerBlocks } from './corner-blocks';
import { crossRails, railJoints } from './cross-rails';
import type { LegApron } from './decisions';
import { schema } from './decisions';
import { LEG_APRON_FIELDS } from './fields';
import { midLegs } from './mid-legs';
import { hollowFrom, legApronProblems } from './problems';
import { splayedLegs } from './splayed-legs';

/** Below the apron before a taper begins, mm; common practice. */
const BEFORE_TAPER = 15;

const tangent = (degrees: number) => Math.tan((degrees * Math.PI) / 180);

/** Four legs, four aprons and perhaps cross rails between the long aprons. */
export function legApronBase(form: LegApron, decisions: BuildDecisions, top: TopSize): BasePlan {
  const { splay } = form.leg;
  if (splay.ends === 0 && splay.sides === 0) return legsAndAprons(form, decisions, top);
  // Of legs that lean no length is asked for by itself: what is cut moves the whole by how far it is off.
  const drawn = legsAndAprons(form, decisions, top);
  const off = (ids: readonly string[]) => {
    const cut = measured(decisions.bench, ids, 'length');
    const own = drawn.drafts.find(({ id }) => ids.includes(id));
    return cut === undefined || !own ? 0 : cut - own.size.length;
  };
  const [legs, long, short] = [off(LEG_IDS), off(LONG_APRON_IDS), off(SHORT_APRON_IDS)];
  if (legs === 0 && long === 0 && short === 0) return drawn;
  const higher = legs / Math.hypot(tangent(splay.ends), tangent(splay.sides), 1);
  const whole = decisions.form;
  const { endOverhang, sideOverhang } = whole.top;
  const farther = { ...whole.top, endOverhang: endOverhang - long / 2, sideOverhang: sideOverhang - short / 2 };
  return legsAndAprons(
    { ...form, height: form.height + higher },
    { ...decisions, form: { ...whole, top: farther } },
    top,
  );
}

/** A base of legs and aprons as drawn or as cut, and the sizes that follow from it. mm */
interface Sizes {
  form: LegApron;
  settled: ReturnType<typeof settleLegApron>;
  /** How corners are joined: as chosen, or as legs that lean allow. */
  choice: Joints;
  splayed: boolean;
  corner: CornerJoint;
  /** Over the legs. */
  base: { length: number; width: number };
  underside: number;
  taper: Taper | null;
  /** From the middle of the table to the inner faces of its aprons. */
  inside: { sides: number; ends: number };
}
type Taper = NonNullable<Part['taper']>;

function sizesOf(form: LegApron, { form: whole, joints, bench }: BuildDecisions, top: TopSize): Sizes {
  const { splay } = form.leg;
  const splayed = splay.ends > 0 || splay.sides > 0;
  // Between legs that lean there are plain tenons; what else is chosen is told, and not listed.
  const choice: Joints = splayed ? { ...joints, corner: 'mortise-tenon', haunch: 'none', pegs: 'none' } : joints;
  // Lower down a leaning leg has moved outward: its tenons are sized as if the aprons stood back by so much more.
  const leaned = (height: number) => height * tangent(Math.max(splay.ends, splay.sides));
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
  const base = {
    length: Math.max(settled.base.length, 2 * leg.section + 1),
    width: Math.max(settled.base.width, 2 * leg.section + 1),
  };
  // Legs that run through the top end with its upper face.
  const underside = form.leg.through ? leg.length - top.thickness : leg.length;
  const inside = form.apron.reveal + apron.thickness;
  return {
    form,
    settled,
    choice,
    splayed,
    corner: cornerFor(leg.section, apron.thickness, apron.height),
    base,
    underside,
    taper: taperOf(form, underside - apron.height, splayed),
    inside: { sides: base.width / 2 - inside, ends: base.length / 2 - inside },
  };
}

/** @param below of the aprons, mm from the floor */
function taperOf({ leg: { taper } }: LegApron, below: number, splayed: boolean): Taper | null {
  if (taper.kind !== 'tapered') return null;
  const hollow = taper.hollow === 0 || splayed ? {} : { hollow: taper.hollow };
  return { foot: taper.foot, from: below - BEFORE_TAPER, faces: taper.faces, ...hollow };
}

function legsAndAprons(drawn: LegApron, decisions: BuildDecisions, top: TopSize): BasePlan {
  const { form: whole, joints } = decisions;
  const sizes = sizesOf(drawn, decisions, top);
  const { form, settled, choice, splayed, corner, base, underside, taper, inside } = sizes;
  const { leg, apron } = settled;
  const places = { form, base, underside, apron, taper, legs: LEGS, long: LONG, short: SHORT };
  const { legs, aprons, ...framed } =
    splayed && isInserted(corner)
      ? splayedLegs({ ...places, section: leg.section, corner, angled: joints.angled })
      : squareLegs({
          ...places,
          apron: { ...form.apron, height: apron.height, thickness: apron.thickness },
          leg,
          corner,
          choice,
          hollowFrom,
        });
  const [front, ends] = [aprons.slice(0, LONG.length), aprons.slice(LONG.length)];
  const middle = midLegs({
    form: splayed ? { ...form, midLegs: 0 } : form,
    base,
    leg,
    apron,
    underside,
    taper,
    aprons: front,
  });
  const rails = crossRails({
    count: form.crossRails,
    base,
    apronInset: form.apron.reveal + apron.thickness / 2,
    apron,
    legLength: underside,
    arch: form.apron.arch,
    // Slides run through them: what is left under their ways carries.
    share: whole.top.kind === 'extending' ? 1 : 0.6,
    mids: middle.drafts,
    joint: form.railJoint,
  });
  const low = splayed
    ? NO_STRETCHERS
    : legStretchers(
        { stretchers: form.stretchers, apronHeight: form.apron.height, path: 'form.base.stretchers' },
        base,
        leg,
        legs,
      );
  const taken = corner.kind === 'pocket-screws' ? corner.screw.places : [];
  const blocks = form.cornerBlocks && !splayed ? cornerBlocks({ legs, long: front, short: ends, taken }) : NO_BLOCKS;
  const apronSpan = spansOf(sizes, aprons);
  return {
    drafts: [...legs, ...middle.drafts, ...aprons, ...rails, ...low.drafts, ...blocks.drafts],
    joints: [
      ...framed.joints,
      ...railJoints(aprons, middle.drafts, rails, form.railJoint),
      ...middle.joints,
      ...low.joints,
      ...blocks.joints,
    ],
    rests: restsOf(sizes, rails),
    underside,
    through: form.leg.through ? { ...form.leg.through, legs: LEG_IDS } : null,
    clearAcross: inside.sides,
    feet: [...framed.feet, ...middle.feet],
    knees: { height: underside - apron.height, parts: ['apron-front', 'apron-back'], words: 'the apron' },
    span: {
      along: (base.length - 2 * form.apron.reveal) / (form.crossRails + 1),
      beyond: Math.max(0, (top.length - base.length) / 2 + form.apron.reveal),
      across: 2 * inside.sides,
    },
    bending: [longApron(sizes, apronSpan.long)],
    leaned: [leanedCorner(sizes)],
    racking: legRacking({ section: leg.section, length: underside, taper }, apron, apronSpan, corner),
    corner,
    fittings: [...cornerFittings(corner, choice, leg.section), ...blocks.fittings],
    problems: [
      ...legApronProblems(form, settled, corner, whole, splayed ? joints : null),
      ...low.problems,
      ...blocks.problems,
    ],
  };
}

/** From leg to leg; between legs that lean the aprons are longest at their lower edge: here in the middle of their height. mm */
function spansOf({ form: { leg } }: Sizes, aprons: readonly Draft[]): { long: number; short: number } {
  const between = (id: string, lean: number) => {
    const own = aprons.find((apron) => apron.id === id);
    return own ? Math.max(1, shoulderLengthOf(own) - own.size.width * tangent(lean)) : 1;
  };
  return { long: between('apron-front', leg.splay.ends), short: between('apron-left', leg.splay.sides) };
}

/** The top lies on the aprons, across them and over the cross rails. */
function restsOf({ settled: { leg }, base, inside }: Sizes, rails: readonly Draft[]): Rest[] {
  const shoulder = { long: base.length - 2 * leg.section, short: base.width - 2 * leg.section };
  const across = (part: string, x: number, reach: number): Rest => ({
    part,
    from: [x, -reach],
    to: [x, reach],
    held: [x, 0],
    slides: false,
  });
  return [
    ...LONG.map(
      ({ id, side }): Rest => ({
        part: id,
        from: [-shoulder.long / 2, side * inside.sides],
        to: [shoulder.long / 2, side * inside.sides],
        held: null,
        slides: true,
      }),
    ),
    ...SHORT.map(({ id, side }) => across(id, side * inside.ends, shoulder.short / 2)),
    ...rails.map((rail) => across(rail.id, rail.frame.at[0], inside.sides)),
  ];
}

/** @param span from leg to leg, mm */
function longApron({ form, settled: { apron }, splayed }: Sizes, span: number): BendingPart {
  return {
    id: 'apron',
    part: 'apron-front',
    words: 'The long aprons',
    how: 'span',
    // Middle legs part it.
    span: span / (form.midLegs + 1),
    breadth: apron.thickness,
    depth: apron.height - form.apron.arch,
    share: 0.5 / (form.midLegs + 1),
    path: 'form.base.apron.height',
    hollowed: form.apron.arch,
    breadthPath: 'form.base.apron.thickness',
    ...(form.midLegs < 2 && !splayed ? { legsBetween: { path: 'form.base.midLegs', pairs: form.midLegs + 1 } } : {}),
  };
}

function leanedCorner({ form, settled: { apron }, corner, underside }: Sizes): Leaned {
  const shared = { id: 'corner', joint: `the aprons’ ${CORNER_KINDS[corner.kind].many}`, parts: APRON_IDS };
  const pins = pinsOf(corner);
  if (!isInserted(corner))
    return {
      ...shared,
      lever: 0,
      modulus: null,
      area: null,
      ...(pins ? { pins } : {}),
      formula: 'load, all on one end of one apron',
    };
  const { splay } = form.leg;
  return {
    ...shared,
    // Of legs that lean the foot pushes up outside the joint.
    lever: (underside - apron.height / 2) * tangent(Math.max(splay.ends, splay.sides)),
    modulus: leanModulus(corner, apron.height),
    area: shearedOf(corner),
    formula: 'load · how far the foot stands outside the joint, all on one leg',
  };
}

const APRON_IDS = ['apron-front', 'apron-back', 'apron-left', 'apron-right'];

const NO_STRETCHERS = { drafts: [], joints: [], problems: [] };
const NO_BLOCKS = { ...NO_STRETCHERS, fittings: [] };

/** A locked length is told along a leg that leans, or between shoulders that are askew: it is not one of the base's own figures. */
const withoutLengths = (bench: BuildDecisions['bench']): BuildDecisions['bench'] => ({
  ...bench,
  locks: Object.fromEntries(Object.entries(bench.locks).map(([id, lock]) => [id, { ...lock, length: null }])),
});

export const legApron: BaseKind<typeof schema> = {
  name: 'Legs and aprons',
  reason: 'Four legs framed by aprons: stiff, and light to carry.',
  schema,
  fields: LEG_APRON_FIELDS,
  start: ({ length: long }) => {
    const large = long > LARGE_TABLE;
    return {
      leg: {
        section: large ? 65 : 55,
        taper: { kind: 'tapered', foot: large ? 42 : 34, faces: 'inside', hollow: 0 },
        making: { kind: 'solid' },
        splay: { ends: 0, sides: 0 },
        through: null,
      },
      apron: { height: large ? 90 : 75, thickness: 22, reveal: 5, arch: 0 },
      crossRails: large ? 1 : 0,
      railJoint: 'stub',
      midLegs: 0,
      cornerBlocks: false,
      stretchers: { kind: 'none' },
    };
  },
  making: ({ leg }, kind) => (kind === 'leg' ? leg.making : undefined),
  plan: legApronBase,
};
