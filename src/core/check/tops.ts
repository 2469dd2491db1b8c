import { DRAW_BORE, pegDiameter, slotRoom, tongueThickness } from '../joint/breadboard';
import { mm, movement, say } from '../measure/quantity';
import { findPart } from '../piece/piece';
import { baseKind } from '../piece/table/form';
import { HOLDS } from '../piece/table/holds/hold';
import { thicknessInside } from '../piece/worked-edge';
import { travelOfTop } from '../season/restraint-of-piece';
import { sizeAt } from '../season/size-at';
import type { Convex } from '../solid/convex';
import { type Flat, hullOf, insideBy } from '../solid/outline';
import { type Check, judge, type TableContext } from './check';
import { LEAST_OVER_SCREW } from './hold-changes';

/** A gap that closes presses slat on slat; common practice leaves so much at the wettest, mm. */
const LEAST_GAP = 2;
/** A gap that a small finger goes into and does not come out of lies between these, mm; caution of common practice. */
const GREATEST_GAP = 7;

/** The gaps of a slatted top at the driest and at the wettest: each slat moves about its own middle. */
export function gapsOfSlats({ document, piece, season }: TableContext): Check[] {
  const { gap } = piece.top;
  const slat = findPart(piece, piece.top.leading);
  const { top } = document.form;
  if (gap === undefined || !slat || top.kind !== 'slatted') return [];
  const gapAt = (moisture: number) => {
    const grown = sizeAt(slat, season, moisture).width - sizeAt(slat, season, season.glued.moisture).width;
    return gap - grown;
  };
  const [wide, narrow] = [gapAt(season.driest.moisture), gapAt(season.wettest.moisture)];
  const level = judge(narrow, 0, { sense: 'at-least', watchFrom: LEAST_GAP });
  const better = Math.ceil((gap + LEAST_GAP - narrow) * 2) / 2;
  const figure = {
    id: 'gap-wettest',
    label: 'Gap between slats at the wettest',
    quantity: movement(narrow),
    formula: 'gap when made − (slat at the wettest − slat when made)',
    inputs: [
      { label: 'Gap when made', quantity: movement(gap) },
      { label: 'Slat, wide', quantity: mm(slat.size.width) },
      { label: 'Gap at the driest', quantity: movement(wide) },
    ],
    source: 'each slat is held in its middle only, common practice; widths by the season',
  };
  return [
    {
      id: 'season.gaps',
      step: 'season',
      level,
      sentence:
        level === 'stop'
          ? say`At the wettest the slats meet and press on each other by ${movement(-narrow)}.`
          : say`The gaps between slats go from ${movement(wide)} at the driest to ${movement(narrow)} at the wettest.`,
      value: movement(narrow),
      limit: movement(level === 'stop' ? 0 : LEAST_GAP),
      where: piece.top.parts,
      why: 'Slats that meet push their screws out or bow; water stands in a gap that is nearly closed.',
      school: 'Each slat fixed in its middle, common practice',
      figure,
      ...(level === 'good'
        ? {}
        : {
            wayOut: {
              say: say`Leave ${movement(better)} between them`,
              changes: [{ path: 'form.top.gap', value: better }],
            },
          }),
    },
    {
      id: 'form.gap-wide',
      step: 'form',
      level: wide > GREATEST_GAP ? 'watch' : 'good',
      sentence: say`At the driest the gaps are ${movement(wide)} wide.`,
      value: movement(wide),
      limit: movement(GREATEST_GAP),
      where: piece.top.parts,
      why: 'Gaps a little wider than this can hold a child’s finger; local rules for furniture used by children come first.',
      school: 'common practice',
      wayOut: { say: say`Take more and narrower slats with smaller gaps`, changes: [] },
    },
  ];
}

/** How far a panel may stand out beyond its ends, or its ends beyond it, before hands find it, mm; common practice. */
const FELT = 3;

