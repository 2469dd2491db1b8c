import { NewJobRequest } from '@/contract/requests';
import { heavyWork } from '@/server/heavy-work';
import { answer, readBody } from '@/server/http';
import { jobPage, jobQueryOf } from '@/server/job-list';
import { addJob } from '@/server/job-store';
import { currentWorkshop } from '@/server/workshop-store';

export const dynamic = 'force-dynamic';

export const GET = (request: Request) =>
  answer(async () => {
    const workshop = await currentWorkshop();
    return Response.json(await jobPage(workshop.id, jobQueryOf(new URL(request.url).searchParams)));
  });

export const POST = (request: Request) =>
  answer(async () => {
    const workshop = await currentWorkshop();
    const document = await heavyWork('newJob', await readBody(request, NewJobRequest), request.signal);
    return Response.json(await addJob(workshop.id, document), { status: 201 });
  });
