/** Structured logs with a request id. Cookies, passwords, bodies, names and what a query was given never reach them. */
import type { LoggerService } from '@nestjs/common';
import { pino, type DestinationStream, type Logger } from 'pino';
import { pinoHttp, type HttpLogger } from 'pino-http';
import { errorFacts } from './error-facts.js';
import { v7 } from 'uuid';

/** @param to standard output where nothing is said */
export function createLogger(level: string, to?: DestinationStream): Logger {
  const options = {
    level,
    serializers: { err: errorFacts },
    redact: ['req.headers.cookie', 'req.headers.authorization', 'res.headers["set-cookie"]'],
    base: null,
  };
  return to === undefined ? pino(options) : pino(options, to);
}

/** One line a request; the id goes back to the caller as X-Request-Id. */
export function requestLog(logger: Logger): HttpLogger {
  return pinoHttp({
    logger,
    wrapSerializers: false,
    genReqId: (_request, response) => {
      const id = v7();
      response.setHeader('X-Request-Id', id);
      return id;
    },
    autoLogging: {
      ignore: (request) =>
        request.url === '/api/health' || request.url === '/api/ready' || !(request.url ?? '').startsWith('/api/'),
    },
    serializers: {
      req: (request: { id: string; method: string; url: string }) => ({
        id: request.id,
        method: request.method,
        path: loggedPath(request.url),
      }),
      err: errorFacts,
      res: (response: { statusCode: number }) => ({ status: response.statusCode }),
    },
    customLogLevel: (_request, response, error) => (error || response.statusCode >= 500 ? 'error' : 'info'),
  });
}

/** Without what was searched for, and without a tag, which a person wrote. */
function loggedPath(url: string): string {
  return (url.split('?')[0] ?? '').replace(/^(\/api\/tags\/)[^/]+/, '$1:tag').slice(0, 200);
}

/** Nest's own messages, in the same stream. */
export class NestLog implements LoggerService {
  constructor(private readonly logger: Logger) {}

  log(message: unknown, context?: string): void {
    this.logger.debug({ context }, String(message));
  }

  warn(message: unknown, context?: string): void {
    this.logger.warn({ context }, String(message));
  }

  error(message: unknown, stack?: string, context?: string): void {
    this.logger.error({ context, stack }, String(message));
  }
}
