import { answer, ownPageOnly } from '@/server/http';
import { asId } from '@/server/refusal';
import { putBack } from '@/server/used-boards';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    ownPageOnly(request);
    await putBack(asId((await params).id, 'board'));
    return Response.json({ putBack: true });
  });
