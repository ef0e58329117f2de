import type { Server } from 'node:http';
import type { Express } from 'express';

/** How many ports after the wanted one are tried when it is taken. */
const TRIES = 20;
/** Who sends a request slower than this is not waited for. */
const LONGEST_REQUEST_MS = 15_000;
const LONGEST_HEADERS_MS = 10_000;

/** Starts listening on `host` at `wanted`, or at the next free port after it. Gives the server and the port it got. */
export async function listenNear(
  app: Express,
  host: string,
  wanted: number,
): Promise<{ server: Server; port: number }> {
  for (let port = wanted; port < wanted + TRIES && port < 65536; port++) {
    const server = await tryPort(app, host, port);
    if (server) return { server, port: (server.address() as { port: number }).port };
  }
  throw new Error(`No free port from ${wanted} to ${wanted + TRIES - 1} on ${host}.`);
}

function tryPort(app: Express, host: string, port: number): Promise<Server | null> {
  return new Promise((resolve, reject) => {
    const server = app.listen(port, host, (error?: Error) => {
      if (!error) {
        server.requestTimeout = LONGEST_REQUEST_MS;
        server.headersTimeout = LONGEST_HEADERS_MS;
        resolve(server);
      } else if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') resolve(null);
      else reject(error);
    });
  });
}

/** What is being answered is given so long to end, ms. */
const LONGEST_STOP_MS = 3000;

/** Takes no more; what is being answered is answered to its end, unless that takes too long. */
export function stopped(server: Server): Promise<void> {
  return new Promise((done) => {
    const late = setTimeout(() => server.closeAllConnections(), LONGEST_STOP_MS);
    server.close(() => {
      clearTimeout(late);
      done();
    });
    server.closeIdleConnections();
  });
}
