/** Loads the demo scenario, once: a school that has it, or that people have worked with, is never written over. */
import {
  alwaysOpen,
  filesOf,
  newSlugLengths,
  readRoster,
  understandRoster,
  type Kept,
  type KeptPicture,
  type PageDocument,
  type ServiceCatalogue,
} from '@hapset/core';
import type { DataSource, EntityManager } from 'typeorm';
import { Account } from '../school/account/account.entity.js';
import { hashPassword } from '../school/account/password.js';
import { addChecks } from '../opens/access-check/add-checks.js';
import type { Clock } from '../platform/clock/clock.js';
import { newId } from '../platform/database/columns.js';
import { given } from '../platform/database/given.js';
import { Device } from '../school/device/device.entity.js';
import { setFileUses } from '../gather/file/file.service.js';
import { Lesson } from '../lessons/lesson/lesson.entity.js';
import { Look } from '../code/look/look.entity.js';
import { Material } from '../gather/material/material.entity.js';
import { addressOf } from '../gather/material/material-address.js';
import { newMaterial } from '../gather/material/new-material.js';
import { SchoolClass } from '../school/school-class/school-class.entity.js';
import { School } from '../school/settings/school.entity.js';
import { randomSlug } from '../code/short-link/random-slug.js';
import { ShortLink } from '../code/short-link/short-link.entity.js';
import type { Storage } from '../platform/storage/storage.js';
import { Station } from '../lessons/station/station.entity.js';
import { Student } from '../students/student/student.entity.js';
import { namesOf } from '../students/student/student.service.js';
import { demoAccount } from '../school/account/demo-account.js';
import { DemoFiles } from './demo-files.js';
import { readDemoTable, type DemoItem, type DemoKept, type DemoScenario } from './scenario.js';

export interface DemoSetting {
  readonly scenario: DemoScenario;
  readonly publicAddress: string;
  /** Addresses of the stand-ins by name: `{ cofferlane: 'http://cofferlane.localhost:4310' }`. */
  readonly neighbours: Readonly<Record<string, string>>;
  readonly clock: Clock;
  /** Tells the kinds of links. */
  readonly services: ServiceCatalogue;
  /** Where kept files lie. */
  readonly storage: Storage;
}

/** True when it was loaded now, false when it was there already. */
export async function loadDemo(dataSource: DataSource, setting: DemoSetting): Promise<boolean> {
  return dataSource.transaction(async (manager) => {
    const school = await manager.findOneBy(School, { id: 1 });
    if (school?.demoLoadedAt || (await manager.count(Account)) > 0) return false;
    await new DemoLoading(manager, setting).run();
    return true;
  });
}

class DemoLoading {
  private readonly owners = new Map<string, string>();
  private readonly looks = new Map<string, string>();
  private readonly files: DemoFiles;

  constructor(
    private readonly manager: EntityManager,
    private readonly setting: DemoSetting,
  ) {
    this.files = new DemoFiles(manager, setting.storage, setting.clock.now());
  }

  /** One class of the year group whose roster lies beside the scenario. */
  private async students(): Promise<void> {
    const { file, className } = this.setting.scenario.roster;
    const rows = readDemoTable(file);
    const { students } = readRoster(rows, understandRoster(rows));
    const createdAt = this.setting.clock.now();
    await this.manager.insert(
      Student,
      students
        .filter((student) => student.className === className)
        .map(({ schoolId, className: name, year, prefix, given, middle, family }) => ({
          id: newId(),
          schoolId,
          className: name,
          year,
          ...namesOf({ prefix, given, middle, family }),
          leftAt: null,
          edited: {},
          version: 1,
          createdAt,
        })),
    );
  }

  async run(): Promise<void> {
    const { scenario, publicAddress, clock } = this.setting;
    await this.manager.save(School, {
      id: 1,
      ...scenario.school,
      publicAddress,
      shortLinkHost: null,
      version: 1,
      demoLoadedAt: clock.now(),
    });
    await this.accounts();
    const devices = await this.devices();
    const classes = await this.classes(devices);
    await this.students();
    await this.makeLooks();
    for (const lesson of scenario.lessons) await this.lesson(lesson, classes);
    for (const { owner, items } of scenario.shelf) await this.materials(items, owner);
  }

  private async accounts(): Promise<void> {
    const passwordHash = await hashPassword(demoAccount.password);
    for (const account of this.setting.scenario.accounts) {
      const id = newId();
      this.owners.set(account.email, id);
      await this.manager.insert(Account, { id, ...account, passwordHash, createdAt: this.setting.clock.now() });
    }
  }

  private async devices(): Promise<Device[]> {
    const rows = this.setting.scenario.devices.map((device, index) =>
      this.manager.create(Device, { id: newId(), ...device, position: index + 1 }),
    );
    return this.manager.save(rows);
  }

