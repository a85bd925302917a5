/** What people say about links that only a person at a device can tell. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import type { PersonAnswerView } from '@hapset/contract';
import { fingerprintOf, type Evidence, type PageFingerprint } from '@hapset/core';
import { In, Repository } from 'typeorm';
import { addressOf } from '../../gather/material/material-address.js';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import { Clock } from '../../platform/clock/clock.js';
import { ProblemError } from '../../platform/problem/problem.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { PersonAnswer } from './person-answer.entity.js';

/** An answer, with what was looked at. */
export interface KnownAnswer {
  readonly said: PersonAnswerView;
  readonly fingerprint: PageFingerprint | null;
}

@Injectable()
export class PersonAnswerService {
  constructor(
    @InjectRepository(PersonAnswer) private readonly answers: Repository<PersonAnswer>,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  /** The later answer counts. @throws ProblemError invalid for what has no address */
  async save(material: MaterialRecord, opens: boolean, answeredBy: string): Promise<void> {
    const link = addressOf(material, (await this.school.get()).publicAddress);
    if (link === null)
      throw new ProblemError('invalid', 'It is in the code itself, so there is nothing to open.', {
        fields: [{ field: 'materialId', message: 'has no address' }],
      });
    const fingerprint = await this.lastSeen(material.id, link);
    await this.answers.upsert(
      { materialId: material.id, link, opens, answeredBy, answeredAt: this.clock.now(), fingerprint },
      ['materialId'],
    );
  }

  /** Of the page that the last check found at that link. */
  private async lastSeen(materialId: string, link: string): Promise<PageFingerprint | null> {
    const [last] = (await this.answers.query(
      "SELECT evidence FROM access_checks WHERE material_id = ? AND link = ? AND state = 'done' ORDER BY id DESC LIMIT 1",
      [materialId, link],
    )) as { readonly evidence: Evidence | null }[];
    return last?.evidence ? fingerprintOf(last.evidence) : null;
  }

  /** Takes it back. */
  async remove(materialId: string): Promise<void> {
    await this.answers.delete({ materialId });
  }

  /** By material id: those about the address that the material has now. */
  async list(materials: readonly MaterialRecord[], publicAddress: string): Promise<ReadonlyMap<string, KnownAnswer>> {
    if (materials.length === 0) return new Map();
    const rows = await this.answers.findBy({ materialId: In([...new Set(materials.map(({ id }) => id))]) });
    const addressOfId = new Map(materials.map((material) => [material.id, addressOf(material, publicAddress)]));
    return new Map(
      rows
        .filter(({ materialId, link }) => addressOfId.get(materialId) === link)
        .map(({ materialId, opens, answeredBy, answeredAt, fingerprint }) => [
          materialId,
          { said: { opens, by: answeredBy, at: answeredAt.toISOString() }, fingerprint },
        ]),
    );
  }
}
