// The server of the built application: it gives out the shell of the page and what ships with Liana, to
// this machine alone unless HOST says otherwise.
import { once } from 'node:events';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const web = fileURLToPath(new URL('../web', import.meta.url));
const require = createRequire(path.join(web, 'package.json'));
const compression = require('compression');
const express = require('express');
const { createRequestHandler } = require('@react-router/express');

const host = process.env.HOST ?? '127.0.0.1';
const port = Number(process.env.PORT ?? 4310);
const own = new Set(['localhost', '127.0.0.1', '[::1]', host.includes(':') ? `[${host}]` : host]);
/** Listening on all addresses, it is called by names that it cannot know. */
const isOpen = host === '0.0.0.0' || host === '::';

/** What is no document has no script in it: nothing needs a nonce. A document brings a policy of its own. */
const policy = [
  "default-src 'self'",
  "connect-src 'self'",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

const headers = {
  'X-Content-Type-Options': 'nosniff',
  'Referrer-Policy': 'no-referrer',
  'Permissions-Policy': 'camera=(), geolocation=(), microphone=(), payment=(), usb=()',
  'Cross-Origin-Opener-Policy': 'same-origin',
  'Cross-Origin-Resource-Policy': 'same-origin',
};

const refuse = (response, status, says) => response.status(status).type('text/plain').send(`${says}\n`);

/** A page of elsewhere whose name was made to point here is not answered, nor is a method that nothing here has. */
function guard(request, response, next) {
  response.set(headers);
  const { writeHead } = response;
  response.writeHead = (...head) => {
    if (!response.hasHeader('Content-Security-Policy')) response.setHeader('Content-Security-Policy', policy);
    return writeHead.apply(response, head);
  };
  const named = /^(\[[0-9a-f:.]+\]|[\w.-]+)(?::\d{1,5})?$/i.exec(request.headers.host ?? '')?.[1]?.toLowerCase();
  if (named === undefined) return refuse(response, 400, 'The host of this request is malformed.');
  if (!isOpen && !own.has(named)) return refuse(response, 421, `Liana does not answer to the name ${named}.`);
  if (request.method !== 'GET' && request.method !== 'HEAD') {
    response.set('Allow', 'GET, HEAD');
    return refuse(response, 405, 'Liana only gives: nothing is sent to it.');
  }
  try {
    decodeURIComponent(request.path);
  } catch {
    return refuse(response, 400, 'The address of this request is malformed.');
  }
  next();
}

/** Express tells a fault by four parameters. */
function failed(error, _request, response, next) {
  if (response.headersSent) return next(error);
  const status = error.status >= 400 && error.status < 500 ? error.status : 500;
  refuse(response, status, status === 500 ? 'Something went wrong here.' : 'This request cannot be answered.');
}

const client = path.join(web, 'build', 'client');
const app = express();
app.disable('x-powered-by');
app.use(guard);
app.use(compression());
app.use('/assets', express.static(path.join(client, 'assets'), { immutable: true, maxAge: '1y' }));
app.use(express.static(client, { index: false }));
const build = await import(pathToFileURL(path.join(web, 'build', 'server', 'index.js')).href);
app.all('*', createRequestHandler({ build, mode: 'production' }));
app.use(failed);

const server = app.listen(port, host);
/** Fulfilled when requests are answered. */
export const listening = once(server, 'listening');
server.on('error', (error) => {
  console.error(error.code === 'EADDRINUSE' ? `Port ${port} is in use. PORT=… npm start takes another.` : error.message);
  process.exit(1);
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => process.exit(0));
