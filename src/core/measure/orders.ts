/** Every order of some things, each once: n! of them. */
export function* ordersOf<T>(list: readonly T[]): Generator<T[]> {
  if (list.length < 2) {
    yield [...list];
    return;
  }
  for (const [i, first] of list.entries()) {
    for (const rest of ordersOf([...list.slice(0, i), ...list.slice(i + 1)])) yield [first, ...rest];
  }
}
