import type { LaidChoice } from '../document/job-document';
import { blanksOf } from '../layout/blanks';
import type { PanelDemand } from '../layout/demand';
import type { Layout, Placement } from '../layout/layout';
import { stripUse } from '../layout/matched-pairs';
import { type Board, type Defect, ringsAt } from '../stock/board';
import { spoils } from '../stock/spoils';
import { heartSides, type RingSchool } from '../wood/panel-shape';
import { type Rings, ringAngleAt } from '../wood/rings';

/**
 * A strip as it lies in its panel. The panel is seen from its near end, show face up, the first strip at the left. A
 * strip that is neither turned over nor turned end for end lies as its board does: tagged face up, tagged end here, near edge left.
 */
export interface LaidStrip {
  /** Its number among the strips of the layout; its label does not change when it is moved. */
  strip: number;
  label: string;
  board: Board;
  placement: Placement;
  /** After jointing, mm. */
  width: number;
  /** Strips resawn from its blank, itself among them. */
  leaves: number;
  /** Whether those belong side by side. */
  paired: boolean;
  /** As they lie here: offsets count to the right. */
  rings: Rings;
  /** The heart side is up: the face under the tagged one, for the tagged face is taken as the bark side. */
  heartUp: boolean;
  /** End for end: the end away from the tag lies here. */
  reversed: boolean;
  /** Toward which end of the panel it planes well; null where nobody looked. */
  planes: 'away' | 'here' | null;
  /** What may not be seen but is, as it lies. */
  showing: readonly Defect[];
}

const NEAR = 0.01;

/** Tells a strip by where it is sawn from: that stays when the layout is searched anew around it. */
export const laidAs = (board: Pick<Board, 'tag'>, placement: Placement) => (choice: LaidChoice) =>
  choice.board === board.tag &&
  Math.abs(choice.x - placement.x) < NEAR &&
  Math.abs(choice.y - placement.y) < NEAR &&
  (choice.layer ?? 0) === (placement.layer ?? 0);

type Sawn = Pick<LaidStrip, 'strip' | 'label' | 'board' | 'placement' | 'width' | 'leaves' | 'paired'>;

function sawnStrips(panel: PanelDemand, layout: Layout, boards: readonly Board[]): Sawn[] {
  const labels = layout.strips.filter((strip) => strip.panel === panel.id);
  const own = layout.placements.filter((p) => p.part === panel.id && p.strip !== undefined);
  const blanks = blanksOf(own);
  return own
    .sort((a, b) => (a.strip ?? 0) - (b.strip ?? 0))
    .flatMap((placement, i) => {
      const board = boards.find((b) => b.id === placement.board);
      if (!board) return [];
      return [
        {
          strip: placement.strip ?? i,
          label: labels[i]?.label ?? `${panel.letter}${i + 1}`,
          board,
          placement,
          width: placement.width - panel.jointing,
          leaves: blanks.find((blank) => blank.placements.includes(placement))?.placements.length ?? 1,
          paired: panel.pairs !== undefined,
        },
      ];
    });
}

/**
 * The strips of a panel side by side: in the maker's order, those not spoken of behind it as they come from the
 * layout; the heart sides by the school unless the maker has turned one over; end for end so that all plane the same way where that is known.
 */
export function layPanel(given: {
  panel: PanelDemand;
  layout: Layout;
  boards: readonly Board[];
  school: RingSchool;
  choices: readonly LaidChoice[];
}): LaidStrip[] {
  const { panel, layout, boards, school, choices } = given;
  const sawn = sawnStrips(panel, layout, boards);
  const placeOf = (s: Sawn) => {
    const at = choices.findIndex(laidAs(s.board, s.placement));
    return at < 0 ? choices.length : at;
  };
  const ordered = sawn.map((s) => ({ s, at: placeOf(s) })).sort((a, b) => a.at - b.at || a.s.strip - b.s.strip);
  return layInOrder(
    panel,
    ordered.map(({ s }) => s),
    school,
    choices,
  );
}

