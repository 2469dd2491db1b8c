import { EnterReadingRequest } from '@/contract/requests';
import { answer, readBody } from '@/server/http';
import { enterBoardReading } from '@/server/reading-store';
import { asId } from '@/server/refusal';
import { currentWorkshop } from '@/server/workshop-store';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  answer(async () => {
    const id = asId((await params).id, 'board');
    const reading = await readBody(request, EnterReadingRequest);
    return Response.json(await enterBoardReading((await currentWorkshop()).id, id, reading, new Date()), {
      status: 201,
    });
  });
