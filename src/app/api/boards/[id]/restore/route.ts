import { restoreBoard } from '@/server/board-store';
import { answer, ownPageOnly } from '@/server/http';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    ownPageOnly(request);
    return Response.json(await restoreBoard((await currentWorkshop()).id, asId((await params).id, 'board')));
  });
