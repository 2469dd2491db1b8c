import type { JobReply } from '@/contract/replies';

/** The running Tallers that bin/test started: files that run side by side have one each. */
const running = (process.env.TALLER_URLS ?? process.env.TALLER_URL ?? 'http://127.0.0.1:3000').split(' ');
export const base = running[(Number(process.env.VITEST_POOL_ID ?? 1) - 1) % running.length] as string;

export async function call<T = never>(
  method: string,
  path: string,
  body?: unknown,
): Promise<{ status: number; data: T; headers: Headers }> {
  const response = await fetch(base + path, {
    method,
    ...(body === undefined
      ? {}
      : {
          body: typeof body === 'string' ? body : JSON.stringify(body),
          headers: { 'content-type': 'application/json' },
        }),
  });
  const text = await response.text();
  let data: unknown = text;
  try {
    data = JSON.parse(text);
  } catch {
    // Files are not JSON.
  }
  return { status: response.status, data: data as T, headers: response.headers };
}

export type { JobReply };

export const brief = {
  seats: 6,
  seating: 'chairs',
  room: { length: 4200, width: 3400 },
  behindChairs: 'wall',
  door: { width: 830, height: 2000 },
  dueOn: '2027-06-01',
  note: '',
};

export async function newJob(name: string, species = 'ash-white', start?: string): Promise<JobReply> {
  const { data: shop } = await call<{ places: { id: string; kind: string }[] }>('GET', '/api/shop');
  const homePlaceId = shop.places.find((p) => p.kind === 'home')!.id;
  const reply = await call<JobReply>('POST', '/api/jobs', {
    name,
    client: 'Tests',
    brief,
    species,
    homePlaceId,
    startOn: '2027-03-08',
    ...(start ? { start } : {}),
  });
  if (reply.status !== 201) throw new Error(JSON.stringify(reply.data));
  return reply.data;
}
