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

/** What the server has by now, where something was to be written on top of an older revision; null for every other answer. */
export const standsNow = <T>(reply: Reply<T>): T | null =>
  !reply.ok && reply.status === 409 && reply.current ? (reply.current as T) : null;

/** Whether the same may be sent again later: the server did not answer, or broke. */
export const triedAgain = (reply: Reply<unknown>): boolean => !reply.ok && (reply.status === 0 || reply.status >= 500);
