import type { LinearSolver } from '../linear/linear-problem';
import { seededRandom } from '../measure/random';
import type { Board } from '../stock/board';
import { checkLayout } from './check-layout';
import { choosePatterns } from './choose-patterns';
import { costBounds } from './cost-bound';
import { type CutPlan, problemOf } from './cut-plan';
import type { Demand } from './demand';
import { describeLayout, writtenLayout } from './describe-layout';
import { growPatterns } from './grow-patterns';
import { changed, firstPlan, freshPlan } from './improve';
import { fixedKey, type Layout, type LayoutOptions, layoutKey } from './layout';
import { leastCost } from './least-cost';
import { collect, noPatterns } from './patterns';
import { kindsOf, readyBoards } from './ready-boards';

export interface LayoutProgress {
  tried: number;
  /** Share of the effort spent, 0–1. */
  share: number;
  best: Layout;
}

const TRIES_BETWEEN_WORDS = 40;
/** Goes of changes, each begun hot; after each the best patterns met are chosen among anew. */
const GOES = 6;
/** The go that begins from a plan by the dice instead of the best: its patterns are unlike those of the others. */
const AFRESH = 1;
/** Changes tried before the bound is asked for: enough for a good answer at once. */
const EARLY = 400;
/** How far worse than the best a change may still be taken when a go begins, as a share of the cost. */
const HEAT = 0.012;
const CHOICE_NODES = 20;
/** Goes after which boards are sawn for the prices of the choice, before it is made. */
const GROWN = [0, 1];
/** Boards beyond which the bound leaves whole numbers out: it would take too long. */
const WHOLE_BOARDS = 25;
/** Rounds over whole numbers: of few boards, and of more at once and for so many changes asked for. */
const WHOLE_ROUNDS = { few: 6, more: 2, each: 4000 };
/** Boards that are few, and nodes of each search over whole numbers. */
const FEW_BOARDS = 10;
const BOUND_NODES = 40;
/** Rounds of the bound over bars, and over whole sawings after these. */
const [BAR_ROUNDS, SAWN_ROUNDS] = [8, 12];
/** Boards beyond which only the bound of areas is claimed. */
const BOUNDED_BOARDS = 120;

/**
 * Strips and parts onto boards at least cost: a constructed plan, improved by taking boards up and cutting them
 * again, beside a bound that no plan can beat. Deterministic for a seed and an effort.
 *
 * @param solver for the tighter bound and the choice among patterns; without it the bound is that of areas alone
 * @returns the best layout found; parts that fit nowhere are in its shortfall
 */
export function planLayout(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  solver?: LinearSolver,
): Layout {
  const search = searchLayout(demand, boards, options, solver);
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}

/**
 * The same search, handing out its best so far now and then, so that it can be shown and stopped.
 *
 * @param before a layout found earlier: where it still gives all that is asked, what comes out is no worse
 */
