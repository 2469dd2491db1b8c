import { highsWasm } from '@/server/highs';

export const dynamic = 'force-dynamic';

/** The compiled solver, for the browser's layout worker. */
export const GET = async () =>
  new Response(await highsWasm(), {
    headers: { 'content-type': 'application/wasm', 'cache-control': 'public, max-age=86400' },
  });
