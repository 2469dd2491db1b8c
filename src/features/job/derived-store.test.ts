import { describe, expect, it } from 'vitest';
import type { JobInputs } from '@/core';
import { createDerivedStore, type Derived } from './derived-store';

const inputsOf = (name: string) => ({ document: { name } }) as JobInputs;
const derivedOf = (inputs: JobInputs) => ({ problems: [], of: inputs }) as unknown as Derived;

/** A deriver that answers when it is told to. */
function slow() {
  const asked: { inputs: JobInputs; answer: () => void; fail: (error: Error) => void }[] = [];
  const derive = (inputs: JobInputs) =>
    new Promise<Derived>((resolve, reject) => {
      asked.push({ inputs, answer: () => resolve(derivedOf(inputs)), fail: reject });
    });
  return { asked, derive };
}
const soon = () => new Promise((done) => setTimeout(done));

describe('what follows from the decisions of a job', () => {
  it('is there at once where it can be, and nobody is asked', async () => {
    const { asked, derive } = slow();
    const store = createDerivedStore(inputsOf('a'), derive, derivedOf);
    expect(store.getState().settled?.inputs.document.name).toBe('a');
    await store.firstShown();
    expect(asked).toHaveLength(0);
  });

  it('is derived when it is first asked for, once', async () => {
    const { asked, derive } = slow();
    const store = createDerivedStore(inputsOf('a'), derive, () => null);
    expect(asked).toHaveLength(0);
    const shown = store.firstShown();
    expect(store.firstShown()).toBe(shown);
    expect(store.getState()).toMatchObject({ settled: null, settling: true });
    asked[0]?.answer();
    await shown;
    expect(asked).toHaveLength(1);
    expect(store.getState()).toMatchObject({ settled: { inputs: { document: { name: 'a' } } }, settling: false });
  });

  it('is shown with the decisions it follows from while newer ones wait, and of those only the newest is derived', async () => {
    const { asked, derive } = slow();
    const store = createDerivedStore(inputsOf('a'), derive, derivedOf);
    for (const name of ['b', 'c', 'd']) store.want(inputsOf(name));
    expect(store.getState()).toMatchObject({ settled: { inputs: { document: { name: 'a' } } }, settling: true });
    asked[0]?.answer();
    await soon();
    expect(store.getState()).toMatchObject({ settled: { inputs: { document: { name: 'b' } } }, settling: true });
    asked[1]?.answer();
    await soon();
    expect(asked.map(({ inputs }) => inputs.document.name)).toEqual(['b', 'd']);
    expect(store.getState()).toMatchObject({ settled: { inputs: { document: { name: 'd' } } }, settling: false });
  });

  it('is derived too when it is wanted at the moment that the one before is shown', async () => {
    const { asked, derive } = slow();
    const store = createDerivedStore(inputsOf('a'), derive, derivedOf);
    store.want(inputsOf('b'));
    const unsubscribe = store.subscribe(({ settling }) => {
      if (settling) return;
      unsubscribe();
      store.want(inputsOf('c'));
    });
    asked[0]?.answer();
    await soon();
    asked[1]?.answer();
    await soon();
    expect(store.getState()).toMatchObject({ settled: { inputs: { document: { name: 'c' } } }, settling: false });
  });

  it('tells of a fault instead of waiting for ever', async () => {
    const { asked, derive } = slow();
    const store = createDerivedStore(inputsOf('a'), derive, () => null);
    const shown = store.firstShown();
    const fault = new Error('a fault of ours');
    asked[0]?.fail(fault);
    await shown;
    expect(store.getState().failure?.error).toBe(fault);
  });
});
