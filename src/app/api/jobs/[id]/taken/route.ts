import { TakeBoardsRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { asId } from '@/server/refusal';
import { takeBoards } from '@/server/used-boards';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    const { boards, offcuts } = await readBody(request, TakeBoardsRequest);
    return Response.json(await takeBoards(id, boards, offcuts));
  });
