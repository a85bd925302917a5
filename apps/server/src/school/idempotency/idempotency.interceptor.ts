/** Requests that carry an Idempotency-Key are done once. */
import { createHash } from 'node:crypto';
import { Injectable, type CallHandler, type ExecutionContext, type NestInterceptor } from '@nestjs/common';
import type { Request } from 'express';
import { from, lastValueFrom, type Observable } from 'rxjs';
import { validate } from 'uuid';
import { ProblemError } from '../../platform/problem/problem.js';
import { AnsweredRequests, type KeyedRequest } from './answered-requests.js';

@Injectable()
export class IdempotencyInterceptor implements NestInterceptor {
  constructor(private readonly requests: AnsweredRequests) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const request = keyedRequest(context.switchToHttp().getRequest<Request>());
    if (!request) return next.handle();
    return from(this.requests.once(request, () => lastValueFrom(next.handle(), { defaultValue: undefined })));
  }
}

/** @returns null for what is read, and for whoever is not signed in. @throws ProblemError invalid */
function keyedRequest(request: Request): KeyedRequest | null {
  const header = request.headers['idempotency-key'];
  if (header === undefined || !request.who || request.method === 'GET' || request.method === 'HEAD') return null;
  // A string of structured fields (RFC 8941, 3.3.3), in quotes.
  const key = /^"([0-9a-f-]{36})"$/.exec(String(header))?.[1];
  if (key === undefined || !validate(key))
    throw new ProblemError('invalid', 'Idempotency-Key has to be a UUID in quotes.');
  const asked = `${request.method} ${request.originalUrl} ${JSON.stringify(request.body ?? null)}`;
  return { accountId: request.who.id, key, fingerprint: createHash('sha256').update(asked).digest('hex') };
}
