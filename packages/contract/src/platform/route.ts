/** How a route of the API is written down. */

/** Methods of HTTP that routes use (RFC 9110). */
export type Method = 'GET' | 'HEAD' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';
/** `office`: office and administrators. */
export type RouteAccess = 'anyone' | 'staff' | 'office' | 'administrator';

/** Types that a route speaks; they exist for the type check only. */
export interface Route<Body, Reply> {
  readonly method: Method;
  readonly path: string;
  readonly access: RouteAccess;
  /** A change that waits for a server that is away, and is sent again with the same Idempotency-Key. */
  readonly waits: boolean;
  /** Asks for the password again where it was last given more than 15 minutes ago. */
  readonly confirmed: boolean;
  readonly types?: { readonly body: Body; readonly reply: Reply };
}

/** A route that anybody on the staff may call, unless `access` says otherwise. */
export function route<Reply, Body = null>(
  method: Method,
  path: string,
  access: RouteAccess = 'staff',
): Route<Body, Reply> {
  return { method, path, access, waits: method !== 'GET' && method !== 'HEAD', confirmed: false };
}

/** What only asks, and what has a way of its own to go on: it is sent once, and a failure is said at once. */
export function atOnce<Body, Reply>(sent: Route<Body, Reply>): Route<Body, Reply> {
  return { ...sent, waits: false };
}

/** Changes accounts or concerns many students: asks for the password, so that nobody can do it on an unattended screen. */
export function confirmed<Body, Reply>(sent: Route<Body, Reply>): Route<Body, Reply> {
  return { ...sent, confirmed: true };
}
