import { scryptSync } from 'node:crypto';
import request from 'supertest';
import { demoAccount } from './demo-account.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { TestServer, testPassword } from '../../test/test-server.js';
import { hashPassword, isOutdated, passwordMatchesNow } from './password.js';
import { Account } from './account.entity.js';
import { PasswordHasher, waitingAtMost } from './password-hasher.js';
import { Session } from './session.entity.js';
import { SignInService } from './sign-in.service.js';
import { idleMs, keptMs } from './session.service.js';
import { SignInFailures } from './sign-in-failures.entity.js';
import { Retention } from '../retention/retention.js';

describe('signing in', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await TestServer.start();
    await server.addAccount('Maren');
    await server.addAccount('Tobiah');
  });
  afterAll(() => server.stop());

  const signIn = (email: string, password: string) =>
    request(server.app.getHttpServer()).post('/api/session').send({ email, password });

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

  it('makes who fails wait, longer each time, and for that account from that address alone', async () => {
    for (let attempt = 0; attempt < 5; attempt += 1) await signIn('guessed@test.example', 'wrong').expect(401);
    const refused = await signIn('guessed@test.example', 'wrong').expect(429);
    expect(refused.body).toMatchObject({ reason: 'too-many-attempts' });
    expect(refused.headers['retry-after']).toBe('1');
    server.clock.advance(1001);
    await signIn('guessed@test.example', 'wrong').expect(401);
    expect((await signIn('guessed@test.example', 'wrong').expect(429)).headers['retry-after']).toBe('2');
    await signIn('tobiah@test.example', testPassword).expect(201);
    server.clock.advance(30 * 60 * 1000);
    for (let attempt = 0; attempt < 5; attempt += 1) await signIn('guessed@test.example', 'wrong').expect(401);
  });

  it('locks nobody out: a stranger who fails on purpose does not stop the teacher at another address', async () => {
    const behind = await TestServer.start({ database: server.database, proxies: ['127.0.0.1'] });
    const from = (address: string, password: string) =>
      request(behind.app.getHttpServer())
        .post('/api/session')
        .set('X-Forwarded-For', address)
        .send({ email: 'tobiah@test.example', password });
    for (let attempt = 0; attempt < 5; attempt += 1) await from('203.0.113.9', 'wrong').expect(401);
    for (let attempt = 0; attempt < 8; attempt += 1) await from('203.0.113.9', 'wrong').expect(429);
    await from('203.0.113.7', testPassword).expect(201);
    await behind.stop();
  });

  it('lets a colleague in at once beside somebody who fails all day at the same address', async () => {
    for (let account = 0; account < 70; account += 1)
      await signIn(`stranger-${account}@test.example`, 'wrong').expect(401);
    await signIn('stranger-1@test.example', 'wrong').expect(429);
    await signIn('tobiah@test.example', testPassword).expect(201);
    server.clock.advance(31 * 60 * 1000);
  });

  it('counts tries before it looks at passwords, however many come at once', async () => {
    const answers = await Promise.all(Array.from({ length: 60 }, () => signIn('crowd@test.example', 'wrong')));
    const counted = answers.map(({ status }) => status);
    expect(counted.filter((status) => status === 401)).toHaveLength(5);
    expect(counted.filter((status) => status === 429)).toHaveLength(55);
  });

  it('keeps neither e-mail nor network address of who failed, and forgets', async () => {
    const rows = await server.dataSource.getRepository(SignInFailures).find();
    expect(rows.length).toBeGreaterThan(0);
    for (const { key } of rows) expect(key).toMatch(/^[0-9a-f]{64}$/);
    server.clock.advance(31 * 60 * 1000);
    await server.app.get(SignInService).tidy();
    expect(await server.dataSource.getRepository(SignInFailures).count()).toBe(0);
  });

  it('says that it is busy instead of letting everybody wait', async () => {
    const hasher = server.app.get(PasswordHasher);
    const checks = Array.from({ length: waitingAtMost + 3 }, () =>
      hasher.check('wrong', null).catch((error: unknown) => error),
    );
    const answers = await Promise.all(checks);
    expect(answers.filter((answer) => answer instanceof ProblemError && answer.reason === 'busy')).toHaveLength(3);
  });

  it('renews a hash of earlier parameters at the next sign-in', async () => {
    const accounts = server.dataSource.getRepository(Account);
    const salt = Buffer.from('sixteen bytes 16');
    const old = `scrypt$${salt.toString('base64url')}$${scryptSync('low tide at nine', salt, 32, { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 }).toString('base64url')}`;
    await accounts.update({ email: 'tobiah@test.example' }, { passwordHash: old });
    await signIn('tobiah@test.example', 'low tide at noon').expect(401);
    await signIn('tobiah@test.example', 'low tide at nine').expect(201);
    const { passwordHash } = await accounts.findOneByOrFail({ email: 'tobiah@test.example' });
    expect(isOutdated(passwordHash)).toBe(false);
    await signIn('tobiah@test.example', 'low tide at nine').expect(201);
    await accounts.update({ email: 'tobiah@test.example' }, { passwordHash: await hashPassword(testPassword) });
  });

  it('opens nothing with the demo’s password where there is no demo', async () => {
    await server.dataSource
      .getRepository(Account)
      .update({ email: 'tobiah@test.example' }, { passwordHash: await hashPassword(demoAccount.password) });
    await signIn('tobiah@test.example', demoAccount.password).expect(201);
    const school = await TestServer.start({ database: server.database, demo: false });
    await request(school.app.getHttpServer())
      .post('/api/session')
      .send({ email: 'tobiah@test.example', password: demoAccount.password })
      .expect(401);
    await school.stop();
    await server.dataSource
      .getRepository(Account)
      .update({ email: 'tobiah@test.example' }, { passwordHash: await hashPassword(testPassword) });
  });

  it('ends with signing out', async () => {
    const cookie = (await signIn('maren@test.example', testPassword)).headers['set-cookie']?.[0] ?? '';
    await request(server.app.getHttpServer()).get('/api/session').set('Cookie', cookie).expect(200);
    await request(server.app.getHttpServer()).delete('/api/session').set('Cookie', cookie).expect(200);
    await request(server.app.getHttpServer()).get('/api/session').set('Cookie', cookie).expect(401);
  });

  it('ends after twelve hours without use, and after thirty days where it was to be kept', async () => {
    const cookieOf = async (keep: boolean): Promise<string> =>
      (
        await request(server.app.getHttpServer())
          .post('/api/session')
          .send({ email: 'maren@test.example', password: testPassword, keep })
      ).headers['set-cookie']?.[0] ?? '';
    const [passing, kept] = [await cookieOf(false), await cookieOf(true)];
    expect(passing).not.toMatch(/Max-Age/i);
    expect(kept).toMatch(new RegExp(`Max-Age=${keptMs / 1000}`, 'i'));
    const ask = (cookie: string) => request(server.app.getHttpServer()).get('/api/session').set('Cookie', cookie);
    for (let use = 0; use < 3; use += 1) {
      server.clock.advance(idleMs - 60_000);
      await ask(passing).expect(200);
    }
    server.clock.advance(idleMs + 1);
    expect((await ask(passing).expect(401)).body).toMatchObject({ reason: 'not-signed-in' });
    await ask(kept).expect(200);
    server.clock.advance(keptMs);
    await ask(kept).expect(401);
    const before = await server.dataSource.getRepository(Session).count();
    server.clock.advance(8 * 24 * 3600 * 1000);
    await server.app.get(Retention).deleteOld();
    expect(await server.dataSource.getRepository(Session).count()).toBeLessThan(before);
  });

  it('refuses writes that another site’s page sends', async () => {
    const cookie = (await signIn('maren@test.example', testPassword)).headers['set-cookie']?.[0] ?? '';
    const write = () =>
      request(server.app.getHttpServer())
        .post('/api/materials')
        .set('Cookie', cookie)
        .set('Host', 'hapset.example')
        .send({ items: [{ words: 'x', pasted: 'x', repairs: [] }] });
    for (const origin of ['http://evil.example', 'null', 'http://hapset.example.evil.example'])
      expect((await write().set('Origin', origin)).body).toMatchObject({ reason: 'wrong-origin' });
    expect((await write().set('Sec-Fetch-Site', 'cross-site')).status).toBe(403);
    expect((await write().set('Origin', 'http://hapset.example')).status).toBe(201);
    expect((await write()).status).toBe(201);
  });
});

describe('passwords', () => {
  it('match their hash only, in any normal form, and the hash names its parameters', async () => {
    const hash = await hashPassword('Br\u00fccke');
    expect(hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
    expect(hash).not.toContain('Br');
    expect(passwordMatchesNow('Bru\u0308cke', hash)).toBe(true);
    expect(passwordMatchesNow('Brucke', hash)).toBe(false);
    expect(passwordMatchesNow('Br\u00fccke', 'no hash at all')).toBe(false);
    expect(await hashPassword('Br\u00fccke')).not.toBe(hash);
  });
});
