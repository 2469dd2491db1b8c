'use client';

import { type ComponentType, type ReactNode, useEffect, useState } from 'react';

/** So long after the page has loaded what it may need later is fetched too, ms: it is there when the network is not. */
const AFTER = 10_000;

/**
 * A component whose code is fetched when it is first shown, or some seconds after the page has loaded.
 *
 * @param load its address is written where it is called, so that the bundler finds it
 * @param meanwhile what is shown until it is there
 */
export function later<P extends object>(
  load: () => Promise<{ default: ComponentType<P> }>,
  meanwhile: (props: P) => ReactNode = () => null,
): ComponentType<P> {
  let known: ComponentType<P> | undefined;
  const fetched = async () => {
    known ??= (await load()).default;
    return known;
  };
  // One that does not come now is asked for again when it is shown.
  if (typeof window !== 'undefined') setTimeout(() => void fetched().catch(() => {}), AFTER);
  // biome-ignore lint/correctness/noComponentHookFactories: it is made once, at the head of a module
  return function Later(props: P) {
    const [Own, setOwn] = useState<ComponentType<P> | undefined>(() => known);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
      if (!Own && !failed)
        fetched().then(
          (own) => setOwn(() => own),
          () => setFailed(true),
        );
    }, [Own, failed]);
    if (Own) return <Own {...props} />;
    if (!failed) return meanwhile(props);
    return (
      <button type="button" className="text-stop underline" onClick={() => setFailed(false)}>
        The server does not answer: try again.
      </button>
    );
  };
}