/** Strips in an order already chosen, turned by the school and the maker's own choices. */
export function layInOrder(
  panel: PanelDemand,
  sawn: readonly Sawn[],
  school: RingSchool,
  choices: readonly LaidChoice[],
): LaidStrip[] {
  const units = unitsOf(sawn);
  const hearts = heartSides(units.length, school, (i) => units[i]?.[0]?.placement.turned ?? false);
  return units.flatMap((unit, i) => {
    const own = unit.map((s) => choices.find(laidAs(s.board, s.placement)));
    // What is chosen of one leaf holds for both.
    const said = own.findIndex((choice) => typeof choice?.heartUp === 'boolean');
    const chosen = said < 0 ? undefined : own[said]?.heartUp !== otherWayUp(panel, unit[said] as Sawn);
    // A book opens with its sawn faces up: the upper leaf is turned over.
    const upperOver = chosen ?? (panel.pairs === 'book' ? true : (hearts[i] ?? false));
    const upper = unit.find(isUpper) ?? (unit[0] as Sawn);
    const reversed = own.find((choice) => typeof choice?.reversed === 'boolean')?.reversed;
    const endForEnd = reversed ?? planesAway(upper.board, upperOver) === false;
    return unit.map((s) => lay(panel, s, upperOver !== otherWayUp(panel, s), endForEnd));
  });
}

/** Whether a leaf lies the other way up than the upper one of its pair. */
const otherWayUp = (panel: PanelDemand, strip: Sawn): boolean => panel.pairs === 'book' && !isUpper(strip);

const isUpper = ({ placement }: Pick<LaidStrip, 'placement'>): boolean => (placement.layer ?? 0) === 0;

/** Strips of one unit are from one blank, and stay side by side: the two leaves of a pair, or one strip alone. */
export function unitsOf<S extends Pick<LaidStrip, 'board' | 'placement' | 'paired'>>(strips: readonly S[]): S[][] {
  const units: S[][] = [];
  for (const strip of strips) {
    const { board, placement, paired } = strip;
    const partner =
      !paired || placement.layer === undefined
        ? undefined
        : units.find(
            ([first]) =>
              first &&
              first.board.id === board.id &&
              first.placement.layer !== undefined &&
              laidOver(first.placement, placement),
          );
    if (partner) partner.push(strip);
    else units.push([strip]);
  }
  return units;
}

const laidOver = (a: Placement, b: Placement): boolean => Math.abs(a.x - b.x) < NEAR && Math.abs(a.y - b.y) < NEAR;

/** The other leaf of a strip's pair, where it has one. */
export const partnerOf = (strips: readonly LaidStrip[], strip: LaidStrip): LaidStrip | undefined =>
  unitsOf(strips)
    .find((unit) => unit.includes(strip))
    ?.find((other) => other !== strip);

/**
 * The strips with one of them where another is: its unit goes there whole, and a pair whose leaves change places is
 * opened at its other edge.
 */
export function moveStrip(strips: readonly LaidStrip[], from: number, to: number): LaidStrip[] {
  const units = unitsOf(strips);
  const unitAt = (index: number) => units.findIndex((unit) => unit.some((s) => s === strips[index]));
  const [a, b] = [unitAt(from), unitAt(to)];
  if (a < 0 || b < 0) return [...strips];
  if (a === b) units[a]?.reverse();
  else units.splice(b, 0, ...units.splice(a, 1));
  return units.flat();
}

/** What is to be kept of a strip that is turned by hand: its partner turns with it. */
export function turnedBy(
  strips: readonly LaidStrip[],
  strip: LaidStrip,
  before: readonly LaidChoice[],
  how: 'over' | 'end-for-end',
): LaidChoice[] {
  const unit = unitsOf(strips).find((own) => own.some((s) => s.strip === strip.strip)) ?? [];
  return choicesOf(strips, before).map((choice, i) => {
    const own = strips[i];
    if (!own || !unit.includes(own)) return choice;
    return how === 'over' ? { ...choice, heartUp: !own.heartUp } : { ...choice, reversed: !own.reversed };
  });
}

/** Turned over, a face that planed away from the tag planes toward it, and so it does end for end. */
const planesAway = ({ planes }: Pick<Board, 'planes'>, heartUp: boolean): boolean | null =>
  planes === null ? null : (planes === 'far-end') !== heartUp;

