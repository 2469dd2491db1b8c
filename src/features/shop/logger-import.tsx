'use client';

import { useId, useState } from 'react';
import { type LoggedDay, type LoggerFile, type Problem, sayDay } from '@/core';
import { Button } from '@/ui/button';
import { ProblemList } from '@/ui/problem-list';
import { useUnits } from '@/ui/units';
import { useWorker } from '@/ui/use-worker';
import type { Logger } from '@/workers/logger.worker';

/** Takes a logger's file into a place, after showing what was read in it. */
export function LoggerImport({
  logged,
  onLogged,
}: {
  logged: readonly LoggedDay[];
  onLogged: (days: LoggedDay[]) => void;
}) {
  const { system } = useUnits();
  const [seen, setSeen] = useState<LoggerFile | null>(null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const id = useId();
  const [reading, setReading] = useState(false);
  const { open, end, opened } = useWorker<Logger>(
    () => new Worker(new URL('../../workers/logger.worker.ts', import.meta.url), { type: 'module' }),
    'The file could not be read.',
  );
  const stop = () => {
    end();
    setReading(false);
  };
  const look = async (file: File | undefined) => {
    if (!file) return;
    stop();
    const mine = open();
    setReading(true);
    setSeen(null);
    setProblems([]);
    const read = await Promise.race([mine.remote.read(file, system === 'inch'), mine.failed]).catch((error: Error) => ({
      problems: [{ problem: error.message, where: file.name, wayOut: 'Choose it again.' }],
    }));
    // Stopped, or another file was chosen; one that has failed has been ended already.
    if (opened() !== null && opened() !== mine) return;
    stop();
    setSeen('days' in read ? read : null);
    setProblems(read.problems);
  };
  const take = () => {
    if (!seen) return;
    const days = new Map(logged.map((day) => [day.day, day]));
    for (const day of seen.days) days.set(day.day, day);
    onLogged([...days.values()].sort((a, b) => a.day - b.day));
    setSeen(null);
    setProblems([]);
  };
  return (
    <section aria-label="From a logger">
      <label htmlFor={id} className="block text-ink-2">
        A logger’s CSV, a week or a year
      </label>
      <input
        id={id}
        type="file"
        accept=".csv,.txt,text/csv,text/plain"
        className="my-1 block w-full text-[12px] file:mr-2 file:rounded-sm file:border file:border-ink-2 file:bg-paper file:px-2 file:py-1"
        onChange={(event) => {
          void look(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      {reading ? (
        <p role="status" className="flex items-center gap-3">
          Reading … <Button onClick={stop}>Stop</Button>
        </p>
      ) : null}
      {seen ? (
        <div role="status" className="border-layout border-l-4 bg-layout-tint px-3 py-2">
          <p>
            {seen.readings} readings on {seen.days.length} days, {sayDay(seen.from)} to {sayDay(seen.to)}, from the
            columns <b>{seen.columns.time}</b>, <b>{seen.columns.temperature}</b>
            {seen.fahrenheit ? ' (read as °F)' : ''} and <b>{seen.columns.humidity}</b>.
          </p>
          <Button className="mt-1" onClick={take}>
            Take these days in
          </Button>
        </div>
      ) : null}
      <ProblemList problems={problems} />
      {logged.length > 0 ? (
        <p className="mt-1">
          {logged.length} days are from a logger and stand before the months.{' '}
          <Button look="quiet" onClick={() => onLogged([])}>
            Leave them out
          </Button>
        </p>
      ) : null}
    </section>
  );
}
