import { expose } from 'comlink';
import { type WaitingBoard, type Waits, waitsUntilReady } from '@/core';
import { inSlices } from './in-slices';

/** The boards that are asked about; an earlier question ends at its next slice. */
let wanted = 0;

const waiting = {
  /** Reports the waits known up to then on the way; null when another question came before the end. */
  async waits(
    boards: readonly WaitingBoard[],
    given: Parameters<typeof waitsUntilReady>[1],
    onKnown: (known: Waits) => void,
  ): Promise<Waits | null> {
    wanted += 1;
    const mine = wanted;
    const found = await inSlices(waitsUntilReady(boards, given), onKnown, () => wanted !== mine);
    return 'result' in found ? found.result : null;
  },
};

export type Waiting = typeof waiting;
expose(waiting);
