import { answer } from '@/server/http';
import { boardsInAir } from '@/server/reading-store';
import { currentWorkshop } from '@/server/workshop-store';

export const dynamic = 'force-dynamic';

/** Every board with its moisture, fetched when one of them has changed. */
export const GET = () => answer(async () => Response.json(await boardsInAir((await currentWorkshop()).id)));
