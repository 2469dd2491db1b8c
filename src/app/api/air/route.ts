import { airData } from '@/server/air-data';
import { answer } from '@/server/http';

export const GET = () => answer(async () => Response.json(await airData()));
