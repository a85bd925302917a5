import { createServer, request as httpRequest, type IncomingMessage, type Server } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { AddressGuard, type LookUpAll } from '../student-browser/address-guard.js';
import { GuardingProxy, type Pass } from './guarding-proxy.js';

const credentials = ({ username, password }: Pick<Pass, 'username' | 'password'>): Record<string, string> => ({
  'proxy-authorization': `Basic ${Buffer.from(`${username}:${password}`).toString('base64')}`,
});

describe('the browser’s way out', () => {
  let target: Server;
  let port = 0;
  let proxy: GuardingProxy;
  let proxyPort = 0;
  let answers: string[] = [];
  const asked: IncomingMessage[] = [];
  const limits = { ownHosts: new Set(['own.localhost']), bytesAtMost: 20_000 };
  const lookUp: LookUpAll = (_name, _options, callback) =>
    callback(null, [{ address: answers.shift() ?? '', family: 4 }]);

  beforeAll(async () => {
    target = createServer((request, response) => {
      asked.push(request);
      response
        .writeHead(200, { 'x-hop': '1', connection: 'close, x-hop' })
        .end('x'.repeat(Number(request.url?.slice(1)) || 5));
    });
    await new Promise<void>((resolve) => target.listen(0, '127.0.0.1', resolve));
    ({ port } = target.address() as AddressInfo);
    proxy = new GuardingProxy(new AddressGuard([`board.localhost:${port}`, `own.localhost:${port}`], lookUp));
    proxyPort = Number(new URL(await proxy.start()).port);
  });
  afterAll(async () => {
    await proxy.stop();
    target.closeAllConnections();
    await new Promise((resolve) => target.close(resolve));
  });
  beforeEach(() => {
    asked.length = 0;
    answers = [];
  });

  const ask = (
    url: string,
    headers: Record<string, string> = {},
  ): Promise<{ status: number; body: string; headers: IncomingMessage['headers'] }> =>
    new Promise((resolve, reject) => {
      const out = httpRequest({ host: '127.0.0.1', port: proxyPort, path: url, headers, agent: false }, (answer) => {
        let body = '';
        answer.on('data', (chunk: Buffer) => (body += chunk.toString()));
        answer.on('error', reject);
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body, headers: answer.headers }));
      });
      out.on('error', reject).end();
    });
  const tunnel = (place: string, headers: Record<string, string> = {}): Promise<{ line: string; socket: Socket }> =>
    new Promise((resolve, reject) => {
      const socket = connect(proxyPort, '127.0.0.1');
      const more = Object.entries(headers).map(([name, value]) => `${name}: ${value}\r\n`);
      socket.write(`CONNECT ${place} HTTP/1.1\r\nhost: ${place}\r\n${more.join('')}\r\n`);
      socket.once('data', (data) => resolve({ line: data.toString().split('\r\n')[0] ?? '', socket }));
      socket.once('error', reject);
    });
  const page = (host = 'board.localhost', path = '/5'): string => `http://${host}:${port}${path}`;

  it('is shut for whoever names no open view', async () => {
    const pass = proxy.open(limits);
    for (const headers of [
      {},
      credentials({ username: pass.username, password: 'guess' }),
      credentials({ username: 'x', password: pass.password }),
    ]) {
      expect((await ask(page(), headers)).status).toBe(407);
      expect((await tunnel(`board.localhost:${port}`, headers)).line).toContain('407');
    }
    pass.close();
    expect((await ask(page(), credentials(pass))).status).toBe(407);
    expect(asked).toHaveLength(0);
  });

  it('forwards what the guard lets through, without credentials and headers that are for one hop', async () => {
    const pass = proxy.open(limits);
    const { status, body, headers } = await ask(page(), { ...credentials(pass), te: 'x', accept: 'text/html' });
    expect([status, body]).toEqual([200, 'xxxxx']);
    expect(headers).not.toHaveProperty('x-hop');
    expect(asked[0]?.headers).toMatchObject({ host: `board.localhost:${port}`, accept: 'text/html' });
    expect(Object.keys(asked[0]?.headers ?? {})).not.toEqual(expect.arrayContaining(['proxy-authorization']));
    const { line, socket } = await tunnel(`board.localhost:${port}`, credentials(pass));
    expect(line).toContain('200');
    const answered = new Promise((resolve) => socket.once('data', (data) => resolve(data.toString())));
    socket.write('GET /5 HTTP/1.1\r\nhost: a\r\n\r\n');
    expect(await answered).toContain('200 OK');
    pass.close();
    await new Promise((resolve) => socket.once('close', resolve));
  });

  it.each([
    'http://127.0.0.1:PORT/',
    'http://[::1]:PORT/',
    'http://169.254.169.254/latest',
    'http://0x7f000001:PORT/',
    'http://2130706433:PORT/',
    'http://[::ffff:127.0.0.1]:PORT/',
    'http://own.localhost:PORT/',
  ])('never reaches %s, by request or tunnel', async (address) => {
    const pass = proxy.open(limits);
    const url = new URL(address.replace('PORT', String(port)));
    expect((await ask(url.href, credentials(pass))).status).toBe(403);
    expect((await tunnel(`${url.hostname}:${url.port || '80'}`, credentials(pass))).line).toContain('403');
    expect(asked).toHaveLength(0);
    expect(pass.refused.size).toBe(1);
    pass.close();
  });

  it('judges each lookup again: a name that resolves to a private address the second time is not reached', async () => {
    const pass = proxy.open(limits);
    answers = ['127.0.0.1', '10.0.0.7'];
    expect((await ask(`http://rebind.example:${port}/`, credentials(pass))).status).toBe(502);
    expect((await tunnel(`rebind.example:${port}`, credentials(pass))).line).toContain('502');
    expect([asked.length, [...pass.refused]]).toEqual([0, ['rebind.example']]);
    pass.close();
  });

  it.each(['ftp://board.localhost/', 'file:///etc/passwd', '/relative', 'https://board.localhost/'])(
    'forwards no %s',
    async (url) => {
      const pass = proxy.open(limits);
      expect((await ask(url, credentials(pass))).status).toBe(400);
      pass.close();
    },
  );

  it('ends a view that takes more than it may', async () => {
    const [pass, other] = [proxy.open(limits), proxy.open(limits)];
    await expect(ask(page('board.localhost', '/4000000'), credentials(pass))).rejects.toThrow();
    expect([pass.isOver, other.isOver]).toEqual([true, false]);
    expect((await ask(page(), credentials(pass))).status).toBe(403);
    expect((await ask(page(), credentials(other))).status).toBe(200);
    expect(pass.bytes).toBeGreaterThan(20_000);
    pass.close();
    other.close();
  });
});
