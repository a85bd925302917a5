/** A body that each writing route takes from its rightful caller, for tests that walk all routes. */
import { recordKinds, retentionRanges, type RouteName } from '@hapset/contract';
import { genericFigures, plainChoices, plainLook } from '@hapset/core';
import { newId } from '../platform/database/columns.js';
import { words } from './scene.js';
import { testPassword } from './test-server.js';
import { sheetTemplateBody } from './sheet-template-body.js';
import { cardsRequest } from './cards-request.js';

/** PNG. */
export const onePixel =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
/** Ids stand for Maren's things. */
type Bodies = Partial<Record<RouteName, (ids: Readonly<Record<string, string>>) => object>>;
/** Places of one material alone. */
export const onlyMaterial = (materialId: string) => ({
  lessonId: null,
  stationIds: [],
  materialIds: [materialId],
  tag: null,
});
export const student = {
  schoolId: '00123',
  prefix: '',
  given: 'Ann',
  middle: '',
  family: 'Lee',
  className: '6',
  year: '',
};
export const lesson = { name: 'x', classId: null, date: null, startsAt: null, place: '', viewingDistanceM: 2 };
export const bodies: Bodies = {
  signIn: () => ({ email: 'maren@test.example', password: 'no' }),
  accountLink: () => ({ token: 'x' }),
  createAccount: () => ({ token: 'x', name: 'x', email: 'x@test.example', password: testPassword, school: null }),
  resetPassword: () => ({ token: 'x', password: testPassword }),
  confirmPassword: () => ({ password: testPassword }),
  changeName: () => ({ name: 'Maren' }),
  changeEmail: () => ({ email: 'maren@test.example' }),
  setPassword: () => ({ current: testPassword, password: testPassword }),
  invite: () => ({ role: 'teacher', note: 'x' }),
  changeStaff: () => ({ active: true }),
  handOver: () => ({ toAccountId: newId() }),
  changeRetention: () => ({
    days: Object.fromEntries(recordKinds.map((kind) => [kind, retentionRanges[kind].usual])),
    version: 1,
  }),
  changeSchool: () => ({
    name: 'x',
    timeZone: 'UTC',
    language: 'en-GB',
    paper: 'A4',
    printerMarginMm: 5,
    duplexEdge: 'long',
    duplexRightMm: 0,
    duplexDownMm: 0,
    publicAddress: 'http://a.example',
    shortLinkHost: null,
    visitorNetworks: [],
    cardReturnTo: '',
    studentPhotos: true,
    version: 1,
  }),
  createClass: () => ({ name: 'x', studentAccounts: 'none', deviceIds: [] }),
  changeClass: () => ({ name: 'x', studentAccounts: 'none', deviceIds: [], version: 1 }),
  createDevice: () => ({ name: 'x', count: null, ...genericFigures['current-phone'] }),
  changeDevice: () => ({ actsOn: ['link'] }),
  keepService: ({ serviceId = '' }) => ({
    description: { id: serviceId, name: 'x', hosts: ['a.example'], addresses: [], walls: [], fixes: [] },
    version: null,
  }),
  tryService: () => ({
    description: { id: 'x', name: 'x', hosts: ['a.example'], addresses: [], walls: [], fixes: [] },
    link: 'ftp://a.example',
  }),
  createLesson: () => lesson,
  changeLesson: () => ({ ...lesson, version: 1 }),
  addStations: () => ({ items: [words('x')], materialIds: [] }),
  orderStations: ({ stationId = '' }) => ({ stationIds: [stationId] }),
  changeStation: () => ({ version: 1, name: 'x' }),
  saveStationRehearsal: () => ({ results: [], unreadBy: [] }),
  makeStationSheet: () => ({ kind: 'poster', paper: 'A4', goAhead: [] }),
  createMaterials: () => ({ items: [words('x')] }),
  matchShelf: () => ({ links: ['https://a.example'] }),
  tagMaterials: ({ materialId = '' }) => ({ materialIds: [materialId], tag: 'x', tagged: false }),
  removeMaterials: ({ materialId = '' }) => ({ materialIds: [materialId] }),
  restoreMaterials: ({ materialId = '' }) => ({ materialIds: [materialId] }),
  changeMaterial: () => ({ version: 1, title: 'x' }),
  saveWrittenPage: () => ({ version: 1, document: { type: 'doc', content: [] }, over: false }),
  addFile: ({ uploadId = '' }) => ({ uploadId, name: 'x' }),
  renameFile: () => ({ name: 'x', version: 1 }),
  replaceFile: ({ uploadId = '' }) => ({ uploadId, name: 'Other name.png' }),
  answerOpens: () => ({ opens: true }),
  changeShortLink: () => ({ opening: { from: null, until: null, hours: [] } }),
  tellTryout: () => ({ deviceId: null, outcome: 'as-meant' }),
  changeTryout: () => ({ deviceId: null }),
  previewSymbol: () => ({ payload: 'x' }),
  askRehearsal: () => ({
    payload: 'x',
    sizeMm: 100,
    device: { widthPx: 640, fovDeg: 60, blurPx: 0.8, noise: 6, engine: 'zxing' },
  }),
  inspectCode: () => ({ payload: 'x' }),
  createLook: () => ({ name: 'x', design: plainLook }),
  changeLook: () => ({ name: 'x', design: plainLook, version: 1 }),
  allowLook: () => ({ allowed: false }),
  changeLookRules: () => ({ defaultLookId: null, madeBy: 'staff' }),
  addLookPicture: ({ uploadId = '' }) => ({ uploadId }),
  chooseLessonLook: () => ({ look: 'plain' }),
  showWebPicture: () => ({ shown: true }),
  askLinkCheck: () => ({ link: 'ftp://a.example' }),
  saveMaterialRehearsal: () => ({ results: [], unreadBy: [] }),
  previewSheets: ({ materialId = '' }) => ({
    places: onlyMaterial(materialId),
    choices: plainChoices('poster', 'A4'),
    page: 0,
  }),
  makePrint: ({ materialId = '' }) => ({
    places: onlyMaterial(materialId),
    choices: plainChoices('poster', 'A4'),
    goAhead: [],
  }),
  changeStudent: () => ({ version: 1, className: '6' }),
  changeTeacherClasses: () => ({ limited: null }),
  eraseStudents: () => ({ className: 'nobody is in this one' }),
  leaveClass: () => ({ className: 'nobody is in this one' }),
  matchPhotos: () => ({ files: ['00123.jpg'] }),
  addStudentPhoto: () => ({ picture: onePixel }),
  leaveStudents: () => ({ studentIds: [newId()], left: true }),
  endYear: () => ({ moves: [{ className: 'nobody is in this one', to: 'nor in that one' }] }),
  compareRoster: () => ({ students: [student] }),
  importRoster: ({ rosterComparisonId }) => ({ rosterComparisonId, leave: false, fileName: 'x.csv' }),
  previewCards: () => ({ request: cardsRequest, page: 0 }),
  makeCards: () => ({ request: cardsRequest }),
  readCard: () => ({ text: '00123' }),
  createSheetTemplate: () => sheetTemplateBody,
  changeSheetTemplate: () => {
    const { kind: _, ...template } = sheetTemplateBody;
    return { ...template, version: 1 };
  },
  chooseUsualSheetTemplate: () => ({ usual: false }),
  makeMaterialSheet: () => ({ kind: 'poster', paper: 'A4', goAhead: [] }),
};
