import { answer, readText } from '@/server/http';
import { importRack } from '@/server/import-rack';
import { currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request) =>
  answer(async () => {
    const tryOnly = new URL(request.url).searchParams.has('try');
    return Response.json(await importRack(await currentWorkshop(), await readText(request), tryOnly));
  });
