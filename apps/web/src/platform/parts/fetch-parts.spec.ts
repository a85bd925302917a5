import { fetchParts } from './fetch-parts.js';

const whenIdle = (act: () => void): void => act();
let known: string | null = null;
const done = { read: () => known, write: (list: string) => void (known = list) };
const reply = (ok: boolean, body: unknown): Response =>
  ({ ok, json: () => (body instanceof Error ? Promise.reject(body) : Promise.resolve(body)) }) as Response;

describe('parts of the application', () => {
  beforeEach(() => (known = null));

  it('are fetched one by one, as far as they are parts', async () => {
    const asked: string[] = [];
    const fetch = (path: string): Promise<Response> => {
      asked.push(path);
      return Promise.resolve(reply(true, ['assets/a.js', 'https://a.example/x.js', 7, 'assets/b.js']));
    };
    expect(await fetchParts({ fetch, whenIdle, done })).toBe(2);
    expect(asked).toEqual(['/parts.json', '/assets/a.js', '/assets/b.js']);
    expect(await fetchParts({ fetch, whenIdle, done })).toBe(0);
    expect(asked).toHaveLength(4);
  });

  it('are left alone where there is no list, and as soon as nobody answers', async () => {
    for (const list of [null, reply(false, null), reply(true, new Error('no JSON')), reply(true, {})])
      expect(await fetchParts({ fetch: () => Promise.resolve(list), whenIdle, done })).toBe(0);
    let left = 2;
    const fetch = (): Promise<Response | null> =>
      Promise.resolve(left-- > 0 ? reply(true, ['assets/a.js', 'assets/b.js', 'assets/c.js']) : null);
    expect(await fetchParts({ fetch, whenIdle, done })).toBe(1);
  });
});
