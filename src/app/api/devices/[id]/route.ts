import { binDevice } from '@/server/device-store';
import { answer, ownPageOnly } from '@/server/http';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

export const DELETE = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    ownPageOnly(request);
    await binDevice((await currentWorkshop()).id, asId((await params).id, 'device'));
    return Response.json({ binned: true });
  });
