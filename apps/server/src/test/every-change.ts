/** Every change that somebody can ask for: what is sent, and what is read afterwards under the same names. */
import { recordKinds, retentionRanges } from '@hapset/contract';
import type {
  BenchView,
  DeviceView,
  FilesPage,
  LooksView,
  MaterialPage,
  OwnAccount,
  RetentionView,
  RouteName,
  SchoolClassView,
  SchoolView,
  ServiceView,
  SheetTemplateView,
  ShortLinkDetails,
  StudentsPage,
  StaffView,
  TeacherClassesView,
  TryoutView,
} from '@hapset/contract';
import { genericFigures, plainLook } from '@hapset/core';
import { makeOneOfEach } from './one-of-each.js';
import { link, words, type Scene } from './scene.js';
import { uploaded } from './upload.js';

export interface Change {
  readonly route: RouteName;
  readonly who?: string;
  readonly path: string;
  readonly fields: Readonly<Record<string, unknown>>;
  readonly read: () => Promise<Readonly<Record<string, unknown>>>;
}

interface Reading {
  readonly scene: Scene;
  readonly ids: Readonly<Record<string, string>>;
  readonly get: <Reply>(path: string, who?: string) => Promise<Reply>;
}

/** Makes one of each, and a material of each kind. */
export async function everyChange(scene: Scene): Promise<readonly Change[]> {
  const get = <Reply>(path: string, who = 'Maren'): Promise<Reply> => scene.server.ok<Reply>(who, 'GET', path);
  const reading: Reading = { scene, get, ids: await makeOneOfEach(scene) };
  const shortId = await create(scene, link('https://a.example/short'));
  await scene.server.ok('Maren', 'PATCH', `/api/materials/${shortId}`, { version: 1, carry: 'short-link' });
  return [
    ...(await materialChanges(reading, shortId)),
    ...lessonChanges(reading),
    ...codeChanges(reading, shortId),
    ...(await schoolChanges(reading)),
  ];
}

async function create(scene: Scene, item: object): Promise<string> {
  const made = await scene.server.ok<{ materialIds: string[] }>('Maren', 'POST', '/api/materials', { items: [item] });
  return made.materialIds[0] ?? '';
}

function byId<Row extends { readonly id: string }>(rows: readonly Row[], id = ''): Record<string, unknown> {
  return { ...rows.find((row) => row.id === id) };
}

/** The fields of a material's page under the names of its change. */
async function material({ get }: Reading, materialId: string): Promise<Record<string, unknown>> {
  const { material: view, kept, rehearsal } = await get<MaterialPage>(`/api/materials/${materialId}`);
  const file = kept?.kind === 'file' ? kept : null;
  return {
    ...view,
    sizeMm: rehearsal.chosenSizeMm,
    kept: file && { kind: 'file', fileId: file.file.id, transcript: file.transcript, captionsId: null },
  };
}

async function materialChanges(reading: Reading, shortId: string): Promise<readonly Change[]> {
  const { scene, ids } = reading;
  const event = { kind: 'event', title: 'x', date: '2027-06-12', startsAt: '', endsAt: '', place: '', about: '' };
  const kept = { kind: 'file', fileId: ids.fileId, transcript: '', captionsId: null };
  const linkId = await create(scene, link('https://a.example/one'));
  const wordsId = await create(scene, words('one'));
  const eventId = await create(scene, { content: event, pasted: 'x', repairs: [] });
  const fileId = await create(scene, { kept, pasted: 'x', repairs: [] });
  const otherFile = await scene.server.ok<{ id: string }>('Maren', 'POST', '/api/files', {
    uploadId: await uploaded(scene, 'other words'),
    name: 'other.txt',
  });
  return [
    {
      route: 'changeMaterial',
      path: `/api/materials/${linkId}`,
      fields: {
        title: 'New',
        link: 'https://a.example/two',
        instruction: 'Tap it.',
        tags: ['shells'],
        level: 'H',
        look: ids.lookId,
        sizeMm: 90,
      },
      read: () => material(reading, linkId),
    },
    {
      route: 'changeMaterial',
      path: `/api/materials/${shortId}`,
      fields: { carry: 'link', kind: 'video' },
      read: () => material(reading, shortId),
    },
    {
      route: 'changeMaterial',
      path: `/api/materials/${wordsId}`,
      fields: { words: 'two' },
      read: () => material(reading, wordsId),
    },
    {
      route: 'changeMaterial',
      path: `/api/materials/${eventId}`,
      fields: { content: { ...event, title: 'y', startsAt: '09:00', endsAt: '10:00', place: 'p', about: 'a' } },
      read: () => material(reading, eventId),
    },
    {
      route: 'changeMaterial',
      path: `/api/materials/${fileId}`,
      fields: { kept: { ...kept, fileId: otherFile.id, transcript: 'heard' }, shownUntil: '2027-06-12' },
      read: () => material(reading, fileId),
    },
  ];
}

