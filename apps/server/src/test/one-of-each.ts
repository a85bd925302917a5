/** One of everything that has an id: for tests that walk all routes. */
import type {
  FileView,
  LinkCheckAsked,
  LookPictureView,
  LookView,
  PrintView,
  ReadCardView,
  RehearsalAsked,
  RosterImportView,
  SheetTemplateView,
  SheetView,
  StudentsPage,
  TryoutView,
} from '@hapset/contract';
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
  const sheet = await scene.server.ok<SheetView>(who, 'POST', `/api/stations/${stationId}/sheets`, {
    kind: 'poster',
    paper: 'A4',
    goAhead: ['locked', 'not-opened-yet'],
  });
  const print = await scene.server.ok<PrintView>(who, 'POST', '/api/prints', {
    places: onlyMaterial(material.id),
    choices: plainChoices('poster', 'A4'),
    goAhead: ['locked', 'not-opened-yet'],
  });
  const imported = await scene.server.ok<RosterImportView>('Hesper', 'POST', '/api/roster-imports', {
    students: [student],
    leave: false,
    fileName: 'x.csv',
  });
  const [ann] = (await scene.server.ok<StudentsPage>(who, 'GET', '/api/students')).rows;
  const reading = await scene.server.ok<ReadCardView>(who, 'POST', '/api/card-readings', { text: '00123' });
  const template = await scene.server.ok<SheetTemplateView>(who, 'POST', '/api/sheet-templates', {
    name: 'Ours',
    kind: 'poster',
    accent: '#112233',
    header: null,
  });
  const uploadId = await uploaded(scene, 'a few words', who, false);
  const file = await scene.server.ok<FileView>(who, 'POST', '/api/files', {
    uploadId: await uploaded(scene, 'a few words', who),
    name: 'words.txt',
  });
  await scene.server.ok(who, 'POST', `/api/materials/${material.id}/tryouts`, {
    deviceId: null,
    outcome: 'as-meant',
  });
  const [tryout] = await scene.server.ok<TryoutView[]>(who, 'GET', `/api/materials/${material.id}/tryouts`);
  const look = await scene.server.ok<LookView>(who, 'POST', '/api/looks', { name: 'Ours', design: plainLook });
  const lookPicture = await scene.server.ok<LookPictureView>(who, 'POST', '/api/look-pictures', {
    uploadId: await uploaded(scene, await smallPng(), who),
  });
  const { id: linkCheckId } = await scene.server.ok<LinkCheckAsked>(who, 'POST', '/api/link-checks', {
    link: 'ftp://a.example',
  });
  const { id: rehearsalId } = await scene.server.ok<RehearsalAsked>(who, 'POST', '/api/rehearsals', {
    payload: 'x',
    sizeMm: 100,
    device: { widthPx: 640, fovDeg: 60, blurPx: 0.8, noise: 6, engine: 'zxing' },
  });
  const [check] = (await scene.server.dataSource.query('SELECT id FROM access_checks WHERE material_id = ?', [
    material.id,
  ])) as { id: string }[];
  return {
    visitorInspectionId: newId(),
    pictureName: 'x.png',
    lookId: look.id,
    lookPictureId: lookPicture.id,
    linkCheckId,
    rehearsalId,
    accessCheckId: check?.id ?? '',
    uploadId,
    fileId: file.id,
    fileToken: 'x',
    variant: 'x',
    pageToken: 'x',
    tag: 'shells',
    formerHost: 'old.example',
    serviceId: 'shellbox',
    lessonId,
    stationId,
    materialId: material.id,
    sheetId: sheet.id,
    printId: print.id,
    pageNumber: '1',
    sheetTemplateId: template.id,
    studentId: ann?.id ?? '',
    rosterImportId: imported.id,
    cardReadingId: reading.readingId ?? '',
    tryoutId: tryout?.id ?? '',
    classId: scene.classId,
    deviceId: scene.deviceIds[0] ?? '',
    rehearsalKey: rehearsal.key,
  };
}
