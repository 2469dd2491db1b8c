import { answer, readBody } from '@/server/http';
import { asId } from '@/server/refusal';
import { TakeBoardsRequest } from '@/server/requests';
import { takeBoards } from '@/server/used-boards';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    const { boards, offcuts } = await readBody(request, TakeBoardsRequest);
    return Response.json(await takeBoards(id, boards, offcuts));
  });
