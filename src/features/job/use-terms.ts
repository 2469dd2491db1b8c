'use client';

import { useEffect, useState } from 'react';
import { request } from '@/ui/request';

export interface Term {
  term: string;
  meaning: string;
}

let known: readonly Term[] | null = null;

/** The glossary, fetched when somebody first looks for something. */
export function useTerms(wanted: boolean): readonly Term[] {
  const [terms, setTerms] = useState(known);
  useEffect(() => {
    if (!wanted || known) return;
    let current = true;
    void request<Term[]>('GET', '/api/terms').then((reply) => {
      if (!reply.ok) return;
      known = reply.value;
      if (current) setTerms(known);
    });
    return () => {
      current = false;
    };
  }, [wanted]);
  return terms ?? [];
}
