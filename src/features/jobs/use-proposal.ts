'use client';

import { useEffect, useState } from 'react';
import type { Proposal } from '@/contract/replies';
import type { Problem } from '@/core';
import { request } from '@/ui/request';

/** Pause after the last letter before a proposal is requested, ms. */
const PAUSE = 300;

/** What a job would begin with by a wish; the previous proposal is shown until the next one arrives. */
export function useProposal(wish: object): {
  proposal: Proposal | null;
  problems: readonly Problem[];
  settled: boolean;
} {
  const key = JSON.stringify(wish);
  const [found, setFound] = useState<{ key: string; proposal: Proposal | null; problems: readonly Problem[] }>({
    key: '',
    proposal: null,
    problems: [],
  });
  useEffect(() => {
    let current = true;
    const timer = setTimeout(async () => {
      const reply = await request<Proposal>('POST', '/api/jobs/proposal', JSON.parse(key));
      if (!current) return;
      setFound((before) =>
        reply.ok
          ? { key, proposal: reply.value, problems: [] }
          : { key, proposal: before.proposal, problems: reply.problems },
      );
    }, PAUSE);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [key]);
  return { proposal: found.proposal, problems: found.problems, settled: found.key === key };
}
