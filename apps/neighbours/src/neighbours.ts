/**
 * Made-up services that a teacher's links lead to: they speak HTTP as such services do, and know nothing of the
 * application that opens their links. The Host header decides which of them answers.
 */
import express, { type Express } from 'express';
import { askleaf } from './askleaf.js';
import { cofferlane } from './cofferlane.js';
import { Gatepost } from './gatepost.js';
import { Cupboard } from './cupboard.js';

/** @param file where changes are kept between starts; null keeps them in memory */
export function createNeighbours(file: string | null, port: number): Express {
  const cupboard = new Cupboard(file);
  const gatepost = new Gatepost(`http://gatepost.localhost:${port}`);
  const services: Readonly<Record<string, Express>> = {
    'cofferlane.localhost': cofferlane(cupboard, gatepost),
    'askleaf.localhost': askleaf(cupboard, gatepost),
    'gatepost.localhost': gatepost.pages(),
  };
  const app = express();
  app.disable('x-powered-by');
  app.get('/alive', (_request, response) => void response.type('text/plain').send('alive'));
  app.use((request, response, next) => {
    const service = services[request.hostname];
    if (service) service(request, response, next);
    else response.status(404).type('text/plain').send('No such service.');
  });
  return app;
}
