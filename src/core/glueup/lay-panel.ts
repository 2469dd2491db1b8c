import type { LaidChoice } from '../decision/job-document';
import type { PanelDemand } from '../layout/demand';
import type { Layout, Placement } from '../layout/layout';
import type { Figure } from '../measure/figure';
import { seededRandom } from '../measure/random';
import { chordAt } from '../solid/outline';
import { type Board, type Defect, ringsAt } from '../stock/board';
import { ringKind } from '../stock/ring-kind';
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
  choice.board === board.tag && Math.abs(choice.x - placement.x) < NEAR && Math.abs(choice.y - placement.y) < NEAR;

type Sawn = Pick<LaidStrip, 'strip' | 'label' | 'board' | 'placement' | 'width'>;

function sawnStrips(panel: PanelDemand, layout: Layout, boards: readonly Board[]): Sawn[] {
  const labels = layout.strips.filter((strip) => strip.panel === panel.id);
  return layout.placements
    .filter((p) => p.part === panel.id && p.strip !== undefined)
    .sort((a, b) => (a.strip ?? 0) - (b.strip ?? 0))
    .flatMap((placement, i) => {
      const board = boards.find((b) => b.id === placement.board);
      const label = labels[i]?.label ?? `${panel.letter}${i + 1}`;
      return board
        ? [{ strip: placement.strip ?? i, label, board, placement, width: placement.width - panel.jointing }]
        : [];
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

function layInOrder(
  panel: PanelDemand,
  sawn: readonly Sawn[],
  school: RingSchool,
  choices: readonly LaidChoice[],
): LaidStrip[] {
  const hearts = heartSides(sawn.length, school, (i) => sawn[i]?.placement.turned ?? false);
  return sawn.map((s, i) => {
    const own = choices.find(laidAs(s.board, s.placement));
    return lay(panel, s, own?.heartUp ?? hearts[i] ?? false, own?.reversed ?? null);
  });
}

function lay(panel: PanelDemand, s: Sawn, heartUp: boolean, ownReversed: boolean | null): LaidStrip {
  const { board, placement } = s;
  // Turned over, a face that planed away from the tag planes toward it, and so it does end for end.
  const away = board.planes === null ? null : (board.planes === 'far-end') !== heartUp;
  const reversed = ownReversed ?? away === false;
  const rings = ringsAt(board, placement.y + placement.width / 2);
  const mirrored = heartUp !== reversed;
  const use = { kind: 'strip' as const, shows: panel.shows };
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

const meets = (d: Defect, p: Placement) =>
  d.x < p.x + p.length && p.x < d.x + d.length && d.y < p.y + p.width && p.y < d.y + d.width;

/** The maker's order and turns, to be kept: every strip is spoken of, turns only where they are the maker's own. */
export function choicesOf(strips: readonly LaidStrip[], before: readonly LaidChoice[]): LaidChoice[] {
  return strips.map(({ board, placement }) => {
    const own = before.find(laidAs(board, placement));
    return {
      board: board.tag,
      x: placement.x,
      y: placement.y,
      heartUp: own?.heartUp ?? null,
      reversed: own?.reversed ?? null,
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

/** Where the panel is trimmed to its finished width, and how near its joint lines come to what is driven into it. */
export interface PanelTrim {
  /** Off the first and the last strip, mm. */
  left: number;
  right: number;
  /** Of every joint, mm from the middle of the finished panel to the right. */
  joints: number[];
  /** Between a joint and the nearest fastener, mm; null without joints or fasteners. */
  clearance: number | null;
}

/**
 * Takes the finished panel out of the glued one so that joint lines keep off the fasteners: from the middle where they
 * do, else shifted as little as does it, else where they come least near. Nothing is driven into a joint.
 *
 * @param fasteners mm from the middle of the panel to the right
 * @param margin wanted between a joint and a fastener, mm
 * @param lacking what strips are too short where so much is trimmed off the left, mm; before all else
 */
export function trimPanel(
  widths: readonly number[],
  finished: number,
  fasteners: readonly number[],
  margin: number,
  lacking: (left: number) => number = () => 0,
): PanelTrim {
  const total = widths.reduce((sum, width) => sum + width, 0);
  const spare = Math.max(0, total - finished);
  const lines: number[] = [];
  let run = 0;
  for (const width of widths.slice(0, -1)) {
    run += width;
    lines.push(run - total / 2);
  }
  const rows = [...new Set(fasteners)];
  const nearest = (shift: number) => {
    let least = Number.POSITIVE_INFINITY;
    for (const line of lines) for (const row of rows) least = Math.min(least, Math.abs(line - shift - row));
    return least;
  };
  // The least shift that clears a joint puts it just at the margin of some fastener.
  const shifts = [0, -spare / 2, spare / 2];
  for (const line of lines) for (const row of rows) shifts.push(line - row - margin, line - row + margin);
  const step = 2;
  for (let shift = -spare / 2; shift <= spare / 2; shift += step) shifts.push(shift);
  let best = { shift: 0, near: nearest(0), lacking: lacking(spare / 2) };
  for (const shift of shifts) {
    if (Math.abs(shift) > spare / 2 + 1e-9) continue;
    const near = nearest(shift);
    const [enough, had] = [Math.min(near, margin), Math.min(best.near, margin)];
    const short = lacking(spare / 2 + shift);
    if (short > best.lacking + 1e-9) continue;
    const better =
      short < best.lacking - 1e-9 ||
      enough > had + 1e-9 ||
      (enough > had - 1e-9 && Math.abs(shift) < Math.abs(best.shift) - 1e-9);
    if (better) best = { shift, near, lacking: short };
  }
  return {
    left: spare / 2 + best.shift,
    right: spare / 2 - best.shift,
    joints: lines.map((line) => line - best.shift),
    clearance: Number.isFinite(best.near) ? best.near : null,
  };
}

/** Beyond the outline a strip must reach at least so far at each end, for the saw, mm; common practice. */
const FOR_THE_SAW = 3;

/**
 * Strips that are too short where they lie, with what they lack, mm: toward its sides a round panel wants shorter strips
 * than in its middle, and each must reach beyond the outline over all of its width.
 *
 * @param left what is trimmed off the first strip, mm
 */
export function shortStrips(
  panel: PanelDemand,
  strips: readonly Pick<LaidStrip, 'width' | 'placement' | 'label'>[],
  left: number,
): { label: string; lacking: number }[] {
  const { outline, finished } = panel;
  if (!outline) return [];
  let run = -left - finished.width / 2;
  return strips.flatMap(({ width, placement, label }) => {
    const [from, to] = [run, run + width];
    run = to;
    const half = finished.width / 2;
    const [low, high] = [Math.max(-half, from), Math.min(half, to)];
    if (high - low < 0.01) return [];
    // An outline without hollows is longest, over a width, where that comes nearest to its middle.
    const at = Math.max(low, Math.min(high, 0));
    const chord = chordAt(outline, at);
    const need = chord ? 2 * Math.max(Math.abs(chord.from), Math.abs(chord.to)) + 2 * FOR_THE_SAW : 0;
    const lacking = need - placement.length;
    return lacking > 0.01 ? [{ label, lacking }] : [];
  });
}

const lackingOf = (panel: PanelDemand, strips: readonly LaidStrip[], left: number) =>
  shortStrips(panel, strips, left).reduce((sum, { lacking }) => sum + lacking, 0);

/** How a laid panel is trimmed: joint lines off the fasteners, and a round outline within its strips before all. */
export function trimLaid(
  panel: PanelDemand,
  strips: readonly LaidStrip[],
  fasteners: readonly number[],
  margin: number,
): PanelTrim {
  const widths = strips.map((strip) => strip.width);
  return trimPanel(
    widths,
    panel.finished.width,
    fasteners,
    margin,
    panel.outline ? (left) => lackingOf(panel, strips, left) : undefined,
  );
}

/** How near a joint line comes to what is driven into the panel, with what it comes from. */
export function clearanceFigure(trim: PanelTrim, margin: number, fasteners: number): Figure | undefined {
  if (trim.clearance === null) return undefined;
  return {
    id: 'panel-clearance',
    label: 'Joint nearest a fastener',
    quantity: { amount: trim.clearance, unit: 'mm-movement' },
    formula: 'least distance between a joint line and a fastener, across the panel',
    inputs: [
      { label: 'Joint lines', quantity: { amount: trim.joints.length, unit: 'count' } },
      { label: 'Fasteners', quantity: { amount: fasteners, unit: 'count' } },
      { label: 'Off the left edge', quantity: { amount: trim.left, unit: 'mm-movement' } },
      { label: 'Off the right edge', quantity: { amount: trim.right, unit: 'mm-movement' } },
      { label: 'Wanted at least', quantity: { amount: margin, unit: 'mm' } },
    ],
    source: 'geometry of the strips as laid and of the fasteners; the margin is yours',
  };
}

/** Strips up to which every order is tried. */
const FEW = 6;
/** Orders drawn at random that the search begins from too. */
const SHUFFLES = 6;
const ROUNDS = 60;

/**
 * The order in which the strips run into one another best, joint lines off the fasteners before all else. Up to six
 * strips every order is tried; more of them are moved, and runs of them turned about, until nothing is better, from
 * several beginnings. Deterministic.
 *
 * @returns the strips in that order, laid by the school and the maker's own turns
 */
export function bestOrder(given: {
  panel: PanelDemand;
  strips: readonly LaidStrip[];
  school: RingSchool;
  choices: readonly LaidChoice[];
  fasteners: readonly number[];
  margin: number;
}): LaidStrip[] {
  const { panel, school, choices, fasteners, margin } = given;
  const laid = (order: readonly LaidStrip[]) => layInOrder(panel, order, school, choices);
  const cost = (order: readonly LaidStrip[]) => {
    const now = laid(order);
    const { clearance, left } = trimLaid(panel, now, fasteners, margin);
    const short = clearance === null ? 0 : Math.max(0, margin - clearance) / margin;
    const showing = now.filter((s) => s.showing.length > 0).length;
    return (
      40 * shortStrips(panel, now, left).length +
      10 * short +
      20 * showing +
      panelMatch(now).joints.reduce((sum, joint) => sum + joint.total, 0)
    );
  };
  // Strips of one panel are alike whichever end the order is told from, so a fixed sorting is as good a start as any.
  const starts = [
    [...given.strips],
    [...given.strips].sort((a, b) => (a.board.tone ?? 3) - (b.board.tone ?? 3) || a.strip - b.strip),
    [...given.strips].sort((a, b) => a.board.lot.localeCompare(b.board.lot) || a.strip - b.strip),
    [...given.strips].sort((a, b) => ringRank(a) - ringRank(b) || a.strip - b.strip),
  ];
  let best = { order: [...given.strips], cost: cost(given.strips) };
  if (given.strips.length <= FEW) {
    for (const order of ordersOf(given.strips)) {
      const found = cost(order);
      if (found < best.cost - 1e-9) best = { order, cost: found };
    }
    return laid(best.order);
  }
  const random = seededRandom(1);
  for (let i = 0; i < SHUFFLES; i += 1) starts.push(shuffled(given.strips, random));
  for (const start of starts) {
    let now = { order: start, cost: cost(start) };
    for (let round = 0; round < ROUNDS; round += 1) {
      let better = now;
      for (const order of neighbours(now.order)) {
        const found = cost(order);
        if (found < better.cost - 1e-9) better = { order, cost: found };
      }
      if (better === now) break;
      now = better;
    }
    if (now.cost < best.cost - 1e-9) best = now;
  }
  return laid(best.order);
}

const ringRank = (s: LaidStrip) =>
  ({ flat: 0, rift: 1, quarter: 2 })[ringKind(typeof s.rings === 'number' ? s.rings : ringAngleAt(s.rings, 0))];

/** Every order there is. */
function* ordersOf<T>(list: readonly T[]): Generator<T[]> {
  if (list.length < 2) yield [...list];
  for (const [i, first] of list.entries()) {
    for (const rest of ordersOf([...list.slice(0, i), ...list.slice(i + 1)])) yield [first, ...rest];
  }
}

function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const order = [...list];
  for (let i = order.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j] as T, order[i] as T];
  }
  return order;
}

/** Every order that moving one strip, exchanging two or turning a run about makes. */
function* neighbours<T>(order: readonly T[]): Generator<T[]> {
  const n = order.length;
  for (let i = 0; i < n; i += 1) {
    for (let j = 0; j < n; j += 1) {
      if (i === j) continue;
      const moved = [...order];
      moved.splice(j, 0, ...moved.splice(i, 1));
      yield moved;
      if (j < i + 2) continue;
      yield [...order.slice(0, i), ...order.slice(i, j + 1).reverse(), ...order.slice(j + 1)];
      const exchanged = [...order];
      [exchanged[i], exchanged[j]] = [order[j] as T, order[i] as T];
      yield exchanged;
    }
  }
}
