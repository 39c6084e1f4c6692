/** The production server: Astro's handler with headers, compression and plain refusals round it. */
import { createServer } from 'node:http';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import compression from 'compression';

// Where the server's worker threads find what they run.
process.env.STILLWATER_SOLVER = fileURLToPath(
  new URL('./dist/server/solve.worker.mjs', import.meta.url),
);
// The adapter would start a server of its own.
process.env.ASTRO_NODE_AUTOSTART = 'disabled';
const { handler } = await import('./dist/server/entry.mjs');

const FIRST_PORT = Number(process.env.PORT ?? 4321);
const HOST = process.env.HOST ?? '127.0.0.1';
const PORTS_TRIED = 20;

const hashes = JSON.parse(
  readFileSync(new URL('./dist/inline-hashes.json', import.meta.url), 'utf8'),
);
const HEADERS = {
  'Content-Security-Policy': [
    "default-src 'none'",
    `script-src 'self' 'wasm-unsafe-eval' ${hashes.scripts.join(' ')}`,
    `style-src 'self' ${hashes.styles.join(' ')}`,
    "img-src 'self' data: blob:",
    "media-src 'self' blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; '),
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Embedder-Policy': 'require-corp',
  'Cross-Origin-Resource-Policy': 'same-origin',
  'Permissions-Policy':
    'accelerometer=(self), gyroscope=(self), magnetometer=(self), camera=(self), microphone=(), geolocation=()',
};
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE'];
/** How long a request may take to say what it wants, ms: its head, then all of it. */
const HEAD_MS = 10_000;
const WHOLE_MS = 20_000;
const IDLE_MS = 10_000;
/** Requests under way when the server is stopped are answered within this, ms. */
const STOP_MS = 5_000;
/** Names that this server answers to when it is bound beyond this machine; none = any. */
const HOSTS = (process.env.ALLOWED_HOSTS ?? '').split(',').filter((each) => each !== '');

const compress = compression({
  // A stream of events has to leave as it comes.
  filter: (request, response) =>
    !String(response.getHeader('Content-Type')).startsWith('text/event-stream') &&
    compression.filter(request, response),
});

function sayPlainly(response, status, words, headers = {}) {
  response.writeHead(status, { 'Content-Type': 'text/plain; charset=utf-8', ...headers });
  response.end(`${words}\n`);
}

/** Whether a request is answered here, before the app sees it. */
function answerEarly({ method, url, headers }, response) {
  const host = (headers.host ?? '').replace(/:\d+$/, '');
  if (HOST !== '127.0.0.1' && HOSTS.length > 0 && !HOSTS.includes(host)) {
    sayPlainly(response, 421, 'This server does not answer to that name.');
  } else if (!METHODS.includes(method)) {
    sayPlainly(response, 405, 'This method is not allowed here.', { Allow: METHODS.join(', ') });
  } else if (url === '/health') {
    response.setHeader('Cache-Control', 'no-store');
    sayPlainly(response, 200, 'ok');
  } else if (url.startsWith('/_image')) {
    sayPlainly(response, 404, 'There is no such page.');
  } else return false;
  return true;
}

function answer(request, response) {
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  if (answerEarly(request, response)) return;
  if (request.url === '/service-worker.js') response.setHeader('Cache-Control', 'no-cache');
  if (request.url.startsWith('/api/')) response.setHeader('Cache-Control', 'no-store');
  compress(request, response, () => {
    handler(request, response, () => {
      sayPlainly(response, 404, 'There is no such page.');
    });
  });
}

const server = createServer(
  { headersTimeout: HEAD_MS, requestTimeout: WHOLE_MS, keepAliveTimeout: IDLE_MS },
  answer,
);

function listen(port) {
  server.once('error', (error) => {
    if (error.code !== 'EADDRINUSE') throw error;
    if (port + 1 >= FIRST_PORT + PORTS_TRIED) {
      console.error(`Ports ${FIRST_PORT} to ${port} are all taken. Set PORT to a free one.`);
      process.exit(1);
    }
    console.log(`Port ${port} is taken, trying ${port + 1}.`);
    listen(port + 1);
  });
  server.listen(port, HOST, () => {
    server.removeAllListeners('error');
    const path = process.env.STILLWATER_DEMO === 'yes' ? '/?demo' : '/';
    console.log(
      `Stillwater is at http://${HOST === '127.0.0.1' ? 'localhost' : HOST}:${port}${path}`,
    );
  });
}

listen(FIRST_PORT);

for (const signal of ['SIGINT', 'SIGTERM']) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), STOP_MS).unref();
  });
}
