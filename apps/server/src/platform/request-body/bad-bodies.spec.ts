/** Every route with forty bad bodies: each is answered with a problem in words, and none with a failure of the server. */
import { request as httpRequest } from 'node:http';
import { fillPath, routes, type Problem, type RouteName } from '@hapset/contract';
import { newId } from '../database/columns.js';
import { Scene } from '../../test/scene.js';
import { budgetOf } from './body-budgets.js';

const deep = (depth: number): string => '{"a":'.repeat(depth) + '1' + '}'.repeat(depth);
const members = (count: number): string => `{${Array.from({ length: count }, (_, index) => `"k${index}":1`).join()}}`;
const badBodies: readonly string[] = [
  '',
  ' ',
  '{}',
  '[]',
  'null',
  'true',
  '0',
  '"text"',
  '{',
  '}',
  '{"a"}',
  '{"a":}',
  '{"a":1,}',
  "{'a':1}",
  'undefined',
  '\u0000',
  '\uFEFF{}',
  '{"a":1}{"b":2}',
  '[[[[]]]]',
  '{"\u0000":1}',
  deep(13),
  deep(2000),
  `[${'['.repeat(5000)}`,
  members(450),
  members(30_000),
  `{"a":[${'1,'.repeat(20_000)}1]}`,
  `{"a":"${'x'.repeat(70_000)}"}`,
  '{"__proto__":{"admin":true}}',
  '{"constructor":{"prototype":{}}}',
  '{"email":{"$gt":""},"password":{"$gt":""}}',
  '{"email":["a"],"password":["b"]}',
  '{"version":"1"}',
  '{"version":1e400}',
  '{"version":-1}',
  '{"items":[null]}',
  '{"items":{"length":1000000000}}',
  '{"students":[[]]}',
  '{"request":null}',
  '{"results":[{"device":null}]}',
  '{"document":{"type":"doc","content":"x"},"version":1,"over":false}',
  '{"name":"\\ud800","version":1}',
];

describe('bad bodies', () => {
  let scene: Scene;
  let address: URL;
  beforeAll(async () => {
    scene = await Scene.start();
    await scene.server.cookieOf('Pell');
    address = new URL(await scene.server.app.getUrl());
  });
  afterAll(() => scene.stop());

  const send = (
    method: string,
    path: string,
    cookie: string,
    body: string,
  ): Promise<{ status: number; text: string }> =>
    new Promise((resolve, reject) => {
      const sent = httpRequest(
        {
          host: address.hostname,
          port: address.port,
          method,
          path,
          headers: { Cookie: cookie, 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(body) },
        },
        (response) => {
          let text = '';
          response
            .setEncoding('utf8')
            .on('data', (chunk: string) => (text += chunk))
            .on('end', () => resolve({ status: response.statusCode ?? 0, text }))
            .on('error', reject);
        },
      );
      sent.on('error', reject).end(body);
    });

  const writing = (Object.entries(routes) as [RouteName, (typeof routes)[RouteName]][]).filter(
    ([name, { method }]) => method !== 'GET' && method !== 'HEAD' && !name.includes('Upload') && name !== 'signOut',
  );

  it.each(writing)('%s', async (name, { method, path }) => {
    const cookie = await scene.server.cookieOf('Pell');
    const own: Record<string, string> = { classId: scene.classId, deviceId: scene.deviceIds[0] ?? '' };
    const params = Object.fromEntries(
      [...path.matchAll(/:([a-zA-Z]+)/g)].map(([, param = '']) => [param, own[param] ?? newId()]),
    );
    const answers = await Promise.all(badBodies.map((body) => send(method, fillPath(path, params), cookie, body)));
    answers.forEach(({ status, text }, index) => {
      expect([name, (badBodies[index] ?? '').slice(0, 60), status >= 500]).toEqual([
        name,
        (badBodies[index] ?? '').slice(0, 60),
        false,
      ]);
      if (status < 400) return;
      const problem = JSON.parse(text) as Problem;
      expect(typeof problem.reason).toBe('string');
      expect(problem.fields?.length ?? 0).toBeLessThanOrEqual(20);
      expect(text.length).toBeLessThan(12_000);
    });
  });

  it('ids and cursors in any letters are nothing that is there, and no failure', async () => {
    const cookie = await scene.server.cookieOf('Pell');
    for (const odd of ['ä', '潮', '%F0%9F%90%9A', '%00', 'x'.repeat(500), "'--", '..%2f..', '%ZZ']) {
      for (const path of ['/api/lessons/', '/api/materials/', '/api/students/', '/p/', '/k/', '/c/', '/K/']) {
        const { status } = await send('GET', `${path}${encodeURI(odd).replace(/%25/g, '%')}`, cookie, '');
        expect([path, odd.slice(0, 20), status >= 400 && status < 500 ? 'refused' : status]).toEqual([
          path,
          odd.slice(0, 20),
          'refused',
        ]);
      }
      for (const path of ['/api/materials', '/api/lessons', '/api/files', '/api/students', '/api/short-links']) {
        const { status } = await send('GET', `${path}?after=${encodeURI(odd).replace(/%25/g, '%')}`, cookie, '');
        expect([path, odd.slice(0, 20), status < 500]).toEqual([path, odd.slice(0, 20), true]);
      }
    }
  });

  it('a stranger’s sign-in holds four kilobytes, and most forms sixty-four', () => {
    expect(budgetOf('POST', '/api/session').bytes).toBe(4096);
    expect(budgetOf('PATCH', `/api/lessons/${newId()}`).bytes).toBe(65_536);
    expect(budgetOf('POST', '/api/roster-comparisons').bytes).toBe(3 * 1024 * 1024);
    expect(budgetOf('POST', '/nowhere').bytes).toBe(65_536);
  });
});
