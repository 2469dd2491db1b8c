import { answer } from '@/server/http';
import { jobFileOut } from '@/server/job-files';
import { asId } from '@/server/refusal';

export const dynamic = 'force-dynamic';

export const GET = (request: Request, { params }: { params: Promise<{ id: string; file: string }> }) =>
  answer(async () => {
    const { id, file } = await params;
    return jobFileOut(asId(id, 'job'), file, new URL(request.url).searchParams);
  });
