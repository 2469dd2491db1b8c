'use client';

import { useEffect, useState } from 'react';
import { Dialog } from '@/ui/dialog';
import { type Term, useTerms } from './use-terms';

/** A term of several words for one thing, or of two things that belong together, is read at any of them. */
const namesOf = ({ term }: Term) => term.toLowerCase().split(/, | \/ /);

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** The terms that are written somewhere in a text, also where they are of many. */
export function termsIn(terms: readonly Term[], text: string): Term[] {
  const plain = text.toLowerCase();
  return terms.filter((term) =>
    namesOf(term).some((name) => new RegExp(`(^|[^a-z])${escaped(name)}(s|es)?($|[^a-z])`).test(plain)),
  );
}

/** Asked for from anywhere. */
export const WORDS_HERE = 'taller-words-here';

/** What the words mean that are on the screen now. */
export function WordsHere() {
  const [text, setText] = useState<string | null>(null);
  const terms = useTerms(text !== null);
  useEffect(() => {
    // Only what is shown: closed questions have words of their own.
    // biome-ignore lint/performance/useDomNodeTextContent: hidden words are not on the screen
    const show = () => setText(document.querySelector('main')?.innerText ?? '');
    window.addEventListener(WORDS_HERE, show);
    return () => window.removeEventListener(WORDS_HERE, show);
  }, []);
  const here = text === null ? [] : termsIn(terms, text);
  return (
    <Dialog title="Words on this screen" open={text !== null} onClose={() => setText(null)}>
      {here.length === 0 ? (
        <p>{terms.length === 0 ? 'Reading the glossary …' : 'No word of the glossary is on this screen.'}</p>
      ) : (
        <dl className="grid grid-cols-[120px_1fr] gap-x-3 max-sm:grid-cols-1">
          {here.map(({ term, meaning }) => (
            <div key={term} className="contents">
              <dt className="border-hairline border-t py-1 font-semibold">{term}</dt>
              <dd className="border-hairline border-t py-1">{meaning}</dd>
            </div>
          ))}
        </dl>
      )}
    </Dialog>
  );
}

/** Opens the words of the screen. */
export const WordsButton = () => (
  <button
    type="button"
    onClick={() => window.dispatchEvent(new Event(WORDS_HERE))}
    className="mx-4 mt-2 text-left text-ink-2 hover:underline max-md:mt-0 max-md:shrink-0 max-md:px-2"
  >
    Words here …
  </button>
);
