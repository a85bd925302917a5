/** Asks for checks, stops them, and finds the last one of each material. The runner does the work. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { In, Repository } from 'typeorm';
import { newId } from '../../platform/database/columns.js';
import { addressOf } from '../../gather/material/material-address.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { ServiceDescriptionService } from '../../gather/service-description/service-description.service.js';
import { PersonAnswerService, type KnownAnswer } from '../person-answer/person-answer.service.js';
import { AccessCheck } from './access-check.entity.js';
import { notFound } from '../../platform/problem/problem.js';
import { stepsOf, toAccessCheckView } from './access-check.view.js';
import { AccessCheckRunner } from './access-check.runner.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { AccessCheckView, PersonAnswerView } from '@hapset/contract';
import { fingerprintOf, isOtherPage } from '@hapset/core';
import type { AccessCheckRecord } from './access-check-record.js';

const earlierShown = 20;

/** @property otherPage whether the page is clearly another one since; null where that can't be told */
export interface AnswerAboutPage {
  readonly said: PersonAnswerView;
  readonly otherPage: boolean | null;
}

/** What is known of one material's openings. */
export interface LastChecks {
  /** The last finished one for the link as it is now. */
  readonly done: AccessCheck | null;
  /** One that waits or runs. */
  readonly pending: AccessCheck | null;
  /** Steps that are known to open it; 0 where none is known or none is needed. */
  readonly steps: number;
  /** What a person said after trying it; null where nobody did. */
  readonly answer: AnswerAboutPage | null;
}

@Injectable()
export class AccessCheckService {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly runner: AccessCheckRunner,
    private readonly services: ServiceDescriptionService,
    private readonly school: SchoolService,
    private readonly answers: PersonAnswerService,
  ) {}

  /** Asks for a check of each link that is not being opened already. Words need none. */
  async enqueue(materials: readonly MaterialRecord[]): Promise<void> {
    const [last, { publicAddress }] = await Promise.all([this.lastOf(materials), this.school.get()]);
    const wanted = materials.flatMap((material) => {
      const link = addressOf(material, publicAddress);
      return link !== null && last.get(material.id)?.pending === null
        ? [{ id: material.id, link, ownerId: material.ownerId }]
        : [];
    });
    if (wanted.length === 0) return;
    const once = [...new Map(wanted.map((material) => [material.id, material])).values()];
    await this.runner.enqueue(
      once.map(({ id, link, ownerId }) => ({ id: newId(), link, materialId: id, askedById: null, ownerId })),
    );
  }

  /** Asks for checks of what has changed: one that is under way looks at what was there before, so it ends. */
  async enqueueAnew(materials: readonly MaterialRecord[]): Promise<void> {
    if (materials.length === 0) return;
    await this.stop(materials);
    await this.enqueue(materials);
  }

  /** Stops what waits or runs; what was found out before stays. */
  async stop(materials: readonly MaterialRecord[]): Promise<void> {
    if (materials.length === 0) return;
    await this.runner.stop(materials.map(({ id }) => id));
  }

  /** By material id. Checks of a link that was changed since don't count. */
  async lastOf(materials: readonly MaterialRecord[]): Promise<ReadonlyMap<string, LastChecks>> {
    const ids = [...new Set(materials.map((material) => material.id))];
    const [rows, catalogue, { publicAddress }] = await Promise.all([
      ids.length === 0 ? [] : this.newestRows(ids),
      this.services.catalogue(),
      this.school.get(),
    ]);
    const answers = await this.answers.list(materials, publicAddress);
    const byMaterial = new Map<string | null, AccessCheck[]>();
    for (const row of rows) byMaterial.set(row.materialId, [...(byMaterial.get(row.materialId) ?? []), row]);
    return new Map(
      materials.map((material) => {
        const address = addressOf(material, publicAddress);
        const own = (byMaterial.get(material.id) ?? []).filter(
          // What is kept here is the same at every address of the school.
          (row) => row.link === address || material.kept !== null,
        );
        const done = own.find((row) => row.state === 'done') ?? null;
        return [
          material.id,
          {
            done,
            pending: own.find((row) => row.state !== 'done') ?? null,
            steps: done ? stepsOf(done, material, catalogue) : 0,
            answer: aboutPage(answers.get(material.id) ?? null, done),
          },
        ];
      }),
    );
  }

  async view(check: AccessCheckRecord, material: MaterialRecord): Promise<AccessCheckView> {
    return toAccessCheckView(check, material, await this.services.catalogue());
  }

  /** Finished openings of a material, the newest first. */
  earlierOf(materialId: string): Promise<AccessCheck[]> {
    return this.checks.find({ where: { materialId, state: 'done' }, order: { id: 'DESC' }, take: earlierShown });
  }

  /** @throws ProblemError not-found without a picture */
  async requirePicture(id: string): Promise<Buffer> {
    const row = await this.checks.findOne({ where: { id }, select: { id: true, picture: true } });
    if (!row?.picture) throw notFound('picture');
    return row.picture;
  }

  /** Those of the checks that kept one. */
  async listPictures(ids: readonly string[]): Promise<readonly { readonly id: string; readonly picture: Buffer }[]> {
    const rows = await this.checks.find({ where: { id: In([...ids]) }, select: { id: true, picture: true } });
    return rows.flatMap(({ id, picture }) => (picture === null ? [] : [{ id, picture }]));
  }

  /** The newest first: one that was waiting a moment ago may be done by now, beside the one before it. */
  private async newestRows(materialIds: readonly string[]): Promise<AccessCheck[]> {
    const newest = (await this.checks
      .createQueryBuilder('newest')
      .select('MAX(newest.id)', 'id')
      .where('newest.materialId IN (:...materialIds)', { materialIds })
      .andWhere("newest.state IN ('waiting', 'opening', 'done')")
      .groupBy('newest.materialId')
      .addGroupBy("newest.state = 'done'")
      .getRawMany()) as { id: string }[];
    if (newest.length === 0) return [];
    return this.checks.find({ where: { id: In(newest.map((row) => row.id)) }, order: { id: 'DESC' } });
  }
}

function aboutPage(answer: KnownAnswer | null, done: AccessCheck | null): AnswerAboutPage | null {
  if (!answer) return null;
  const now = done?.evidence ? fingerprintOf(done.evidence) : null;
  return { said: answer.said, otherPage: isOtherPage(answer.fingerprint, now) };
}
