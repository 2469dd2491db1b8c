'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Problem, sayDay } from '@/core';
import { Button, buttonLook } from '@/ui/button';
import { ProblemList } from '@/ui/problem-list';
import { request } from '@/ui/request';
import { Length } from '@/ui/units';

interface Line {
  id: string;
  name: string;
  client: string;
  species: string;
  length: number;
  width: number;
  dueOn: string;
  cut: number;
  parts: number;
  stops: number;
}

export function JobsPage({ jobs, bin }: { jobs: readonly Line[]; bin: boolean }) {
  const router = useRouter();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
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
      {jobs.length === 0 ? (
        <p className="mt-8">
          {bin ? (
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
                <td>{job.species}</td>
                <td className="text-right">
                  <Length mm={job.length} /> × <Length mm={job.width} />
                </td>
                <td className="figures text-right">
                  {job.cut} of {job.parts}
                </td>
                <td className="figures text-right">{sayDay(job.dueOn)}</td>
                <td className="pl-6">
                  {job.stops > 0 ? (
                    <span className="font-semibold text-stop">{job.stops} stop</span>
                  ) : (
                    <span className="text-ink-2">no stop</span>
                  )}
                </td>
                <td className="text-right">
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
      <p className="mt-6">
        <Link className="text-layout hover:underline" href={bin ? '/jobs' : '/jobs?bin'}>
          {bin ? 'Back to the jobs' : 'The bin'}
        </Link>
      </p>
    </>
  );
}
