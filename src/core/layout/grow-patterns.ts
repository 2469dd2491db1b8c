import type { LinearSolver } from '../linear/linear-problem';
import { sawyer } from './best-sawing';
import { boardCost, type CutPlan, type Problem } from './cut-plan';
import { costOf, entriesOf, keep, masterOf, ofOneLot, type Patterns, patternOf, rowsOf } from './patterns';
import { stripKey } from './ready-boards';
import { keepingPieces, type SawnBoard } from './sawn-board';

const BOARDS_IN_A_SLICE = 6;

/**
 * Patterns that the ones met so far lack: every board sawn for what the choice among these would pay for pieces, over
 * again at the prices that come of it, until no board gives anything better or the rounds are over.
 *
 * @param plan whose lots stay those of its panels
 * @returns in slices of a few boards, so that the search can be stopped between them
 */
export function* growPatterns(
  problem: Problem,
  patterns: Patterns,
  plan: CutPlan,
  solver: LinearSolver,
  rounds: number,
): Generator<void, void> {
  const { kinds, options, boards } = problem;
  const rows = rowsOf(problem);
  for (let round = 0; round < rounds; round += 1) {
    const all = ofOneLot(problem, patterns, plan);
    const { solved, prices } = solver(masterOf(problem, all, rows, false), (model) => model.solve());
    if (solved !== 'best') return;
    const { weights } = options;
    const { saw } = sawyer(kinds, options, {
      // A set comes from one board or not at all: a price for each piece would take it apart.
      parts: kinds.parts.map((kind, i) => (kind.set === null ? prices[rows.part(i)]! : 0)),
      bands: kinds.bands.map((band, k) => ({
        mm: prices[rows.band(k)]! / band.width,
        each: prices[rows.panel(band.panel)]! - weights.joint,
      })),
      offcut: null,
      cut: weights.cut,
    });
    let found = 0;
    for (const ready of boards) {
      if (ready.index % BOARDS_IN_A_SLICE === 0) yield;
      if (ready.begun) continue;
      const state = saw(ready, ready.price + weights.board - prices[rows.board(ready.index)]!);
      if (!state || state.pieces.length === 0) continue;
      const asked = withoutSurplus(problem, state);
      const pattern = patternOf(problem, ready.index, asked, boardCost(asked, options));
      let cost = costOf(problem, pattern);
      for (const [row, factor] of entriesOf(problem, pattern, rows)) cost -= prices[row]! * factor;
      if (cost < -1e-6 && keep(patterns, pattern)) found += 1;
    }
    if (found === 0) break;
  }
}

/**
 * Pieces beyond those asked for stay in the wood; strips beyond those of their band go to another band that asks for
 * the same ones.
 */
function withoutSurplus({ kinds }: Problem, state: SawnBoard): SawnBoard {
  const parts = kinds.parts.map((kind) => kind.ids.length);
  const widths = kinds.bands.map((band) => band.width);
  return keepingPieces(state, (piece) => {
    if ('part' in piece) {
      const left = parts[piece.part]!;
      parts[piece.part] = left - piece.copies;
      return left > 0 ? piece : null;
    }
    const key = stripKey(kinds.bands[piece.band]!);
    const needy = kinds.bands.flatMap((band, k) => (widths[k]! > 1e-6 && stripKey(band) === key ? [k] : []));
    const band = needy.includes(piece.band) ? piece.band : needy.sort((a, b) => widths[b]! - widths[a]!)[0];
    if (band === undefined) return null;
    widths[band] = widths[band]! - piece.finished * piece.copies;
    return { ...piece, band };
  });
}
