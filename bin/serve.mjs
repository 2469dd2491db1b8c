#!/usr/bin/env node
// Serves the built Taller on 127.0.0.1: node bin/serve.mjs PORT
//   TALLER_DIST    folder of the build (.next)
//   TALLER_HOSTS   names, with commas between, by which it is reached besides localhost, as behind a proxy of the shop's own
// Every request passes the gate below before Taller sees it.
import { randomBytes } from 'node:crypto';
import { createServer } from 'node:http';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

process.env.NODE_ENV = 'production';
const { default: next } = await import('next');

const port = Number(process.argv[2]);
const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'];
const READING = ['GET', 'HEAD'];
/** Of any body, bytes; what is sent in pieces is counted where it is read. */
const LARGEST_BODY = 8 * 1024 * 1024;
/** How long a client that was refused may go on sending before its connection is cut, ms. */
const PATIENCE = 5000;
/** What is under way when Taller is stopped has so long to be answered, ms. */
const FAREWELL = 2000;
const HOSTS = new Set([
  'localhost',
  '127.0.0.1',
  '[::1]',
  ...(process.env.TALLER_HOSTS ?? '').split(',').flatMap((name) => name.trim().toLowerCase() || []),
]);

/** The name in a host with or without a port; undefined where it is none. */
const nameOf = (host) => /^(\[[0-9a-f:]+\]|[a-z0-9.-]+)(?::\d{1,5})?$/i.exec(host ?? '')?.[1]?.toLowerCase();

function hostOf(origin) {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}

/** Why a request is not let through: status, what is wrong, and the way out; undefined when it may come in. */
function refusalOf({ method, url, headers }) {
  if (!METHODS.includes(method))
    return [405, `${method} is not something Taller does.`, `Use one of ${METHODS.join(', ')}.`];
  // A page of another site may bring its own name to this address; its scripts would then count as Taller's.
  if (!HOSTS.has(nameOf(headers.host)))
    return [
      421,
      'Taller is not known under this name here.',
      'Use the address that bin/start tells, or name it in TALLER_HOSTS.',
    ];
  const { origin } = headers;
  if (origin !== undefined && hostOf(origin) !== headers.host)
    return [403, 'This came from another site’s page.', 'Use Taller’s own pages.'];
  if (
    headers['sec-fetch-site'] === 'cross-site' &&
    !(READING.includes(method) && headers['sec-fetch-mode'] === 'navigate')
  )
    return [403, 'This came from another site’s page.', 'Use Taller’s own pages.'];
  if (!url.startsWith('/'))
    return [400, 'The address does not begin with a slash.', 'Use an address of Taller’s own pages.'];
  const [path] = url.split('?');
  try {
    decodeURIComponent(path);
  } catch {
    return [400, 'The address has a % that stands for no character.', 'Write it as %25, or leave it out.'];
  }
  if (!READING.includes(method) && !path.startsWith('/api/'))
    return [405, 'Pages are only read.', 'Send it to one of the addresses below /api/.'];
  if (Number(headers['content-length'] ?? 0) > LARGEST_BODY)
    return [413, 'That is more than 8 MB.', 'Send it in smaller parts.'];
  return undefined;
}

const policy = (nonce) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'wasm-unsafe-eval'`,
    // Sizes and places are written on the elements they are of.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

const HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
};

const app = next({ dev: false, dir: root, hostname: '127.0.0.1', port });
await app.prepare();
const handle = app.getRequestHandler();

const server = createServer((request, response) => {
  const csp = policy(randomBytes(16).toString('base64'));
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  response.setHeader('content-security-policy', csp);
  const refusal = refusalOf(request);
  if (refusal) {
    const [status, problem, wayOut] = refusal;
    const body = JSON.stringify({ problems: [{ problem, where: 'the request', wayOut }] });
    response.writeHead(status, {
      'content-type': 'application/json',
      'content-length': Buffer.byteLength(body),
      connection: 'close',
    });
    // What is still being sent is read away for a while, so that the answer is read at the other end: where the connection is
    // closed at once, a sender sees that alone.
    if (request.method === 'HEAD') response.flushHeaders();
    else response.write(body);
    const cut = setTimeout(() => response.end(), PATIENCE).unref();
    request.once('end', () => {
      clearTimeout(cut);
      response.end();
    });
    request.resume();
    return;
  }
  // Next puts the nonce that it finds here on its own scripts.
  request.headers['content-security-policy'] = csp;
  void handle(request, response);
});
server.listen(port, '127.0.0.1');

for (const signal of ['SIGTERM', 'SIGINT'])
  process.once(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => process.exit(0), FAREWELL).unref();
  });
