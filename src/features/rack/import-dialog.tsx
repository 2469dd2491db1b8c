'use client';

import { useEffect, useMemo, useState } from 'react';
import { type Problem, RACK_FIELDS, rackColumns } from '@/core';
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

const WORDS: Readonly<Record<string, string>> = { species: 'wood' };
const wordOf = (field: string) => WORDS[field] ?? field.replaceAll('_', ' ');

/**
 * Looks at a rack file first: what each column is taken for, which lines read and which do not. Nothing is added until
 * the maker has seen it.
 */
export default function ImportDialog({ text, onClose }: { text: string; onClose: (added: boolean) => void }) {
  const columns = useMemo(() => rackColumns(text), [text]);
  const [fields, setFields] = useState<readonly (string | null)[]>(() => columns.map((column) => column.field));
  const [looked, setLooked] = useState<Looked | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  useEffect(() => {
    let wanted = true;
    void request<Looked>('POST', '/api/boards/import?try', { text, fields }).then((reply) => {
      if (!wanted) return;
      setLooked(reply.ok ? reply.value : null);
      setProblems(reply.ok ? [] : reply.problems);
    });
    return () => {
      wanted = false;
    };
  }, [text, fields]);
  const add = async () => {
    setBusy(true);
    const reply = await request<Looked>('POST', '/api/boards/import', { text, fields });
    setBusy(false);
    if (reply.ok) onClose(true);
    else setProblems(reply.problems);
  };
  /** A field is one column's only. */
  const match = (at: number, field: string) =>
    setFields((now) => now.map((own, i) => (i === at ? field || null : own === field ? null : own)));
  return (
    <Dialog title="Import boards" open onClose={() => onClose(false)} wide>
      {columns.length > 1 ? (
        <div className="mb-3 overflow-x-auto border-line border-y">
          <table className="figures">
            <thead>
              <tr className="text-left align-top">
                {columns.map(({ heading }, i) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: two columns may have one heading
                  <th key={i} className="min-w-28 py-2 pr-3 font-normal">
                    <span className="block max-w-40 truncate font-semibold">{heading || '(no heading)'}</span>
                    <select
                      aria-label={`Column ${heading || i + 1} holds`}
                      className={`mt-1 w-full rounded-sm border bg-paper px-1 py-0.5 ${fields[i] ? 'border-line' : 'border-line text-ink-2'}`}
                      value={fields[i] ?? ''}
                      onChange={(event) => match(i, event.target.value)}
                    >
                      <option value="">left out</option>
                      {RACK_FIELDS.map((field) => (
                        <option key={field} value={field}>
                          {wordOf(field)}
                        </option>
                      ))}
                    </select>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {(columns[0]?.first ?? []).map((_, row) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: the file's own lines
                <tr key={row} className="border-hairline border-t">
                  {columns.map(({ first }, i) => (
                    // biome-ignore lint/suspicious/noArrayIndexKey: the file's own columns
                    <td key={i} className={`max-w-40 truncate py-1 pr-3 ${fields[i] ? '' : 'text-ink-2'}`}>
                      {first[row]}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      ) : null}
      <ProblemList problems={problems} />
      {looked ? (
        <>
          <p>
            <b className="figures font-semibold">{looked.sound}</b> {looked.sound === 1 ? 'board' : 'boards'} can be
            added
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
        </>
      ) : problems.length === 0 ? (
        <p>Reading …</p>
      ) : null}
      <div className="mt-3 flex gap-3">
        {looked ? (
          <Button look="chief" disabled={busy || looked.sound === 0} onClick={() => void add()}>
            Add {looked.sound} {looked.sound === 1 ? 'board' : 'boards'}
          </Button>
        ) : null}
        <Button look="quiet" onClick={() => onClose(false)}>
          Close
        </Button>
      </div>
    </Dialog>
  );
}
