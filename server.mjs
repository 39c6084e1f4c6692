/** The production server: Astro's handler with headers, compression and plain refusals round it. */
import { createServer } from 'node:http';
import { readFileSync } from 'node:fs';
import compression from 'compression';
// The adapter would start a server of its own.
process.env.ASTRO_NODE_AUTOSTART = 'disabled';
const { handler } = await import('./dist/server/entry.mjs');

const FIRST_PORT = Number(process.env.PORT ?? 4321);
const HOST = process.env.HOST ?? '127.0.0.1';
const PORTS_TRIED = 20;

const hashes = JSON.parse(
  readFileSync(new URL('./dist/script-hashes.json', import.meta.url), 'utf8'),
);
const HEADERS = {
  'Content-Security-Policy': [
    "default-src 'none'",
    `script-src 'self' ${hashes.join(' ')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
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
};

const compress = compression({
  // A stream of events has to leave as it comes.
  filter: (request, response) =>
    !String(response.getHeader('Content-Type')).startsWith('text/event-stream') &&
    compression.filter(request, response),
});

function answer(request, response) {
  for (const [name, value] of Object.entries(HEADERS)) response.setHeader(name, value);
  if (request.url === '/service-worker.js') response.setHeader('Cache-Control', 'no-cache');
  compress(request, response, () => {
    handler(request, response, () => {
      response.writeHead(404, { 'Content-Type': 'text/plain; charset=utf-8' });
      response.end('There is no such page.\n');
    });
  });
}

const server = createServer(answer);

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
    server.closeAllConnections();
  });
}
