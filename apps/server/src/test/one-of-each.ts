/** One of everything that has an id: for tests that walk all routes. */
import type {
  AccountLinkMade,
  OwnAccount,
  StaffView,
  RosterComparisonView,
  FileView,
  LinkCheckAsked,
  LookPictureView,
  LookView,
  PrintView,
  ReadCardView,
  RehearsalAsked,
  SheetTemplateView,
  SheetView,
  StudentsPage,
  TryoutView,
} from '@hapset/contract';
import { sheetTemplateBody } from './sheet-template-body.js';
import { plainChoices, plainLook } from '@hapset/core';
import { newId } from '../platform/database/columns.js';
import { onlyMaterial, student } from './route-bodies.js';
import { link, type Scene } from './scene.js';
import { smallPng } from './small-png.js';
import { uploaded } from './upload.js';

/** Their ids, under the names that they have in paths. */
export async function makeOneOfEach(scene: Scene, who = 'Maren'): Promise<Record<string, string>> {
  const lessonId = await scene.lesson(who);
  const [stationId = ''] = await scene.stations(lessonId, [link('https://a.example/leaf/x')], who);
  const { material, rehearsal } = await scene.page(stationId, who);
  return {
    visitorInspectionId: newId(),
    pictureName: 'x.png',
    fileToken: 'x',
    variant: 'x',
    pageToken: 'x',
    arrivalToken: 'x',
    family: 'x',
    tag: 'shells',
    formerHost: 'old.example',
    serviceId: 'shellbox',
    lessonId,
    stationId,
    materialId: material.id,
    pageNumber: '1',
    classId: scene.classId,
    deviceId: scene.deviceIds[0] ?? '',
    rehearsalKey: rehearsal.key,
    ...(await paperOf(scene, who, stationId, material.id)),
    ...(await studentsOf(scene, who)),
    ...(await filesOf(scene, who)),
    ...(await checksOf(scene, who, material.id)),
    ...(await accountsOf(scene, who)),
  };
}

type Ids = Promise<Record<string, string>>;

async function accountsOf({ server }: Scene, who: string): Ids {
  const { sessions } = await server.ok<OwnAccount>(who, 'GET', '/api/account');
  const invitation = await server.ok<AccountLinkMade>('Pell', 'POST', '/api/staff/invitations', {
    role: 'teacher',
    note: '',
  });
  const { staff } = await server.ok<StaffView>('Pell', 'GET', '/api/staff');
  // Nobody who is needed by what a test does next.
  const other = staff.find(({ name }) => name === 'Hesper');
  return { sessionId: sessions[0]?.id ?? '', invitationId: invitation.id, accountId: other?.accountId ?? '' };
}

async function paperOf({ server }: Scene, who: string, stationId: string, materialId: string): Ids {
  const goAhead = ['locked', 'not-opening', 'not-opened-yet'];
  const sheet = await server.ok<SheetView>(who, 'POST', `/api/stations/${stationId}/sheets`, {
    kind: 'poster',
    paper: 'A4',
    goAhead,
  });
  const print = await server.ok<PrintView>(who, 'POST', '/api/prints', {
    places: onlyMaterial(materialId),
    choices: plainChoices('poster', 'A4'),
    goAhead,
  });
  const template = await server.ok<SheetTemplateView>(who, 'POST', '/api/sheet-templates', sheetTemplateBody);
  return { sheetId: sheet.id, printId: print.id, sheetTemplateId: template.id };
}

async function studentsOf(scene: Scene, who: string): Ids {
  const { server } = scene;
  const imported = await scene.importRoster([student]);
  const [ann] = (await server.ok<StudentsPage>(who, 'GET', '/api/students')).rows;
  const reading = await server.ok<ReadCardView>(who, 'POST', '/api/card-readings', { text: '00123' });
  // Not in a path: an administrator's, who imports it in the tests of replies.
  const compared = await server.ok<RosterComparisonView>('Pell', 'POST', '/api/roster-comparisons', {
    students: [student],
  });
  return {
    studentId: ann?.id ?? '',
    rosterImportId: imported.id,
    rosterComparisonId: compared.id,
    cardReadingId: reading.readingId ?? '',
  };
}

async function filesOf(scene: Scene, who: string): Ids {
  const { server } = scene;
  const uploadId = await uploaded(scene, 'a few words', who, false);
  const file = await server.ok<FileView>(who, 'POST', '/api/files', {
    uploadId: await uploaded(scene, 'a few words', who),
    name: 'words.txt',
  });
  const look = await server.ok<LookView>(who, 'POST', '/api/looks', { name: 'Ours', design: plainLook });
  const lookPicture = await server.ok<LookPictureView>(who, 'POST', '/api/look-pictures', {
    uploadId: await uploaded(scene, await smallPng(), who),
  });
  return { uploadId, fileId: file.id, lookId: look.id, lookPictureId: lookPicture.id };
}

async function checksOf({ server }: Scene, who: string, materialId: string): Ids {
  await server.ok(who, 'POST', `/api/materials/${materialId}/tryouts`, { deviceId: null, outcome: 'as-meant' });
  const [tryout] = await server.ok<TryoutView[]>(who, 'GET', `/api/materials/${materialId}/tryouts`);
  const { id: linkCheckId } = await server.ok<LinkCheckAsked>(who, 'POST', '/api/link-checks', {
    link: 'ftp://a.example',
  });
  const { id: rehearsalId } = await server.ok<RehearsalAsked>(who, 'POST', '/api/rehearsals', {
    payload: 'x',
    sizeMm: 100,
    device: { widthPx: 640, fovDeg: 60, blurPx: 0.8, noise: 6, engine: 'zxing' },
  });
  const [check] = (await server.dataSource.query('SELECT id FROM access_checks WHERE material_id = ?', [
    materialId,
  ])) as { id: string }[];
  return { tryoutId: tryout?.id ?? '', linkCheckId, rehearsalId, accessCheckId: check?.id ?? '' };
}
