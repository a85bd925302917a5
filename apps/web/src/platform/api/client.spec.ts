import { routes } from '@hapset/contract';
import { call } from './client.js';
import { serverState } from './server-state.js';
import { announceSession, onSessionWanted } from './session-renewal.js';

function answer(status: number, body: unknown): Response {
  return new Response(body === undefined ? '' : JSON.stringify(body), { status });
}

describe('the client', () => {
  const fetchMock = jest.fn<Promise<Response>, [string, RequestInit]>();
  // Otherwise it would be asked for as long as the process lives.
  let away: jest.SpyInstance;
  beforeEach(() => {
    away = jest.spyOn(serverState, 'noteAway').mockImplementation(() => undefined);
    fetchMock.mockReset();
    globalThis.fetch = fetchMock as unknown as typeof fetch;
  });

  afterEach(() => away.mockRestore());

  it('fills the path, leaves empty queries out, sends JSON', async () => {
    fetchMock.mockResolvedValueOnce(answer(200, { rows: [] }));
    await call(routes.shelf, { query: { find: 'a b', after: null } });
    expect(fetchMock.mock.calls[0]?.[0]).toBe('/api/materials?find=a+b');
    fetchMock.mockResolvedValueOnce(answer(200, null));
    await call(routes.orderStations, { params: { lessonId: 'x' }, body: { stationIds: ['1'] } });
    expect(fetchMock.mock.calls[1]?.[0]).toBe('/api/lessons/x/station-order');
    expect(fetchMock.mock.calls[1]?.[1]).toMatchObject({ method: 'PUT', body: '{"stationIds":["1"]}' });
  });

  it('sends a change again with the same key once the server answers, and what only asks never', async () => {
    const isAway = jest.spyOn(serverState, 'isAway').mockReturnValue(true);
    const order = call(routes.orderStations, { params: { lessonId: 'x' }, body: { stationIds: ['1'] } });
    expect(fetchMock).not.toHaveBeenCalled();
    isAway.mockReturnValue(false);
    fetchMock.mockRejectedValueOnce(new TypeError('network'));
    fetchMock.mockImplementation(() => Promise.resolve(answer(200, null)));
    // Each one that is added while the server is there sends what waits, too.
    const other = call(routes.orderStations, { params: { lessonId: 'y' }, body: { stationIds: [] } });
    for (let round = 0; round < 20; round += 1) await Promise.resolve();
    const third = call(routes.orderStations, { params: { lessonId: 'z' }, body: { stationIds: [] } });
    await Promise.all([order, other, third]);
    isAway.mockRestore();
    const sent = fetchMock.mock.calls.map(([path, { headers }]) => [path, new Headers(headers).get('Idempotency-Key')]);
    expect(sent.map(([path]) => path?.at(13))).toEqual(['x', 'x', 'y', 'z']);
    expect(new Set(sent.map(([, key]) => key)).size).toBe(3);
    expect(sent[0]?.[1]).toMatch(/^"[0-9a-f-]{36}"$/);
    fetchMock.mockReset();
    fetchMock.mockRejectedValueOnce(new TypeError('network'));
    await expect(call(routes.matchShelf, { body: { links: [] } })).rejects.toMatchObject({ reason: 'unreachable' });
  });

  it('gives problems with their reason, fields and warnings', async () => {
    fetchMock.mockResolvedValueOnce(
      answer(409, { reason: 'sheet-needs-go-ahead', message: 'x', warnings: ['locked'] }),
    );
    await expect(call(routes.lessons)).rejects.toMatchObject({
      reason: 'sheet-needs-go-ahead',
      warnings: ['locked'],
      fields: [],
    });
    fetchMock.mockRejectedValueOnce(new TypeError('network'));
    await expect(call(routes.lessons)).rejects.toMatchObject({ reason: 'unreachable' });
    expect(away).toHaveBeenCalledTimes(1);
    fetchMock.mockResolvedValueOnce(new Response('<html>', { status: 500 }));
    await expect(call(routes.lessons)).rejects.toMatchObject({ reason: 'failed' });
  });

  it.each([502, 503, 504])('takes a proxy’s own %d page for a server that is away, and asks again', async (status) => {
    fetchMock.mockResolvedValueOnce(new Response('<html>', { status }));
    await expect(call(routes.lessons)).rejects.toMatchObject({ reason: 'unavailable' });
    expect(away).toHaveBeenCalledTimes(1);
  });

  it('waits for a new sign-in when the session ended, and then goes on with the same call', async () => {
    const heard: boolean[] = [];
    let asked = (): void => undefined;
    const isAsked = new Promise<void>((resolve) => (asked = resolve));
    const leave = onSessionWanted((wanted) => {
      heard.push(wanted);
      if (wanted) asked();
    });
    fetchMock
      .mockResolvedValueOnce(answer(401, { reason: 'not-signed-in', message: '' }))
      .mockResolvedValueOnce(answer(200, { id: 'new' }));
    const body = { name: 'Tides', classId: null, date: null, startsAt: null, place: '', viewingDistanceM: 2 };
    const result = call(routes.createLesson, { body });
    await isAsked;
    expect(heard).toEqual([false, true]);
    announceSession();
    await expect(result).resolves.toEqual({ id: 'new' });
    expect(fetchMock.mock.calls[1]?.[1].body).toBe(JSON.stringify(body));
    leave();
  });

  it('does not wait while signing in', async () => {
    fetchMock.mockResolvedValueOnce(answer(401, { reason: 'not-signed-in', message: '' }));
    await expect(call(routes.session, { renew: false })).rejects.toMatchObject({ reason: 'not-signed-in' });
  });
});
