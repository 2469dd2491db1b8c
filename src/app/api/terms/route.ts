import { answer } from '@/server/http';
import { glossary } from '@/server/terms';

export const dynamic = 'force-dynamic';

export const GET = () => answer(async () => Response.json((await glossary()).terms));
