import pg from 'pg';

// Dates as written, not as local midnights.
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

const kept = globalThis as { tallerPool?: pg.Pool };

/** One pool a process, on DATABASE_URL. */
export function pool(): pg.Pool {
  if (!kept.tallerPool) {
    const connectionString = process.env.DATABASE_URL;
    if (!connectionString) throw new Error('DATABASE_URL is not set: start Taller with bin/start.');
    kept.tallerPool = new pg.Pool({ connectionString, max: 10, connectionTimeoutMillis: 5000 });
    // A connection that the database closed is not worth a crash, idle or in use: whoever queries on it is told, and the
    // next one is given another.
    kept.tallerPool.on('error', () => {});
    kept.tallerPool.on('connect', (client) => client.on('error', () => {}));
  }
  return kept.tallerPool;
}

export type Queryable = Pick<pg.PoolClient, 'query'>;

/** Two transactions that wait for each other: the database ends one of them, which may be done again. */
const MUTUAL_WAIT = new Set(['40P01', '40001']);
const TRIES = 4;

/** Runs `work` in one transaction; rolled back when it throws, and run again where another stood in its way. */
export async function inTransaction<T>(work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  for (let go = 1; ; go += 1) {
    try {
      return await once(work);
    } catch (error) {
      if (go === TRIES || !MUTUAL_WAIT.has((error as { code?: string }).code ?? '')) throw error;
      await new Promise((resolve) => setTimeout(resolve, 20 * go * (1 + Math.random())));
    }
  }
}

async function once<T>(work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
  const client = await pool().connect();
  let broken: Error | undefined;
  try {
    await client.query('begin');
    const result = await work(client);
    await client.query('commit');
    return result;
  } catch (error) {
    await client.query('rollback').catch((reason) => {
      broken = reason;
    });
    throw error;
  } finally {
    // One that cannot even roll back is not used again.
    client.release(broken);
  }
}
