import type { LinearSolver } from '../linear/linear-problem';
import { surely } from '../linear/surely';
import { barInequalities } from './bar-inequalities';
import { boundProgramme, type Programme } from './bound-programme';
import type { Problem } from './cut-plan';
import { sawingInequalities } from './sawing-inequalities';

const ROUNDS_BETWEEN_WORDS = 3;

/**
 * What the bound may cost: rounds of cuts by bars, rounds of these and of whole sawings, rounds over whole boards and
 * pieces, and nodes of the search in each of those.
 */
export interface BoundEffort {
  rounds: number;
  sawnRounds: number;
  wholeRounds: number;
  nodes: number;
}

/**
 * A cost that no layout can go below, however its boards are cut up: a programme with a whole number for every board
 * (used or not), every kind of part and the strips of every band from each board, and for each board inequalities that
 * every way of cutting it must keep. They are found where the last solution breaks them: by bars at prices driven towards
 * what that solution has too much of ({@link barInequalities}), and by whole sawings ({@link sawingInequalities}). Any
 * prices give a true inequality, so the bound holds however far the rounds go.
 *
 * @returns in the shop's money, after every few rounds anew, never less than before, so that it can be shown and the
 *   work stopped; nothing when the programme has no solution
 */
export function* costBounds(problem: Problem, solver: LinearSolver, effort: BoundEffort): Generator<number, void> {
  const programme = boundProgramme(problem);
  if (!programme) return;
  const rounds = boundRounds(programme, solver, effort.nodes);
  const reached = () => rounds.bound() + problem.options.weights.joint * programme.joints;

  if (rounds.relaxed(effort.rounds, false) === null) return;
  yield reached();
  for (let round = 0; round < effort.sawnRounds; round += ROUNDS_BETWEEN_WORDS) {
    const broken = rounds.relaxed(Math.min(ROUNDS_BETWEEN_WORDS, effort.sawnRounds - round), true);
    if (broken === null) return;
    yield reached();
    if (!broken) break;
  }
  for (let round = 0; round < effort.wholeRounds; round += 1) {
    const broken = rounds.whole();
    if (broken === null) return;
    yield reached();
    if (!broken) break;
  }
}

/** Rounds of solving the programme and adding what the solution breaks. */
interface BoundRounds {
  /** The best bound so far. */
  bound: () => number;
  /** Without whole numbers. @returns whether something was broken in the last round; null when there is no solution */
  relaxed: (count: number, sawn: boolean) => boolean | null;
  whole: () => boolean | null;
}

function boundRounds(programme: Programme, solver: LinearSolver, nodes: number): BoundRounds {
  const { columns, rows, boards } = programme;
  const bars = barInequalities(programme);
  const sawings = sawingInequalities(programme, solver);
  rows.push(...bars.natural());
  // Of boards that are clear whole sawings tell more than bars do.
  const isClear = boards.map(
    ({ board, shape, begun }) => board.defects.length === 0 && shape.far.tagged === shape.far.other && !begun,
  );
  const clear = (b: number) => isClear[b]!;
  let bound = Number.NEGATIVE_INFINITY;
  return {
    bound: () => bound,
    relaxed: (count, sawn) =>
      solver({ columns, rows: rows.slice() }, (model) => {
        for (let round = 0; ; round += 1) {
          const answer = model.solve({ relaxed: true });
          if (answer.solved !== 'best') return null;
          bound = Math.max(bound, surely({ columns, rows }, answer.prices));
          if (round === count) return true;
          const broken = [
            ...bars.broken(answer.values, sawn ? clear : () => false),
            ...(sawn ? sawings.broken(answer.values, false) : []),
          ];
          for (const row of broken) model.addRow(row);
          rows.push(...broken);
          if (broken.length === 0) return false;
        }
      }),
    whole: () =>
      solver({ columns, rows: rows.slice() }, (model) => {
        const answer = model.solve({ nodes, gap: 1e-4, boundOnly: true });
        if (answer.solved === 'impossible') return null;
        // A hair less, for the solver's own tolerance.
        bound = Math.max(bound, answer.bound - 1e-5 * Math.abs(answer.bound));
        if (answer.values.length === 0) return false;
        const broken = [...bars.broken(answer.values, clear), ...sawings.broken(answer.values, true)];
        rows.push(...broken);
        return broken.length > 0;
      }),
  };
}

/** The last of {@link costBounds}; null when the programme has no solution. */
export function costBound(problem: Problem, solver: LinearSolver, effort: BoundEffort): number | null {
  let bound: number | null = null;
  for (const found of costBounds(problem, solver, effort)) bound = found;
  return bound;
}
