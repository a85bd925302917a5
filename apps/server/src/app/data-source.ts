/** How the server reaches MariaDB. The tables come from migrations alone; nothing is synchronised. */
import type { DataSourceOptions } from 'typeorm';
import { Account } from '../school/account/account.entity.js';
import { Session } from '../school/account/session.entity.js';
import { SignInFailures } from '../school/account/sign-in-failures.entity.js';
import { PersonAnswer } from '../opens/person-answer/person-answer.entity.js';
import { AccessCheck } from '../opens/access-check/access-check.entity.js';
import type { Configuration } from '../platform/configuration/configuration.js';
import { Device } from '../school/device/device.entity.js';
import { FileUse } from '../gather/file/file-use.entity.js';
import { KeptFile } from '../gather/file/kept-file.entity.js';
import { StoredContent } from '../gather/file/stored-content.entity.js';
import { Job } from '../platform/queue/job.entity.js';
import { Lesson } from '../lessons/lesson/lesson.entity.js';
import { LookPicture } from '../code/look/look-picture.entity.js';
import { Look } from '../code/look/look.entity.js';
import { Material } from '../gather/material/material.entity.js';
import { Rehearsal } from '../reads/rehearsal-results/rehearsal.entity.js';
import { AskedRehearsal } from '../reads/rehearsal/asked-rehearsal.entity.js';
import { ScheduledOpening } from '../opens/opening-schedule/scheduled-opening.entity.js';
import { SchoolClass } from '../school/school-class/school-class.entity.js';
import { School } from '../school/settings/school.entity.js';
import { Print } from '../paper/sheet/print.entity.js';
import { SheetTemplate } from '../paper/sheet/sheet-template.entity.js';
import { Sheet } from '../paper/sheet/sheet.entity.js';
import { RetentionRow } from '../school/retention/retention.entity.js';
import { RosterImport } from '../students/student/roster-import.entity.js';
import { ComparedRoster } from '../students/student/compared-roster.entity.js';
import { Student } from '../students/student/student.entity.js';
import { StudentPhoto } from '../students/student-photo/student-photo.entity.js';
import { CardReading } from '../students/student-card/card-reading.entity.js';
import { PrintedCard } from '../students/student-card/printed-card.entity.js';
import { StudentCard } from '../students/student-card/student-card.entity.js';
import { ShortLinkCount } from '../code/short-link/short-link-count.entity.js';
import { ShortLinkMiss } from '../code/short-link/short-link-miss.entity.js';
import { ShortLinkTurn } from '../code/short-link/short-link-turn.entity.js';
import { ShortLink } from '../code/short-link/short-link.entity.js';
import { Tryout } from '../reads/tryout-results/tryout.entity.js';
import { Station } from '../lessons/station/station.entity.js';
import { Upload } from '../gather/upload/upload.entity.js';
import { EarlierPage } from '../gather/written-page/earlier-page.entity.js';
import { DescribedService } from '../gather/service-description/service-description.entity.js';
import { Ground1790208000000 } from '../platform/database/migrations/1790208000000-ground.js';
import { Content1790211600000 } from '../platform/database/migrations/1790211600000-content.js';
import { ServiceDescriptions1792000000000 } from '../platform/database/migrations/1792000000000-service-descriptions.js';
import { KeptHere1792100000000 } from '../platform/database/migrations/1792100000000-kept-here.js';
import { AccessInDepth1793000000000 } from '../platform/database/migrations/1793000000000-access-in-depth.js';
import { CarryByChoice1793100000000 } from '../platform/database/migrations/1793100000000-carry-by-choice.js';
import { ShortLinks1794000000000 } from '../platform/database/migrations/1794000000000-short-links.js';
import { Looks1795000000000 } from '../platform/database/migrations/1795000000000-looks.js';
import { Visitors1796000000000 } from '../platform/database/migrations/1796000000000-visitors.js';
import { Rehearsals1797000000000 } from '../platform/database/migrations/1797000000000-rehearsals.js';
import { Sheets1798000000000 } from '../platform/database/migrations/1798000000000-sheets.js';
import { Students1799000000000 } from '../platform/database/migrations/1799000000000-students.js';
import { Hardening1800000000000 } from '../platform/database/migrations/1800000000000-hardening.js';
import { Kinds1801000000000 } from '../platform/database/migrations/1801000000000-kinds.js';
import { OneQueue1802000000000 } from '../platform/database/migrations/1802000000000-one-queue.js';
import { ComparedRosters1803000000000 } from '../platform/database/migrations/1803000000000-compared-rosters.js';
import { WhatIsKept1804000000000 } from '../platform/database/migrations/1804000000000-what-is-kept.js';
import { ReadFlat1805000000000 } from '../platform/database/migrations/1805000000000-read-flat.js';
import { ListOfPrints1806000000000 } from '../platform/database/migrations/1806000000000-list-of-prints.js';
import { RehearsalsLikeIt1807000000000 } from '../platform/database/migrations/1807000000000-rehearsals-like-it.js';
import { PageFingerprints1808000000000 } from '../platform/database/migrations/1808000000000-page-fingerprints.js';
import { TeacherSaw1810000000000 } from '../platform/database/migrations/1810000000000-teacher-saw.js';
import { AnsweredRequests1811000000000 } from '../platform/database/migrations/1811000000000-answered-requests.js';
import { SchoolLanguage1812000000000 } from '../platform/database/migrations/1812000000000-school-language.js';
import { PlainNames1813000000000 } from '../platform/database/migrations/1813000000000-plain-names.js';
import { StaffAccounts1814000000000 } from '../platform/database/migrations/1814000000000-staff-accounts.js';
import { StudentPhotos1821000000000 } from '../platform/database/migrations/1821000000000-student-photos.js';
import { SheetDesigns1822000000000 } from '../platform/database/migrations/1822000000000-sheet-designs.js';
import { CardBacks1820000000000 } from '../platform/database/migrations/1820000000000-card-backs.js';
import { YearEnds1819000000000 } from '../platform/database/migrations/1819000000000-year-ends.js';
import { ReadingsById1818000000000 } from '../platform/database/migrations/1818000000000-readings-by-id.js';
import { EditedStudents1817000000000 } from '../platform/database/migrations/1817000000000-edited-students.js';
import { Retention1816000000000 } from '../platform/database/migrations/1816000000000-retention.js';
import { Arrivals1815000000000 } from '../platform/database/migrations/1815000000000-arrivals.js';
import { Arrival } from '../school/arrival/arrival.entity.js';
import { AccountLink } from '../school/account-link/account-link.entity.js';
import { ActivityEntryRow } from '../school/activity/activity-entry.entity.js';
import { AnsweredRequest } from '../school/idempotency/answered-request.entity.js';
import { StudentViews1809000000000 } from '../platform/database/migrations/1809000000000-student-views.js';
import { SnakeNaming } from '../platform/database/naming.js';

