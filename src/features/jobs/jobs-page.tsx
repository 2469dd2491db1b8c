'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { type Problem, sayDay } from '@/core';
import { Button, buttonLook } from '@/ui/button';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { Length } from '@/ui/units';

interface Line {
  id: string;
  name: string;
  client: string;
  dueOn: string;
  /** Null while it is being computed. */
  summary: {
    species: string;
    pieces: number;
    length: number;
    width: number;
    cut: number;
    parts: number;
    stops: number;
  } | null;
}

/** What is being computed is looked for again after so long, ms, and so many times. */
const [AGAIN, TIMES] = [800, 15];

/** One page of the jobs, those changed last first, or of those that a few letters find. */
export function JobsPage({
  page: { jobs, more },
  bin,
  find,
  paged,
}: {
  page: { jobs: readonly Line[]; more: string | null };
  bin: boolean;
  find: string;
  /** Not the first page. */
  paged: boolean;
}) {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const waiting = jobs.some(({ summary }) => summary === null);
  const looked = useRef(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: every page that comes may still wait
  useEffect(() => {
    if (!waiting || looked.current >= TIMES) return;
    const timer = setTimeout(() => {
      looked.current += 1;
      router.refresh();
    }, AGAIN);
    return () => clearTimeout(timer);
  }, [waiting, jobs, router]);
  const address = (place: Record<string, string>) =>
    `/jobs?${new URLSearchParams({ ...(bin ? { bin: '' } : {}), ...(find ? { find } : {}), ...place })}`;
  const act = async (method: string, path: string, body?: string) => {
    const reply = await request<{ id?: string }>(method, path, body);
    setProblems(reply.ok ? [] : reply.problems);
    if (reply.ok) router.refresh();
    return reply;
  };
  const open = async (file: File | undefined) => {
    if (!file) return;
    const reply = await act('POST', '/api/jobs/import', await file.text());
    if (reply.ok && reply.value.id) router.push(`/jobs/${reply.value.id}/brief`);
  };
  return (
    <>
      <div className="flex items-center gap-3">
        <h1 className="mr-auto text-[19px]">{bin ? 'Jobs in the bin' : 'Jobs'}</h1>
        <label className={`${buttonLook()} cursor-pointer focus-within:outline-2 focus-within:outline-layout`}>
          Open a job file
          <input
            type="file"
            accept=".json"
            className="sr-only"
            onChange={(event) => {
              void open(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
        <Link className={buttonLook('chief')} href="/jobs/new">
          New job
        </Link>
      </div>
      <ProblemList problems={problems} />
      <form action="/jobs" className="mt-3">
        {bin ? <input type="hidden" name="bin" value="" /> : null}
        <input
          type="search"
          name="find"
          key={find}
          defaultValue={find}
          aria-label="Search the jobs by name or client"
          placeholder="Name or client"
          maxLength={200}
          className="w-64 border-ink-2 border-b bg-transparent py-0.5 placeholder:text-ink-2"
        />
      </form>
      {jobs.length === 0 ? (
        <p className="mt-8">
          {find ? (
            <>
              No job has “{find}” in its name or its client.{' '}
              <Link className="text-layout underline" href={bin ? '/jobs?bin' : '/jobs'}>
                Show all
              </Link>
            </>
          ) : bin ? (
            'The bin is empty.'
          ) : (
            <>
              No job yet.{' '}
              <Link className="text-layout underline" href="/jobs/new">
                Start one
              </Link>{' '}
              with who sits there and how large the room is.
            </>
          )}
        </p>
      ) : (
        <table className="mt-4 w-full max-w-5xl">
          <thead>
            <tr className="border-ink border-b text-left">
              <th className="py-1.5">Job</th>
              <th>Client</th>
              <th>Wood</th>
              <th className="text-right">Top</th>
              <th className="text-right">Cut</th>
              <th className="text-right">Wanted by</th>
              <th className="pl-6">Checks</th>
              <th>
                <span className="sr-only">Bin</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {jobs.map((job) => (
              <tr key={job.id} className="border-hairline border-b hover:bg-ground">
                <td className="py-2">
                  {bin ? (
                    job.name
                  ) : (
                    <Link className="font-semibold text-layout hover:underline" href={`/jobs/${job.id}/brief`}>
                      {job.name}
                    </Link>
                  )}
                </td>
                <td>{job.client}</td>
                <td>{job.summary?.species ?? '…'}</td>
                <td className="whitespace-nowrap pl-3 text-right">
                  {job.summary ? (
                    <>
                      <Length mm={job.summary.length} /> × <Length mm={job.summary.width} />
                      {job.summary.pieces > 1 ? (
                        <span className="text-ink-2"> and {job.summary.pieces - 1} more</span>
                      ) : null}
                    </>
                  ) : (
                    '…'
                  )}
                </td>
                <td className="figures whitespace-nowrap pl-3 text-right">
                  {job.summary ? `${job.summary.cut} of ${job.summary.parts}` : '…'}
                </td>
                <td className="figures whitespace-nowrap pl-3 text-right">{job.dueOn ? sayDay(job.dueOn) : ''}</td>
                <td className="whitespace-nowrap pl-6">
                  {job.summary === null ? (
                    <span className="text-ink-2">…</span>
                  ) : job.summary.stops > 0 ? (
                    <span className="font-semibold text-stop">{job.summary.stops} stop</span>
                  ) : (
                    <span className="text-ink-2">no stop</span>
                  )}
                </td>
                <td className="whitespace-nowrap pl-3 text-right">
                  {bin ? (
                    <Button
                      look="quiet"
                      aria-label={`Restore ${job.name}`}
                      onClick={() => void act('POST', `/api/jobs/${job.id}/restore`)}
                    >
                      Restore
                    </Button>
                  ) : (
                    <Button
                      look="quiet"
                      aria-label={`Move ${job.name} to the bin`}
                      onClick={() => void act('DELETE', `/api/jobs/${job.id}`)}
                    >
                      To the bin
                    </Button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {paged || more ? (
        <p className="mt-4 flex gap-4">
          {paged ? (
            <Link className="text-layout hover:underline" href={address({})}>
              From the beginning
            </Link>
          ) : null}
          {more ? (
            <Link className="text-layout hover:underline" href={address({ after: more })}>
              More jobs
            </Link>
          ) : null}
        </p>
      ) : null}
      <p className="mt-6">
        <Link className="text-layout hover:underline" href={bin ? '/jobs' : '/jobs?bin'}>
          {bin ? 'Back to the jobs' : 'The bin'}
        </Link>
      </p>
    </>
  );
}
