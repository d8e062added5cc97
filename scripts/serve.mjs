// The built application behind a server of our own: who is asking is decided here, once, before anything reads it.
import { createServer } from 'node:http';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import proxyAddr from 'proxy-addr';
import sirv from 'sirv';
import { compressed } from './lib/answers.mjs';
import { ROOT } from './lib/packages.mjs';

/** A head that has not arrived by then, or a body, is not waited for. */
const HEAD_MS = 10_000;
const REQUEST_MS = 180_000;
/** Longer than proxies keep a connection that rests (a minute): one that we close first may just be taking a request. */
const RESTING_MS = 65_000;

/** Proxies that the operator has declared: addresses, ranges, or `loopback`. What they say of a client is believed. */
const declared = (process.env.SOVET_PROXIES ?? '')
  .split(',')
  .map((entry) => entry.trim())
  .filter(Boolean);
const isProxy = proxyAddr.compile(declared);

/** Headers by which a client could say who or where it is. Only what follows from the connection is passed on. */
const CLAIMS = [
  'x-forwarded-host',
  'x-forwarded-proto',
  'x-forwarded-port',
  'forwarded',
  'x-sovet-client-address',
];

const overTls = (process.env.SOVET_ORIGIN ?? '').startsWith('https:');

const { handler } = await import(pathToFileURL(join(ROOT, 'dist/server/entry.mjs')).href);

/** Files of the browser: compressed as the build left them. What carries its content in its name is never asked for again. */
const files = sirv(join(ROOT, 'dist/client'), {
  brotli: true,
  gzip: true,
  etag: true,
  setHeaders: (response, path) =>
    response.setHeader(
      'cache-control',
      path.startsWith('/_astro/') ? 'public, max-age=31536000, immutable' : 'no-cache',
    ),
});
const FETCHES = new Set(['GET', 'HEAD']);

const server = createServer(
  { headersTimeout: HEAD_MS, requestTimeout: REQUEST_MS, keepAliveTimeout: RESTING_MS },
  (request, response) => {
    // The socket's address; behind a declared proxy the nearest hop that is not one.
    const client = proxyAddr(request, isProxy);
    for (const name of CLAIMS) delete request.headers[name];
    request.headers['x-forwarded-for'] = client;
    // Also on files, which no page code sees.
    response.setHeader('x-content-type-options', 'nosniff');
    if (overTls) response.setHeader('strict-transport-security', 'max-age=31536000; includeSubDomains');
    const pages = () => compressed(request, response, () => handler(request, response));
    if (FETCHES.has(request.method ?? '')) files(request, response, pages);
    else pages();
  },
);
server.listen(Number(process.env.PORT), process.env.HOST);
server.on('error', (error) => {
  console.error(`The application cannot listen on ${process.env.HOST}:${process.env.PORT}: ${error.message}`);
  process.exit(1);
});

let stopping = false;
function stop() {
  if (stopping) return;
  stopping = true;
  server.close(() => process.exit(0));
  server.closeIdleConnections();
  // Streams that somebody still reads end with us.
  setTimeout(() => process.exit(0), 5000).unref();
}
for (const signal of ['SIGTERM', 'SIGINT', 'SIGHUP']) process.on(signal, stop);
// What nobody awaited is written down, without its words: they can hold what somebody entered. The next request is answered.
process.removeAllListeners('unhandledRejection');
process.on('unhandledRejection', (error) =>
  console.error('a failure that nobody awaited:', error?.code ?? error?.name),
);
