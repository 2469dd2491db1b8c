import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { marked } from 'marked';

/** A word of the trade or of Taller, and what is meant by it. */
export interface Term {
  term: string;
  meaning: string;
}

const ROW = /^\| (.+?) \| (.+?) \|$/;

let known: Promise<{ terms: Term[]; html: string }> | null = null;

/** docs/glossary.md: its terms one by one, and as a page on which each can be gone to. */
export function glossary(): Promise<{ terms: Term[]; html: string }> {
  known ??= readFile(join(process.cwd(), 'docs/glossary.md'), 'utf8').then(read);
  return known;
}

async function read(text: string): Promise<{ terms: Term[]; html: string }> {
  const rows = text.split('\n').flatMap((line) => {
    const [, term = '', meaning = ''] = ROW.exec(line) ?? [];
    return term === '' || /^(Term|-+)$/.test(term) ? [] : { term, meaning: meaning.replace(/[*`]/g, '') };
  });
  const anchored = text.replace(/^\| (.+?) \|/gm, (whole, term: string) =>
    /^(Term|-+)$/.test(term) ? whole : `| <span id="${anchorOf(term)}">${term}</span> |`,
  );
  return { terms: rows, html: await marked.parse(anchored, { async: true }) };
}

/** Where on the page a term is. */
const anchorOf = (term: string): string => term.toLowerCase().replace(/[^a-z0-9]+/g, '-');
