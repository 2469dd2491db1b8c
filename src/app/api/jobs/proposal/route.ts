import { NewJobRequest } from '@/contract/requests';
import { heavyWork } from '@/server/heavy-work';
import { answer, readBody } from '@/server/http';

export const POST = (request: Request) =>
  answer(async () =>
    Response.json(await heavyWork('proposal', await readBody(request, NewJobRequest), request.signal)),
  );
