import type { GenericSchema, InferOutput } from 'valibot';
import { type Problem, read } from '@/core';
import { Refusal } from './refusal';

const LARGEST_BODY = 8 * 1024 * 1024;

/** Answers a request, turning a refusal into its status and an unforeseen failure into a plain 500 with no secrets. */
export async function answer(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof Refusal) return refuse(error.status, error.problems, error.current);
    const code = (error as { code?: string }).code ?? '';
    if (
      /^(ECONNREFUSED|ECONNRESET|57P0\d|08\d{3}|53\d{3})$/.test(code) ||
      /timeout exceeded when trying to connect/.test(String(error))
    ) {
      return refuse(503, [
        {
          problem: 'The database does not answer.',
          where: 'the server',
          wayOut: 'Your change is kept in the browser and sent again. If it lasts, start Taller anew with bin/start.',
        },
      ]);
    }
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

export async function readText(request: Request): Promise<string> {
  ownPageOnly(request);
  const text = await request.text().catch(() => '');
  if (text.length > LARGEST_BODY) {
    throw new Refusal(413, [
      { problem: 'That is more than 8 MB.', where: 'the body', wayOut: 'Send it in smaller parts.' },
    ]);
  }
  if (text.includes('\u0000')) {
    throw new Refusal(400, [
      { problem: 'There are null characters in it.', where: 'the body', wayOut: 'Save the file as plain UTF-8 text.' },
    ]);
  }
  return text;
}

export async function readBody<S extends GenericSchema>(request: Request, schema: S): Promise<InferOutput<S>> {
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
  // The null character may also come in escaped.
  if (text.includes('\\u0000')) {
    throw new Refusal(400, [
      { problem: 'There are null characters in it.', where: 'the body', wayOut: 'Leave them out.' },
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
