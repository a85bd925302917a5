import { parseCookie } from 'cookie';
import type { Request } from 'express';

export const sessionCookie = 'hapset_session';

/** The session's token out of the request; null without one. */
export function tokenOf(request: Request): string | null {
  const value = parseCookie(request.headers.cookie ?? '')[sessionCookie];
  return value === undefined || value === '' ? null : value;
}
