import { type CutPlan, clearBoard, copyOf, emptyPlan, type Problem } from './cut-plan';
import { fill, type Manner } from './fill-plan';
import { CORNERS } from './sawn-board';

/** Boards on the rack that a change may open, drawn anew each time: enough to choose from, few enough to be quick. */
const OPENED = 14;

/** The first plan: everything in order, every board open, opening one counting about what the work will leave of it. */
export function firstPlan(problem: Problem, random: () => number): CutPlan {
  const all = problem.boards.map((_, i) => i);
  let best: CutPlan | undefined;
  for (const reluctance of [0.15, 0.5, 0.9, 0]) {
    const plan = emptyPlan(problem);
    fill(problem, plan, { random, reluctance, stray: 0, blink: 0, turn: 0, open: all, corner: 0, liking: () => 1 });
    if (!best || plan.cost < best.cost) best = plan;
  }
  return best as CutPlan;
}

/** A plan by the dice, far from any other: its patterns are new. */
export function freshPlan(problem: Problem, random: () => number): CutPlan {
  const plan = emptyPlan(problem);
  const likings = problem.boards.map(() => 1 + 0.8 * (random() - 0.5));
  fill(problem, plan, {
    random,
    reluctance: random() * 0.9,
    stray: random() * 0.6,
    blink: 0.1,
    turn: random() * 0.4,
    open: problem.boards.map((_, i) => i),
    corner: Math.floor(random() * CORNERS),
    liking: (board) => likings[board] ?? 1,
  });
  return plan;
}

/**
 * One change: a few boards are put back whole and what they gave is cut again, from them or from others.
 *
 * @returns the changed plan; the given one is left as it was
 */
export function changed(problem: Problem, plan: CutPlan, random: () => number): CutPlan {
  const next = copyOf(plan);
  const used = plan.boards.flatMap((state, i) => (state && state.pieces.length > 0 ? [i] : []));
  const spare = plan.boards.flatMap((state, i) => (state ? [] : [i]));
  const count = Math.min(used.length, 1 + Math.floor(random() ** 1.5 * 4));
  const drawn = draw(used, count, random);
  for (const i of drawn) clearBoard(problem, next, i);
  const shut = random() < 0.35 ? drawn.slice(0, 1) : [];
  const fickle = random() < 0.5 ? 0 : random() * 1.2;
  const likings = fickle > 0 ? problem.boards.map(() => 1 + fickle * (random() - 0.5)) : null;
  const manner: Manner = {
    random,
    reluctance: random() ** 2 * 0.9,
    stray: random() * 0.6,
    blink: 0.02 + random() * 0.15,
    turn: random() * 0.4,
    open: [...draw(spare, OPENED, random), ...drawn].filter((i) => !shut.includes(i)),
    corner: Math.floor(random() * CORNERS),
    liking: (board) => likings?.[board] ?? 1,
  };
  fill(problem, next, manner);
  return next;
}

function draw(from: readonly number[], count: number, random: () => number): number[] {
  const pool = from.slice();
  const drawn: number[] = [];
  while (drawn.length < count && pool.length > 0) {
    const at = Math.floor(random() * pool.length);
    drawn.push(pool[at]!);
    pool[at] = pool[pool.length - 1]!;
    pool.pop();
  }
  return drawn;
}
