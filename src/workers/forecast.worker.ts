import { expose } from 'comlink';
import { type Band, type BandInput, drawBand } from '@/core';

let stopped = false;

const forecast = {
  /** Draws in slices, so that a word to stop is heard between them; stopped, there is no band. */
  async band(input: BandInput, draws: number, onProgress: (share: number) => void): Promise<Band | null> {
    stopped = false;
    const steps = drawBand(input, draws);
    let told = 0;
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      const now = performance.now();
      if (now - told > 80) {
        told = now;
        onProgress(step.value);
        await new Promise((resolve) => setTimeout(resolve));
        if (stopped) return null;
      }
    }
  },
  stop() {
    stopped = true;
  },
};

export type Forecast = typeof forecast;
expose(forecast);
