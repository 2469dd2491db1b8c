import { answer, download } from '@/server/http';
import { labelsOf } from '@/server/labels';

export const dynamic = 'force-dynamic';

export const GET = (request: Request) =>
  answer(async () => {
    const { searchParams, origin, protocol } = new URL(request.url);
    // The address the page was opened under, so that a telephone in the same net finds it too.
    const host = request.headers.get('host');
    const pdf = await labelsOf(searchParams, host ? `${protocol}//${host}` : origin);
    return download(pdf, 'application/pdf', 'labels.pdf');
  });
