/** Starts the stand-in services: one process, several names under .localhost, only on loopback. */
import { createNeighbours } from './neighbours.js';

const port = Number(process.env.HAPSET_NEIGHBOURS_PORT ?? '4310');
const file = process.env.HAPSET_NEIGHBOURS_FILE ?? null;
const pages = process.env.HAPSET_NEIGHBOURS_PAGES === 'drawn' ? 'drawn' : 'plain';
const server = createNeighbours({ file, port, pages }).listen(port, '127.0.0.1', () => {
  process.stdout.write(`stand-ins listening on ${port}\n`);
});
server.on('error', (error) => {
  process.stderr.write(`The stand-in services could not start: ${error.message}\n`);
  process.exit(1);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close();
    server.closeAllConnections();
  });
}