function lessonChanges({ scene, ids, get }: Reading): readonly Change[] {
  return [
    {
      route: 'changeStation',
      path: `/api/stations/${ids.stationId}`,
      fields: { name: 'New', instruction: 'Tap it.', viewingDistanceM: 1.2, sizeMm: 80 },
      read: async () => {
        const { station, rehearsal } = await get<MaterialPage>(`/api/stations/${ids.stationId}`);
        return { ...station, viewingDistanceM: rehearsal.ownDistanceM, sizeMm: rehearsal.chosenSizeMm };
      },
    },
    {
      route: 'changeLesson',
      path: `/api/lessons/${ids.lessonId}`,
      fields: {
        name: 'New',
        classId: null,
        date: '2027-07-01',
        startsAt: '11:11',
        place: 'Hall',
        viewingDistanceM: 3,
      },
      read: async () => ({ ...(await get<BenchView>(`/api/lessons/${ids.lessonId}`)).lesson }),
    },
    {
      route: 'changeClass',
      path: `/api/classes/${ids.classId}`,
      fields: { name: 'New', studentAccounts: 'school', deviceIds: [scene.deviceIds[1]] },
      read: async () => byId(await get<readonly SchoolClassView[]>('/api/classes'), ids.classId),
    },
    {
      route: 'changeDevice',
      who: 'Pell',
      path: `/api/devices/${ids.deviceId}`,
      fields: { name: 'New', count: 3, ...genericFigures['old-phone'] },
      read: async () => byId(await get<readonly DeviceView[]>('/api/devices'), ids.deviceId),
    },
  ];
}

function codeChanges({ ids, get }: Reading, shortId: string): readonly Change[] {
  const opening = { from: '2027-06-12T09:00', until: null, hours: [] };
  return [
    {
      route: 'changeLook',
      path: `/api/looks/${ids.lookId}`,
      fields: { name: 'New', design: { ...plainLook, ink: '#112233' } },
      read: async () => byId((await get<LooksView>('/api/looks')).looks, ids.lookId),
    },
    {
      route: 'changeLookRules',
      who: 'Pell',
      path: '/api/look-rules',
      fields: { defaultLookId: ids.lookId, madeBy: 'administrator' },
      read: async () => ({ ...(await get<LooksView>('/api/looks')) }),
    },
    {
      route: 'changeShortLink',
      path: `/api/materials/${shortId}/short-link`,
      fields: { opening },
      read: async () => ({ ...(await get<ShortLinkDetails>(`/api/materials/${shortId}/short-link`)) }),
    },
    {
      route: 'changeTryout',
      path: `/api/tryouts/${ids.tryoutId}`,
      fields: { deviceId: ids.deviceId },
      read: async () =>
        byId(await get<readonly TryoutView[]>(`/api/materials/${ids.materialId}/tryouts`), ids.tryoutId),
    },
    {
      route: 'renameFile',
      path: `/api/files/${ids.fileId}`,
      fields: { name: 'new.txt' },
      read: async () => byId((await get<FilesPage>('/api/files')).rows, ids.fileId),
    },
    {
      route: 'changeSheetTemplate',
      path: `/api/sheet-templates/${ids.sheetTemplateId}`,
      fields: {
        name: 'New',
        accent: '#445566',
        header: { pictureId: ids.lookPictureId, aspect: 1, heightMm: 20 },
        layout: 'little-ink',
        footer: 'Foot',
        labels: null,
      },
      read: async () => byId(await get<readonly SheetTemplateView[]>('/api/sheet-templates'), ids.sheetTemplateId),
    },
  ];
}

