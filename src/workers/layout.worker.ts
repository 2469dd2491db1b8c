import { expose } from 'comlink';
import { type Board, type Demand, type Layout, type LayoutOptions, type LayoutProgress, searchLayout } from '@/core';

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
    const search = searchLayout(demand, boards, options);
    let told = 0;
    for (;;) {
      const step = search.next();
      if (step.done) return step.value;
      const now = performance.now();
      if (now - told > 80) {
        told = now;
        onProgress(step.value);
        await new Promise((resolve) => setTimeout(resolve));
        if (stopped) return step.value.best;
      }
    }
  },
  stop() {
    stopped = true;
  },
};

export type LayoutSearch = typeof layoutSearch;
expose(layoutSearch);
