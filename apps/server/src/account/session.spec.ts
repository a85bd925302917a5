import request from 'supertest';
import { TestServer, testPassword } from '../test/test-server.js';
import { hashPassword, passwordMatches } from './password.js';
import { Session } from './session.entity.js';
import { sessionDays } from './session.service.js';

describe('signing in', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await TestServer.start();
    await server.addAccount('Maren');
    await server.addAccount('Tobiah');
  });
  afterAll(() => server.stop());

  const signIn = (email: string, password: string) => request(server.app.getHttpServer()).post('/api/session').send({ email, password });

  it('gives a cookie that scripts and other sites can’t use, and stores only its hash', async () => {
    const response = await signIn('  MAREN@test.example ', testPassword).expect(201);
    expect(response.body).toMatchObject({ name: 'Maren', role: 'teacher' });
    const cookie = response.headers['set-cookie']?.[0] ?? '';
    expect(cookie).toMatch(/^hapset_session=[\w-]{43};/);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Lax/);
    const token = /hapset_session=([^;]+)/.exec(cookie)?.[1] ?? '';
    const stored = await server.dataSource.getRepository(Session).find();
    expect(stored.map((session) => session.tokenHash)).not.toContain(token);
    expect(stored.some((session) => /^[0-9a-f]{64}$/.test(session.tokenHash))).toBe(true);
  });

  it('answers alike for a wrong password and an unknown account', async () => {
    const wrong = await signIn('tobiah@test.example', 'wrong').expect(401);
    const unknown = await signIn('nobody@test.example', 'wrong').expect(401);
    expect(wrong.body).toEqual(unknown.body);
    expect(wrong.body).toMatchObject({ reason: 'wrong-credentials' });
  });

  it('stops guessing after eight failures, tells how long, and forgets after a quarter of an hour', async () => {
    for (let attempt = 0; attempt < 8; attempt += 1) await signIn('guessed@test.example', 'wrong').expect(401);
    const refused = await signIn('guessed@test.example', 'wrong').expect(429);
    expect(refused.body).toMatchObject({ reason: 'too-many-attempts' });
    expect(refused.headers['retry-after']).toBe('900');
    await signIn('tobiah@test.example', testPassword).expect(201);
    server.clock.advance(15 * 60 * 1000 + 1);
    await signIn('guessed@test.example', 'wrong').expect(401);
  });

  it('ends with signing out', async () => {
    const cookie = (await signIn('maren@test.example', testPassword)).headers['set-cookie']?.[0] ?? '';
    await request(server.app.getHttpServer()).get('/api/session').set('Cookie', cookie).expect(200);
    await request(server.app.getHttpServer()).delete('/api/session').set('Cookie', cookie).expect(200);
    await request(server.app.getHttpServer()).get('/api/session').set('Cookie', cookie).expect(401);
  });

  it('ends by itself after its days', async () => {
    const cookie = (await signIn('maren@test.example', testPassword)).headers['set-cookie']?.[0] ?? '';
    server.clock.advance(sessionDays * 24 * 3600 * 1000 + 1);
    const ended = await request(server.app.getHttpServer()).get('/api/session').set('Cookie', cookie).expect(401);
    expect(ended.body).toMatchObject({ reason: 'not-signed-in' });
  });

  it('refuses writes that another site’s page sends', async () => {
    const cookie = (await signIn('maren@test.example', testPassword)).headers['set-cookie']?.[0] ?? '';
    const write = () => request(server.app.getHttpServer()).post('/api/materials').set('Cookie', cookie).set('Host', 'hapset.example').send({ items: [{ words: 'x', pasted: 'x', repairs: [] }] });
    for (const origin of ['http://evil.example', 'null', 'http://hapset.example.evil.example']) expect((await write().set('Origin', origin)).body).toMatchObject({ reason: 'wrong-origin' });
    expect((await write().set('Sec-Fetch-Site', 'cross-site')).status).toBe(403);
    expect((await write().set('Origin', 'http://hapset.example')).status).toBe(201);
    expect((await write()).status).toBe(201);
  });
});

describe('passwords', () => {
  it('match their hash only, in any normal form', async () => {
    const hash = await hashPassword('Br\u00fccke');
    expect(hash).not.toContain('Br');
    expect(await passwordMatches('Bru\u0308cke', hash)).toBe(true);
    expect(await passwordMatches('Brucke', hash)).toBe(false);
    expect(await hashPassword('Br\u00fccke')).not.toBe(hash);
  });
});