/** Breadboard ends keep their length while the panel between them comes and goes. */
export function breadboardEnds({ document, piece, season }: TableContext): Check[] {
  const { top } = document.form;
  const end = findPart(piece, 'breadboard-left');
  const panel = findPart(piece, 'top');
  if (top.kind !== 'breadboard' || !end || !panel) return [];
  const { driest, wettest } = season.leadingWidth;
  const [proud, short] = [end.size.length - driest, wettest - end.size.length];
  const worst = Math.max(proud, short) / 2;
  const level = worst > FELT ? 'watch' : 'good';
  const now = end.size.length - panel.size.width;
  const middle = Math.max(0, Math.min(30, Math.round((driest + wettest) / 2 - panel.size.width)));
  const quarterSawn = [{ path: 'season.ringAngle', value: 90 }];
  return [
    {
      id: 'season.breadboard-ends',
      step: 'season',
      level,
      sentence:
        short > 0
          ? say`At the wettest the panel stands ${movement(short / 2)} out beyond its ends on each side; at the driest the ends stand ${movement(Math.max(0, proud / 2))} out.`
          : say`The ends stand out beyond the panel all year, up to ${movement(proud / 2)} on each side.`,
      value: movement(worst),
      limit: movement(FELT),
      where: ['breadboard-left', 'breadboard-right'],
      why: 'A panel across which nothing moves is not to be had: what shows is where the two ends of its year lie.',
      school: 'Ends a little longer than a top made in the dry season, common practice',
      figure: {
        id: 'breadboard-step',
        label: 'Step between panel and end, each side, at its most',
        quantity: movement(worst),
        formula: 'max(end − driest, wettest − end) ÷ 2',
        inputs: [
          { label: 'End, long', quantity: movement(end.size.length) },
          { label: 'Panel at the driest', quantity: movement(driest) },
          { label: 'Panel at the wettest', quantity: movement(wettest) },
          { label: 'Longer than the panel when made', quantity: movement(now) },
        ],
        source: 'widths by the season; an end hardly moves along its grain',
      },
      wayOut: {
        say: say`Make the ends ${movement(middle)} longer than the panel: half-way through its year`,
        changes: [{ path: 'form.top.end.proud', value: middle }],
      },
      otherWaysOut: [
        { say: say`Take quarter-sawn boards, which move half as much`, changes: quarterSawn },
        {
          say: say`Take quarter-sawn boards, and make the ends ${movement(middle / 2)} longer than the panel`,
          changes: [...quarterSawn, { path: 'form.top.end.proud', value: middle / 2 }],
        },
        {
          say: say`Let the step show and round its corners: no length of the ends hides so much movement`,
          changes: [],
        },
      ],
    },
  ];
}

/** The outer pegs of a breadboard against the slots their tenons have room for. */
export function pegsInSlots({ document, piece, restraint }: TableContext): Check[] {
  const { top } = document.form;
  if (top.kind !== 'breadboard' || top.end.pegs === 'none') return [];
  const ways = travelOfTop(piece, restraint).filter((way) => way.tie.includes(':peg-'));
  const outward = Math.max(0, ...ways.map((way) => way.outward.need));
  const inward = Math.max(0, ...ways.map((way) => way.inward.need));
  const needed = Math.max(outward, inward);
  const given = { width: piece.top.size.width, thickness: piece.top.size.thickness };
  const room = slotRoom({ ...given, tongue: top.end.tongue, tenons: top.end.tenons });
  const level = judge(needed, room, { sense: 'at-most' });
  const peg = pegDiameter(given.thickness);
  const figure = {
    id: 'peg-slot',
    label: 'Slot for the outer pegs, toward the middle of the panel',
    quantity: movement(Math.ceil(outward * 1.25 * 2) / 2 + peg),
    formula: 'peg + what the panel grows there, a quarter in hand',
    inputs: [
      { label: 'Peg', quantity: mm(peg) },
      { label: 'Outward', quantity: movement(outward) },
      { label: 'Inward', quantity: movement(inward) },
      { label: 'Room in the tenon, each way', quantity: movement(room) },
      { label: 'Tongue, thick', quantity: mm(tongueThickness(given.thickness)) },
      ...(top.end.pegs === 'draw-bored'
        ? [{ label: 'Tongue’s holes toward the shoulder by', quantity: movement(DRAW_BORE) }]
        : []),
    ],
    source: 'difference constraints over the year, see Methods',
  };
  return [
    {
      id: 'joints.peg-slots',
      step: 'joints',
      level,
      sentence:
        level === 'stop'
          ? say`At the outer pegs the panel goes ${movement(needed)}; their tenons have room for slots of ${movement(room)} each way.`
          : say`The outer pegs want slots of ${movement(inward)} toward the edge and ${movement(outward)} toward the middle beside the peg.`,
      value: movement(needed),
      limit: movement(room),
      where: ['top', 'breadboard-left', 'breadboard-right'],
      why: 'A peg in a round hole holds the panel’s edge to an end that does not move: the panel splits.',
      school: 'Middle glued, outer pegs in slots, common practice',
      figure,
      wayOut:
        top.end.tongue === 'long'
          ? {
              say: say`Take quarter-sawn boards, or leave the outer pegs away`,
              changes: [{ path: 'form.top.end.pegs', value: 'none' }],
            }
          : {
              say: say`Take one long tongue, in which slots have room`,
              changes: [{ path: 'form.top.end.tongue', value: 'long' }],
            },
    },
  ];
}

