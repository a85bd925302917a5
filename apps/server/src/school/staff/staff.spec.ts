import type { ActivityPage, BenchView, HandedOver, LessonsPage, StaffMember, StaffView } from '@hapset/contract';
import request from 'supertest';
import { link, Scene } from '../../test/scene.js';
import { testPassword } from '../../test/test-server.js';
import { uploaded } from '../../test/upload.js';

describe('the staff', () => {
  let scene: Scene;
  beforeEach(async () => {
    scene = await Scene.start();
  });
  afterEach(() => scene.stop());

  const list = () => scene.server.ok<StaffView>('Pell', 'GET', '/api/staff');
  const find = async (name: string): Promise<StaffMember> => {
    const found = (await list()).staff.find((member) => member.name === name);
    if (!found) throw new Error(`nobody is called ${name}`);
    return found;
  };
  const change = async (name: string, body: object, by = 'Pell') =>
    scene.server.as(by, 'PATCH', `/api/staff/${(await find(name)).accountId}`, body);
  const signIn = (name: string) =>
    request(scene.server.app.getHttpServer())
      .post('/api/session')
      .send({ email: `${name.toLowerCase()}@test.example`, password: testPassword });

  it('is listed with role, last sign-in and what is whose', async () => {
    await scene.stations(await scene.lesson(), [link('https://a.example/1'), link('https://a.example/2')]);
    expect((await list()).staff.map(({ name, role }) => [name, role])).toEqual([
      ['Hesper', 'office'],
      ['Maren', 'teacher'],
      ['Pell', 'administrator'],
      ['Tobiah', 'teacher'],
    ]);
    expect(await find('Maren')).toMatchObject({ lessons: 1, materials: 2, active: true });
    expect((await find('Maren')).lastSignInAt).toBe(scene.server.clock.now().toISOString());
    expect((await find('Tobiah')).lastSignInAt).toBeNull();
  });

  it('of a closed account is signed out at once, and can sign in again once it is opened', async () => {
    const cookie = await scene.server.cookieOf('Maren');
    const ask = () => request(scene.server.app.getHttpServer()).get('/api/session').set('Cookie', cookie);
    await ask().expect(200);
    expect((await change('Maren', { active: false })).body).toMatchObject({ active: false });
    await ask().expect(401);
    expect((await signIn('Maren').expect(403)).body).toMatchObject({ reason: 'account-deactivated' });
    await change('Maren', { active: true });
    await signIn('Maren').expect(201);
    await ask().expect(401);
  });

  it('keeps an administrator who can sign in, also where two leave at once', async () => {
    for (const body of [{ role: 'teacher' }, { active: false }])
      expect((await change('Pell', body)).body).toMatchObject({ reason: 'last-administrator' });
    expect(await find('Pell')).toMatchObject({ role: 'administrator', active: true });
    await change('Hesper', { role: 'administrator' });
    const [pell, hesper] = [(await find('Pell')).accountId, (await find('Hesper')).accountId];
    await scene.server.cookieOf('Hesper');
    const answers = await Promise.all([
      scene.server.as('Pell', 'PATCH', `/api/staff/${hesper}`, { active: false }),
      scene.server.as('Hesper', 'PATCH', `/api/staff/${pell}`, { active: false }),
    ]);
    expect(answers.map(({ status }) => status).filter((status) => status === 200)).toHaveLength(1);
  });

  it('may do at once what a new role allows', async () => {
    expect((await scene.server.as('Tobiah', 'GET', '/api/staff')).status).toBe(403);
    await change('Tobiah', { role: 'administrator' });
    expect((await scene.server.as('Tobiah', 'GET', '/api/staff')).status).toBe(200);
  });

  it('hands lessons, materials and files over to a colleague', async () => {
    const lessonId = await scene.lesson();
    await scene.stations(lessonId, [link('https://a.example/1')]);
    const uploadId = await uploaded(scene, 'a few words', 'Maren');
    await scene.server.ok('Maren', 'POST', '/api/files', { uploadId, name: 'words.txt' });
    const [maren, tobiah] = [(await find('Maren')).accountId, (await find('Tobiah')).accountId];
    const give = (toAccountId: string) =>
      scene.server.as('Pell', 'POST', `/api/staff/${maren}/handover`, { toAccountId });
    expect((await give(maren)).status).toBe(400);
    expect((await give(tobiah)).body).toEqual({ lessons: 1, materials: 1, files: 1 } satisfies HandedOver);
    expect((await scene.server.ok<LessonsPage>('Maren', 'GET', '/api/lessons')).rows).toEqual([]);
    const bench = await scene.server.ok<BenchView>('Tobiah', 'GET', `/api/lessons/${lessonId}`);
    expect(bench.rows).toHaveLength(1);
    await change('Tobiah', { active: false });
    expect((await give(tobiah)).status).toBe(400);
  });

  it('is changed with a record of who did what, which nobody can change', async () => {
    await change('Tobiah', { role: 'office' });
    await change('Maren', { active: false });
    await change('Maren', { active: false });
    const { entries } = await scene.server.ok<ActivityPage>('Pell', 'GET', '/api/activity');
    expect(entries.map(({ who, role, activity, subject }) => [who, role, activity, subject])).toEqual([
      ['Pell', 'administrator', 'account-deactivated', 'Maren'],
      ['Pell', 'administrator', 'role-changed', 'Tobiah: teacher → office'],
    ]);
  });
});
