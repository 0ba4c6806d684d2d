import { PassThrough } from 'node:stream';
import { createReadableStreamFromReadable } from '@react-router/node';
import { renderToPipeableStream } from 'react-dom/server';
import { type EntryContext, ServerRouter } from 'react-router';

/** Sends the shell of the page; what a project holds is only ever rendered in the browser. */
export default function handleRequest(request: Request, status: number, headers: Headers, context: EntryContext): Promise<Response> {
  return new Promise((resolve, reject) => {
    const { pipe } = renderToPipeableStream(<ServerRouter context={context} url={request.url} />, {
      onShellReady() {
        const body = new PassThrough();
        headers.set('Content-Type', 'text/html; charset=utf-8');
        resolve(new Response(createReadableStreamFromReadable(body), { headers, status }));
        pipe(body);
      },
      onShellError: reject,
    });
  });
}
