import { answer, bodyOf, readText } from '@/server/http';
import { importRack } from '@/server/import-rack';
import { ImportRackRequest } from '@/server/requests';
import { currentWorkshop } from '@/server/workshop-store';

/** A plain CSV file, or a JSON object of one with what its columns are. */
export const POST = (request: Request) =>
  answer(async () => {
    const tryOnly = new URL(request.url).searchParams.has('try');
    const body = await readText(request);
    const { text, fields } = body.startsWith('{"')
      ? bodyOf(body, ImportRackRequest)
      : { text: body, fields: undefined };
    return Response.json(await importRack(await currentWorkshop(), text, tryOnly, fields));
  });
