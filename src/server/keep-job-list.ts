import pg from 'pg';
import { heavyWork } from './heavy-work';

/** How long after a lost connection another is tried, ms. */
const AGAIN = 2000;

/**
 * Keeps what the list of jobs shows up to date: computes in a thread what it lacks, at the start and whenever the database
 * reports that a job, the shop or a place was written, by whomever.
 */
export function keepJobList(): void {
  let running = false;
  let again = false;
  const compute = () => {
    again = running;
    if (running) return;
    running = true;
    rest()
      .catch((error) => console.error('The list of jobs was not brought up to date:', error.message))
      .finally(() => {
        running = false;
        if (again) compute();
      });
  };
  const rest = async () => {
    while (await heavyWork('summaries', undefined, new AbortController().signal));
  };
  const listen = async () => {
    const client = new pg.Client({ connectionString: process.env.DATABASE_URL, connectionTimeoutMillis: 5000 });
    let lost = false;
    const retry = () => {
      if (lost) return;
      lost = true;
      client.end().catch(() => {});
      setTimeout(listen, AGAIN).unref();
    };
    client.on('error', retry);
    client.on('end', retry);
    client.on('notification', compute);
    try {
      await client.connect();
      await client.query('listen job_list');
      compute();
    } catch {
      retry();
    }
  };
  void listen();
}
