'use client';

import { useEffect, useState } from 'react';
import {
  type Change,
  type DerivedWood,
  type JobDocument,
  type KeptLayout,
  type LayoutMerits,
  meritsOf,
  type Problem,
  shownPiece,
  withChanges,
} from '@/core';
import { request } from '@/ui/request';
import { deriveInstead } from '../job/deriver';
import { useChanges, useDerived, useJobInputs, useJobState } from '../job/job-context';
import { AIM_WORDS } from './aim-words';

type Stored = KeptLayout & { id: string };

/** A layout beside others: the job as it would be with it, and what it comes to by the weights that count now. */
export interface Compared {
  /** Null for the current layout of the job. */
  id: string | null;
  name: string;
  wood: DerivedWood;
  merits: LayoutMerits;
  /** False where it was made for other sizes or another rack. */
  fits: boolean;
}

export interface KeptLayouts {
  now: Compared | null;
  /** Null while they are derived. */
  others: readonly Compared[] | null;
  /** The one compared with the current layout. */
  beside: Compared | null;
  look: (id: string) => void;
  putAside: () => void;
  take: (id: string) => void;
  forget: (id: string) => void;
  problems: readonly Problem[];
}

/**
 * The layouts put aside for this job, to be compared with its current one.
 *
 * @param shown only then are they reckoned: each is a whole job
 */
export function useKeptLayouts(current: boolean, shown: boolean): KeptLayouts {
  const { wood, pieceId } = useDerived();
  const { document, layouts } = useJobInputs();
  const id = useJobState((state) => state.id);
  const change = useChanges();
  const setLayout = useJobState((state) => state.setLayout);
  const [stored, setStored] = useState<readonly Stored[]>([]);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [looked, look] = useState<string | null>(null);
  const path = `/api/jobs/${id}/kept-layouts`;

  useEffect(() => {
    void request<Stored[]>('GET', path).then((reply) => {
      if (reply.ok) setStored(reply.value);
      else setProblems(reply.problems);
    });
  }, [path]);

  const [others, setOthers] = useState<readonly Compared[] | null>(null);
  useEffect(() => {
    let current = true;
    setOthers((before) => (before?.length ? before : null));
    const derived = (shown ? stored : []).map(async ({ id, name, choice, layout }): Promise<Compared[]> => {
      if (layout.species !== '' && layout.species !== wood.species.id) return [];
      const others = layouts.filter(({ species }) => species !== wood.species.id);
      const next = withChanges(document, changesOf(choice, document));
      const own = await deriveInstead({ document: next, layouts: [layout, ...others] });
      if (!('pieces' in own)) return [];
      const theirs = shownPiece(own, pieceId).wood;
      return compared(id, name, theirs, theirs.layoutState === 'current', wood);
    });
    void Promise.all(derived).then((all) => {
      if (current) setOthers(all.flat());
    });
    return () => {
      current = false;
    };
  }, [shown, stored, document, layouts, wood, pieceId]);
  const [now = null] = current && shown ? compared(null, 'Now', wood, true, wood) : [];
  const find = (wanted: string | null) => stored.find((one) => one.id === wanted);

  return {
    now,
    others,
    beside: others?.find((one) => one.id === looked) ?? others?.at(-1) ?? null,
    look,
    putAside: () => {
      const { layout } = wood;
      if (!layout) return;
      const taken = new Set(stored.map((one) => one.name[0]));
      const letter = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].find((l) => !taken.has(l)) ?? 'Z';
      const name = `${letter}, ${AIM_WORDS[document.layout.aim].label.toLowerCase()}`;
      const choice = {
        job: document.layout,
        pieces: Object.fromEntries(document.pieces.map((own) => [own.id, own.layout])),
      };
      void request<Stored>('POST', path, { name, choice, layout }).then((reply) => {
        if (!reply.ok) return setProblems(reply.problems);
        setProblems([]);
        setStored((before) => [...before, reply.value]);
        look(reply.value.id);
      });
    },
    take: (wanted) => {
      const kept = find(wanted);
      if (!kept) return;
      setLayout(kept.layout);
      change(changesOf(kept.choice, document));
    },
    forget: (wanted) => {
      void request('DELETE', `${path}/${wanted}`).then((reply) => {
        if (reply.ok) setStored((before) => before.filter((one) => one.id !== wanted));
        else setProblems(reply.problems);
      });
    },
    problems,
  };
}

/** The choices that a layout was found for, put in the place of those of now; pieces that are gone are passed over. */
const changesOf = ({ job, pieces }: KeptLayout['choice'], document: JobDocument): Change[] => [
  { path: 'layout', value: job },
  ...Object.entries(pieces)
    .filter(([id]) => document.pieces.some((own) => own.id === id))
    .map(([id, value]) => ({ path: `pieces.${id}.layout`, value })),
];

function compared(id: string | null, name: string, own: DerivedWood, fits: boolean, now: DerivedWood): Compared[] {
  const { layout, demand, boards, layoutOptions } = own;
  if (!layout) return [];
  const merits = meritsOf(demand, boards, layoutOptions, layout, now.layoutOptions.weights);
  return [{ id, name, wood: own, merits, fits }];
}
