import { ImportRackRequest } from '@/contract/requests';
import { heavyWork } from '@/server/heavy-work';
import { answer, bodyOf, readText } from '@/server/http';

/** A plain CSV file, or a JSON object of one with what its columns are. */
export const POST = (request: Request) =>
  answer(async () => {
    const tryOnly = new URL(request.url).searchParams.has('try');
    const body = await readText(request);
    const file = body.startsWith('{"') ? bodyOf(body, ImportRackRequest) : { text: body };
    return Response.json(await heavyWork('rackImport', { ...file, tryOnly }, request.signal));
  });
