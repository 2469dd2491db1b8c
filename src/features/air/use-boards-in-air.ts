import { useCallback, useEffect, useMemo, useState } from 'react';
import type { BoardInAir } from '@/contract/replies';
import { request } from '@/ui/request';
import { useSpecies } from '@/ui/species';

/** A list that did not come is asked for again so long after, ms. */
const RETRY_AFTER = 4000;

/** The boards on the rack with their moisture, fetched anew when one of them has changed; null until they are here. */
export function useBoardsInAir(changed: string): readonly BoardInAir[] | null {
  const [boards, setBoards] = useState<{ of: string; list: readonly BoardInAir[] } | null>(null);
  const [attempt, setAttempt] = useState(0);
  const fetchThem = useCallback(async (of: string) => {
    const reply = await request<BoardInAir[]>('GET', '/api/air/boards');
    if (reply.ok) setBoards({ of, list: reply.value });
    return reply.ok;
  }, []);
  // biome-ignore lint/correctness/useExhaustiveDependencies: another attempt asks once more
  useEffect(() => {
    if (boards?.of === changed) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    void fetchThem(changed).then((came) => {
      if (!came) timer = setTimeout(() => setAttempt((n) => n + 1), RETRY_AFTER);
    });
    return () => clearTimeout(timer);
  }, [changed, attempt, boards?.of, fetchThem]);
  // Sheets are as dry as they were bought, and are not milled.
  const { find } = useSpecies();
  return useMemo(() => boards?.list.filter(({ species }) => !find(species)?.sheet) ?? null, [boards, find]);
}
