import { ReserveBoardsRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { asId } from '@/server/refusal';
import { reserveBoards } from '@/server/used-boards';

export const PUT = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    const { boards } = await readBody(request, ReserveBoardsRequest);
    return Response.json(await reserveBoards(id, boards));
  });
