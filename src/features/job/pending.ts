import { type JobDocument, JobDocumentSchema, read } from '@/core';

/** A change that the server has not got yet, kept in the browser until it has. */
export interface Pending {
  /** The revision it was made from. */
  revision: number;
  document: JobDocument;
}

const key = (id: string) => `taller-pending-${id}`;

export function keepPending(id: string, pending: Pending): void {
  try {
    localStorage.setItem(key(id), JSON.stringify(pending));
  } catch {
    // A full or closed store: the change stays in this tab's memory and is still sent.
  }
}

export function dropPending(id: string): void {
  try {
    localStorage.removeItem(key(id));
  } catch {
    // Nothing was kept either.
  }
}

export function findPending(id: string): Pending | null {
  try {
    const data = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as {
      revision?: unknown;
      document?: unknown;
    } | null;
    if (typeof data?.revision !== 'number') return null;
    const document = read(JobDocumentSchema, data.document, 'the job');
    return 'value' in document ? { revision: data.revision, document: document.value } : null;
  } catch {
    return null;
  }
}