  private async classes(devices: readonly Device[]): Promise<SchoolClass[]> {
    const rows = this.setting.scenario.classes.map(({ devices: names, ...request }) =>
      this.manager.create(SchoolClass, {
        id: newId(),
        ...request,
        version: 1,
        devices: devices.filter((device) => names.includes(device.name)),
      }),
    );
    return this.manager.save(rows);
  }

  private async makeLooks(): Promise<void> {
    for (const { name, madeBy, design } of this.setting.scenario.looks) {
      const id = newId();
      this.looks.set(name, id);
      await this.manager.insert(Look, {
        id,
        name,
        design,
        allowed: true,
        madeById: this.ownerId(madeBy),
        version: 1,
        createdAt: this.setting.clock.now(),
      });
    }
  }

  private async lesson(demo: DemoScenario['lessons'][number], classes: readonly SchoolClass[]): Promise<void> {
    const { owner, stations, class: className, look, ...request } = demo;
    const lessonId = newId();
    const classId = classes.find((candidate) => candidate.name === className)?.id ?? null;
    await this.manager.insert(Lesson, {
      ...request,
      id: lessonId,
      ownerId: this.ownerId(owner),
      classId,
      look: look === undefined ? null : (this.looks.get(look) ?? null),
      version: 1,
    });
    const materials = await this.materials(stations, owner);
    await this.manager.insert(
      Station,
      materials.map((material, index) => ({
        id: newId(),
        lessonId,
        materialId: material.id,
        position: index + 1,
        name: null,
        instruction: null,
        version: 1,
      })),
    );
  }

  /** The materials, and a check for each link that the server takes up once it runs. */
  private async materials(items: readonly DemoItem[], owner: string): Promise<Pick<Material, 'id'>[]> {
    const now = this.setting.clock.now();
    const rows: Omit<Material, 'owner'>[] = [];
    for (const [index, item] of items.entries()) rows.push(await this.rowOf(item, index, owner));
    await this.manager.insert(Material, rows);
    await this.manager.insert(
      ShortLink,
      rows.flatMap(({ id, slug }) =>
        slug === null ? [] : [{ slug, materialId: id, currentFor: id, opening: alwaysOpen, createdAt: now }],
      ),
    );
    for (const row of rows) if (row.kept) await setFileUses(this.manager, row.id, filesOf(row.kept));
    const opened = rows.flatMap((row) => {
      const link = addressOf(row, this.setting.publicAddress);
      return link === null ? [] : [{ id: newId(), link, materialId: row.id, askedById: null, ownerId: row.ownerId }];
    });
    await addChecks(this.manager, opened, now);
    return rows;
  }

  private async rowOf(item: DemoItem, index: number, owner: string): Promise<Omit<Material, 'owner'>> {
    const { words, content, title, instruction, tags } = item;
    const link = item.link?.replace(/\{(\w+)\}/g, (whole, name: string) => this.setting.neighbours[name] ?? whole);
    const kept = item.kept && (await this.keep(item.kept, this.ownerId(owner)));
    const pasted = link ?? words ?? title ?? '';
    const row = newMaterial(
      { ...given({ kept, link, words, content, title, instruction, tags }), pasted, repairs: [] },
      {
        ownerId: this.ownerId(owner),
        createdAt: this.setting.clock.now(),
        catalogue: this.setting.services,
        path: `items.${index}`,
      },
    );
    return item.shortLink ? { ...row, carry: 'short-link', slug: randomSlug(newSlugLengths.least) } : row;
  }

  private async keep(kept: DemoKept, ownerId: string): Promise<Kept> {
    const keepFile = (name: string): Promise<string> => this.files.keep(name, ownerId);
    switch (kept.kind) {
      case 'file':
        return { kind: 'file', fileId: await keepFile(kept.file), transcript: kept.transcript, captionsId: null };
      case 'picture-set': {
        const pictures: KeptPicture[] = [];
        for (const { file, caption, alternative } of kept.pictures)
          pictures.push({ fileId: await keepFile(file), caption, alternative });
        return { kind: 'picture-set', pictures };
      }
      case 'written-page': {
        let text = JSON.stringify(kept.document);
        for (const [whole, name = ''] of text.matchAll(/\{([a-z-]+\.[a-z]+)\}/g))
          text = text.replace(whole, await keepFile(name));
        return { kind: 'written-page', document: JSON.parse(text) as PageDocument };
      }
    }
  }

  private ownerId(email: string): string {
    const id = this.owners.get(email);
    if (id === undefined) throw new Error(`demo/scenario.json names ${email}, who has no account there`);
    return id;
  }
}
