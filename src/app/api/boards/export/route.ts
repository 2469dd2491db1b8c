import { writeRackCsv } from '@/core';
import { boardsOf } from '@/server/board-store';
import { answer, download } from '@/server/http';
import { currentWorkshop } from '@/server/workshop-store';

export const dynamic = 'force-dynamic';

export const GET = () =>
  answer(async () => {
    const boards = await boardsOf((await currentWorkshop()).id);
    return download(writeRackCsv(boards), 'text/csv; charset=utf-8', 'rack.csv');
  });
