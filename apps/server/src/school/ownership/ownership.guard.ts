/** The one place where it is decided who may call what, with whose ids. Another's things don't exist for a caller. */
import { Injectable, type CanActivate, type ExecutionContext } from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { Role, RouteAccess } from '@hapset/contract';
import type { Request } from 'express';
import { SessionService } from '../account/session.service.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { ROUTE_ACCESS, ROUTE_CONFIRMED } from '../rights/access.decorators.js';
import { OwnedIds } from './owned-ids.js';
import { tokenOf } from '../rights/session-cookie.js';
import { parseUrl } from '@hapset/core';

@Injectable()
export class OwnershipGuard implements CanActivate {
  constructor(
    private readonly reflector: Reflector,
    private readonly sessions: SessionService,
    private readonly ids: OwnedIds,
  ) {}

  async canActivate(context: ExecutionContext): Promise<boolean> {
    const request = context.switchToHttp().getRequest<Request>();
    refuseForeignOrigin(request);
    const access = this.reflector.get<RouteAccess | undefined>(ROUTE_ACCESS, context.getHandler()) ?? 'staff';
    if (access === 'anyone') return true;
    const token = tokenOf(request);
    const session = token === null ? null : await this.sessions.find(token);
    if (!session) throw new ProblemError('not-signed-in', 'Sign in first.');
    const who = session.account;
    refuseOthers(access, who.role);
    for (const [name, id] of Object.entries(request.params)) {
      if (typeof id !== 'string' || !(await this.ids.mayUse(name, id, who))) throw notFound(name.replace(/Id$/, ''));
    }
    const asksAgain = this.reflector.get<boolean | undefined>(ROUTE_CONFIRMED, context.getHandler()) ?? false;
    if (asksAgain && !this.sessions.isConfirmed(session))
      throw new ProblemError('password-needed', 'Give your password again first.');
    request.who = who;
    return true;
  }
}

/** @throws ProblemError not-allowed */
function refuseOthers(access: RouteAccess, role: Role): void {
  if (access === 'administrator' && role !== 'administrator')
    throw new ProblemError('not-allowed', 'Only the school’s administrator may do this.');
  if (access === 'office' && role === 'teacher')
    throw new ProblemError('not-allowed', 'Only the school’s office and its administrator may do this.');
}

/** A write that another site's page sends is refused. A browser names the origin of every write; scripts name none. */
function refuseForeignOrigin(request: Request): void {
  if (request.method === 'GET' || request.method === 'HEAD') return;
  const { origin } = request.headers;
  const site = request.headers['sec-fetch-site'];
  const foreign =
    origin === undefined
      ? site !== undefined && site !== 'same-origin'
      : parseUrl(origin)?.host !== request.headers.host;
  if (foreign) throw new ProblemError('wrong-origin', 'This was sent from another site.');
}