function accountChanges({ ids, get }: Reading): readonly Change[] {
  const own = async (): Promise<Record<string, unknown>> => ({ ...(await get<OwnAccount>('/api/account', 'Tobiah')) });
  return [
    { route: 'changeName', who: 'Tobiah', path: '/api/account', fields: { name: 'Tobiah W.' }, read: own },
    { route: 'changeEmail', who: 'Tobiah', path: '/api/account/email', fields: { email: 't@test.example' }, read: own },
    {
      route: 'changeStaff',
      who: 'Pell',
      path: `/api/staff/${ids.accountId}`,
      fields: { role: 'teacher', active: false },
      read: async () => ({
        ...(await get<StaffView>('/api/staff', 'Pell')).staff.find(({ accountId }) => accountId === ids.accountId),
      }),
    },
    {
      route: 'changeRetention',
      who: 'Pell',
      path: '/api/retention',
      fields: { days: Object.fromEntries(recordKinds.map((kind) => [kind, retentionRanges[kind].most])) },
      read: async () => ({ ...(await get<RetentionView>('/api/retention', 'Pell')) }),
    },
  ];
}

/** Of the school, other than those it has. */
const otherSettings = {
  name: 'New',
  timeZone: 'Europe/Dublin',
  language: 'en-GB',
  paper: 'Letter',
  printerMarginMm: 6,
  duplexEdge: 'short',
  duplexRightMm: 1,
  duplexDownMm: -1,
  publicAddress: 'https://new.example',
  shortLinkHost: 'k.new.example',
  visitorNetworks: ['10.1.0.0/16'],
  cardReturnTo: '1 Mill Lane, 01632 960001',
  studentPhotos: true,
};

async function schoolChanges({ scene, ids, get }: Reading): Promise<readonly Change[]> {
  const { version: _, ...school } = await get<SchoolView>('/api/school');
  const description = { id: 'x', name: 'Y', hosts: ['a.example'], addresses: [], walls: [], fixes: [] };
  const limited = [{ accountId: (await get<{ accountId: string }>('/api/session')).accountId, classNames: ['6'] }];
  return [
    ...accountChanges({ scene, ids, get }),
    {
      route: 'changeStudent',
      path: `/api/students/${ids.studentId}`,
      fields: {
        className: '7',
        year: '2027',
        left: true,
        schoolId: '00999',
        name: { prefix: 'Dr', given: 'Bo', middle: 'C', family: 'Dee' },
      },
      read: async () => {
        const [row] = (await get<StudentsPage>('/api/students?left=yes', 'Pell')).rows;
        const { prefix, given, middle, family } = row ?? {};
        return { ...row, name: { prefix, given, middle, family } };
      },
    },
    {
      route: 'changeTeacherClasses',
      who: 'Pell',
      path: '/api/school/teacher-classes',
      fields: { limited },
      read: async () => ({ ...(await get<TeacherClassesView>('/api/school/teacher-classes', 'Pell')) }),
    },
    {
      route: 'keepService',
      who: 'Pell',
      path: '/api/services/x',
      fields: { description },
      read: async () => ({
        ...(await get<readonly ServiceView[]>('/api/services')).find((service) => service.description.id === 'x'),
      }),
    },
    {
      route: 'changeSchool',
      who: 'Pell',
      path: '/api/school',
      fields: { ...school, ...otherSettings },
      read: async () => ({ ...(await get<SchoolView>('/api/school')) }),
    },
  ];
}
