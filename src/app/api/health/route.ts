import { answer } from '@/server/http';
import { currentWorkshop } from '@/server/workshop-store';

export const dynamic = 'force-dynamic';

export const GET = () =>
  answer(async () => {
    await currentWorkshop();
    return Response.json({ taller: 'ready' });
  });
