import type { LaidChoice } from '../document/job-document';
import type { PanelDemand } from '../layout/demand';
import { ordersOf } from '../measure/orders';
import { seededRandom } from '../measure/random';
import { ringKind } from '../stock/ring-kind';
import type { RingSchool } from '../wood/panel-shape';
import { ringAngleAt } from '../wood/rings';
import { type LaidStrip, layInOrder, panelMatch, unitsOf } from './lay-panel';
import { shortStrips, trimLaid } from './trim-panel';

/** Strips, or pairs, up to which every order is tried. */
const FEW = { strips: 6, pairs: 4 };
/** Orders drawn at random that the search begins from too. */
const SHUFFLES = 6;
const ROUNDS = 60;

/** What is moved as one: a strip alone, or a pair. */
type Unit = readonly LaidStrip[];

/**
 * The order in which the strips run into one another best, joint lines off the fasteners before all else. Of few
 * strips every order is tried; more of them are moved, and runs of them turned about, until nothing is better, from
 * several beginnings. The leaves of a pair stay side by side, joined at either edge. Deterministic.
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
  const laid = (order: readonly Unit[]) => layInOrder(panel, order.flat(), school, choices);
  const cost = (order: readonly Unit[]) => {
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
  const units: readonly Unit[] = unitsOf(given.strips);
  const sorted = (by: (a: LaidStrip, b: LaidStrip) => number) =>
    [...units].sort(([a], [b]) => (a && b ? by(a, b) || a.strip - b.strip : 0));
  const starts = [
    [...units],
    sorted((a, b) => (a.board.tone ?? 3) - (b.board.tone ?? 3)),
    sorted((a, b) => a.board.lot.localeCompare(b.board.lot)),
    sorted((a, b) => ringRank(a) - ringRank(b)),
  ];
  let best = { order: [...units], cost: cost(units) };
  if (units.length <= (panel.pairs ? FEW.pairs : FEW.strips)) {
    for (const order of ordersOf(units)) {
      for (const opened of openings(order)) {
        const found = cost(opened);
        if (found < best.cost - 1e-9) best = { order: opened, cost: found };
      }
    }
    return laid(best.order);
  }
  const random = seededRandom(1);
  for (let i = 0; i < SHUFFLES; i += 1) starts.push(shuffled(units, random));
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

function shuffled<T>(list: readonly T[], random: () => number): T[] {
  const order = [...list];
  for (let i = order.length - 1; i > 0; i -= 1) {
    const j = Math.floor(random() * (i + 1));
    [order[i], order[j]] = [order[j] as T, order[i] as T];
  }
  return order;
}

/** An order with its pairs opened at either edge, every way there is. */
function* openings([first, ...rest]: readonly Unit[]): Generator<Unit[]> {
  if (!first) {
    yield [];
    return;
  }
  for (const others of openings(rest)) {
    yield [first, ...others];
    if (first.length > 1) yield [[...first].reverse(), ...others];
  }
}

/** Every order that moving one unit, exchanging two, turning a run about or opening a pair at its other edge makes. */
function* neighbours(order: readonly Unit[]): Generator<Unit[]> {
  const n = order.length;
  for (let i = 0; i < n; i += 1) {
    const unit = order[i] as Unit;
    if (unit.length > 1) yield [...order.slice(0, i), [...unit].reverse(), ...order.slice(i + 1)];
    for (let j = 0; j < n; j += 1) {
      if (i === j) continue;
      const moved = [...order];
      moved.splice(j, 0, ...moved.splice(i, 1));
      yield moved;
      if (j < i + 2) continue;
      yield [...order.slice(0, i), ...order.slice(i, j + 1).reverse(), ...order.slice(j + 1)];
      const exchanged = [...order];
      [exchanged[i], exchanged[j]] = [order[j] as Unit, order[i] as Unit];
      yield exchanged;
    }
  }
}
