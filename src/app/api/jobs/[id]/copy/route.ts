import { answer, ownPageOnly } from '@/server/http';
import { asId } from '@/server/refusal';
import { copyJob } from '@/server/start-job';
import { currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    ownPageOnly(request);
    const workshop = await currentWorkshop();
    return Response.json(await copyJob(workshop, asId((await params).id, 'job')), { status: 201 });
  });
