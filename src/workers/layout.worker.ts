import { expose } from 'comlink';
import loadHighs from 'highs';
import {
  type Board,
  type Demand,
  highsSolver,
  type Layout,
  type LayoutOptions,
  type LayoutProgress,
  type LinearSolver,
  searchLayout,
} from '@/core';
import { inSlices } from './in-slices';

let stopped = false;
let solver: Promise<LinearSolver | undefined> | undefined;

/** HiGHS, once for this worker; where it cannot be loaded the search runs without it and reports a weaker bound. */
function loadSolver(wasm: string): Promise<LinearSolver | undefined> {
  solver ??= loadHighs({ locateFile: () => wasm }).then(highsSolver, () => undefined);
  return solver;
}

const layoutSearch = {
  /** Searches in slices, so that a word to stop is heard between them; the best so far is the answer then. */
  async search(
    demand: Demand,
    boards: readonly Board[],
    options: LayoutOptions,
    before: Layout | null,
    wasm: string,
    onProgress: (progress: LayoutProgress) => void,
  ): Promise<Layout> {
    stopped = false;
    const steps = searchLayout(demand, boards, options, await loadSolver(wasm), before);
    const found = await inSlices(steps, onProgress, () => stopped);
    return 'result' in found ? found.result : found.stoppedAt.best;
  },
  stop() {
    stopped = true;
  },
};

export type LayoutSearch = typeof layoutSearch;
expose(layoutSearch);
