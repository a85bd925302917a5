import type { OwnAccount } from '@hapset/contract';
import request from 'supertest';
import { newId } from '../../platform/database/columns.js';
import { confirmedMs } from '../account/session.service.js';
import { TestServer, testPassword } from '../../test/test-server.js';

const password = 'tide pool lantern';

describe('one’s own account', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await TestServer.start();
    await server.addAccount('Maren');
    await server.addAccount('Tobiah');
  });
  afterEach(() => server.stop());

  const view = (who = 'Maren') => server.ok<OwnAccount>(who, 'GET', '/api/account');
  const signIn = (given: string) =>
    request(server.app.getHttpServer()).post('/api/session').send({ email: 'maren@test.example', password: given });

  it('has a name that colleagues see at once', async () => {
    expect((await server.as('Maren', 'PATCH', '/api/account', { name: ' Maren D. ' })).body).toMatchObject({
      name: 'Maren D.',
    });
    expect((await server.as('Maren', 'GET', '/api/session')).body).toMatchObject({ name: 'Maren D.' });
    expect((await server.as('Maren', 'PATCH', '/api/account', { name: ' ' })).status).toBe(400);
  });

  it('signs in with a new address, which nobody else has', async () => {
    const put = (email: string) => server.as('Maren', 'PUT', '/api/account/email', { email });
    expect((await put('TOBIAH@test.example')).body).toMatchObject({ fields: [{ field: 'email', detail: 'taken' }] });
    expect((await put('not an address')).status).toBe(400);
    expect((await put('M.Dallow@test.example')).body).toMatchObject({ email: 'm.dallow@test.example' });
    await signIn(testPassword).expect(401);
  });

  it('gets a new password with the present one, and all other sessions end', async () => {
    const other = (await signIn(testPassword)).headers['set-cookie']?.[0] ?? '';
    const put = (current: string, next: string) =>
      server.as('Maren', 'PUT', '/api/account/password', { current, password: next });
    expect((await put('wrong', password)).body).toMatchObject({ reason: 'invalid', fields: [{ field: 'current' }] });
    expect((await put(testPassword, 'aaaaaaaaaaaa')).body).toMatchObject({
      fields: [{ field: 'password', detail: 'common' }],
    });
    expect((await put(testPassword, password)).status).toBe(200);
    await request(server.app.getHttpServer()).get('/api/session').set('Cookie', other).expect(401);
    expect((await view()).sessions).toMatchObject([{ current: true }]);
    await signIn(testPassword).expect(401);
    await signIn(password).expect(201);
  });

  it('lists its sessions and ends one of them, and nobody else’s', async () => {
    await view();
    const other = (await signIn(testPassword)).headers['set-cookie']?.[0] ?? '';
    const { sessions } = await view();
    expect(sessions.map(({ current }) => current).sort()).toEqual([false, true]);
    const id = sessions.find(({ current }) => !current)?.id ?? '';
    expect((await server.as('Tobiah', 'DELETE', `/api/account/sessions/${id}`)).status).toBe(404);
    await server.ok('Maren', 'DELETE', `/api/account/sessions/${id}`);
    await request(server.app.getHttpServer()).get('/api/session').set('Cookie', other).expect(401);
    expect((await view()).sessions).toHaveLength(1);
  });

  it('asks for the password again after a quarter of an hour, and counts wrong ones', async () => {
    await view();
    const put = () => server.as('Maren', 'PUT', '/api/account/email', { email: 'maren@test.example' });
    server.clock.advance(confirmedMs - 1);
    expect((await put()).status).toBe(200);
    server.clock.advance(1);
    expect((await put()).body).toMatchObject({ reason: 'password-needed' });
    const confirm = (given: string) => server.as('Maren', 'POST', '/api/session/confirmation', { password: given });
    for (let attempt = 0; attempt < 5; attempt += 1)
      expect((await confirm('wrong')).body).toMatchObject({ reason: 'wrong-credentials' });
    expect((await confirm('wrong')).body).toMatchObject({ reason: 'too-many-attempts' });
    server.clock.advance(31 * 60 * 1000);
    expect((await confirm(testPassword)).status).toBe(200);
    expect((await put()).status).toBe(200);
  });

  it('makes a change once that was refused until the password was given, under the same key', async () => {
    await view();
    server.clock.advance(confirmedMs);
    const key = `"${newId()}"`;
    const put = () =>
      server.as('Maren', 'PUT', '/api/account/email', { email: 'm@test.example' }, { 'Idempotency-Key': key });
    expect((await put()).body).toMatchObject({ reason: 'password-needed' });
    await server.ok('Maren', 'POST', '/api/session/confirmation', { password: testPassword });
    expect((await put()).body).toMatchObject({ email: 'm@test.example' });
    expect((await put()).body).toMatchObject({ email: 'm@test.example' });
  });
});
