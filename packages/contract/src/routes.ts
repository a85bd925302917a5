/**
 * Every route of the API in one table: the server's tests walk it, the web application's client is driven by it.
 * `access` says who may call it at all; ids in the path are checked against their owner on top of that.
 */
import type {
  AccessCheckView,
  AnswerOpens,
  AskLinkCheck,
  EarlierCheck,
  LinkCheckAsked,
  LinkCheckView,
} from './opens/access-check.js';
import type { AddFile, FilesPage, FileView, RenameFile, ReplaceFile } from './gather/file.js';
import type { HealthView } from './platform/health.js';
import type { CodeInspection, InspectCode, VisitorRights } from './reads/inspection.js';
import type {
  AllowLook,
  AddLookPicture,
  ChangeLook,
  ChooseLook,
  CreateLook,
  LookPictureView,
  LookRules,
  LooksView,
  LookView,
} from './code/look.js';
import type { ShowWebPicture } from './paper/picture.js';
import type { EarlierPage, SaveWrittenPage, WrittenPageView } from './gather/kept.js';
import type { ChangeLesson, CreateLesson, CreatedView, LessonView } from './lessons/lesson.js';
import type {
  ChangedMaterials,
  ChangeMaterial,
  CreateMaterials,
  CreatedMaterials,
  MaterialsRequest,
  MaterialView,
  MatchShelf,
  RemovedMaterials,
  ShelfMatch,
  TagMaterials,
  TagView,
} from './gather/material.js';
import type {
  ChangeSheetTemplate,
  CreateSheetTemplate,
  MakePrint,
  MakeSheet,
  PreviewSheets,
  PrintOrigin,
  PrintsPage,
  PrintView,
  SheetsPreview,
  SheetTemplateView,
  SheetView,
  UsualSheetTemplate,
} from './paper/sheet.js';
import type { AskedRehearsalView, AskRehearsal, RehearsalAsked, SaveRehearsal } from './reads/rehearsal.js';
import type { KeepService, ServiceTryoutView, ServiceView, TryService } from './gather/service-description.js';
import type { ChangeShortLink, ShortLinkDetails, ShortLinksPage } from './code/short-link.js';
import type {
  CardReadingsPage,
  CardsMade,
  CardsPreview,
  ChangeStudent,
  CompareRoster,
  ImportRoster,
  LeaveClass,
  AddPhoto,
  LeaveStudents,
  MatchPhotos,
  PhotoMatches,
  EndYear,
  MakeCards,
  PreviewCards,
  ReadCard,
  ReadCardView,
  RosterComparisonView,
  RosterImportView,
  RosterUndoView,
  EraseStudents,
  StudentGroups,
  StudentsPage,
  StudentView,
} from './students/student.js';
import type { ChangeTryout, TellTryout, TryoutListening, TryoutView } from './reads/tryout.js';
import type { PreviewSymbol, SymbolPreview } from './code/symbol.js';
import type { AddStations, OrderStations, ChangeStation, AddedView } from './lessons/station.js';
import type { BenchView, LessonsPage } from './overview/bench.js';
import type { MaterialPage } from './overview/material-page.js';
import type { SearchResults, ShelfPage } from './overview/shelf.js';
import type { NewsItem } from './overview/news.js';
import type { ConditionView } from './overview/condition.js';
import type { SetupSteps } from './overview/setup-steps.js';
import { atOnce, confirmed, route } from './platform/route.js';
import { schoolRoutes } from './school/school.routes.js';

export type { Method, Route, RouteAccess } from './platform/route.js';

/**
 * Every route that the server answers: its method, its path, who may call it, and the shapes of request and reply.
 */
