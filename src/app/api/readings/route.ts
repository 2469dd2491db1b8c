import { ReadingsSchema } from '@/core';
import { deviceOf } from '@/server/device-store';
import { answer, readBody } from '@/server/http';
import { takeReadings } from '@/server/reading-store';

/** Where devices post, each with its own token; see docs/readings.md. */
export const POST = (request: Request) =>
  answer(async () => {
    const device = await deviceOf(request);
    const { readings } = await readBody(request, ReadingsSchema);
    const result = await takeReadings(device, readings, new Date());
    return Response.json(result, { status: result.taken + result.duplicates > 0 ? 200 : 422 });
  });
