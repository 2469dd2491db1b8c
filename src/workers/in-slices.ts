/** How long a worker computes before it tells how far it is and listens for a word to stop, ms. */
const SLICE = 80;

/**
 * Runs a computation that yields its progress, in slices: between them it reports the last value yielded and can be stopped.
 *
 * @returns what it came to, or undefined with the last thing yielded when it was stopped
 */
export async function inSlices<Step, Result>(
  steps: Iterator<Step, Result>,
  tell: (step: Step) => void,
  isStopped: () => boolean,
): Promise<{ result: Result } | { stoppedAt: Step }> {
  let told = 0;
  for (;;) {
    const step = steps.next();
    if (step.done) return { result: step.value };
    const now = performance.now();
    if (now - told <= SLICE) continue;
    told = now;
    tell(step.value);
    await new Promise((resolve) => setTimeout(resolve));
    if (isStopped()) return { stoppedAt: step.value };
  }
}
