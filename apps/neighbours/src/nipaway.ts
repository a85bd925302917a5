/** Nipaway: short links with a counter in between. Somebody else's server, between the code and the page. */
import express, { type Express } from 'express';
import type { Cupboard } from './cupboard.js';

export function nipaway(cupboard: Cupboard, port: number): Express {
  const app = express();
  const counts = new Map<string, number>();
  app.get('/n/:nip', (request, response) =>
    response.redirect(`http://tally.nipaway.localhost:${port}/count/${encodeURIComponent(request.params.nip)}`),
  );
  app.get('/count/:nip', (request, response) => {
    const { nip } = request.params;
    const target = Object.hasOwn(cupboard.contents.nips, nip) ? cupboard.contents.nips[nip] : undefined;
    if (target === undefined) return void response.status(404).type('text/plain').send('Nipped off.');
    counts.set(nip, (counts.get(nip) ?? 0) + 1);
    response.setHeader('Set-Cookie', `nip=${counts.get(nip) ?? 0}; Path=/; Max-Age=31536000`);
    response.redirect(target.replace('{port}', String(port)));
  });
  return app;
}
