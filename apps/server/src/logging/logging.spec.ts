import { createServer } from 'node:http';
import { Writable } from 'node:stream';
import { pino } from 'pino';
import request from 'supertest';
import { createLogger, requestLog } from './logging.js';

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
    const response = await request(server).post('/api/session?password=in-the-query').set('Cookie', 'hapset_session=secret-token').set('Authorization', 'Bearer secret-token').send({ password: 'low-tide' });
    const [line = ''] = lines.splice(0);
    expect(JSON.parse(line)).toMatchObject({ level: 30, req: { id: response.headers['x-request-id'] as string, method: 'POST', path: '/api/session' }, res: { status: 200 } });
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
});
