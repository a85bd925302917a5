/** The only place where a problem becomes an HTTP status. */
import { isNativeError } from 'node:util/types';
import { Catch, HttpException, type ArgumentsHost, type ExceptionFilter } from '@nestjs/common';
import type { Problem, ProblemReason } from '@hapset/contract';
import type { Request, Response } from 'express';
import { awayHtml, awayPolicy } from './away-page.js';
import { Superseded } from '../clock/latest-only.js';
import { isDatabaseAway } from '../database/outage.js';
import { ProblemError } from './problem.js';

const statusOf: Readonly<Record<ProblemReason, number>> = {
  'not-signed-in': 401,
  'wrong-credentials': 401,
  'too-many-attempts': 429,
  'not-allowed': 403,
  'password-needed': 403,
  'account-deactivated': 403,
  'last-administrator': 409,
  'link-over': 410,
  'wrong-origin': 403,
  'not-found': 404,
  gone: 410,
  invalid: 400,
  stale: 409,
  superseded: 409,
  'in-use': 409,
  'not-undoable': 409,
  'payload-too-long': 422,
  'sheet-needs-go-ahead': 409,
  'rehearsal-outdated': 409,
  'too-large': 413,
  'storage-full': 413,
  'unusable-picture': 422,
  busy: 503,
  unavailable: 503,
  failed: 500,
};

const foreignText = new Set([
  'ER_CANT_AGGREGATE_2COLLATIONS',
  'ER_CANT_AGGREGATE_3COLLATIONS',
  'ER_CANT_AGGREGATE_NCOLLATIONS',
  'ER_DATA_TOO_LONG',
  'ER_TRUNCATED_WRONG_VALUE_FOR_FIELD',
  'ER_TRUNCATED_WRONG_VALUE',
  'ER_INVALID_CHARACTER_STRING',
]);

@Catch()
export class ProblemFilter implements ExceptionFilter {
  catch(error: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const request = host.switchToHttp().getRequest<Request>();
    const problem = toProblem(error);
    if (problem.reason === 'failed') request.log.error({ err: error }, 'request failed');
    if (problem.reason === 'unavailable' && !response.headersSent) {
      response.setHeader('Retry-After', '5');
      // A student has no use for a problem in JSON.
      if (/^\/[pkc]\//.test(request.path))
        return void response
          .status(503)
          .set({
            'Content-Type': 'text/html; charset=utf-8',
            'Content-Security-Policy': awayPolicy,
            'Cache-Control': 'no-store',
          })
          .send(awayHtml(request));
    }
    if (response.headersSent) {
      response.destroy();
      return;
    }
    if (error instanceof ProblemError && error.more.retryAfterS !== undefined)
      response.setHeader('Retry-After', String(error.more.retryAfterS));
    response.status(statusOf[problem.reason]).json(problem);
  }
}

function toProblem(error: unknown): Problem {
  if (error instanceof ProblemError) return error.toProblem();
  if (isDatabaseAway(error)) return { reason: 'unavailable', message: 'The database can’t be reached just now.' };
  if (error instanceof Superseded) return { reason: 'superseded', message: 'A newer request took its place.' };
  if (isForeignText(error))
    return { reason: 'invalid', message: 'The request holds characters or a length that can’t be there.' };
  const status = error instanceof HttpException ? error.getStatus() : statusOfForeign(error);
  if (status === 404) return { reason: 'not-found', message: 'There is nothing at this address.' };
  if (status === 413) return { reason: 'too-large', message: 'That is more than the server takes at once.' };
  if (status !== null && status >= 400 && status < 500)
    return { reason: 'invalid', message: 'The request could not be read.' };
  return { reason: 'failed', message: 'Something failed on the server. Its log has the request id.' };
}

/** What a column can't hold or compare: letters beyond ASCII in an id, half a character, too long a text. */
function isForeignText(error: unknown): boolean {
  const code = isNativeError(error) ? (error as { readonly code?: unknown }).code : null;
  return typeof code === 'string' && foreignText.has(code);
}

/** Express and its body parser throw errors that carry a status. */
function statusOfForeign(error: unknown): number | null {
  const status = typeof error === 'object' && error !== null && 'status' in error ? error.status : null;
  return typeof status === 'number' ? status : null;
}
