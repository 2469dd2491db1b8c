import { heavyWork } from '@/server/heavy-work';
import { answer, download } from '@/server/http';

export const dynamic = 'force-dynamic';

export const GET = (request: Request) =>
  answer(async () => {
    const { search, origin, protocol } = new URL(request.url);
    // The address the page was opened under, so that a telephone in the same net finds it too.
    const host = request.headers.get('host');
    const pdf = await heavyWork(
      'labels',
      { query: search, origin: host ? `${protocol}//${host}` : origin },
      request.signal,
    );
    return download(pdf, 'application/pdf', 'labels.pdf');
  });
