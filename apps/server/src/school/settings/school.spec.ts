import type {
  AddressesOnPaper,
  CreatedMaterials,
  DeviceView,
  HealthView,
  ReadCardView,
  SchoolClassView,
  SchoolView,
  ServerNotes,
  StudentGroups,
  StudentsPage,
  TeacherClassesView,
  WelcomeView,
} from '@hapset/contract';
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { link, Scene } from '../../test/scene.js';
import { TestServer } from '../../test/test-server.js';
import { cardsRequest } from '../../test/cards-request.js';

describe('the school', () => {
  let scene: Scene;
  const webFolder = mkdtempSync(join(tmpdir(), 'web-'));
  beforeAll(async () => {
    writeFileSync(join(webFolder, 'index.html'), '<html lang="en-GB"><title>Hapset</title>');
    mkdirSync(join(webFolder, 'assets'));
    for (const [ending, text] of [
      ['', 'let whole;'],
      ['.br', 'br'],
      ['.gz', 'gz'],
    ] as const)
      writeFileSync(join(webFolder, `assets/part-1.js${ending}`), text);
    scene = await Scene.start({ webFolder });
  });
  afterAll(() => scene.stop());

  const change = {
    name: 'Fernhollow School',
    timeZone: 'Europe/Dublin',
    language: 'en-IE',
    paper: 'Letter',
    printerMarginMm: 4.5,
    duplexEdge: 'short',
    duplexRightMm: -0.5,
    duplexDownMm: 1.2,
    publicAddress: 'https://hapset.fernhollow.example',
    shortLinkHost: 'k.fernhollow.example',
    visitorNetworks: ['10.20.0.0/16'],
    cardReturnTo: '3 Mill Lane, Springcote, 01632 960001',
    studentPhotos: false,
  };

  it('is changed by its administrator, under a version', async () => {
    const { version } = await scene.server.ok<SchoolView>('Maren', 'GET', '/api/school');
    expect(await scene.server.ok<SchoolView>('Pell', 'PATCH', '/api/school', { ...change, version })).toEqual({
      ...change,
      version: version + 1,
    });
    expect((await scene.server.as('Pell', 'PATCH', '/api/school', { ...change, version })).body).toMatchObject({
      reason: 'stale',
    });
    expect((await scene.server.ok<WelcomeView>('Maren', 'GET', '/api/welcome')).schoolName).toBe('Fernhollow School');
  });

  it('counts the sheets that a change of its addresses would touch, and keeps old hosts of short links', async () => {
    const { materialIds } = await scene.server.ok<CreatedMaterials>('Maren', 'POST', '/api/materials', {
      items: [link('https://a.example/x'), link('https://a.example/y')],
    });
    const [first = '', second = ''] = materialIds;
    await scene.server.ok('Maren', 'PATCH', `/api/materials/${first}`, { version: 1, carry: 'short-link' });
    for (const id of [first, second])
      await scene.server.ok('Maren', 'POST', `/api/materials/${id}/sheets`, {
        kind: 'poster',
        paper: 'A4',
        goAhead: ['locked', 'not-opening', 'not-opened-yet'],
      });
    expect(await scene.server.ok<AddressesOnPaper>('Pell', 'GET', '/api/school/on-paper')).toEqual({
      shortLinks: 1,
      pages: 0,
    });
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, shortLinkHost: 'k.other.example' });
    expect(await scene.server.ok<AddressesOnPaper>('Pell', 'GET', '/api/school/on-paper')).toEqual({
      shortLinks: 0,
      pages: 0,
    });
    expect(await scene.server.dataSource.query('SELECT former_short_hosts AS hosts FROM schools')).toEqual([
      { hosts: ['k.fernhollow.example'] },
    ]);
    const { version } = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, version });
  });

  it.each([
    ['timeZone', 'Middle/Earth'],
    ['language', 'en_GB'],
    ['language', 'x'],
    ['language', 'en-GB-u-ca-buddhist-nu-thai-co-phonebk-hc-h12'],
    ['paper', 'A9'],
    ['publicAddress', 'hapset.example'],
    ['shortLinkHost', 'http://k.example/x'],
    ['name', ''],
    ['printerMarginMm', 30],
    ['duplexEdge', 'left'],
    ['duplexDownMm', -11],
    ['visitorNetworks', ['10.20.0.0/99']],
    ['visitorNetworks', ['0.0.0.0/0']],
  ])('refuses a wrong %s', async (field, value) => {
    const response = await scene.server.as('Pell', 'PATCH', '/api/school', { ...change, [field]: value, version: 4 });
    expect(response.body).toMatchObject({ reason: 'invalid', fields: [{ field }] });
  });

  it('has classes with devices of its own list', async () => {
    const made = await scene.server.ok<SchoolClassView>('Tobiah', 'POST', '/api/classes', {
      name: '5 Heron',
      studentAccounts: 'school',
      deviceIds: [...scene.deviceIds],
    });
    const changed = await scene.server.ok<SchoolClassView>('Maren', 'PATCH', `/api/classes/${made.id}`, {
      name: '5 Heron',
      studentAccounts: 'none',
      deviceIds: [],
      version: 1,
    });
    expect(changed).toEqual({ id: made.id, name: '5 Heron', studentAccounts: 'none', deviceIds: [], version: 2 });
    expect(
      (
        await scene.server.as('Maren', 'PATCH', `/api/classes/${made.id}`, {
          name: 'x',
          studentAccounts: 'none',
          deviceIds: [],
          version: 1,
        })
      ).body,
    ).toMatchObject({ reason: 'stale' });
    expect((await scene.server.ok<SchoolClassView[]>('Maren', 'GET', '/api/classes')).map((each) => each.name)).toEqual(
      ['5 Heron', '6 Kestrel'],
    );
  });

  it('lists its devices', async () => {
    expect(
      (await scene.server.ok<DeviceView[]>('Maren', 'GET', '/api/devices')).map((device) => [
        device.name,
        device.count,
      ]),
    ).toEqual([
      ['Tablets', 10],
      ['Laptops', 20],
    ]);
  });

  it('says how it is', async () => {
    const response = await scene.server.as(null, 'GET', '/api/health');
    expect(response.body as HealthView).toEqual({ version: '0.1.0', database: 'up', files: 'up', disk: 'up' });
    expect(response.headers['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
  });

  it('answers pages with the application, and missing files with 404', async () => {
    for (const path of ['/', '/lessons/some-id', '/shelf?x=1'])
      expect((await scene.server.as(null, 'GET', path)).text).toContain('<title>Hapset</title>');
    expect((await scene.server.as(null, 'GET', '/assets/missing.js')).status).toBe(404);
    const page = await scene.server.as(null, 'GET', '/');
    expect(page.headers['content-security-policy']).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(page.headers['x-content-type-options']).toBe('nosniff');
    expect(page.headers['x-powered-by']).toBeUndefined();
  });

  it('writes its language on every page, and hands out parts as they were compressed', async () => {
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, language: 'pl-PL' });
    expect((await scene.server.as(null, 'GET', '/lessons')).text).toContain('<html lang="pl-PL">');
    for (const [accepted, encoding] of [
      ['gzip, deflate, br', 'br'],
      ['gzip', 'gzip'],
      ['identity', undefined],
    ] as const) {
      const { headers } = await request(scene.server.app.getHttpServer())
        .head('/assets/part-1.js')
        .set('Accept-Encoding', accepted);
      expect([headers['content-encoding'], headers.vary]).toEqual([encoding, 'Accept-Encoding']);
      expect(headers['content-type']).toMatch(/^text\/javascript/);
      expect(headers['cache-control']).toContain('immutable');
    }
  });

  it('takes no address that could not be parsed at the next start', async () => {
    const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
    for (const publicAddress of [
      'http://xn--a.example',
      'https://',
      'ftp://a.example',
      'https://a.example/?x=1',
      'https://user@a.example',
      'a.example',
      'https://a b.example',
    ]) {
      expect([
        publicAddress,
        (await scene.server.as('Pell', 'PATCH', '/api/school', { ...school, publicAddress })).status,
      ]).toEqual([publicAddress, 400]);
    }
    for (const shortLinkHost of ['xn--a.example', 'a..b/', 'a b', 'k.example:99999'])
      expect([
        shortLinkHost,
        (await scene.server.as('Pell', 'PATCH', '/api/school', { ...school, shortLinkHost })).status,
      ]).toEqual([shortLinkHost, 400]);
    // One that came in by an earlier version keeps no server from starting.
    await scene.server.dataSource.query("UPDATE schools SET public_address = 'http://xn--a.example'");
    const second = await TestServer.start({ database: scene.server.database });
    expect((await second.as(null, 'GET', '/api/ready')).status).toBe(200);
    await second.stop();
    await scene.server.dataSource.query('UPDATE schools SET public_address = ?', [school.publicAddress]);
  });

  it('forgets a former host of short links when its administrator says so', async () => {
    const settings = async (shortLinkHost: string | null): Promise<void> => {
      const school = await scene.server.ok<SchoolView>('Pell', 'GET', '/api/school');
      await scene.server.ok('Pell', 'PATCH', '/api/school', { ...school, shortLinkHost });
    };
    const former = async (): Promise<readonly string[]> =>
      (await scene.server.ok<ServerNotes>('Pell', 'GET', '/api/school/server-notes')).formerShortHosts;
    await settings('first.example');
    await settings('second.example');
    await settings(null);
    expect(await former()).toEqual(expect.arrayContaining(['first.example', 'second.example']));
    await scene.server.ok('Pell', 'DELETE', '/api/school/former-hosts/first.example');
    expect(await former()).not.toContain('first.example');
    expect((await scene.server.as('Pell', 'DELETE', '/api/school/former-hosts/first.example')).status).toBe(404);
  });

  it('shows its teachers the classes that it gives them', async () => {
    const student = (family: string, className: string) => ({
      schoolId: family,
      prefix: '',
      given: 'Pupil',
      middle: '',
      family,
      className,
      year: '',
    });
    await scene.importRoster([student('Avocet', '6 Avocet'), student('Kestrel', '6 Kestrel')]);
    const namesFor = async (who: string): Promise<readonly string[]> =>
      (await scene.server.ok<StudentsPage>(who, 'GET', '/api/students')).rows.map(({ family }) => family);
    const all = (await scene.server.ok<StudentsPage>('Hesper', 'GET', '/api/students')).rows;
    const idOf = (name: string): string => all.find(({ family }) => family === name)?.id ?? '';
    expect(await namesFor('Maren')).toEqual(['Avocet', 'Kestrel']);
    const { teachers } = await scene.server.ok<TeacherClassesView>('Pell', 'GET', '/api/school/teacher-classes');
    const maren = teachers.find(({ name }) => name === 'Maren')?.accountId ?? '';
    await scene.server.ok('Pell', 'PUT', '/api/school/teacher-classes', {
      limited: [{ accountId: maren, classNames: ['6 Avocet'] }],
    });
    expect([await namesFor('Maren'), await namesFor('Tobiah'), await namesFor('Hesper')]).toEqual([
      ['Avocet'],
      [],
      ['Avocet', 'Kestrel'],
    ]);
    expect(await scene.server.ok<StudentGroups>('Maren', 'GET', '/api/student-groups')).toMatchObject({
      classes: [{ name: '6 Avocet' }],
      students: 1,
    });
    expect(
      (await scene.server.as('Maren', 'PATCH', `/api/students/${idOf('Kestrel')}`, { version: 1, year: '6' })).status,
    ).toBe(404);
    expect(
      (await scene.server.as('Maren', 'PATCH', `/api/students/${idOf('Avocet')}`, { version: 1, year: '6' })).status,
    ).toBe(200);
    expect((await scene.server.as('Maren', 'DELETE', `/api/students/${idOf('Kestrel')}/card`)).status).toBe(404);
    expect(await scene.server.ok<ReadCardView>('Maren', 'POST', '/api/card-readings', { text: 'Kestrel' })).toEqual({
      result: 'other-class',
      student: null,
      readingId: null,
    });
    expect(
      await scene.server.ok<ReadCardView>('Maren', 'POST', '/api/card-readings', { text: 'Avocet' }),
    ).toMatchObject({ result: 'student' });
    const request = { ...cardsRequest, studentIds: [idOf('Kestrel')], fields: [] };
    expect((await scene.server.as('Maren', 'POST', '/api/student-cards', { request })).status).toBe(400);
    await scene.server.ok('Pell', 'PUT', '/api/school/teacher-classes', { limited: null });
    expect(await namesFor('Maren')).toEqual(['Avocet', 'Kestrel']);
  });
});
