import { type DerivedJob, type JobInputs, type Parcel, unpacked } from '@/core';
import { startWorker } from '@/ui/worker';
import type { JobDeriver } from '@/workers/job.worker';
import type { Derived } from './derived-store';

interface Deriver {
  derive: (inputs: JobInputs) => Promise<Derived>;
  instead: (changed: Partial<JobInputs>) => Promise<Derived>;
}

let own: Deriver | null = null;
const started = () => {
  own ??= startDeriver();
  return own;
};

/** Derives a job in the page's worker, or on the page itself where no worker starts. */
export const derive = (inputs: JobInputs): Promise<Derived> => started().derive(inputs);

/** What the job that was derived last would be with other inputs. */
export const deriveInstead = (changed: Partial<JobInputs>): Promise<Derived> => started().instead(changed);

function startDeriver(): Deriver {
  const { remote, failed } = startWorker<JobDeriver>(
    () => new Worker(new URL('../../workers/job.worker.ts', import.meta.url), { type: 'module' }),
    'no worker derives the job',
  );
  let broken = false;
  failed.catch(() => {
    broken = true;
  });
  /** As the worker has them, and as it answered last. */
  let given: JobInputs | null = null;
  let before: DerivedJob | null = null;

  const here = async (inputs: JobInputs) => (await import('./derive-here')).deriveJob(inputs);
  async function asked(inputs: JobInputs, question: () => Promise<Derived>): Promise<Derived> {
    if (broken) return here(inputs);
    try {
      return await Promise.race([question(), failed]);
    } catch (error) {
      if (broken) return here(inputs);
      throw error;
    }
  }
  const opened = (
    answer: Parcel | Exclude<Derived, DerivedJob>,
    inputs: JobInputs,
    from: DerivedJob | null,
  ): Derived => ('problems' in answer ? answer : unpacked(answer, inputs.boards, from));

  return {
    derive(inputs) {
      const changed = Object.fromEntries(
        Object.entries(inputs).filter(([name, value]) => value !== given?.[name as keyof JobInputs]),
      );
      given = inputs;
      return asked(inputs, async () => {
        const derived = opened(await remote.derive(changed), inputs, before);
        before = 'problems' in derived ? null : derived;
        return derived;
      });
    },
    instead(changed) {
      const inputs = { ...(given as JobInputs), ...changed };
      return asked(inputs, async () => opened(await remote.instead(changed), inputs, null));
    },
  };
}