export function* searchLayout(
  demand: Demand,
  boards: readonly Board[],
  options: LayoutOptions,
  solver?: LinearSolver,
  before?: Layout | null,
): Generator<LayoutProgress, Layout> {
  const random = seededRandom(options.seed);
  const kinds = kindsOf(demand, options, boards);
  const problem = problemOf(kinds, readyBoards(boards, options, kinds), options);
  const key = layoutKey(demand, boards, options);
  const boundFor = fixedKey(options);
  // What was proved of the same task before still holds.
  const proved = before?.key === key && before.boundFor === boundFor ? before.bound : null;
  let bound = Math.max(leastCost(demand, boards, options), proved ?? 0);
  let best = firstPlan(problem, random);
  let tried = 1;
  const earlier = before ? stillGood(demand, boards, options, before) : null;
  const plans = bestPlans((plan) => describeLayout(problem, plan, demand, { key, bound, boundFor, tried }));
  plans.meet(best);
  const written = (): Layout => {
    const found = plans.best();
    const chosen = earlier && (!found || !isBetter(found, earlier)) ? earlier : (found as Layout);
    const { placements, offcuts, shortfall } = chosen;
    return writtenLayout(demand, boards, options, { placements, offcuts, shortfall, key, bound, boundFor, tried });
  };
  // Where all is sawn there is nothing to be had cheaper.
  if (kinds.parts.length + kinds.bands.length === 0) {
    bound = written().cost.total;
    return written();
  }
  const told = (): LayoutProgress => ({ tried, share: Math.min(1, tried / options.effort), best: written() });
  yield told();

  const tighten = function* (using: LinearSolver, sawnRounds: number, wholeRounds: number) {
    const rounds = { rounds: BAR_ROUNDS, sawnRounds, wholeRounds, nodes: BOUND_NODES };
    for (const found of costBounds(problem, using, rounds)) {
      // A layout that is there cannot cost less than the least: then the solver's numbers were off, and are not believed.
      if (found > written().cost.total) break;
      bound = Math.max(bound, found);
      yield told();
    }
  };

  const patterns = noPatterns();
  collect(patterns, problem, best);
  const each = Math.max(1, Math.ceil((options.effort - 1) / GOES));
  let bounded = !solver || boards.length > BOUNDED_BOARDS;
  let tightened = bounded;
  for (let go = 0; go < GOES && tried < options.effort; go += 1) {
    let current = go === AFRESH ? freshPlan(problem, random) : best;
    for (let i = 0; i < each && tried < options.effort; i += 1) {
      const next = changed(problem, current, random);
      tried += 1;
      const heat = HEAT * (1 - i / each) ** 2 * best.cost;
      if (next.cost < current.cost - heat * Math.log(random() + 1e-12) - 1e-9) current = next;
      if (next.cost < best.cost - 1e-9) best = next;
      plans.meet(next);
      if (next.cost < best.cost * 1.1) collect(patterns, problem, next);
      if (tried % TRIES_BETWEEN_WORDS === 0) yield told();
      if (!bounded && solver && tried >= EARLY && complete(best)) {
        bounded = true;
        yield* tighten(solver, 0, 0);
      }
    }
    // Whole sawings, boards and pieces make it tighter and take longer: once, when a good layout is there to be looked at.
    if (!tightened && bounded && solver) {
      tightened = true;
      const { few, more, each } = WHOLE_ROUNDS;
      const many = boards.length > WHOLE_BOARDS ? 0 : more + Math.floor(options.effort / each);
      yield* tighten(solver, SAWN_ROUNDS, boards.length <= FEW_BOARDS ? few : many);
    }
    if (solver && complete(best) && GROWN.includes(go))
      for (const _ of growPatterns(problem, patterns, best, solver, 1)) yield told();
    const chosen = solver && complete(best) ? choosePatterns(problem, patterns, best, solver, CHOICE_NODES) : null;
    if (chosen && complete(chosen)) plans.meet(chosen);
    if (chosen && complete(chosen) && chosen.cost < best.cost - 1e-9) best = chosen;
    yield told();
  }
  return written();
}

const complete = (plan: CutPlan): boolean =>
  plan.parts.every((left) => left === 0) && plan.bands.every((width) => width <= 1e-6);

/** Plans that are written out to choose among: what counts is what a layout really costs, cuts and offcuts as they are. */
const WRITTEN_OUT = 6;

/** The cheapest plans met, and of these the one that is best when it is written out. */
function bestPlans(write: (plan: CutPlan) => Layout) {
  const plans: CutPlan[] = [];
  const layouts = new WeakMap<CutPlan, Layout>();
  const layoutOf = (plan: CutPlan): Layout => {
    const known = layouts.get(plan);
    if (known) return known;
    const layout = write(plan);
    layouts.set(plan, layout);
    return layout;
  };
  return {
    meet(plan: CutPlan) {
      const worst = plans.at(-1);
      if (plans.length >= WRITTEN_OUT && worst && plan.cost >= worst.cost - 1e-9) return;
      if (plans.some((other) => other === plan || Math.abs(other.cost - plan.cost) < 1e-9)) return;
      plans.push(plan);
      plans.sort((a, b) => a.cost - b.cost);
      if (plans.length > WRITTEN_OUT) plans.pop();
    },
    best: (): Layout | undefined =>
      plans.map(layoutOf).reduce<Layout | undefined>((a, b) => (a === undefined || isBetter(b, a) ? b : a), undefined),
  };
}

const missing = (layout: Layout) =>
  layout.shortfall.reduce((sum, { count, length, width }) => sum + count * length * width, 0);
const isBetter = (one: Layout, other: Layout): boolean => {
  const [a, b] = [missing(one), missing(other)];
  return a !== b ? a < b : one.cost.total < other.cost.total - 1e-9;
};

/** An earlier layout counted by what counts now; null where it no longer gives what is asked, or not what is fixed. */
function stillGood(demand: Demand, boards: readonly Board[], options: LayoutOptions, before: Layout): Layout | null {
  const fixed = (options.fixed ?? []).every((placement) =>
    before.placements.some(
      (p) =>
        p.part === placement.part &&
        p.strip === placement.strip &&
        p.board === placement.board &&
        p.x === placement.x &&
        p.y === placement.y,
    ),
  );
  if (!fixed || before.shortfall.length > 0 || checkLayout(demand, boards, options, before).length > 0) return null;
  return writtenLayout(demand, boards, options, before);
}
