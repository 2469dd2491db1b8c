import pg from 'pg';
import type { JobDocument } from '@/core';

interface Job {
  id: string;
  revision: number;
  document: JobDocument;
}

/** What was answered: those that wrote and were told so, and every other status with how often it came. */
export interface Answers {
  statuses: Map<number, number>;
  /** Failures without a reason: what must not be. */
  unexplained: string[];
}

const BOARD = {
  ...{ tag: '', species: 'oak-white', length: 2000, width: 200, thickness: 30, quarters: null, surface: 'rough' },
  ...{ ringAngle: 20, moisture: 9, moistureOn: null, lot: '', note: '', price: null, defects: [] },
};

/**
 * Several clients who write as fast as they are answered: decisions of a job each, new boards, readings of a meter. They
 * keep what the server has told them that it has, and can say what of it is not there, or there twice.
 */
export class Writers {
  private readonly jobs: Job[] = [];
  private token = '';
  private count = 0;
  private readonly revisions: { job: string; revision: number; note: string }[] = [];
  private readonly boards: string[] = [];
  private readonly readings: { tag: string; at: string }[] = [];
  readonly answers: Answers = { statuses: new Map(), unexplained: [] };

  constructor(
    private readonly clients: number,
    private url: () => string,
  ) {}

  get acknowledged(): number {
    return this.revisions.length + this.boards.length + this.readings.length;
  }

  /** A request and its answer; null where the connection broke. */
  private async send<T>(method: string, path: string, body?: unknown): Promise<{ status: number; data: T } | null> {
    const headers = { 'content-type': 'application/json', authorization: `Bearer ${this.token}` };
    try {
      const response = await fetch(this.url() + path, {
        method,
        headers,
        ...(body === undefined ? {} : { body: JSON.stringify(body) }),
        signal: AbortSignal.timeout(60_000),
      });
      const text = await response.text();
      const { status } = response;
      this.answers.statuses.set(status, (this.answers.statuses.get(status) ?? 0) + 1);
      const explained = status === 503 || status === 507 ? /"wayOut":"[^"]{8,}"/.test(text) : status < 500;
      if (!explained) this.answers.unexplained.push(`${method} ${path}: ${status} ${text.slice(0, 200)}`);
      return { status, data: JSON.parse(text) as T };
    } catch {
      return null;
    }
  }

  /** Gives each client a job, and them all a meter. */
  async begin(): Promise<void> {
    const { data: shop } = (await this.send<{ places: { id: string; kind: string }[] }>('GET', '/api/shop'))!;
    const homePlaceId = shop.places.find(({ kind }) => kind === 'home')?.id;
    const brief = {
      ...{ seats: 6, seating: 'chairs', room: { length: 4200, width: 3400 }, behindChairs: 'wall', note: '' },
      ...{ door: { width: 830, height: 2000 }, dueOn: '2027-06-01' },
    };
    for (let i = 0; i < this.clients; i += 1) {
      const wish = { name: `Client ${i}`, client: 'Faults', brief, species: 'ash-white', homePlaceId };
      const made = await this.send<Job>('POST', '/api/jobs', { ...wish, startOn: '2027-03-08' });
      if (made?.status !== 201) throw new Error(`no job: ${JSON.stringify(made)}`);
      this.jobs.push(made.data);
    }
    const meter = { name: 'Meter', kind: 'moisture-meter', placeId: null };
    this.token = (await this.send<{ token: string }>('POST', '/api/devices', meter))!.data.token;
  }

  /** Writes until told to stop. */
  async write(goOn: () => boolean): Promise<void> {
    await Promise.all(this.jobs.map((_, i) => this.client(i, goOn)));
  }

  private async client(i: number, goOn: () => boolean): Promise<void> {
    // Whether the last one came through before the connection broke is for the server to say.
    const now = await this.send<Job>('GET', `/api/jobs/${this.jobs[i]!.id}`);
    if (now?.status === 200) this.jobs[i] = now.data;
    while (goOn()) {
      this.count += 1;
      const name = `W${this.count}`;
      const done =
        this.count % 3 === 0
          ? await this.addBoard(name)
          : this.count % 3 === 1 && this.boards.length > 0
            ? await this.readBoard(name)
            : await this.decide(i, name);
      if (!done) await new Promise((resolve) => setTimeout(resolve, 50));
    }
  }

  private async decide(i: number, note: string): Promise<boolean> {
    const { id, revision, document } = this.jobs[i]!;
    const wish = { revision, document: { ...document, brief: { ...document.brief, note } } };
    const reply = await this.send<Job>('PUT', `/api/jobs/${id}`, wish);
    if (reply?.status !== 200) return false;
    this.jobs[i] = reply.data;
    this.revisions.push({ job: id, revision: reply.data.revision, note });
    return true;
  }

  private async addBoard(tag: string): Promise<boolean> {
    const reply = await this.send('POST', '/api/boards', { ...BOARD, tag });
    if (reply?.status !== 201) return false;
    this.boards.push(tag);
    return true;
  }

  private async readBoard(name: string): Promise<boolean> {
    const tag = this.boards[this.count % this.boards.length]!;
    const at = new Date(Date.now() - Number(name.slice(1))).toISOString();
    const reading = { at, board: tag, reading: 9, woodTemperature: 20 };
    const reply = await this.send<{ taken: number }>('POST', '/api/readings', { readings: [reading] });
    if (reply?.status !== 200 || reply.data.taken !== 1) return false;
    this.readings.push({ tag, at });
    return true;
  }

  /** What was acknowledged and is not there exactly once, looked up in the database itself and asked of the server. */
  async lostOrDoubled(databaseUrl: string): Promise<string[]> {
    const client = new pg.Client({ connectionString: databaseUrl });
    await client.connect();
    try {
      const count = async (sql: string, values: unknown[][]) =>
        new Map(
          (await client.query<{ key: string; n: number }>(sql, values)).rows.map(({ key, n }) => [key, Number(n)]),
        );
      const revisions = await count(
        `select job_id || ' ' || revision || ' ' || (document->'brief'->>'note') as key, count(*) as n
           from job_revision where job_id = any($1) group by 1`,
        [this.jobs.map(({ id }) => id)],
      );
      const boards = await count(
        'select tag as key, count(*) as n from board where deleted_at is null and tag = any($1) group by 1',
        [this.boards],
      );
      const readings = await count(
        `select board.tag || ' ' || to_char(read_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') as key, count(*) as n
           from board_reading join board on board.id = board_id where board.tag = any($1) group by 1`,
        [this.boards],
      );
      const faults = (kept: Map<string, number>, told: string[]) =>
        told.flatMap((key) => (kept.get(key) === 1 ? [] : [`${key}: ${kept.get(key) ?? 0} times`]));
      const answered = await Promise.all(
        this.jobs.map(async ({ id }) => ({ id, reply: await this.send<Job>('GET', `/api/jobs/${id}`) })),
      );
      return [
        ...faults(
          revisions,
          this.revisions.map(({ job, revision, note }) => `${job} ${revision} ${note}`),
        ),
        ...faults(boards, this.boards),
        ...faults(
          readings,
          this.readings.map(({ tag, at }) => `${tag} ${at}`),
        ),
        ...answered.flatMap(({ id, reply }) => {
          const last = Math.max(0, ...this.revisions.filter(({ job }) => job === id).map(({ revision }) => revision));
          return reply?.status === 200 && reply.data.revision >= last ? [] : [`job ${id} stands before ${last}`];
        }),
      ];
    } finally {
      await client.end();
    }
  }
}
