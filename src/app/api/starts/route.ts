import { startsDrawn } from '@/server/drawn-starts';
import { answer } from '@/server/http';

export const dynamic = 'force-dynamic';

export const GET = () => answer(async () => Response.json(await startsDrawn()));
