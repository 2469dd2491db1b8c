'use client';

import { useEffect, useState } from 'react';
import type { Problem } from '@/core';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';

interface Looked {
  sound: number;
  added: number;
  problems: Problem[];
  tags: string[];
}

/** Looks at a rack file first, line by line; nothing is added until the maker has seen what is in it. */
export function ImportDialog({ text, onClose }: { text: string; onClose: (added: boolean) => void }) {
  const [looked, setLooked] = useState<Looked | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    let wanted = true;
    void request<Looked>('POST', '/api/boards/import?try', text).then((reply) => {
      if (!wanted) return;
      if (reply.ok) setLooked(reply.value);
      else setProblems(reply.problems);
    });
    return () => {
      wanted = false;
    };
  }, [text]);
  const add = async () => {
    setBusy(true);
    const reply = await request<Looked>('POST', '/api/boards/import', text);
    setBusy(false);
    if (reply.ok) onClose(true);
    else setProblems(reply.problems);
  };
  return (
    <Dialog title="Import boards" open onClose={() => onClose(false)} wide>
      <ProblemList problems={problems} />
      {looked ? (
        <>
          <p>
            <b className="figures font-semibold">{looked.sound}</b> boards can be added
            {looked.tags.length > 0
              ? `: ${looked.tags.slice(0, 30).join(', ')}${looked.tags.length > 30 ? ' …' : ''}`
              : ''}
            .
          </p>
          {looked.problems.length > 0 ? (
            <>
              <p className="mt-2">These lines are left out:</p>
              <ProblemList problems={looked.problems} />
            </>
          ) : null}
          <div className="mt-3 flex gap-3">
            <Button look="chief" disabled={busy || looked.sound === 0} onClick={() => void add()}>
              Add {looked.sound} boards
            </Button>
            <Button look="quiet" onClick={() => onClose(false)}>
              Close
            </Button>
          </div>
        </>
      ) : problems.length === 0 ? (
        <p>Reading …</p>
      ) : (
        <Button look="quiet" onClick={() => onClose(false)}>
          Close
        </Button>
      )}
    </Dialog>
  );
}
