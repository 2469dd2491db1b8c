'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { Problem } from '@/core';
import { Button, buttonLook } from '@/ui/button';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { beginWalk } from '../job/first-walk';
import { JobCard, type ListedJob, scaleOf } from './job-card';
import { NoJobs } from './no-jobs';

/** What is being computed is looked for again after so long, ms, and so many times. */
const [AGAIN, TIMES] = [800, 15];

const ORDERS = [
  { order: 'changed', label: 'Changed last' },
  { order: 'due', label: 'Due first' },
  { order: 'name', label: 'By name' },
] as const;

/** Where in the list one is. */
export interface PlaceInList {
  bin: boolean;
  find: string;
  order: (typeof ORDERS)[number]['order'];
  /** Not the first page. */
  paged: boolean;
}

/** One page of the jobs, or of those that a few letters find. */
export function JobsPage({
  page: { jobs, more },
  place: { bin, find, order, paged },
  examples,
}: {
  page: { jobs: readonly ListedJob[]; more: string | null };
  place: PlaceInList;
  /** Names of jobs to begin with; only where there is none yet. */
  examples: readonly string[];
}) {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [binned, setBinned] = useState<ListedJob | null>(null);
  useAgain(jobs.some(({ summary }) => summary === null));
  const address = (place: Record<string, string>) => {
    const query = new URLSearchParams({
      ...(bin ? { bin: '' } : {}),
      ...(find ? { find } : {}),
      ...(order === 'changed' ? {} : { order }),
      ...place,
    });
    return `/jobs?${query}`;
  };
  const act = async (method: string, path: string, body?: unknown) => {
    const reply = await request<{ id?: string }>(method, path, body);
    setProblems(reply.ok ? [] : reply.problems);
    if (reply.ok) router.refresh();
    return reply;
  };
  const toNew = async (method: string, path: string, body?: unknown) => {
    const reply = await act(method, path, body);
    if (reply.ok && reply.value.id) router.push(`/jobs/${reply.value.id}/brief`);
  };
  const toBin = async (job: ListedJob) => {
    if ((await act('DELETE', `/api/jobs/${job.id}`)).ok) setBinned(job);
  };
  const undo = async (job: ListedJob) => {
    if ((await act('POST', `/api/jobs/${job.id}/restore`)).ok) setBinned(null);
  };
  const walked = bin ? undefined : jobs[0];
  const px = scaleOf(jobs);
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1 className="text-[19px]">{bin ? 'Jobs in the bin' : 'Jobs'}</h1>
        <form action="/jobs">
          {bin ? <input type="hidden" name="bin" value="" /> : null}
          {order === 'changed' ? null : <input type="hidden" name="order" value={order} />}
          <input
            type="search"
            name="find"
            key={find}
            defaultValue={find}
            aria-label="Search the jobs by name or client"
            placeholder="Name or client"
            maxLength={200}
            className="target w-52 border-ink-2 border-b bg-transparent py-0.5 placeholder:text-ink-2"
          />
        </form>
        <nav aria-label="Order of the jobs" className="mr-auto flex gap-3.5">
          {ORDERS.map((own) => (
            <Link
              key={own.order}
              href={address({ order: own.order })}
              aria-current={own.order === order ? 'true' : undefined}
              className="target border-transparent border-b-2 py-1 text-ink-2 hover:text-ink aria-[current]:border-layout aria-[current]:font-semibold aria-[current]:text-ink"
            >
              {own.label}
            </Link>
          ))}
        </nav>
        <OpenJobFile onText={(text) => void toNew('POST', '/api/jobs/import', text)} />
        <Link className={buttonLook('chief')} href="/jobs/new">
          New job
        </Link>
      </div>
      <ProblemList problems={problems} />
      <p role="status" className={binned ? 'mt-3 flex gap-3 bg-ground px-3 py-1.5' : 'sr-only'}>
        {binned ? (
          <>
            “{binned.name}” is in the bin.
            <Button look="quiet" onClick={() => void undo(binned)}>
              Undo
            </Button>
          </>
        ) : null}
      </p>
      {jobs.length === 0 ? (
        <NoJobs
          bin={bin}
          find={find}
          examples={examples}
          onExample={(example) => void toNew('POST', '/api/jobs/example', { example })}
        />
      ) : (
        <ul className="mt-4 grid grid-cols-[repeat(auto-fill,minmax(252px,1fr))] gap-x-8 gap-y-7">
          {jobs.map((job) => (
            <JobCard
              key={job.id}
              {...{ job, px, bin }}
              onCopy={() => void toNew('POST', `/api/jobs/${job.id}/copy`)}
              onBin={() => void toBin(job)}
              onRestore={() => void act('POST', `/api/jobs/${job.id}/restore`)}
            />
          ))}
        </ul>
      )}
      <p className="mt-7 flex gap-4">
        {paged ? (
          <Link className="target inline-flex items-center text-layout hover:underline" href={address({})}>
            From the beginning
          </Link>
        ) : null}
        {more ? (
          <Link className="target inline-flex items-center text-layout hover:underline" href={address({ after: more })}>
            More jobs
          </Link>
        ) : null}
        {walked ? (
          <Button
            look="quiet"
            onClick={() => {
              beginWalk(walked.id);
              router.push(`/jobs/${walked.id}/brief`);
            }}
          >
            A first walk, in five steps
          </Button>
        ) : null}
        <Link
          className="target ml-auto inline-flex items-center text-layout hover:underline"
          href={bin ? '/jobs' : '/jobs?bin'}
        >
          {bin ? 'Back to the jobs' : 'The bin'}
        </Link>
      </p>
    </>
  );
}

/** Looks again for what is still being computed, a while. */
function useAgain(waiting: boolean) {
  const router = useRouter();
  const looked = useRef(0);
  useEffect(() => {
    if (!waiting) return;
    const timer = setInterval(() => {
      if (looked.current >= TIMES) return clearInterval(timer);
      looked.current += 1;
      router.refresh();
    }, AGAIN);
    return () => clearInterval(timer);
  }, [waiting, router]);
}

function OpenJobFile({ onText }: { onText: (text: string) => void }) {
  return (
    <label className={`${buttonLook()} cursor-pointer focus-within:outline-2 focus-within:outline-layout`}>
      Open a job file
      <input
        type="file"
        accept=".json"
        className="sr-only"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void file.text().then(onText);
        }}
      />
    </label>
  );
}
