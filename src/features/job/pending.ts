import * as v from 'valibot';
import { type JobDocument, JobDocumentSchema, type Layout, LayoutSchema, read } from '@/core';

/** Decisions that the server has not got yet, kept in the browser until it has. */
export interface Pending {
  /** The revision they were made from, and what stood in it; null where a Taller of before did not keep that. */
  revision: number;
  base: JobDocument | null;
  document: JobDocument;
}

/** Each tab keeps its own, so that none writes over another's. */
const PREFIX = 'taller-pending-';
const key = (job: string, tab: string) => `${PREFIX}${job}-${tab}`;
const LAYOUT = 'taller-layout-';
const layoutKey = (job: string, species: string) => `${LAYOUT}${job}-${species}`;

function keep(name: string, data: unknown): void {
  try {
    localStorage.setItem(name, JSON.stringify(data));
  } catch {
    // A full or closed store: it stays in this tab's memory and is still sent.
  }
}

function drop(name: string): void {
  try {
    localStorage.removeItem(name);
  } catch {
    // Nothing was kept either.
  }
}

function find(name: string): Record<string, unknown> | null {
  try {
    return JSON.parse(localStorage.getItem(name) ?? 'null');
  } catch {
    return null;
  }
}

export const keepPending = (job: string, tab: string, pending: Pending) => keep(key(job, tab), pending);
export const dropPending = (job: string, tab: string) => drop(key(job, tab));

function pendingAt(name: string): Pending | null {
  const data = find(name);
  const document = read(JobDocumentSchema, data?.document, 'the job');
  if (typeof data?.revision !== 'number' || !('value' in document)) return null;
  const base = read(JobDocumentSchema, data.base, 'the job');
  return { revision: data.revision, document: document.value, base: 'value' in base ? base.value : null };
}

/** The names under which anything is kept here. */
const namesKept = () =>
  Array.from({ length: globalThis.localStorage?.length ?? 0 }, (_, i) => localStorage.key(i) ?? '');

/** The name under which a tab is known to be open. */
const openTab = (tab: string) => `taller-tab-${tab}`;

/** Lets other tabs know, for as long as this one lives, that it sends its own. */
export function holdTab(tab: string): void {
  void globalThis.navigator?.locks?.request(openTab(tab), () => new Promise(() => {})).catch(() => {});
}

/**
 * What tabs that are closed by now have not sent, the tabs' own names with it. Where a browser does not tell which are
 * open, what any other tab keeps is taken up too: the same decision sent twice is one.
 */
export async function pendingOfClosedTabs(job: string, tab: string): Promise<{ tab: string; pending: Pending }[]> {
  const start = `${PREFIX}${job}`;
  const kept = namesKept().flatMap((name) => {
    const own = name === start ? '' : name.startsWith(`${start}-`) ? name.slice(start.length + 1) : null;
    const pending = own === null || own === tab ? null : pendingAt(name);
    return pending && own !== null ? [{ tab: own, pending }] : [];
  });
  if (kept.length === 0) return [];
  const locks = await globalThis.navigator?.locks?.query().catch(() => undefined);
  const open = new Set(locks?.held?.map(({ name }) => name));
  return kept.filter((own) => !open.has(openTab(own.tab)));
}

/** What a closed tab left is taken care of; under no name is what a Taller of before kept. */
export const dropClosedTab = (job: string, tab: string) => drop(tab ? key(job, tab) : `${PREFIX}${job}`);

export const keepLayoutPending = (job: string, revision: number, layout: Layout) =>
  keep(layoutKey(job, layout.species), { revision, layout });
export const dropLayoutPending = (job: string, species: string) => drop(layoutKey(job, species));

/** Layouts that were found and not yet sent, for the present revision. */
export function layoutsPending(job: string, revision: number): Layout[] {
  const names = namesKept().filter((name) => name === `${LAYOUT}${job}` || name.startsWith(layoutKey(job, '')));
  return names.flatMap((name) => {
    const data = find(name);
    const layout = v.safeParse(LayoutSchema, data?.layout);
    return data?.revision === revision && layout.success ? [layout.output] : [];
  });
}
