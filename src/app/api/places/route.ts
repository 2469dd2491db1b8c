import { NewPlaceRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { addPlace, currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request) =>
  answer(async () => {
    const place = await readBody(request, NewPlaceRequest);
    return Response.json(await addPlace((await currentWorkshop()).id, place), { status: 201 });
  });
