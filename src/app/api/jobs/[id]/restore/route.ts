import { answer, ownPageOnly } from '@/server/http';
import { restoreJob } from '@/server/job-store';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    ownPageOnly(request);
    await restoreJob((await currentWorkshop()).id, asId((await params).id, 'job'));
    return Response.json({ restored: true });
  });
