'use client';

import { createStore } from 'zustand';
import type { JobReply } from '@/contract/replies';
import {
  type Board,
  type Change,
  changedJob,
  type JobDocument,
  type Layout,
  type Merge,
  mergeDocuments,
  type Place,
  type Problem,
  resolved,
  type Shop,
} from '@/core';
import { request, standsNow, triedAgain } from '@/ui/request';
import {
  dropClosedTab,
  dropLayoutPending,
  dropPending,
  holdTab,
  keepLayoutPending,
  keepPending,
  layoutsPending,
  pendingOfClosedTabs,
} from './pending';

/** What the server hands out for a job. */
export interface JobSeed {
  job: JobReply;
  shop: Shop;
  places: Place[];
  /** Null where they are too many to come with the page. */
  boards: Board[] | null;
  /** One a species at the most. */
  layouts: readonly Layout[];
}

/** Decisions that two made differently: the server's version, and both merged as far as they agree. */
export interface Standoff {
  theirs: JobReply;
  merge: Merge;
  /** The closed tab that mine were kept from; null where they are of this one. */
  closedTab: string | null;
}

export type Saving = 'saved' | 'saving' | 'unreachable' | 'refused';

export interface JobState extends Omit<JobSeed, 'job' | 'boards'> {
  id: string;
  /** Empty until they are known. */
  boards: Board[];
  rackKnown: boolean;
  document: JobDocument;
  revision: number;
  canUndo: boolean;
  canRedo: boolean;
  saving: Saving;
  /** Why the server would not take the last change. */
  refusal: readonly Problem[];
  /** Another tab or person decided the same things otherwise in the meantime. */
  conflict: Standoff | null;
  /** Makes changes at once, here; returns what is wrong with them, and then changes nothing. */
  change: (changes: readonly Change[]) => readonly Problem[] | undefined;
  undo: () => Promise<void>;
  redo: () => Promise<void>;
  /** Decides for each conflict whose value is kept; mine where nothing is chosen. */
  settle: (keep: Readonly<Record<string, 'mine' | 'theirs'>>) => Promise<void>;
  setLayout: (layout: Layout) => void;
  /** The boards as the server has them now. */
  setBoards: (boards: Board[]) => void;
  /** Looks for what closed tabs have kept, and sends whatever has not been sent. */
  wake: () => Promise<void>;
}

const SAVE_AFTER = 350;
const RETRY_AFTER = 2500;

const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

