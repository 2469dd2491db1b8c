import { boardsForJob } from '@/server/board-store';
import { answer } from '@/server/http';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

export const dynamic = 'force-dynamic';

/** The boards a job may use, where they are too many to come with its page. */
export const GET = (_: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const id = asId((await params).id, 'job');
    return Response.json(await boardsForJob((await currentWorkshop()).id, id));
  });
