/** Everything around the nouns: security headers, logs, body checks, problems, and the web application's files. */
import type { RequestListener } from 'node:http';
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { INestApplication } from '@nestjs/common';
import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import type { Configuration } from '../platform/configuration/configuration.js';
import { requestLog } from '../platform/logging/logging.js';
import type { AppLogger } from '../platform/logging/logger.token.js';
import { readJsonBodies } from '../platform/request-body/json-bodies.js';
import { ProblemFilter } from '../platform/problem/problem.filter.js';
import { defaultLanguage, SchoolService } from '../school/settings/school.service.js';
import { Redirects } from '../student-pages/short-link-page/redirects.js';
import { bodyValidation } from '../platform/problem/validation.js';

const yearMs = 365 * 24 * 3600 * 1000;

export function setUp(app: INestApplication, configuration: Configuration, logger: AppLogger): void {
  const server = app as NestExpressApplication;
  server.disable('x-powered-by');
  server.set('query parser', 'simple');
  server.set('trust proxy', [...configuration.proxies]);
  server.use(requestLog(logger));
  server.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'default-src': ["'self'"],
          'script-src': ["'self'", "'wasm-unsafe-eval'"],
          'worker-src': ["'self'"],
          'connect-src': ["'self'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'style-src': ["'self'", "'unsafe-inline'"],
          'font-src': ["'self'"],
          'frame-ancestors': ["'none'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: false, // set by whoever terminates TLS in front
    }),
  );
  server.use('/api', (_request: Request, response: Response, next: NextFunction) => {
    // Replies hold personal data; the few that hold none say so themselves.
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  server.use(readJsonBodies);
  server.useGlobalPipes(bodyValidation());
  server.useGlobalFilters(new ProblemFilter());
  server.enableShutdownHooks();
  serveWeb(server, configuration.webFolder);
  answerShortLinksFirst(server);
}

/** Before the framework's pipeline: a whole class that scans at once costs no more than a look into a map for each. */
function answerShortLinksFirst(app: NestExpressApplication): void {
  const redirects = app.get(Redirects, { strict: false });
  const server = app.getHttpServer();
  const rest = server.listeners('request') as RequestListener[];
  server.removeAllListeners('request');
  server.on('request', (request, response) => {
    if (!redirects.answer(request, response)) for (const listener of rest) void listener(request, response);
  });
}

/** Built files have their hash in the name and stay valid for ever; every other address is a page of the application. */
function serveWeb(server: NestExpressApplication, folder: string): void {
  server.use(
    '/assets',
    expressStaticGzip(join(folder, 'assets'), {
      enableBrotli: true,
      index: false,
      orderPreference: ['br', 'gz'],
      serveStatic: { immutable: true, maxAge: yearMs, fallthrough: false },
    }),
  );
  server.use(express.static(folder, { index: false, maxAge: 0, redirect: false }));
  const page = join(folder, 'index.html');
  const inLanguage = pageInLanguage(server.get(SchoolService, { strict: false }));
  server.use(async (request: Request, response: Response, next: NextFunction) => {
    const asksForPage =
      (request.method === 'GET' || request.method === 'HEAD') &&
      !/^\/(?:api|p|k|c)\//.test(request.path) &&
      existsSync(page);
    if (!asksForPage) return next();
    const html = await inLanguage(await readFile(page, 'utf8'));
    response.set({ 'Cache-Control': 'no-cache', 'Content-Type': 'text/html; charset=utf-8' }).send(html);
  });
}

/** Writes the school's language on the page, as last known while the database can't be asked. */
function pageInLanguage(schools: SchoolService): (html: string) => Promise<string> {
  let known = defaultLanguage;
  return async (html) => {
    known = await schools.get().then(
      ({ language }) => language,
      () => known,
    );
    return html.replace('<html lang="en-GB">', `<html lang="${known}">`);
  };
}
