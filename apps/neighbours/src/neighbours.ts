/**
 * Made-up services that a teacher's links lead to: they speak HTTP as such services do, and know nothing of the
 * application that opens their links. The Host header decides which of them answers.
 */
import express, { type Express } from 'express';
import { askleaf } from './askleaf.js';
import { cofferlane } from './cofferlane.js';
import { Cupboard } from './cupboard.js';
import { Gatepost } from './gatepost.js';
import { glimreel } from './glimreel.js';
import { hushtone } from './hushtone.js';
import { nipaway } from './nipaway.js';
import { drawn } from './drawn.js';
import { Switchboard, type Pages } from './switchboard.js';

export interface NeighboursOptions {
  /** Where changes are kept between starts; null keeps them in memory. */
  readonly file: string | null;
  readonly port: number;
  /** Whether scripts draw the pages, until the switchboard says otherwise. */
  readonly pages: Pages;
}

export function createNeighbours({ file, port, pages }: NeighboursOptions): Express {
  const cupboard = new Cupboard(file);
  const gatepost = new Gatepost(`http://gatepost.localhost:${port}`);
  const short = nipaway(cupboard, port);
  const services: Readonly<Record<string, Express>> = {
    'cofferlane.localhost': cofferlane(cupboard, gatepost),
    'askleaf.localhost': askleaf(cupboard, gatepost),
    'glimreel.localhost': glimreel(cupboard, gatepost),
    'hushtone.localhost': hushtone(cupboard, gatepost),
    'gatepost.localhost': gatepost.pages(),
    'nipaway.localhost': short,
    'tally.nipaway.localhost': short,
  };
  const switchboard = new Switchboard(Object.keys(services), pages);
  const app = express();
  app.disable('x-powered-by');
  app.get('/alive', (_request, response) => void response.type('text/plain').send('alive'));
  for (const [host, service] of Object.entries({ ...services, 'switchboard.localhost': switchboard.pages() })) {
    const before = switchboard.before(host);
    const draw = drawn(nameOf(host), () => switchboard.isDrawn(host));
    app.use((request, response, next) => {
      if (request.hostname !== host) return next();
      // Every service counts its visitors.
      if (!request.headers.cookie?.includes('visitor='))
        response.append('Set-Cookie', `visitor=${Date.now().toString(36)}; Path=/; SameSite=Lax`);
      before(request, response, () => draw(request, response, () => service(request, response, next)));
    });
  }
  app.use((_request, response) => void response.status(404).type('text/plain').send('No such service.'));
  return app;
}

function nameOf(host: string): string {
  const [name = ''] = host.split('.');
  return name.charAt(0).toUpperCase() + name.slice(1);
}