/** What stands under the top must not come out beyond its outline. */
export function baseUnderOutline({ document, piece }: TableContext): Check[] {
  const { polygon } = piece.top;
  const { base } = document.form;
  // Sides mitred to the top end with it.
  if (baseKind(base.kind).foldedWithTop) return [];
  const heads = headsUnderTop(piece);
  const off = heads.map((head) => ({
    ...head,
    inside: Math.min(...head.corners.map((corner) => insideBy(polygon, corner))),
  }));
  const worst = off.reduce<(typeof off)[number] | null>((a, b) => (!a || b.inside < a.inside ? b : a), null);
  if (!worst) return [];
  const level = judge(worst.inside, 0, { sense: 'at-least', watchFrom: 5 });
  const farther = Math.ceil(-worst.inside + 20);
  return [
    {
      id: 'form.under-outline',
      step: 'form',
      level,
      sentence:
        level === 'stop'
          ? say`${worst.name} stands ${mm(-worst.inside)} out beyond the edge of the top.`
          : say`Everything under the top stays at least ${mm(worst.inside)} inside its edge.`,
      value: mm(worst.inside),
      limit: mm(0),
      where: [worst.id, ...piece.top.parts],
      why: 'The corner of a square base reaches farthest: under a round or curved top it comes out first.',
      school: 'geometry',
      ...(level === 'good'
        ? {}
        : {
            wayOut:
              base.kind === 'splayed'
                ? {
                    say: say`Set the legs ${mm(farther)} nearer to the middle`,
                    changes: [{ path: 'form.base.reach', value: Math.max(100, base.reach - farther) }],
                  }
                : {
                    say: say`Let the top overhang ${mm(farther)} more on all sides`,
                    changes: [
                      { path: 'form.top.endOverhang', value: document.form.top.endOverhang + farther },
                      { path: 'form.top.sideOverhang', value: document.form.top.sideOverhang + farther },
                    ],
                  },
          }),
    },
  ];
}

/** Corners of each part of the base at the height of the top's underside, seen from above. */
function headsUnderTop(piece: TableContext['piece']) {
  const underside = piece.overall.height - piece.top.size.thickness;
  return piece.parts.flatMap((part) => {
    // What holds two tables together stands out under the other.
    if (part.kind === 'connector' || piece.top.parts.includes(part.id)) return [];
    const corners: Flat[] = [];
    const take = (solid: Convex) => {
      const { from, to } = solid.bounds;
      if (to[2] < underside - 0.5 || from[2] > underside + 0.5) return;
      for (const p of solid.corners) if (Math.abs(p[2] - underside) < 0.5) corners.push([p[0], p[1]]);
    };
    for (const solid of part.placed) take(solid);
    for (const { solid } of part.added) take(solid);
    return corners.length > 0 ? [{ id: part.id, name: part.name, corners: hullOf(corners) }] : [];
  });
}

/** Fasteners against the outline that is cut, and against an edge bevelled from below. */
export function fastenersInOutline({ document, piece }: TableContext): Check[] {
  if (piece.fasteners.length === 0) return [];
  const { top, hold } = document.form;
  const edge = 'edge' in top ? top.edge : ({ kind: 'square' } as const);
  const rule = HOLDS[hold.kind];
  const bite = hold.screwLength - rule.underHead;
  const off = piece.fasteners.map((fastener) => {
    const inside = insideBy(piece.top.polygon, [fastener.x, fastener.y]);
    return { fastener, inside, left: thicknessInside(piece.top.size.thickness, edge, inside) - bite };
  });
  const out = off.filter(({ inside }) => inside < FROM_EDGE);
  const nearest = Math.min(...off.map(({ inside }) => inside));
  const checks: Check[] = [
    {
      id: 'fasteners.outline',
      step: 'joints',
      level: out.length > 0 ? 'stop' : 'good',
      sentence:
        out.length > 0
          ? say`${`${out.length}`} of the fasteners stand ${mm(Math.max(0, nearest))} or less from where the edge is cut.`
          : say`Every fastener stands at least ${mm(nearest)} inside the edge.`,
      value: mm(nearest),
      limit: mm(FROM_EDGE),
      where: out.map(({ fastener }) => fastener.id),
      why: 'A screw in the way of a saw or a cutter ruins the blade, and the edge shows its hole.',
      school: 'common practice',
      wayOut: { say: say`Set the base farther in`, changes: [] },
    },
  ];
  // Battens have screws of their own, cut to length for them.
  const chosen = off.filter(({ fastener }) => !fastener.own);
  if (edge.kind === 'under-bevelled' && chosen.length > 0) {
    const thinnest = Math.min(...chosen.map(({ left }) => left));
    const level = judge(thinnest, LEAST_OVER_SCREW, { sense: 'at-least' });
    checks.push({
      id: 'fasteners.in-bevel',
      step: 'joints',
      level,
      sentence:
        level === 'stop'
          ? say`In the bevel the screws leave ${mm(thinnest)} of wood under the show face.`
          : say`No screw stands where the bevel has taken the top too thin.`,
      value: mm(thinnest),
      limit: mm(LEAST_OVER_SCREW),
      where: chosen.filter(({ left }) => left < LEAST_OVER_SCREW).map(({ fastener }) => fastener.id),
      why: 'Bevelled from below, a top is thinner at its edge than where its thickness is measured.',
      school: 'common practice',
      wayOut: { say: say`Set the base farther in, or make the bevel narrower`, changes: [] },
    });
  }
  return checks;
}

/** A screw stands at least so far from an edge that is cut later, mm; common practice. */
const FROM_EDGE = 15;
