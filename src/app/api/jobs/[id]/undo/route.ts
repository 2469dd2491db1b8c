import { StepJobRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { undoJob } from '@/server/job-store';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    const { revision } = await readBody(request, StepJobRequest);
    return Response.json(await undoJob((await currentWorkshop()).id, id, revision));
  });