export const routes = {
  /** Whether the process is alive: answers 200 also without its database. */
  health: route<HealthView>('GET', '/api/health', 'anyone'),
  /** Whether it can do its work: 503 while it can't reach its database. */
  ready: route<HealthView>('GET', '/api/ready', 'anyone'),
  ...schoolRoutes,
  condition: route<ConditionView>('GET', '/api/condition', 'administrator'),
  /** How far the setup is. */
  setupSteps: route<SetupSteps>('GET', '/api/setup-steps', 'administrator'),

  services: route<readonly ServiceView[]>('GET', '/api/services'),
  keepService: route<ServiceView, KeepService>('PUT', '/api/services/:serviceId', 'administrator'),
  removeService: route<null>('DELETE', '/api/services/:serviceId', 'administrator'),
  tryService: atOnce(route<ServiceTryoutView, TryService>('POST', '/api/service-tryouts', 'administrator')),

  looks: route<LooksView>('GET', '/api/looks'),
  createLook: route<LookView, CreateLook>('POST', '/api/looks'),
  changeLook: route<LookView, ChangeLook>('PUT', '/api/looks/:lookId'),
  removeLook: route<null>('DELETE', '/api/looks/:lookId'),
  restoreLook: route<null>('POST', '/api/looks/:lookId/restore'),
  allowLook: route<LookView, AllowLook>('PATCH', '/api/looks/:lookId', 'administrator'),
  changeLookRules: route<LooksView, LookRules>('PUT', '/api/look-rules', 'administrator'),
  addLookPicture: route<LookPictureView, AddLookPicture>('POST', '/api/look-pictures'),
  lookPicture: route<Blob>('GET', '/api/look-pictures/:lookPictureId'),

  lessons: route<LessonsPage>('GET', '/api/lessons'),
  createLesson: route<CreatedView, CreateLesson>('POST', '/api/lessons'),
  bench: route<BenchView>('GET', '/api/lessons/:lessonId'),
  changeLesson: route<LessonView, ChangeLesson>('PATCH', '/api/lessons/:lessonId'),
  removeLesson: route<null>('DELETE', '/api/lessons/:lessonId'),
  restoreLesson: route<null>('POST', '/api/lessons/:lessonId/restore'),
  addStations: route<AddedView, AddStations>('POST', '/api/lessons/:lessonId/stations'),
  orderStations: route<null, OrderStations>('PUT', '/api/lessons/:lessonId/station-order'),
  chooseLessonLook: route<LessonView, ChooseLook>('PUT', '/api/lessons/:lessonId/look'),
  /** All codes of a lesson as pictures in a ZIP file. */
  lessonPictures: route<Blob>('GET', '/api/lessons/:lessonId/pictures'),
  openLesson: route<null>('POST', '/api/lessons/:lessonId/access-checks'),
  stopOpeningLesson: route<null>('DELETE', '/api/lessons/:lessonId/access-checks'),

  stationPage: route<MaterialPage>('GET', '/api/stations/:stationId'),
  changeStation: route<null, ChangeStation>('PATCH', '/api/stations/:stationId'),
  removeStation: route<null>('DELETE', '/api/stations/:stationId'),
  restoreStation: route<null>('POST', '/api/stations/:stationId/restore'),
  saveStationRehearsal: atOnce(route<null, SaveRehearsal>('PUT', '/api/stations/:stationId/rehearsals/:rehearsalKey')),
  makeStationSheet: route<SheetView, MakeSheet>('POST', '/api/stations/:stationId/sheets'),
  stationPicture: route<Blob>('GET', '/api/stations/:stationId/picture'),

  shelf: route<ShelfPage>('GET', '/api/materials'),
  createMaterials: route<CreatedMaterials, CreateMaterials>('POST', '/api/materials'),
  materialPage: route<MaterialPage>('GET', '/api/materials/:materialId'),
  changeMaterial: route<MaterialView, ChangeMaterial>('PATCH', '/api/materials/:materialId'),
  removeMaterial: route<null>('DELETE', '/api/materials/:materialId'),
  restoreMaterial: route<null>('POST', '/api/materials/:materialId/restore'),
  openMaterial: route<AccessCheckView | null>('POST', '/api/materials/:materialId/access-checks'),
  answerOpens: route<null, AnswerOpens>('PUT', '/api/materials/:materialId/person-answer'),
  withdrawAnswer: route<null>('DELETE', '/api/materials/:materialId/person-answer'),
  earlierChecks: route<readonly EarlierCheck[]>('GET', '/api/materials/:materialId/access-checks'),
  checkPicture: route<Blob>('GET', '/api/access-checks/:accessCheckId/picture'),
  studentView: route<Blob>('GET', '/api/access-checks/:accessCheckId/student-view'),
  saveMaterialRehearsal: atOnce(
    route<null, SaveRehearsal>('PUT', '/api/materials/:materialId/rehearsals/:rehearsalKey'),
  ),
  makeMaterialSheet: route<SheetView, MakeSheet>('POST', '/api/materials/:materialId/sheets'),
  materialPicture: route<Blob>('GET', '/api/materials/:materialId/picture'),
  showWebPicture: route<null, ShowWebPicture>('PUT', '/api/materials/:materialId/web-picture'),

  /** Which of these links are on the caller's shelf already. */
  matchShelf: atOnce(route<readonly ShelfMatch[], MatchShelf>('POST', '/api/shelf-matches')),
  tagMaterials: route<ChangedMaterials, TagMaterials>('POST', '/api/material-tags'),
  removeMaterials: route<RemovedMaterials, MaterialsRequest>('POST', '/api/material-removals'),
  restoreMaterials: route<null, MaterialsRequest>('POST', '/api/material-restorations'),
  /** Lessons, stations and materials whose names have the words of `find`, one letter wrong allowed. */
  search: route<SearchResults>('GET', '/api/search'),

  shortLinks: route<ShortLinksPage>('GET', '/api/short-links'),
  shortLinksCsv: route<string>('GET', '/api/short-links.csv'),
  shortLink: route<ShortLinkDetails>('GET', '/api/materials/:materialId/short-link'),
  changeShortLink: route<ShortLinkDetails, ChangeShortLink>('PATCH', '/api/materials/:materialId/short-link'),
  /** A longer slug for new codes; the one before still leads to the same. */
  replaceShortLink: route<ShortLinkDetails>('POST', '/api/materials/:materialId/short-link/replacement'),
  tryouts: route<readonly TryoutView[]>('GET', '/api/materials/:materialId/tryouts'),
  listenForTryout: atOnce(route<TryoutListening>('POST', '/api/materials/:materialId/tryouts/listening')),
  tellTryout: route<null, TellTryout>('POST', '/api/materials/:materialId/tryouts'),
  changeTryout: route<null, ChangeTryout>('PATCH', '/api/tryouts/:tryoutId'),
  removeTryout: route<null>('DELETE', '/api/tryouts/:tryoutId'),

  writtenPage: route<WrittenPageView>('GET', '/api/materials/:materialId/page'),
  saveWrittenPage: atOnce(route<WrittenPageView, SaveWrittenPage>('PUT', '/api/materials/:materialId/page')),
  earlierPages: route<readonly EarlierPage[]>('GET', '/api/materials/:materialId/page/earlier'),

  files: route<FilesPage>('GET', '/api/files'),
  addFile: route<FileView, AddFile>('POST', '/api/files'),
  renameFile: route<FileView, RenameFile>('PATCH', '/api/files/:fileId'),
  replaceFile: route<FileView, ReplaceFile>('POST', '/api/files/:fileId/content'),
  removeFile: route<null>('DELETE', '/api/files/:fileId'),
  restoreFile: route<null>('POST', '/api/files/:fileId/restore'),
  /** The tus protocol 1.0 (resumable uploads). */
  beginUpload: atOnce(route<null>('POST', '/api/uploads')),
  uploadProgress: route<null>('HEAD', '/api/uploads/:uploadId'),
  goOnUpload: atOnce(route<null>('PATCH', '/api/uploads/:uploadId')),
  endUpload: atOnce(route<null>('DELETE', '/api/uploads/:uploadId')),

  /** What students see: pages and bytes for everybody who has the address. */
  studentPage: route<string>('GET', '/p/:pageToken', 'anyone'),
  /** Letters of another script: those of that page, or those of all pages that show no material. */
  pageFont: route<Blob>('GET', '/p/:pageToken/fonts/:family.woff2', 'anyone'),
  plainFont: route<Blob>('GET', '/p/fonts/:family.woff2', 'anyone'),
  keptBytes: route<Blob>('GET', '/k/:fileToken', 'anyone'),
  keptVariant: route<Blob>('GET', '/k/:fileToken/:variant', 'anyone'),
  /** A code for web pages of others: `<token>.png` or `<token>.svg`. */
  webPicture: route<Blob>('GET', '/c/:pictureName', 'anyone'),

  /** What stopped opening for students lately. */
  news: route<readonly NewsItem[]>('GET', '/api/news'),
  /** Server-sent events: which materials' checks move on, and which were opened by a device that is tried. */
  events: route<string>('GET', '/api/events'),
  /** Any link, for scripts and tests: answers 202. */
  askLinkCheck: atOnce(route<LinkCheckAsked, AskLinkCheck>('POST', '/api/link-checks')),
  linkCheck: route<LinkCheckView>('GET', '/api/link-checks/:linkCheckId'),

  /** Any payload as a symbol, for scripts and tests. */
  previewSymbol: atOnce(route<SymbolPreview, PreviewSymbol>('POST', '/api/symbols/preview')),

  askRehearsal: atOnce(route<RehearsalAsked, AskRehearsal>('POST', '/api/rehearsals')),
  askedRehearsal: route<AskedRehearsalView>('GET', '/api/rehearsals/:rehearsalId'),

  /** What a code that was read is among one's own. */
  inspectCode: atOnce(route<CodeInspection, InspectCode>('POST', '/api/inspections')),
  visitorRights: route<VisitorRights>('GET', '/api/visitor-inspections', 'anyone'),
  askVisitorInspection: atOnce(route<LinkCheckAsked, AskLinkCheck>('POST', '/api/visitor-inspections', 'anyone')),
  visitorInspection: route<LinkCheckView>('GET', '/api/visitor-inspections/:visitorInspectionId', 'anyone'),

  tags: route<readonly TagView[]>('GET', '/api/tags'),
  openTag: route<null>('POST', '/api/tags/:tag/access-checks'),

  sheetFile: route<Blob>('GET', '/api/sheets/:sheetId/file'),
  previewSheets: atOnce(route<SheetsPreview, PreviewSheets>('POST', '/api/sheet-previews')),
  printerTest: route<Blob>('GET', '/api/printer-test'),
  prints: route<PrintsPage>('GET', '/api/prints'),
  makePrint: route<PrintView, MakePrint>('POST', '/api/prints'),
  print: route<PrintView>('GET', '/api/prints/:printId'),
  removePrint: route<null>('DELETE', '/api/prints/:printId'),
  restorePrint: route<null>('POST', '/api/prints/:printId/restore'),
  printOrigin: route<PrintOrigin>('GET', '/api/prints/:printId/origin'),
  /** The same once more, where its file is gone. */
  drawPrintAgain: route<PrintView>('POST', '/api/prints/:printId/drawing'),
  stopPrint: route<null>('DELETE', '/api/prints/:printId/drawing'),
  printFile: route<Blob>('GET', '/api/prints/:printId/file'),
  printPictures: route<Blob>('GET', '/api/prints/:printId/pictures'),
  printPage: route<string>('GET', '/api/prints/:printId/pages/:pageNumber'),
  students: route<StudentsPage>('GET', '/api/students'),
  studentGroups: route<StudentGroups>('GET', '/api/student-groups'),
  /** Everything about one student, as a page for parents. */
  studentCopy: confirmed(route<Blob>('GET', '/api/students/:studentId/copy', 'office')),
  studentsFile: confirmed(route<Blob>('GET', '/api/students-file', 'office')),
  changeStudent: route<StudentView, ChangeStudent>('PATCH', '/api/students/:studentId'),
  eraseStudent: confirmed(route<null>('DELETE', '/api/students/:studentId', 'office')),
  /** All who left, or all of a class. */
  eraseStudents: confirmed(route<StudentGroups, EraseStudents>('POST', '/api/student-erasures', 'office')),
  replaceCard: route<StudentView>('DELETE', '/api/students/:studentId/card'),
  leaveClass: route<StudentGroups, LeaveClass>('POST', '/api/class-departures', 'office'),
  matchPhotos: atOnce(route<PhotoMatches, MatchPhotos>('POST', '/api/photo-matches', 'office')),
  studentPhoto: route<Blob>('GET', '/api/students/:studentId/photo'),
  addStudentPhoto: route<StudentView, AddPhoto>('PUT', '/api/students/:studentId/photo', 'office'),
  removeStudentPhoto: route<StudentView>('DELETE', '/api/students/:studentId/photo', 'office'),
  leaveStudents: route<StudentGroups, LeaveStudents>('POST', '/api/student-departures', 'office'),
  /** Listed with the imports, and undone like one. */
  endYear: route<RosterImportView, EndYear>('POST', '/api/year-ends', 'office'),
  compareRoster: atOnce(route<RosterComparisonView, CompareRoster>('POST', '/api/roster-comparisons', 'office')),
  rosterImports: route<readonly RosterImportView[]>('GET', '/api/roster-imports', 'office'),
  importRoster: route<RosterImportView, ImportRoster>('POST', '/api/roster-imports', 'office'),
  /** What undoing would do. */
  rosterUndo: route<RosterUndoView>('GET', '/api/roster-imports/:rosterImportId/undo', 'office'),
  undoRosterImport: route<RosterUndoView>('DELETE', '/api/roster-imports/:rosterImportId', 'office'),
  previewCards: atOnce(route<CardsPreview, PreviewCards>('POST', '/api/student-card-previews')),
  makeCards: route<CardsMade, MakeCards>('POST', '/api/student-cards'),
  readCard: atOnce(route<ReadCardView, ReadCard>('POST', '/api/card-readings')),
  cardReadings: route<CardReadingsPage>('GET', '/api/card-readings'),
  cardReadingsCsv: route<string>('GET', '/api/card-readings.csv'),
  removeCardReading: route<null>('DELETE', '/api/card-readings/:cardReadingId'),
  sheetTemplates: route<readonly SheetTemplateView[]>('GET', '/api/sheet-templates'),
  createSheetTemplate: route<SheetTemplateView, CreateSheetTemplate>('POST', '/api/sheet-templates'),
  changeSheetTemplate: route<SheetTemplateView, ChangeSheetTemplate>('PUT', '/api/sheet-templates/:sheetTemplateId'),
  removeSheetTemplate: route<null>('DELETE', '/api/sheet-templates/:sheetTemplateId'),
  chooseUsualSheetTemplate: route<SheetTemplateView, UsualSheetTemplate>(
    'PATCH',
    '/api/sheet-templates/:sheetTemplateId',
    'administrator',
  ),
} as const;

/** The name of a route, as pages, tests and body budgets call it. */
export type RouteName = keyof typeof routes;

/** Stand-in for a file's bytes; the contract knows no platform types. */
type Blob = unknown;

/** Puts ids into a path: `fillPath('/api/lessons/:lessonId', { lessonId })`. @throws RangeError when one is missing. */
export function fillPath(path: string, params: Readonly<Record<string, string>> = {}): string {
  return path.replace(/:([a-zA-Z]+)/g, (_, name: string) => {
    const value = params[name];
    if (value === undefined || value === '') throw new RangeError(`${path} needs ${name}`);
    return encodeURIComponent(value);
  });
}
