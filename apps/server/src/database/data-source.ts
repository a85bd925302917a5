/** How the server reaches MariaDB. The tables come from migrations alone; nothing is synchronised. */
import type { DataSourceOptions } from 'typeorm';
import { Account } from '../account/account.entity.js';
import { Session } from '../account/session.entity.js';
import { SignInFailures } from '../account/sign-in-failures.entity.js';
import { AccessCheck } from '../access-check/access-check.entity.js';
import type { Configuration } from '../configuration/configuration.js';
import { Device } from '../device/device.entity.js';
import { FileUse } from '../file/file-use.entity.js';
import { KeptFile } from '../file/kept-file.entity.js';
import { StoredContent } from '../file/stored-content.entity.js';
import { Job } from '../job/job.entity.js';
import { Lesson } from '../lesson/lesson.entity.js';
import { LookPicture } from '../look/look-picture.entity.js';
import { Look } from '../look/look.entity.js';
import { Material } from '../material/material.entity.js';
import { Rehearsal } from '../rehearsal/rehearsal.entity.js';
import { AskedRehearsal } from '../rehearsal/asked-rehearsal.entity.js';
import { ScheduledOpening } from '../opening-schedule/scheduled-opening.entity.js';
import { SchoolClass } from '../school-class/school-class.entity.js';
import { School } from '../school/school.entity.js';
import { Print } from '../sheet/print.entity.js';
import { SheetTemplate } from '../sheet/sheet-template.entity.js';
import { Sheet } from '../sheet/sheet.entity.js';
import { RosterImport } from '../student/roster-import.entity.js';
import { Student } from '../student/student.entity.js';
import { CardReading } from '../student-card/card-reading.entity.js';
import { PrintedCard } from '../student-card/printed-card.entity.js';
import { StudentCard } from '../student-card/student-card.entity.js';
import { ShortLinkCount } from '../short-link/short-link-count.entity.js';
import { ShortLinkMiss } from '../short-link/short-link-miss.entity.js';
import { ShortLinkTurn } from '../short-link/short-link-turn.entity.js';
import { ShortLink } from '../short-link/short-link.entity.js';
import { Tryout } from '../tryout/tryout.entity.js';
import { Station } from '../station/station.entity.js';
import { Upload } from '../upload/upload.entity.js';
import { EarlierPage } from '../written-page/earlier-page.entity.js';
import { DescribedService } from '../service-description/service-description.entity.js';
import { Ground1790208000000 } from './migrations/1790208000000-ground.js';
import { Content1790211600000 } from './migrations/1790211600000-content.js';
import { ServiceDescriptions1792000000000 } from './migrations/1792000000000-service-descriptions.js';
import { KeptHere1792100000000 } from './migrations/1792100000000-kept-here.js';
import { AccessInDepth1793000000000 } from './migrations/1793000000000-access-in-depth.js';
import { CarryByChoice1793100000000 } from './migrations/1793100000000-carry-by-choice.js';
import { ShortLinks1794000000000 } from './migrations/1794000000000-short-links.js';
import { Looks1795000000000 } from './migrations/1795000000000-looks.js';
import { Visitors1796000000000 } from './migrations/1796000000000-visitors.js';
import { Rehearsals1797000000000 } from './migrations/1797000000000-rehearsals.js';
import { Sheets1798000000000 } from './migrations/1798000000000-sheets.js';
import { Students1799000000000 } from './migrations/1799000000000-students.js';
import { Hardening1800000000000 } from './migrations/1800000000000-hardening.js';
import { SnakeNaming } from './naming.js';

export const entities = [
  Account,
  Session,
  SignInFailures,
  School,
  Device,
  SchoolClass,
  Lesson,
  Station,
  Material,
  AccessCheck,
  Rehearsal,
  AskedRehearsal,
  Print,
  Sheet,
  SheetTemplate,
  Student,
  RosterImport,
  StudentCard,
  PrintedCard,
  CardReading,
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
