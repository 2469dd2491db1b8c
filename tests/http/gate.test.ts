import { request } from 'node:http';
import { connect } from 'node:net';
import { describe, expect, it } from 'vitest';
import { base } from './api';

const { host, hostname, port } = new URL(base);

interface Answer {
  status: number;
  headers: Record<string, string | string[] | undefined>;
  text: string;
}

/** A request as no browser and no fetch would send it. */
function send(method: string, path: string, headers: Record<string, string> = {}, body?: string): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const sent = request({ method, path, hostname, port, headers }, (response) => {
      const chunks: Buffer[] = [];
      response.on('data', (chunk) => chunks.push(chunk));
      response.on('end', () =>
        resolve({ status: response.statusCode!, headers: response.headers, text: Buffer.concat(chunks).toString() }),
      );
    });
    sent.on('error', reject);
    sent.end(body);
  });
}

/** What a server says to some bytes, until it closes or for a second. */
function raw(bytes: string): Promise<string> {
  return new Promise((resolve) => {
    const socket = connect(Number(port), hostname, () => socket.write(bytes));
    let text = '';
    socket.on('data', (chunk) => {
      text += chunk;
    });
    socket.on('error', () => resolve(text));
    socket.on('close', () => resolve(text));
    setTimeout(() => socket.destroy(), 1000);
  });
}

const json = { 'content-type': 'application/json' };

describe('the gate before every request', () => {
  it('lets in what asks for this address by its own names', async () => {
    for (const name of [host, `localhost:${port}`, `LOCALHOST:${port}`, `127.0.0.1:${port}`])
      expect((await send('GET', '/api/health', { host: name })).status, name).toBe(200);
    expect((await send('GET', '/api/health', { origin: base })).status).toBe(200);
  });

  it('refuses foreign names and origins, on reading and on writing, and says why', async () => {
    for (const name of [
      'evil.example',
      `evil.example:${port}`,
      `127.0.0.1.evil.example:${port}`,
      'localhost@evil.example',
    ]) {
      const { status, text } = await send('GET', '/api/boards', { host: name });
      expect(status, name).toBe(421);
      expect(JSON.parse(text).problems[0].wayOut).toMatch(/bin\/start/);
    }
    for (const origin of ['http://evil.example', 'null', `http://localhost:${Number(port) + 1}`])
      for (const method of ['GET', 'POST']) {
        const { status } = await send(method, '/api/boards', { origin, ...json }, method === 'POST' ? '{}' : undefined);
        expect(status, `${method} from ${origin}`).toBe(403);
      }
    const cross = { 'sec-fetch-site': 'cross-site' };
    expect((await send('GET', '/api/boards', { ...cross, 'sec-fetch-mode': 'no-cors' })).status).toBe(403);
    // A link to Taller on another page is followed.
    expect((await send('GET', '/rack', { ...cross, 'sec-fetch-mode': 'navigate' })).status).toBe(200);
  });

  it('answers what it does not do with 4xx', async () => {
    for (const method of ['TRACE', 'OPTIONS', 'PATCH', 'PROPFIND'])
      for (const path of ['/', '/rack', '/api/boards', '/nowhere'])
        expect((await send(method, path)).status, `${method} ${path}`).toBe(405);
    for (const path of ['/%', '/jobs/%zz/brief', '/%e0%a4%a', '/api/jobs/%c3%28/undo', '/_next/static/%'])
      expect((await send('GET', path)).status, path).toBe(400);
    const action = { 'next-action': 'a'.repeat(40), 'content-type': 'text/plain;charset=UTF-8' };
    expect((await send('POST', '/rack', action, '[]')).status).toBe(405);
    expect(await raw('GET http://evil.example/ HTTP/1.1\r\nHost: evil.example\r\n\r\n')).toMatch(/^HTTP\/1.1 4\d\d /);
    expect(await raw('GET / HTTP/1.1\r\n\r\n')).toMatch(/^HTTP\/1.1 4\d\d /);
    expect(await raw('nonsense\r\n\r\n')).toMatch(/^HTTP\/1.1 400 /);
  });

  it('reads JSON only where JSON is said to come', async () => {
    for (const type of ['text/plain', 'application/x-www-form-urlencoded', ''])
      expect((await send('POST', '/api/boards', type ? { 'content-type': type } : {}, '{}')).status, type).toBe(415);
    expect((await send('POST', '/api/boards', json, '{}')).status).toBe(422);
  });

  it('cuts bodies off while they are read, however they are sent', async () => {
    expect((await send('POST', '/api/boards', { ...json, 'content-length': '90000000' }, '{}')).status).toBe(413);
    const answer = await new Promise<number>((resolve, reject) => {
      const sent = request({ method: 'POST', path: '/api/boards', hostname, port, headers: json }, (response) => {
        resolve(response.statusCode!);
        sent.destroy();
      });
      sent.on('error', reject);
      const piece = 'x'.repeat(1024 * 1024);
      const more = () => {
        while (!sent.destroyed && sent.write(piece));
      };
      sent.on('drain', more);
      more();
    });
    expect(answer).toBe(413);
  });

  it('puts its headers on pages, data, files and refusals, and no script runs that is not its own', async () => {
    for (const path of [
      '/rack',
      '/jobs',
      '/methods',
      '/nowhere',
      '/api/boards',
      '/api/boards/export',
      '/api/jobs/x',
      '/%',
    ]) {
      const { headers } = await send('GET', path);
      expect(headers['x-content-type-options'], path).toBe('nosniff');
      expect(headers['referrer-policy'], path).toBe('same-origin');
      expect(headers['content-security-policy'], path).toMatch(/frame-ancestors 'none'/);
      expect(headers['content-security-policy'], path).not.toMatch(/script-src[^;]*('unsafe-inline'|'unsafe-eval'|\*)/);
    }
    for (const path of ['/rack', '/jobs', '/shop', '/methods', '/nowhere']) {
      const { headers, text } = await send('GET', path);
      const nonce = /'nonce-([^']+)'/.exec(String(headers['content-security-policy']))![1]!;
      const inline = [...text.matchAll(/<script(?![^>]*\ssrc=)([^>]*)>/g)].map(([, attributes]) => attributes!);
      expect(inline.length, path).toBeGreaterThan(0);
      for (const attributes of inline) expect(attributes, path).toContain(`nonce="${nonce}"`);
    }
    const nonces = await Promise.all(
      [1, 2].map(async () => (await send('GET', '/rack')).headers['content-security-policy']),
    );
    expect(nonces[0]).not.toBe(nonces[1]);
    // A policy of the client's own is not listened to.
    const { text } = await send('GET', '/rack', { 'content-security-policy': "script-src 'nonce-mine'" });
    expect(text).not.toContain('nonce="mine"');
  });
});