export const entities = [
  Account,
  Session,
  SignInFailures,
  AccountLink,
  Arrival,
  ActivityEntryRow,
  School,
  Device,
  SchoolClass,
  Lesson,
  Station,
  Material,
  AccessCheck,
  PersonAnswer,
  Rehearsal,
  AskedRehearsal,
  Print,
  Sheet,
  SheetTemplate,
  Student,
  RosterImport,
  ComparedRoster,
  StudentCard,
  PrintedCard,
  CardReading,
  StudentPhoto,
  DescribedService,
  StoredContent,
  KeptFile,
  FileUse,
  Upload,
  EarlierPage,
  Job,
  ScheduledOpening,
  ShortLink,
  ShortLinkTurn,
  ShortLinkCount,
  ShortLinkMiss,
  Tryout,
  Look,
  LookPicture,
  AnsweredRequest,
  RetentionRow,
];
export const migrations = [
  Ground1790208000000,
  Content1790211600000,
  ServiceDescriptions1792000000000,
  KeptHere1792100000000,
  AccessInDepth1793000000000,
  CarryByChoice1793100000000,
  ShortLinks1794000000000,
  Looks1795000000000,
  Visitors1796000000000,
  Rehearsals1797000000000,
  Sheets1798000000000,
  Students1799000000000,
  Hardening1800000000000,
  Kinds1801000000000,
  OneQueue1802000000000,
  ComparedRosters1803000000000,
  WhatIsKept1804000000000,
  ReadFlat1805000000000,
  ListOfPrints1806000000000,
  RehearsalsLikeIt1807000000000,
  PageFingerprints1808000000000,
  StudentViews1809000000000,
  TeacherSaw1810000000000,
  AnsweredRequests1811000000000,
  SchoolLanguage1812000000000,
  PlainNames1813000000000,
  StaffAccounts1814000000000,
  Arrivals1815000000000,
  Retention1816000000000,
  EditedStudents1817000000000,
  ReadingsById1818000000000,
  YearEnds1819000000000,
  CardBacks1820000000000,
  StudentPhotos1821000000000,
  SheetDesigns1822000000000,
];

export function dataSourceOptions(configuration: Configuration): DataSourceOptions {
  const { database } = configuration;
  return {
    type: 'mariadb',
    ...(database.socket === null ? { host: database.host, port: database.port } : { socketPath: database.socket }),
    username: database.user,
    password: database.password,
    database: database.name,
    entities,
    migrations,
    migrationsTransactionMode: 'none', // MariaDB commits before every DDL statement anyway
    namingStrategy: new SnakeNaming(),
    synchronize: false,
    timezone: 'Z',
    charset: 'utf8mb4',
    connectTimeout: 5000,
    poolSize: 12,
  };
}
