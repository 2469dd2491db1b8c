import type { InferOutput } from 'valibot';
import type { ImportRackRequest, NewJobRequest } from '@/contract/requests';
import { importRack } from './import-rack';
import { jobFileOut } from './job-files';
import { makeSummaries } from './job-list';
import { labelsOf } from './labels';
import { rackListOf } from './rack-list';
import { Refusal } from './refusal';
import { proposalFor, startJob } from './start-job';
import { currentWorkshop } from './workshop-store';

type RackFile = Omit<InferOutput<typeof ImportRackRequest>, 'fields'> & Partial<InferOutput<typeof ImportRackRequest>>;

/** What takes long enough that everybody else would wait for it. A new task is one line here. */
export const TASKS = {
  jobFile: ({ id, file, query }: { id: string; file: string; query: string }) =>
    jobFileOut(id, file, new URLSearchParams(query)),
  labels: ({ query, origin }: { query: string; origin: string }) => labelsOf(new URLSearchParams(query), origin),
  rackList: ({ query }: { query: string }) => rackListOf(new URLSearchParams(query)),
  rackImport: async ({ text, tryOnly, fields }: RackFile & { tryOnly: boolean }) =>
    importRack(await currentWorkshop(), text, tryOnly, fields),
  summaries: (_: undefined) => makeSummaries(),
  proposal: async (wish: InferOutput<typeof NewJobRequest>) => proposalFor(await currentWorkshop(), wish),
  newJob: async (wish: InferOutput<typeof NewJobRequest>) => startJob(await currentWorkshop(), wish),
} as const;

export type TaskName = keyof typeof TASKS;

/** How a task ended, in plain data: classes do not come through from a thread. */
export type Outcome<T> =
  | { value: T }
  | { refusal: Pick<Refusal, 'status' | 'problems' | 'current'> }
  | { failure: { message: string; code: string | undefined } };

export default async function run({ name, given }: { name: TaskName; given: never }): Promise<Outcome<unknown>> {
  try {
    return { value: await TASKS[name](given) };
  } catch (error) {
    if (error instanceof Refusal)
      return { refusal: { status: error.status, problems: error.problems, current: error.current } };
    console.error(error);
    const { message, code } = error as { message?: string; code?: string };
    return { failure: { message: message ?? String(error), code } };
  }
}
