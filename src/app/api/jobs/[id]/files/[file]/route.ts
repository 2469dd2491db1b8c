import { heavyWork } from '@/server/heavy-work';
import { answer, download } from '@/server/http';
import { asId } from '@/server/refusal';

export const dynamic = 'force-dynamic';

export const GET = (request: Request, { params }: { params: Promise<{ id: string; file: string }> }) =>
  answer(async () => {
    const { id, file } = await params;
    const { search } = new URL(request.url);
    const { body, type, name } = await heavyWork(
      'jobFile',
      { id: asId(id, 'job'), file, query: search },
      request.signal,
    );
    return download(body, type, name);
  });
