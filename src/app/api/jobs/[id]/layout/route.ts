import { KeepLayoutRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { keepLayout } from '@/server/job-store';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

export const PUT = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    await keepLayout((await currentWorkshop()).id, id, await readBody(request, KeepLayoutRequest));
    return Response.json({ kept: true });
  });