function lay(panel: PanelDemand, s: Sawn, heartUp: boolean, reversed: boolean): LaidStrip {
  const { board, placement } = s;
  const away = planesAway(board, heartUp);
  const rings = ringsOf(s);
  const mirrored = heartUp !== reversed;
  const use = stripUse(panel, s.leaves);
  const showing = board.defects.filter((d) => meets(d, placement) && spoils(d, use, heartUp ? 'under' : 'tagged'));
  return {
    ...s,
    rings: typeof rings === 'number' || !mirrored ? rings : { ...rings, offset: -rings.offset },
    heartUp,
    reversed,
    planes: away === null ? null : away !== reversed ? 'away' : 'here',
    showing,
  };
}

/** Of a strip as its board lies: those of a leaf are seen from its own mid-thickness, above or below that of the board. */
function ringsOf({ board, placement, leaves }: Sawn): Rings {
  const rings = ringsAt(board, placement.y + placement.width / 2);
  if (typeof rings === 'number' || placement.layer === undefined) return rings;
  const aboveMiddle = (board.thickness * (leaves - 1 - 2 * placement.layer)) / (2 * leaves);
  return { ...rings, distance: rings.distance + aboveMiddle };
}

const meets = (d: Defect, p: Placement) =>
  d.x < p.x + p.length && p.x < d.x + d.length && d.y < p.y + p.width && p.y < d.y + d.width;

/** What was chosen of some strips: of other panels, and other pieces of the job, it stays when one panel is laid anew. */
export const choicesAmong = (strips: readonly LaidStrip[], all: readonly LaidChoice[]): LaidChoice[] =>
  strips.flatMap(({ board, placement }) => all.find(laidAs(board, placement)) ?? []);

/** The maker's order and turns of a panel, to be kept: every strip is spoken of, turns only where they are the maker's own. */
export function choicesOf(strips: readonly LaidStrip[], before: readonly LaidChoice[]): LaidChoice[] {
  return strips.map(({ board, placement }) => {
    const own = before.find(laidAs(board, placement));
    return {
      board: board.tag,
      x: placement.x,
      y: placement.y,
      heartUp: own?.heartUp ?? null,
      reversed: own?.reversed ?? null,
      ...(placement.layer === undefined ? {} : { layer: placement.layer }),
    };
  });
}

/** What sets two neighbours off from one another, each from 0 for alike to 1. */
export interface JointMatch {
  tone: number;
  lot: number;
  rings: number;
  planes: number;
  /** Weighed together. */
  total: number;
}

/** What counts how much at a joint line; Taller's own weighing, for light shows before grain does. */
export const MATCH_WEIGHTS = { tone: 0.4, rings: 0.25, lot: 0.2, planes: 0.15 } as const;

/** How two strips meet at their joint: their tones, logs, rings at the joint and the way they plane; what nobody looked at counts as alike. */
export function jointMatch(left: LaidStrip, right: LaidStrip): JointMatch {
  const tone =
    left.board.tone === null || right.board.tone === null ? 0 : Math.abs(left.board.tone - right.board.tone) / 4;
  const lot = left.board.id === right.board.id || left.board.lot === right.board.lot ? 0 : 1;
  const rings = Math.abs(ringAngleAt(left.rings, left.width / 2) - ringAngleAt(right.rings, -right.width / 2)) / 90;
  const planes = left.planes !== null && right.planes !== null && left.planes !== right.planes ? 1 : 0;
  const w = MATCH_WEIGHTS;
  return { tone, lot, rings, planes, total: w.tone * tone + w.lot * lot + w.rings * rings + w.planes * planes };
}

/** How well the strips run into one another: 100 where every joint is between like and like. */
export function panelMatch(strips: readonly LaidStrip[]): { score: number; joints: JointMatch[] } {
  const joints = strips.slice(1).map((right, i) => jointMatch(strips[i] as LaidStrip, right));
  const sum = joints.reduce((total, joint) => total + joint.total, 0);
  return { score: joints.length === 0 ? 100 : 100 * (1 - sum / joints.length), joints };
}
