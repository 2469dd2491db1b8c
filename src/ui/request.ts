import type { Problem } from '@/core';

export type Reply<T> = { ok: true; value: T } | { ok: false; status: number; problems: Problem[]; current?: unknown };

/** Speaks to Taller's own server. A server that cannot be reached is an answer too, with status 0. */
export async function request<T>(method: string, path: string, body?: unknown): Promise<Reply<T>> {
  try {
    const response = await fetch(path, {
      method,
      ...(body === undefined
        ? {}
        : typeof body === 'string'
          ? { body, headers: { 'content-type': 'text/plain; charset=utf-8' } }
          : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
    const data = await response.json().catch(() => null);
    if (response.ok) return { ok: true, value: data as T };
    const problems = (data as { problems?: Problem[] } | null)?.problems ?? [
      { problem: `The server answered ${response.status}.`, where: path, wayOut: 'Try again.' },
    ];
    return { ok: false, status: response.status, problems, current: (data as { current?: unknown } | null)?.current };
  } catch {
    return {
      ok: false,
      status: 0,
      problems: [
        { problem: 'The server does not answer.', where: 'the connection', wayOut: 'Try again when it is back.' },
      ],
    };
  }
}
