/** What listens until the application does: it says that the process is alive and not ready, and shows students a page in plain words. */
import { createServer } from 'node:http';
import type { HealthView, Problem } from '@hapset/contract';
import type { Configuration } from '../../platform/configuration/configuration.js';
import { awayHtml, awayPolicy } from '../../platform/problem/away-page.js';

/** @returns how to end it, so that the application can listen at the same port */
export async function listenWhileStarting({
  host,
  port,
  version,
}: Pick<Configuration, 'host' | 'port' | 'version'>): Promise<{ close(): Promise<void>; readonly port: number }> {
  const alive: HealthView = { version, database: 'down', files: 'down', disk: 'down' };
  const problem: Problem = { reason: 'unavailable', message: 'The server is starting, or waits for its database.' };
  const server = createServer((request, response) => {
    const path = request.url ?? '';
    const json = (status: number, body: object): void =>
      void response
        .writeHead(status, {
          'Content-Type': 'application/json; charset=utf-8',
          'Cache-Control': 'no-store',
          'Retry-After': '5',
          Connection: 'close',
        })
        .end(JSON.stringify(body));
    if (path === '/api/health') json(200, alive);
    else if (path.startsWith('/api/')) json(503, problem);
    else
      response
        .writeHead(503, {
          'Content-Type': 'text/html; charset=utf-8',
          'Content-Security-Policy': awayPolicy,
          'Cache-Control': 'no-store',
          'Retry-After': '5',
          Connection: 'close',
        })
        .end(awayHtml(request));
  });
  await new Promise<void>((resolve, reject) => server.once('error', reject).listen(port, host, resolve));
  const address = server.address();
  return {
    port: typeof address === 'object' && address !== null ? address.port : port,
    close: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        server.closeAllConnections();
      }),
  };
}
