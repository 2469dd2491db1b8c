'use client';

import { createStore } from 'zustand';
import {
  type Board,
  type Change,
  type JobDocument,
  JobDocumentSchema,
  type Layout,
  type Place,
  type Problem,
  read,
  type Shop,
  withChanges,
} from '@/core';
import { request } from '@/ui/request';
import { dropPending, findPending, keepPending } from './pending';

/** What the server hands out for a job. */
export interface JobReply {
  id: string;
  revision: number;
  document: JobDocument;
  canUndo: boolean;
  canRedo: boolean;
}

export interface JobSeed {
  job: JobReply;
  shop: Shop;
  places: Place[];
  boards: Board[];
  layout: Layout | null;
}

export type Saving = 'saved' | 'saving' | 'unreachable' | 'refused';

export interface JobState extends Omit<JobSeed, 'job'> {
  id: string;
  document: JobDocument;
  revision: number;
  canUndo: boolean;
  canRedo: boolean;
  saving: Saving;
  /** Why the server would not take the last change. */
  refusal: readonly Problem[];
  /** Another tab or person wrote in the meantime: what stands there now. */
  conflict: JobReply | null;
  /** Makes changes at once, here; returns what is wrong with them, and then changes nothing. */
  change: (changes: readonly Change[]) => readonly Problem[] | undefined;
  undo: () => Promise<void>;
  redo: () => Promise<void>;
  settle: (keep: 'mine' | 'theirs') => void;
  setLayout: (layout: Layout) => void;
  /** The boards as the server has them now. */
  setBoards: (boards: Board[]) => void;
  /** Looks for a change kept from before, and sends whatever has not been sent. */
  wake: () => void;
}

const SAVE_AFTER = 350;
const RETRY_AFTER = 2500;

export function createJobStore({ job, ...seed }: JobSeed) {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let writing: Promise<void> = Promise.resolve();
  let unsent = false;

  return createStore<JobState>()((set, get) => {
    const path = `/api/jobs/${job.id}`;
    const later = (delay: number) => {
      clearTimeout(timer);
      timer = setTimeout(() => void flush(), delay);
    };
    const adopt = (reply: JobReply) =>
      set({
        document: reply.document,
        revision: reply.revision,
        canUndo: reply.canUndo,
        canRedo: reply.canRedo,
      });

    async function send(): Promise<void> {
      unsent = false;
      const { document, revision } = get();
      set({ saving: 'saving' });
      const reply = await request<JobReply>('PUT', path, { revision, document });
      if (reply.ok) {
        const { revision: now, canUndo, canRedo } = reply.value;
        set({ revision: now, canUndo, canRedo, saving: unsent ? 'saving' : 'saved', refusal: [] });
        if (unsent) keepPending(job.id, { revision: now, document: get().document });
        else dropPending(job.id);
      } else if (reply.status === 409 && reply.current) {
        set({ saving: 'refused', conflict: reply.current as JobReply });
      } else if (reply.status === 0 || reply.status >= 500) {
        unsent = true;
        set({ saving: 'unreachable' });
        later(RETRY_AFTER);
      } else {
        set({ saving: 'refused', refusal: reply.problems });
      }
    }

    /** Writes go to the server one after the other: each needs the revision that the one before it made. */
    function inTurn(work: () => Promise<void>): Promise<void> {
      clearTimeout(timer);
      writing = writing.then(work, work);
      return writing;
    }

    async function sendUnsent(): Promise<void> {
      while (unsent && !get().conflict) {
        await send();
        if (get().saving !== 'saving') return;
      }
    }

    const flush = () => inTurn(sendUnsent);

    const step = (verb: 'undo' | 'redo') =>
      inTurn(async () => {
        await sendUnsent();
        if (unsent || get().conflict) return;
        const reply = await request<JobReply>('POST', `${path}/${verb}`, { revision: get().revision });
        if (reply.ok) adopt(reply.value);
        else if (reply.status === 409 && reply.current) set({ conflict: reply.current as JobReply });
        else if (reply.status === 0) set({ saving: 'unreachable' });
      });

    return {
      ...seed,
      id: job.id,
      document: job.document,
      revision: job.revision,
      canUndo: job.canUndo,
      canRedo: job.canRedo,
      saving: 'saved',
      refusal: [],
      conflict: null,
      change: (changes) => {
        const next = read(JobDocumentSchema, withChanges(get().document, changes), 'the job');
        if ('problems' in next) return next.problems;
        set({ document: next.value, refusal: [] });
        unsent = true;
        keepPending(job.id, { revision: get().revision, document: next.value });
        if (get().saving !== 'unreachable') set({ saving: 'saving' });
        later(SAVE_AFTER);
        return undefined;
      },
      undo: () => step('undo'),
      redo: () => step('redo'),
      settle: (keep) => {
        const { conflict } = get();
        if (!conflict) return;
        if (keep === 'theirs') {
          unsent = false;
          dropPending(job.id);
          adopt(conflict);
          set({ conflict: null, saving: 'saved' });
        } else {
          unsent = true;
          set({ conflict: null, revision: conflict.revision });
          void flush();
        }
      },
      setLayout: (layout) => {
        set({ layout });
        void request('PUT', `${path}/layout`, layout);
      },
      setBoards: (boards) => set({ boards }),
      wake: () => {
        const pending = findPending(job.id);
        if (pending && !unsent) {
          if (JSON.stringify(pending.document) === JSON.stringify(get().document)) dropPending(job.id);
          else if (pending.revision === get().revision) {
            unsent = true;
            set({ document: pending.document });
          } else {
            const { revision, document, canUndo, canRedo } = get();
            set({
              document: pending.document,
              conflict: { id: job.id, revision, document, canUndo, canRedo },
              saving: 'refused',
            });
            return;
          }
        }
        if (unsent) void flush();
      },
    };
  });
}
