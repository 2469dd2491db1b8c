import { answer, ownPageOnly } from '@/server/http';
import { forgetKeptLayout } from '@/server/kept-layout-store';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

export const DELETE = (request: Request, { params }: { params: Promise<{ id: string; layout: string }> }) =>
  answer(async () => {
    ownPageOnly(request);
    const { id, layout } = await params;
    await forgetKeptLayout((await currentWorkshop()).id, asId(id, 'job'), asId(layout, 'layout'));
    return Response.json({ forgotten: true });
  });
