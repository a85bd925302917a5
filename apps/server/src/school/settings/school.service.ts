import { Inject, Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type {
  AddressesOnPaper,
  ChangeSchool,
  ChangeTeacherClasses,
  LookMakers,
  NewSchool,
  TeacherClassesView,
} from '@hapset/contract';
import { pageAddress, shortBase } from '@hapset/core';
import { Repository, type EntityManager } from 'typeorm';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { Clock } from '../../platform/clock/clock.js';
import { notFound, stale } from '../../platform/problem/problem.js';
import { School } from './school.entity.js';

const onlyRow = 1;
/** BCP 47; of a school that has not chosen, and while the database can't be asked. */
export const defaultLanguage = 'en-GB';

@Injectable()
export class SchoolService {
  constructor(
    @InjectRepository(School) private readonly schools: Repository<School>,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
    private readonly clock: Clock,
  ) {}

  /** The school; made with plain settings where there is none yet. */
  async get(): Promise<School> {
    const found = await this.schools.findOneBy({ id: onlyRow });
    if (found) return found;
    const fresh = {
      id: onlyRow,
      name: 'Our school',
      timeZone: 'UTC',
      language: defaultLanguage,
      paper: 'A4' as const,
      printerMarginMm: 5,
      duplexEdge: 'long' as const,
      duplexRightMm: 0,
      duplexDownMm: 0,
      publicAddress: this.configuration.publicAddress,
      shortLinkHost: null,
      formerShortHosts: null,
      visitorNetworks: null,
      defaultLookId: null,
      looksMadeBy: 'staff' as const,
      teacherClasses: null,
      cardReturnTo: '',
      studentPhotos: false,
      printerTestedAt: null,
      version: 1,
      demoLoadedAt: null,
    };
    await this.schools.createQueryBuilder().insert().values(fresh).orIgnore().execute();
    return this.schools.findOneByOrFail({ id: onlyRow });
  }

  /** How many sheets carry an address of this server: what a change of its addresses would touch. */
  async onPaper(): Promise<AddressesOnPaper> {
    const { publicAddress, shortLinkHost } = await this.get();
    const beginningWith = async (begin: string): Promise<number> => {
      const rows = (await this.schools.query(
        "SELECT COUNT(*) AS sheets FROM sheets WHERE JSON_VALUE(content, '$.payload') LIKE ?",
        [`${begin.replace(/[\\%_]/g, '\\$&')}%`],
      )) as { sheets: string }[];
      return Number(rows[0]?.sheets ?? 0);
    };
    const [shortLinks, pages] = await Promise.all([
      beginningWith(shortBase(publicAddress, shortLinkHost)),
      beginningWith(pageAddress(publicAddress, '')),
    ]);
    return { shortLinks, pages };
  }

  async changeLookRules(defaultLookId: string | null, looksMadeBy: LookMakers): Promise<void> {
    await this.schools.update({ id: (await this.get()).id }, { defaultLookId, looksMadeBy });
  }

  /** Short links are no longer answered at that host's root. @throws ProblemError not-found */
  async removeFormerHost(host: string): Promise<void> {
    const { formerShortHosts, version } = await this.get();
    const left = (formerShortHosts ?? []).filter((former) => former !== host);
    if (left.length === (formerShortHosts ?? []).length) throw notFound('host');
    const { affected } = await this.schools.update(
      { id: onlyRow, version },
      { formerShortHosts: left, version: version + 1 },
    );
    if (affected !== 1) throw stale('school');
  }

  async teacherClasses(): Promise<TeacherClassesView> {
    const { teacherClasses } = await this.get();
    const teachers = (await this.schools.query(
      "SELECT id AS accountId, name FROM accounts WHERE role = 'teacher' ORDER BY name, id",
    )) as { accountId: string; name: string }[];
    const classes = (await this.schools.query(
      "SELECT DISTINCT class_name AS name FROM students WHERE class_name <> '' ORDER BY class_name",
    )) as { name: string }[];
    return {
      limited:
        teacherClasses === null
          ? null
          : teachers.flatMap(({ accountId }) =>
              teacherClasses[accountId] ? [{ accountId, classNames: teacherClasses[accountId] }] : [],
            ),
      teachers,
      classes: classes.map(({ name }) => name),
    };
  }

  async changeTeacherClasses({ limited }: ChangeTeacherClasses): Promise<TeacherClassesView> {
    const teacherClasses =
      limited && Object.fromEntries(limited.map(({ accountId, classNames }) => [accountId, classNames]));
    await this.schools.update({ id: (await this.get()).id }, { teacherClasses });
    return this.teacherClasses();
  }

  /** As a school begins. @param manager of the transaction that makes its first administrator */
  async setUp(school: NewSchool, manager: EntityManager): Promise<void> {
    const { id, version } = await this.get();
    await manager.update(School, { id }, { ...school, version: version + 1 });
  }

  /** The test page was made. */
  async notePrinterTest(): Promise<void> {
    await this.schools.update({ id: (await this.get()).id }, { printerTestedAt: this.clock.now() });
  }

  /** @throws ProblemError stale */
  async change({ version, ...request }: ChangeSchool): Promise<School> {
    const { shortLinkHost, formerShortHosts } = await this.get();
    const former = [
      ...new Set([...(formerShortHosts ?? []), ...(shortLinkHost === null ? [] : [shortLinkHost])]),
    ].filter((host) => host !== request.shortLinkHost);
    const { affected } = await this.schools.update(
      { id: onlyRow, version },
      { ...request, formerShortHosts: former, version: version + 1 },
    );
    if (affected !== 1) throw stale('school');
    return this.get();
  }
}
