import { parseCookie, stringifySetCookie } from 'cookie';
import type { Request, Response } from 'express';

export const sessionCookie = 'hapset_session';

/** The session's token out of the request; null without one. */
export function tokenOf(request: Request): string | null {
  const value = parseCookie(request.headers.cookie ?? '')[sessionCookie];
  return value === undefined || value === '' ? null : value;
}

/** @param maxAge seconds; null for as long as the browser is open */
export function setSessionCookie(request: Request, response: Response, value: string, maxAge: number | null): void {
  const cookie = stringifySetCookie({
    name: sessionCookie,
    value,
    path: '/',
    httpOnly: true,
    sameSite: 'lax',
    secure: request.secure,
    ...(maxAge !== null && { maxAge }),
  });
  response.setHeader('Set-Cookie', cookie);
}
