import { randomBytes } from 'node:crypto';
import { PassThrough } from 'node:stream';
import { createReadableStreamFromReadable } from '@react-router/node';
import { renderToPipeableStream } from 'react-dom/server';
import { type EntryContext, type HandleErrorFunction, isRouteErrorResponse, ServerRouter } from 'react-router';
import { NonceContext } from './parts/nonce';

/**
 * What a page may load: what Liana ships, and of pages and pictures that are carved what the browser
 * holds already. Styles stand in the page, because the library of the interface writes them there.
 */
function policyWith(nonce: string): string {
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self' data:",
    "media-src 'self' data: blob:",
    "connect-src 'self'",
    "worker-src 'self'",
    "frame-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** An address that there is not is no fault of the server. */
export const handleError: HandleErrorFunction = (error, { request }) => {
  if (!request.signal.aborted && !isRouteErrorResponse(error)) console.error(error);
};

/** Sends the shell of the page; what a project holds is only ever rendered in the browser. */
export default function handleRequest(request: Request, status: number, headers: Headers, context: EntryContext): Promise<Response> {
  // While Liana is developed its tools put scripts of their own into the page.
  const nonce = import.meta.env.PROD ? randomBytes(16).toString('base64') : undefined;
  return new Promise((resolve, reject) => {
    const page = (
      <NonceContext value={nonce}>
        <ServerRouter context={context} url={request.url} {...(nonce ? { nonce } : {})} />
      </NonceContext>
    );
    const { pipe } = renderToPipeableStream(page, {
      ...(nonce ? { nonce } : {}),
      onShellReady() {
        const body = new PassThrough();
        headers.set('Content-Type', 'text/html; charset=utf-8');
        if (nonce) headers.set('Content-Security-Policy', policyWith(nonce));
        resolve(new Response(createReadableStreamFromReadable(body), { headers, status }));
        pipe(body);
      },
      onShellError: reject,
    });
  });
}
