import { BoardSchema } from '@/core';
import { addBoard, boardsOf } from '@/server/board-store';
import { answer, readBody } from '@/server/http';
import { currentWorkshop } from '@/server/workshop-store';

export const dynamic = 'force-dynamic';

export const GET = (request: Request) =>
  answer(async () => {
    const workshop = await currentWorkshop();
    return Response.json(await boardsOf(workshop.id, new URL(request.url).searchParams.has('bin') ? 'bin' : 'rack'));
  });

export const POST = (request: Request) =>
  answer(async () => {
    const workshop = await currentWorkshop();
    return Response.json(await addBoard(workshop.id, await readBody(request, BoardSchema)), { status: 201 });
  });
