import type { GenericSchema, InferOutput } from 'valibot';
import { type Problem, read } from '@/core';
import { Refusal } from './refusal';

const LARGEST_BODY = 8 * 1024 * 1024;

/** Failures of the database and the disk, by the code of the database or the system, with what a maker can do about them. */
const KNOWN_FAILURES: { code: RegExp; status: number; problem: Problem }[] = [
  {
    code: /^(53100|ENOSPC|EDQUOT)$/,
    status: 507,
    problem: {
      problem: 'The disk is full, so nothing more can be kept.',
      where: 'the server',
      wayOut: 'Make room on the disk that Taller is on, then try again.',
    },
  },
  {
    code: /^(ECONNREFUSED|ECONNRESET|EPIPE|57P0\d|08\d{3}|53\d{3})$|timeout exceeded when trying to connect|Connection terminated|connection error and is not queryable/,
    status: 503,
    problem: {
      problem: 'The database does not answer.',
      where: 'the server',
      wayOut: 'Try again in a moment. If it lasts, start Taller anew with bin/start.',
    },
  },
];

/** Answers a request, turning a refusal into its status and an unforeseen failure into a plain 500 with no secrets. */
export async function answer(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) return refuse(error.status, error.problems, error.current);
    // Whoever asked is gone, and reads no answer.
    if ((error as Error)?.name === 'AbortError') return new Response(null, { status: 499 });
    const known = KNOWN_FAILURES.find(({ code }) => code.test((error as { code?: string }).code ?? String(error)));
    if (known) return refuse(known.status, [known.problem]);
    console.error(error);
    return refuse(500, [
      {
        problem: 'Something went wrong that should not have.',
        where: 'the server',
        wayOut: 'Try again; the server’s log has the reason.',
      },
    ]);
  }
}

export function refuse(status: number, problems: readonly Problem[], current?: unknown): Response {
  return Response.json({ problems, ...(current === undefined ? {} : { current }) }, { status });
}

/** A write asked for by another site's page is not the maker's own. */
export function ownPageOnly(request: Request): void {
  const site = request.headers.get('sec-fetch-site');
  if (site === 'cross-site') {
    throw new Refusal(403, [
      { problem: 'This came from another site’s page.', where: 'the request', wayOut: 'Use Taller’s own pages.' },
    ]);
  }
}

/** A body as it comes, cut off where it grows too large. */
export async function readText(request: Request): Promise<string> {
  ownPageOnly(request);
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = request.body?.getReader();
  for (;;) {
    // Half a file is not taken for a whole one.
    const read = await reader?.read().catch(() => {
      throw new Refusal(400, [{ problem: 'The body broke off.', where: 'the body', wayOut: 'Send it again.' }]);
    });
    if (!read || read.done) break;
    size += read.value.byteLength;
    if (size > LARGEST_BODY) {
      void reader?.cancel().catch(() => {});
      throw new Refusal(413, [
        { problem: 'That is more than 8 MB.', where: 'the body', wayOut: 'Send it in smaller parts.' },
      ]);
    }
    chunks.push(read.value);
  }
  const text = Buffer.concat(chunks).toString('utf8');
  if (text.includes('\u0000')) {
    throw new Refusal(400, [
      { problem: 'There are null characters in it.', where: 'the body', wayOut: 'Save the file as plain UTF-8 text.' },
    ]);
  }
  return text;
}

export async function readBody<S extends GenericSchema>(request: Request, schema: S): Promise<InferOutput<S>> {
  const type = request.headers.get('content-type') ?? '';
  if (!/^application\/json\b/i.test(type)) {
    throw new Refusal(415, [
      {
        problem: type ? `${type.slice(0, 60)} is not read here.` : 'What kind of text it is does not stand on it.',
        where: 'content-type',
        wayOut: 'Send JSON, with content-type: application/json.',
      },
    ]);
  }
  return bodyOf(await readText(request), schema);
}

/** A body that has been read, as JSON of a schema. */
export function bodyOf<S extends GenericSchema>(text: string, schema: S): InferOutput<S> {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw new Refusal(400, [
      { problem: 'The body does not read as JSON.', where: 'the body', wayOut: 'Send a JSON object.' },
    ]);
  }
  const result = read(schema, data, 'the body');
  if ('problems' in result) throw new Refusal(422, result.problems);
  return result.value;
}

export function download(body: string | Uint8Array<ArrayBuffer>, type: string, name: string): Response {
  return new Response(body, {
    headers: {
      'content-type': type,
      'content-disposition': `attachment; filename="${name}"`,
      'cache-control': 'no-store',
    },
  });
}