export function createJobStore({ job, ...seed }: JobSeed) {
  const tab = `${Date.now().toString(36)}-${Math.random().toString(36).slice(2)}`;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let writing: Promise<void> = Promise.resolve();
  let unsent = false;
  /** By their species. */
  const layoutsUnsent = new Map<string, Layout>();
  /** The decisions as the server has them, as far as this tab knows. */
  let base = job.document;
  holdTab(tab);

  return createStore<JobState>()((set, get) => {
    const path = `/api/jobs/${job.id}`;
    const later = (delay: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => void flush(), delay);
    };
    const adopt = (reply: JobReply) => {
      base = reply.document;
      set({
        document: reply.document,
        revision: reply.revision,
        canUndo: reply.canUndo,
        canRedo: reply.canRedo,
      });
    };
    /** Decisions that stand here from now on and are to be sent. */
    const decide = (document: JobDocument) => {
      unsent = !same(document, base);
      set({ document });
      if (unsent) keepPending(job.id, tab, { revision: get().revision, base, document });
      else dropPending(job.id, tab);
    };
    /** Merges mine with the server's version; a conflict waits for the maker. */
    const join = (mine: JobDocument, from: JobDocument | null, theirs: JobReply, closedTab: string | null): boolean => {
      const merge = mergeDocuments(from, mine, theirs.document);
      if (merge.conflicts.length > 0) {
        set({ conflict: { theirs, merge, closedTab }, saving: 'refused' });
        return false;
      }
      adopt(theirs);
      decide(merge.document);
      return true;
    };
    const unreachable = () => {
      set({ saving: 'unreachable' });
      later(RETRY_AFTER);
    };

    async function send(): Promise<void> {
      unsent = false;
      const { document, revision } = get();
      set({ saving: 'saving' });
      const reply = await request<JobReply>('PUT', path, { revision, document });
      if (reply.ok) {
        base = document;
        const { revision: now, canUndo, canRedo } = reply.value;
        set({ revision: now, canUndo, canRedo, saving: unsent ? 'saving' : 'saved', refusal: [] });
        if (unsent) keepPending(job.id, tab, { revision: now, base, document: get().document });
        else dropPending(job.id, tab);
        return;
      }
      const theirs = standsNow<JobReply>(reply);
      if (theirs) {
        unsent = true;
        if (join(get().document, base, theirs, null) && !unsent) set({ saving: 'saved' });
      } else if (triedAgain(reply)) {
        unsent = true;
        unreachable();
      } else {
        set({ saving: 'refused', refusal: reply.problems });
      }
    }

    async function sendLayouts(): Promise<void> {
      for (const [species, layout] of [...layoutsUnsent]) {
        set({ saving: 'saving' });
        const reply = await request('PUT', `${path}/layout`, layout);
        if (triedAgain(reply)) {
          unreachable();
          return;
        }
        if (layoutsUnsent.get(species) === layout) {
          layoutsUnsent.delete(species);
          dropLayoutPending(job.id, species);
        }
        if (reply.ok) set({ saving: 'saved' });
        else set({ saving: 'refused', refusal: reply.problems });
      }
    }

    /** A layout in the place of the one of its species. */
    const withLayout = (layout: Layout) => [
      ...get().layouts.filter(({ species }) => species !== layout.species && species !== ''),
      layout,
    ];

    /** Writes go to the server one after the other: each needs the revision that the one before it made. */
    function inTurn(work: () => Promise<void>): Promise<void> {
      clearTimeout(timer);
      writing = writing.then(work, work);
      return writing;
    }

    async function sendUnsent(): Promise<void> {
      while (unsent && !get().conflict) {
        await send();
        if (get().saving !== 'saving' && get().saving !== 'saved') return;
      }
      if (!get().conflict) await sendLayouts();
    }

    async function fetchBoards(): Promise<void> {
      const reply = await request<Board[]>('GET', `${path}/boards`);
      if (reply.ok) get().setBoards(reply.value);
      else setTimeout(() => void fetchBoards(), RETRY_AFTER);
    }

    const flush = () => inTurn(sendUnsent);

    const step = (verb: 'undo' | 'redo') =>
      inTurn(async () => {
        await sendUnsent();
        if (unsent || get().conflict) return;
        const reply = await request<JobReply>('POST', `${path}/${verb}`, { revision: get().revision });
        const theirs = standsNow(reply);
        if (reply.ok) adopt(reply.value);
        else if (theirs) {
          adopt(theirs);
          set({
            refusal: [
              {
                problem: 'This job was changed elsewhere in the meantime.',
                where: 'history',
                wayOut: `It stands here as it is now; ${verb} once more if that is still meant.`,
              },
            ],
          });
        } else if (reply.status === 0) set({ saving: 'unreachable' });
      });

    /** Takes over what closed tabs kept, one after the other, until one of them needs a word. */
    async function takeOver(): Promise<void> {
      for (const { tab: closed, pending } of await pendingOfClosedTabs(job.id, tab)) {
        if (get().conflict) return;
        const { revision, document, canUndo, canRedo } = get();
        const from = pending.base ?? (pending.revision === revision ? base : null);
        // What is not sent yet of this tab's own counts as standing: it is sent with the rest.
        const stands = { id: job.id, revision, document, canUndo, canRedo };
        const before = base;
        if (!join(pending.document, from, stands, closed)) return;
        base = before;
        decide(get().document);
        dropClosedTab(job.id, closed);
      }
    }

    return {
      ...seed,
      boards: seed.boards ?? [],
      rackKnown: seed.boards !== null,
      id: job.id,
      document: job.document,
      revision: job.revision,
      canUndo: job.canUndo,
      canRedo: job.canRedo,
      saving: 'saved',
      refusal: [],
      conflict: null,
      change: (changes) => {
        const before = get().document;
        const next = changedJob(before, changes);
        if ('problems' in next) return next.problems;
        const document = next.value;
        set({ document, refusal: [] });
        unsent = true;
        keepPending(job.id, tab, { revision: get().revision, base, document });
        if (get().saving !== 'unreachable') set({ saving: 'saving' });
        later(SAVE_AFTER);
        return undefined;
      },
      undo: () => step('undo'),
      redo: () => step('redo'),
      settle: (keep) =>
        inTurn(async () => {
          const { conflict } = get();
          if (!conflict) return;
          const { theirs, merge, closedTab } = conflict;
          const settled = resolved(merge, keep);
          const ownFirst = closedTab === null || same(base, theirs.document);
          if (ownFirst) adopt(theirs);
          set({ conflict: null, saving: 'saving' });
          // Mine is saved whole first, so that undo comes to it; what is chosen is saved after it.
          decide(merge.document);
          if (closedTab !== null) dropClosedTab(job.id, closedTab);
          if (!same(settled, merge.document)) {
            await sendUnsent();
            decide(settled);
          }
          await sendUnsent();
          if (!unsent && get().saving === 'saving') set({ saving: 'saved' });
          await takeOver();
          await sendUnsent();
        }),
      setLayout: (layout) => {
        set({ layouts: withLayout(layout), ...(get().saving === 'unreachable' ? {} : { saving: 'saving' }) });
        layoutsUnsent.set(layout.species, layout);
        keepLayoutPending(job.id, get().revision, layout);
        void flush();
      },
      setBoards: (boards) => set({ boards, rackKnown: true }),
      wake: () =>
        inTurn(async () => {
          if (!get().rackKnown) await fetchBoards();
          await takeOver();
          for (const layout of layoutsPending(job.id, get().revision)) {
            if (layoutsUnsent.has(layout.species)) continue;
            layoutsUnsent.set(layout.species, layout);
            set({ layouts: withLayout(layout) });
          }
          await sendUnsent();
        }),
    };
  });
}
