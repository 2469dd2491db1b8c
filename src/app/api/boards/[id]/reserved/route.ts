import { ReserveBoardRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { asId } from '@/server/refusal';
import { reserveBoard } from '@/server/used-boards';

export const PUT = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const { job } = await readBody(request, ReserveBoardRequest);
    await reserveBoard(asId((await params).id, 'board'), job);
    return Response.json({ reserved: job });
  });
