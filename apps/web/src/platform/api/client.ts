/** The one client: a route of the contract in, its reply out, every failure as ApiError. */
import { fillPath, type Problem, type Route } from '@hapset/contract';
import { v4 as uuid } from 'uuid';
import { serverClock } from '../clock/server-clock.js';
import { ApiError } from './problem-error.js';
import { SaveQueue } from './save-queue.js';
import { serverState } from './server-state.js';
import { passwordGiven } from './password-request.js';
import { sessionRenewed } from './session-renewal.js';

export interface CallOptions<Body> {
  readonly params?: Readonly<Record<string, string>>;
  readonly query?: Readonly<Record<string, string | null>>;
  readonly body?: Body;
  readonly signal?: AbortSignal;
  /** Ask for a new sign-in when the session has ended. Off for the calls of signing in itself. */
  readonly renew?: boolean;
}

/** What a proxy in front says while it can't reach the server, in a page of its own (RFC 9110, 15.6.3 to 15.6.5). */
const fromGateway: ReadonlySet<number> = new Set([502, 503, 504]);

/** Changes that wait for the server. */
export const saveQueue = new SaveQueue(serverState);

/** Calls a route. A change waits where the server is away, and is answered once it is back. @throws ApiError */
export function call<Body, Reply>(route: Route<Body, Reply>, options: CallOptions<Body> = {}): Promise<Reply> {
  if (!route.waits) return exchange(route, options);
  const key = uuid();
  return saveQueue.add(() => exchange(route, options, key));
}

async function exchange<Body, Reply>(
  route: Route<Body, Reply>,
  options: CallOptions<Body>,
  key: string | null = null,
): Promise<Reply> {
  for (;;) {
    const response = await send(route, options, key);
    if (!fromGateway.has(response.status)) noteAnswer(response);
    if (response.ok) return (await readJson(response)) as Reply;
    const error = await problemOf(response);
    if (error.reason === 'unavailable') serverState.noteAway();
    if (!(await maySendAgain(error, options.renew ?? true))) throw error;
  }
}

async function problemOf(response: Response): Promise<ApiError> {
  const problem = (await readJson(response).catch(() => null)) as Problem | null;
  return new ApiError(problem?.reason ?? (fromGateway.has(response.status) ? 'unavailable' : 'failed'), problem ?? {});
}

/** Waits until the person signs in again or enters the password again. @param renew whether signing in is asked for */
async function maySendAgain({ reason }: ApiError, renew: boolean): Promise<boolean> {
  if (reason === 'password-needed') return passwordGiven();
  if (reason !== 'not-signed-in' || !renew) return false;
  await sessionRenewed();
  return true;
}

/** The address of a route, for links and pictures. */
export function addressOf(
  route: Route<never, unknown> | Route<null, unknown>,
  params: Readonly<Record<string, string>>,
): string {
  return fillPath(route.path, params);
}

async function send<Body, Reply>(
  route: Route<Body, Reply>,
  { params, query, body, signal }: CallOptions<Body>,
  key: string | null,
): Promise<Response> {
  const search = new URLSearchParams(
    Object.entries(query ?? {}).flatMap(([name, value]) => (value === null || value === '' ? [] : [[name, value]])),
  ).toString();
  try {
    return await fetch(fillPath(route.path, params) + (search === '' ? '' : `?${search}`), {
      method: route.method,
      credentials: 'same-origin',
      ...(signal && { signal }),
      headers: {
        ...(body !== undefined && { 'Content-Type': 'application/json' }),
        ...(key !== null && { 'Idempotency-Key': `"${key}"` }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    serverState.noteAway();
    throw new ApiError('unreachable');
  }
}

function noteAnswer(response: Response): void {
  serverClock.noteAnswer(response.headers.get('date'));
  serverState.noteAnswer();
}

async function readJson(response: Response): Promise<unknown> {
  const text = await response.text();
  if (text === '') return null;
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new ApiError('failed');
  }
}
