import type {
  AccountLinkMade,
  AccountLinkView,
  ActivityPage,
  OwnAccount,
  SchoolView,
  StaffView,
} from '@hapset/contract';
import request from 'supertest';
import { TestServer, testPassword } from '../../test/test-server.js';
import { AccountLink } from './account-link.entity.js';
import { AccountLinks } from './account-links.js';
import { Retention } from '../retention/retention.js';

const password = 'tide pool lantern';
const school = { name: 'Samphire School', language: 'en-IE', timeZone: 'Europe/Dublin', paper: 'A4' };
const hourMs = 3600 * 1000;

describe('one-time links', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await TestServer.start({ demo: false });
  });
  afterEach(() => server.stop());

  const post = (path: string, body: object) =>
    request(server.app.getHttpServer())
      .post(path)
      .set('User-Agent', 'Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0')
      .send(body);
  const look = (token: string) => post('/api/account-links', { token });
  const create = (token: string, more: object = {}) =>
    post('/api/account-links/account', {
      token,
      name: 'Pell',
      email: 'Pell@test.example',
      password,
      school: null,
      ...more,
    });
  const setupToken = async (): Promise<string> =>
    (await server.app.get(AccountLinks).make({ kind: 'setup' }, 'http://127.0.0.1:4300')).token;
  const cookieOf = (response: request.Response): string =>
    (response.headers['set-cookie']?.[0] ?? '').split(';')[0] ?? '';
  const invite = async (role = 'teacher', note = 'Ida, year 6'): Promise<AccountLinkMade> =>
    server.ok<AccountLinkMade>('Wenna', 'POST', '/api/staff/invitations', { role, note });

  it('set a school up: the first administrator is signed in, and the link is over', async () => {
    const token = await setupToken();
    expect((await look(token.toLowerCase().replaceAll('-', ' ')).expect(200)).body).toMatchObject({
      kind: 'setup',
      role: 'administrator',
      email: null,
    } satisfies Partial<AccountLinkView>);
    const made = await create(token, { school }).expect(201);
    expect(made.body).toMatchObject({ name: 'Pell', email: 'pell@test.example', role: 'administrator' });
    const ask = (path: string) => request(server.app.getHttpServer()).get(path).set('Cookie', cookieOf(made));
    expect((await ask('/api/school').expect(200)).body as SchoolView).toMatchObject(school);
    expect(((await ask('/api/account').expect(200)).body as OwnAccount).sessions).toMatchObject([
      { device: 'Firefox on Linux', current: true, kept: false },
    ]);
    expect(((await ask('/api/activity').expect(200)).body as ActivityPage).entries).toMatchObject([
      { who: 'Pell', activity: 'school-set-up' },
    ]);
    expect((await look(token).expect(410)).body).toMatchObject({ reason: 'link-over' });
    expect((await create(await setupToken(), { school, email: 'b@test.example' }).expect(410)).body).toMatchObject({
      reason: 'link-over',
    });
  });

  it('make one administrator, however many use the setup link at once', async () => {
    const token = await setupToken();
    const answers = await Promise.all(
      Array.from({ length: 8 }, (_, index) => create(token, { school, email: `a${index}@test.example` })),
    );
    expect(answers.filter(({ status }) => status === 201)).toHaveLength(1);
    expect(answers.filter(({ status }) => status === 410)).toHaveLength(7);
  });

  it('end after an hour for a setup, and a new one ends the one before', async () => {
    const [first, second] = [await setupToken(), await setupToken()];
    await look(first).expect(410);
    await look(second).expect(200);
    server.clock.advance(hourMs);
    await look(second).expect(410);
  });

  describe('of a school with an administrator', () => {
    beforeEach(() => server.addAccount('Wenna', 'administrator'));

    it('invite a colleague, whose password is refused where it is easily guessed', async () => {
      const { token, address } = await invite('office');
      expect(address).toBe(`http://127.0.0.1:4300/join#${token}`);
      expect((await look(token).expect(200)).body).toMatchObject({ kind: 'invitation', role: 'office' });
      const troubles = { short: 'too-short', 'password123!': 'common', 'pell@test.example': 'personal' };
      for (const [given, detail] of Object.entries(troubles))
        expect((await create(token, { password: given }).expect(400)).body).toMatchObject({
          fields: [{ field: 'password', detail }],
        });
      expect((await create(token, { email: 'wenna@test.example' }).expect(400)).body).toMatchObject({
        fields: [{ field: 'email', detail: 'taken' }],
      });
      expect((await create(token).expect(201)).body).toMatchObject({ role: 'office' });
      await create(token, { email: 'other@test.example' }).expect(410);
      expect((await server.ok<StaffView>('Wenna', 'GET', '/api/staff')).invitations).toEqual([]);
    });

    it('can’t be used for anything else', async () => {
      const { token } = await invite();
      await create(token, { school }).expect(410);
      await post('/api/account-links/password', { token, password }).expect(410);
      await create(token).expect(201);
    });

    it('can be taken back, and end after seven days', async () => {
      const [one, other] = [await invite(), await invite('teacher', '')];
      const { invitations } = await server.ok<StaffView>('Wenna', 'GET', '/api/staff');
      expect(invitations).toMatchObject([
        { id: other.id, role: 'teacher', note: '' },
        { id: one.id, note: 'Ida, year 6' },
      ]);
      expect(JSON.stringify(invitations)).not.toContain(one.token);
      await server.ok('Wenna', 'DELETE', `/api/staff/invitations/${one.id}`);
      await create(one.token).expect(410);
      server.clock.advance(7 * 24 * hourMs + 1);
      await create(other.token).expect(410);
      server.clock.advance(7 * 24 * hourMs);
      await server.app.get(Retention).deleteOld();
      expect(await server.dataSource.getRepository(AccountLink).count()).toBe(0);
    });

    it('set a forgotten password, end the sessions of that account, and no longer work for a closed one', async () => {
      const accountId = await server.addAccount('Maren');
      const before = await server.cookieOf('Maren');
      const makeReset = () => server.ok<AccountLinkMade>('Wenna', 'POST', `/api/staff/${accountId}/reset-link`);
      const { token } = await makeReset();
      expect((await look(token)).body).toMatchObject({ kind: 'reset', email: 'maren@test.example', role: null });
      const response = await post('/api/account-links/password', { token, password }).expect(200);
      const session = (cookie: string) => request(server.app.getHttpServer()).get('/api/session').set('Cookie', cookie);
      await session(before).expect(401);
      await session(cookieOf(response)).expect(200);
      await post('/api/session', { email: 'maren@test.example', password: testPassword }).expect(401);
      await post('/api/session', { email: 'maren@test.example', password }).expect(201);
      await post('/api/account-links/password', { token, password }).expect(410);
      const late = await makeReset();
      await server.ok('Wenna', 'PATCH', `/api/staff/${accountId}`, { active: false });
      await post('/api/account-links/password', { token: late.token, password }).expect(410);
    });

    it('are stored as hashes, and can’t be tried out for long', async () => {
      const { token } = await invite();
      const [row] = await server.dataSource.getRepository(AccountLink).find();
      expect(row?.tokenHash).toMatch(/^[0-9a-f]{64}$/);
      expect(token).toMatch(/^(?:[2-9A-HJ-NP-Z]{4}-){3}[2-9A-HJ-NP-Z]{4}$/);
      for (let attempt = 0; attempt < 60; attempt += 1) await look('2222-3333-4444-5555').expect(410);
      expect((await look(token).expect(429)).body).toMatchObject({ reason: 'too-many-attempts' });
    });
  });
});
