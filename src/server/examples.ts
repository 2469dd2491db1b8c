import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { JobReply } from '@/contract/replies';
import { readJobFile } from '@/core';
import { notFound } from './refusal';
import { importJob } from './start-job';
import type { Workshop } from './workshop-store';

const FOLDER = join(process.cwd(), 'demo', 'jobs');

let known: Promise<ReadonlyMap<string, string>> | null = null;

/** Job files that ship with Taller, by the name of their job. */
function files(): Promise<ReadonlyMap<string, string>> {
  known ??= readAll();
  return known;
}

async function readAll(): Promise<ReadonlyMap<string, string>> {
  const names = (await readdir(FOLDER)).filter((name) => name.endsWith('.taller.json')).sort();
  const texts = await Promise.all(names.map((name) => readFile(join(FOLDER, name), 'utf8')));
  return new Map(
    texts.flatMap((text) => {
      const file = readJobFile(text);
      return 'value' in file ? [[file.value.job.name, text] as const] : [];
    }),
  );
}

export const exampleNames = async (): Promise<string[]> => [...(await files()).keys()];

/** An example as a job of this workshop. */
export async function openExample(workshop: Workshop, name: string): Promise<JobReply> {
  const text = (await files()).get(name);
  if (text === undefined) throw notFound('example', name);
  return importJob(workshop, text);
}
