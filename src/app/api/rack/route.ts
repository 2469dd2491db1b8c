import { answer } from '@/server/http';
import { rackOf } from '@/server/rack';

export const dynamic = 'force-dynamic';

export const GET = (request: Request) =>
  answer(async () => Response.json(await rackOf(new URL(request.url).searchParams)));
