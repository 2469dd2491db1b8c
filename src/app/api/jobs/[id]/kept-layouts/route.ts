import { KeepAsideRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { addKeptLayout, keptLayoutsOf } from '@/server/kept-layout-store';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

type Context = { params: Promise<{ id: string }> };

export const GET = (_: Request, { params }: Context) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    return Response.json(await keptLayoutsOf((await currentWorkshop()).id, id));
  });

export const POST = (request: Request, { params }: Context) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    const kept = await readBody(request, KeepAsideRequest);
    return Response.json(await addKeptLayout((await currentWorkshop()).id, id, kept), { status: 201 });
  });
