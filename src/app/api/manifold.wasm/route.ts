import { solidsWasm } from '@/server/solids';

export const dynamic = 'force-dynamic';

/** The compiled library for solids, for the browser's worker. */
export const GET = async () =>
  new Response(await solidsWasm(), {
    headers: { 'content-type': 'application/wasm', 'cache-control': 'public, max-age=86400' },
  });
