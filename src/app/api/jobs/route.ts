import { answer, readBody } from '@/server/http';
import { addJob, jobsOf } from '@/server/job-store';
import { NewJobRequest } from '@/server/requests';
import { startJob } from '@/server/start-job';
import { currentWorkshop } from '@/server/workshop-store';

export const dynamic = 'force-dynamic';

export const GET = (request: Request) =>
  answer(async () => {
    const workshop = await currentWorkshop();
    const jobs = await jobsOf(workshop.id, new URL(request.url).searchParams.has('bin'));
    return Response.json(jobs.map(({ layout: _, ...job }) => job));
  });

export const POST = (request: Request) =>
  answer(async () => {
    const workshop = await currentWorkshop();
    const document = await startJob(workshop, await readBody(request, NewJobRequest));
    return Response.json(await addJob(workshop.id, document), { status: 201 });
  });
