import { ExampleRequest } from '@/contract/requests';
import { openExample } from '@/server/examples';
import { answer, readBody } from '@/server/http';
import { currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request) =>
  answer(async () => {
    const { example } = await readBody(request, ExampleRequest);
    return Response.json(await openExample(await currentWorkshop(), example), { status: 201 });
  });
