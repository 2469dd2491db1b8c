import { SaveBoardRequest } from '@/contract/requests';
import { binBoard, saveBoard } from '@/server/board-store';
import { answer, ownPageOnly, readBody } from '@/server/http';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

type Context = { params: Promise<{ id: string }> };

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => {
    const id = asId((await params).id, 'board');
    const { board, revision } = await readBody(request, SaveBoardRequest);
    return Response.json(await saveBoard((await currentWorkshop()).id, id, board, revision));
  });

export const DELETE = (request: Request, { params }: Context) =>
  answer(async () => {
    ownPageOnly(request);
    await binBoard((await currentWorkshop()).id, asId((await params).id, 'board'));
    return Response.json({ binned: true });
  });
