import { answer, readText } from '@/server/http';
import { importJob } from '@/server/start-job';
import { currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request) =>
  answer(async () => Response.json(await importJob(await currentWorkshop(), await readText(request)), { status: 201 }));
