/** Results by what they were computed from, those asked for last first. */
export type Memory<R> = { from: readonly unknown[]; result: R }[];

export const emptyMemory = <R>(): Memory<R> => [];

/** As many are kept as a large job has pieces; each holds no more than its own inputs and result. */
const KEPT = 80;

/** What a pure computation comes to, taken from before where it was made from the very same objects. */
export function remembered<R>(memory: Memory<R>, from: readonly unknown[], compute: () => R): R {
  const at = memory.findIndex(
    (own) => own.from.length === from.length && own.from.every((one, i) => Object.is(one, from[i])),
  );
  const before = memory[at];
  if (before) {
    if (at > KEPT / 2) memory.unshift(...memory.splice(at, 1));
    return before.result;
  }
  const result = compute();
  memory.unshift({ from, result });
  if (memory.length > KEPT) memory.pop();
  return result;
}

/** In a job of one piece nothing stays as it was when something is changed: it is not worth remembering. */
export const rememberedOf = <R>(alone: boolean, ...how: Parameters<typeof remembered<R>>): R =>
  alone ? how[2]() : remembered(...how);
