import { SaveJobRequest } from '@/contract/requests';
import { answer, ownPageOnly, readBody } from '@/server/http';
import { binJob, findJob, saveJob } from '@/server/job-store';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

type Context = { params: Promise<{ id: string }> };

export const GET = (_: Request, { params }: Context) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    return Response.json(await findJob((await currentWorkshop()).id, id));
  });

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    const { document, revision } = await readBody(request, SaveJobRequest);
    return Response.json(await saveJob((await currentWorkshop()).id, id, document, revision));
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(async () => {
    ownPageOnly(request);
    await binJob((await currentWorkshop()).id, asId((await params).id, 'job'));
    return Response.json({ binned: true });
  });
