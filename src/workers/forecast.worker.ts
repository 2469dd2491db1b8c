import { expose } from 'comlink';
import { type Band, type BandInput, drawBand } from '@/core';
import { inSlices } from './in-slices';

let stopped = false;

const forecast = {
  /** Draws in slices, so that a word to stop is heard between them; stopped, there is no band. */
  async band(input: BandInput, draws: number, onProgress: (share: number) => void): Promise<Band | null> {
    stopped = false;
    const drawn = await inSlices(drawBand(input, draws), onProgress, () => stopped);
    return 'result' in drawn ? drawn.result : null;
  },
  stop() {
    stopped = true;
  },
};

export type Forecast = typeof forecast;
expose(forecast);
