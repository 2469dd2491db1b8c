import { SavePlaceRequest } from '@/contract/requests';
import { answer, ownPageOnly, readBody } from '@/server/http';
import { asId } from '@/server/refusal';
import { binPlace, currentWorkshop, savePlace } from '@/server/workshop-store';

type Context = { params: Promise<{ id: string }> };

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => {
    const id = asId((await params).id, 'place');
    const { place, revision } = await readBody(request, SavePlaceRequest);
    return Response.json(await savePlace((await currentWorkshop()).id, id, place, revision));
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(async () => {
    ownPageOnly(request);
    await binPlace((await currentWorkshop()).id, asId((await params).id, 'place'));
    return Response.json({ binned: true });
  });
