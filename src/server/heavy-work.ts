import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import Piscina from 'piscina';
import type { Outcome, TASKS, TaskName } from './heavy.worker';
import { Refusal } from './refusal';

/** What a task may take, seconds, and a thread's memory, MB. */
const LONGEST = 180;
const MEMORY = 1024;
/** Tasks that may wait for a thread. */
const WAITING = 32;

type Kind = 'long' | 'quick';
/** Those that never take long do not wait behind a file that is being made. */
const QUICK: ReadonlySet<TaskName> = new Set(['summaries', 'newJob', 'proposal']);

const kept = globalThis as { tallerThreads?: Partial<Record<Kind, Piscina>> };

/** Threads beside the one that answers; made when they are first needed, gone when they have been idle. */
function threads(kind: Kind): Piscina {
  kept.tallerThreads ??= {};
  kept.tallerThreads[kind] ??= new Piscina({
    // Built beside Next's own output: see build in bin/ground.sh.
    filename: join(process.cwd(), process.env.TALLER_DIST ?? '.next', 'heavy-worker.mjs'),
    minThreads: 0,
    maxThreads: kind === 'quick' ? 1 : Math.max(1, Math.min(4, availableParallelism() - 1)),
    maxQueue: WAITING,
    idleTimeout: 20_000,
    resourceLimits: { maxOldGenerationSizeMb: MEMORY },
  });
  return kept.tallerThreads[kind];
}

const busy = (problem: string, wayOut: string) => new Refusal(503, [{ problem, where: 'the server', wayOut }]);

/**
 * Has a task done in a thread of its own; a refusal in there is one out here. It ends when whoever wanted it is gone.
 *
 * @throws Refusal 503 when too much waits already, or when it takes too long
 */
export async function heavyWork<Name extends TaskName>(
  name: Name,
  given: Parameters<(typeof TASKS)[Name]>[0],
  wanted: AbortSignal,
): Promise<Awaited<ReturnType<(typeof TASKS)[Name]>>> {
  const inTime = AbortSignal.timeout(LONGEST * 1000);
  const outcome: Outcome<Awaited<ReturnType<(typeof TASKS)[Name]>>> = await threads(QUICK.has(name) ? 'quick' : 'long')
    .run({ name, given }, { signal: AbortSignal.any([wanted, inTime]) })
    .catch((error) => {
      if (inTime.aborted) throw busy(`It took more than ${LONGEST} seconds.`, 'Ask for less at once.');
      if (/queue/i.test(String(error?.message)))
        throw busy('Too much is asked of this machine at once.', 'Try again in a moment.');
      throw error;
    });
  if ('refusal' in outcome) {
    const { status, problems, current } = outcome.refusal;
    throw new Refusal(status, problems, current);
  }
  if ('failure' in outcome) throw Object.assign(new Error(outcome.failure.message), { code: outcome.failure.code });
  return outcome.value;
}
