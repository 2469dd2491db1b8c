import { heavyWork } from '@/server/heavy-work';
import { answer, download } from '@/server/http';

export const dynamic = 'force-dynamic';

export const GET = (request: Request) =>
  answer(async () => {
    const pdf = await heavyWork('rackList', { query: new URL(request.url).search }, request.signal);
    return download(pdf, 'application/pdf', 'rack.pdf');
  });
