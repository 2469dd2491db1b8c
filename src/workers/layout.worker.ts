import { expose } from 'comlink';
import { type Board, type Demand, type Layout, type LayoutOptions, type LayoutProgress, searchLayout } from '@/core';
import { inSlices } from './in-slices';

let stopped = false;

const layoutSearch = {
  /** Searches in slices, so that a word to stop is heard between them; the best so far is the answer then. */
  async search(
    demand: Demand,
    boards: readonly Board[],
    options: LayoutOptions,
    onProgress: (progress: LayoutProgress) => void,
  ): Promise<Layout> {
    stopped = false;
    const found = await inSlices(searchLayout(demand, boards, options), onProgress, () => stopped);
    return 'result' in found ? found.result : found.stoppedAt.best;
  },
  stop() {
    stopped = true;
  },
};

export type LayoutSearch = typeof layoutSearch;
expose(layoutSearch);
