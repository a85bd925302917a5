import { createServer } from 'node:http';
import { Writable } from 'node:stream';
import { pino } from 'pino';
import request from 'supertest';
import { errorFacts, errorLine } from './error-facts.js';
import { createLogger, requestLog } from './logging.js';
import { watchProcess } from './watch-process.js';

describe('the log', () => {
  const lines: string[] = [];
  const sink = new Writable({ write: (chunk: Buffer, _encoding, done) => (lines.push(chunk.toString()), done()) });
  const log = requestLog(pino({}, sink));
  const server = createServer((req, res) => {
    log(req, res);
    res.statusCode = req.url?.includes('fail') ? 500 : 200;
    res.setHeader('Set-Cookie', 'hapset_session=secret-token');
    res.end('{}');
  });

  it('has a line for each call with the id that the caller got, and no secrets', async () => {
    const response = await request(server)
      .post('/api/session?password=in-the-query')
      .set('Cookie', 'hapset_session=secret-token')
      .set('Authorization', 'Bearer secret-token')
      .send({ password: 'low-tide' });
    const [line = ''] = lines.splice(0);
    expect(JSON.parse(line)).toMatchObject({
      level: 30,
      req: { id: response.headers['x-request-id'] as string, method: 'POST', path: '/api/session' },
      res: { status: 200 },
    });
    for (const secret of ['secret-token', 'low-tide', 'in-the-query']) expect(line).not.toContain(secret);
  });

  it('marks what failed, and says nothing of pages and health', async () => {
    await request(server).get('/api/fail');
    expect(JSON.parse(lines.splice(0)[0] ?? '')).toMatchObject({ level: 50, res: { status: 500 } });
    await request(server).get('/api/health');
    await request(server).get('/lessons/1');
    expect(lines).toEqual([]);
  });

  it('takes its level from the configuration', () => {
    expect(createLogger('warn').level).toBe('warn');
  });

  it('says of an error what kind it is and where it was, and nothing of what it was about', () => {
    const error = Object.assign(new Error("Duplicate entry 'Ann Lee' for key 'name'\n    at Ann Lee (secret)"), {
      code: 'ER_DUP_ENTRY',
      sql: "INSERT … 'Ann Lee'",
      parameters: ['Ann Lee'],
      query: 'x',
    });
    createLogger('info', sink).error({ err: error }, 'could not save');
    const [line = ''] = lines.splice(0);
    expect(line).not.toContain('Ann Lee');
    expect(JSON.parse(line)).toMatchObject({
      err: {
        type: 'Error',
        code: 'ER_DUP_ENTRY',
        at: expect.arrayContaining([expect.stringContaining('logging.spec')]) as unknown,
      },
    });
    expect(errorLine(error)).toMatch(/^Error ER_DUP_ENTRY at logging\.spec\.ts:\d+:\d+$/);
    expect(errorFacts('Ann Lee')).toEqual({ type: 'string', at: [] });
  });

  it('leaves out tags, which people write', async () => {
    await request(server).post('/api/tags/Ann%20Lee/access-checks');
    expect(lines.splice(0)[0]).toContain('/api/tags/:tag/access-checks');
  });

  it('counts what nobody handled, and ends after what nobody caught', () => {
    const heard = new Map<string, (error: unknown) => void>();
    const ended: unknown[] = [];
    const watched = {
      on: (event: string, listen: (error: unknown) => void) => heard.set(event, listen),
      exit: (code: unknown) => ended.push(code),
    };
    watchProcess(watched as unknown as NodeJS.Process, createLogger('info', sink));
    for (let count = 0; count < 2; count += 1) heard.get('unhandledRejection')?.(new Error('x'));
    expect(
      lines.splice(0).map((line) => (JSON.parse(line) as { unhandledRejections: number }).unhandledRejections),
    ).toEqual([1, 2]);
    expect(ended).toEqual([]);
    heard.get('uncaughtException')?.(new Error('x'));
    expect(ended).toEqual([1]);
    lines.splice(0);
  });
});
