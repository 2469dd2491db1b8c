import { type Checkout, VICTIMS } from './checkout';
import { Writers } from './writers';

/** How often a start that said why it failed is tried again. */
const STARTS = 3;

export interface KillReport {
  rounds: number;
  acknowledged: number;
  /** Starts that did not stand, with what they said; every one of them must have said why. */
  refusedStarts: string[];
  lostOrDoubled: string[];
  unexplained: string[];
  statuses: Record<string, number>;
}

/** Kills the server, the database or everything amid writes, round by round, starts it again and looks for what is missing. */
export async function killRounds(checkout: Checkout, rounds: number, writes: number): Promise<KillReport> {
  const writers = new Writers(6, () => checkout.url);
  const refusedStarts: string[] = [];
  const lostOrDoubled: string[] = [];
  await writers.begin();
  for (let round = 0; round < rounds; round += 1) {
    const victim = VICTIMS[round % VICTIMS.length]!;
    let goOn = true;
    const writing = writers.write(() => goOn);
    const aim = (writes * (round + 1)) / rounds;
    while (writers.acknowledged < aim) await new Promise((resolve) => setTimeout(resolve, 5));
    await checkout.kill(victim);
    // A server without its database answers 503 with the reason.
    if (victim === 'database') await new Promise((resolve) => setTimeout(resolve, 400));
    goOn = false;
    await writing;
    await checkout.stop();
    await startAgain(checkout, refusedStarts);
    lostOrDoubled.push(
      ...(await writers.lostOrDoubled(checkout.databaseUrl)).map((what) => `round ${round}, ${victim}: ${what}`),
    );
  }
  const { unexplained, statuses } = writers.answers;
  return {
    ...{ rounds, acknowledged: writers.acknowledged, refusedStarts, lostOrDoubled, unexplained },
    statuses: Object.fromEntries(statuses),
  };
}

/** Starts it; one that does not stand is told, and tried again. */
export async function startAgain(checkout: Checkout, refused: string[]): Promise<void> {
  for (let i = 0; i < STARTS; i += 1) {
    const { stands, said } = await checkout.start();
    if (stands) return;
    refused.push(said);
    await new Promise((resolve) => setTimeout(resolve, 1000));
  }
  throw new Error(`It does not start:\n${refused.at(-1)}`);
}
