import { createServer, type IncomingMessage, request, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo, Socket } from 'node:net';

// A server before the one that is tested, which can go away, and hand out another build of the same pages.

export interface Front {
  readonly url: string;
  /** No network any more. */
  readonly goAway: () => Promise<void>;
  readonly comeBack: () => Promise<void>;
  /** From now on the pages are those of a newer build, and say so. */
  readonly deploy: (build: string) => void;
}

/** Begins to stand before a server; `goAway` ends it. */
export async function standBefore(target: string): Promise<Front> {
  const { hostname, port } = new URL(target);
  let newer: string | null = null;
  const answer = (asked: IncomingMessage, out: ServerResponse) => {
    const {
      host: _,
      'accept-encoding': __,
      'if-none-match': ___,
      'if-modified-since': ____,
      ...headers
    } = asked.headers;
    const passed = request({ hostname, port, path: asked.url, method: asked.method, headers }, (got) => {
      const isPage = String(got.headers['content-type']).startsWith('text/html');
      const isWorker = asked.url === '/sw.js';
      if (newer === null || !(isPage || isWorker)) {
        out.writeHead(got.statusCode!, got.headers);
        got.pipe(out);
        return;
      }
      const chunks: Buffer[] = [];
      got.on('data', (chunk: Buffer) => chunks.push(chunk));
      got.on('end', () => {
        const text = String(Buffer.concat(chunks));
        const { 'content-length': _length, etag: _etag, 'last-modified': _modified, ...rest } = got.headers;
        out.writeHead(got.statusCode!, rest);
        out.end(
          isPage
            ? text.replace('<html ', `<html data-build="${newer}" `)
            : text.replaceAll(buildOf(text), `"${newer}"`),
        );
      });
    });
    passed.on('error', () => out.destroy());
    asked.pipe(passed);
  };
  let server: Server = createServer(answer);
  const sockets = new Set<Socket>();
  const listen = (at: number) =>
    new Promise<void>((resolve) => {
      server.on('connection', (socket) => {
        sockets.add(socket);
        socket.on('close', () => sockets.delete(socket));
      });
      server.listen(at, '127.0.0.1', resolve);
    });
  await listen(0);
  const own = (server.address() as AddressInfo).port;
  return {
    url: `http://localhost:${own}`,
    goAway: async () => {
      const closed = new Promise((resolve) => server.close(resolve));
      for (const socket of sockets) socket.destroy();
      await closed;
    },
    comeBack: async () => {
      server = createServer(answer);
      await listen(own);
    },
    deploy: (build) => {
      newer = build;
    },
  };
}

/** The build that the worker was made for, in its quotes: the addresses of files hold a part of it too, and stay. */
function buildOf(worker: string): RegExp {
  const id = /\/_next\/static\/([\w-]+)\/_buildManifest/.exec(worker)?.[1];
  if (!id) throw new Error('The worker keeps no build.');
  return new RegExp(`"${id}[.\\w]*"`, 'g');
}
