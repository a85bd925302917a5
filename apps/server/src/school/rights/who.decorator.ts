import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import type { SignedIn } from './signed-in.js';

/** Who is signed in. The guard has put it there, so it is never missing on a staff route. */
export const Who = createParamDecorator((_: unknown, context: ExecutionContext): SignedIn | undefined => {
  return context.switchToHttp().getRequest<Request>().who;
});
