/** Checks of links that belong to no material: for scripts, and for visitors. The same runner opens them. */
import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { IsNull, LessThan, Repository } from 'typeorm';
import { newId } from '../../platform/database/columns.js';
import type { AccessCheckRecord } from './access-check-record.js';
import { AccessCheck } from './access-check.entity.js';
import { AccessCheckRunner } from './access-check.runner.js';

const nobodys = { materialId: IsNull(), askedById: IsNull() };

@Injectable()
export class LinkChecks {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly runner: AccessCheckRunner,
  ) {}

  /**
   * Lets a link be opened.
   * @param askedById null for a visitor, whose check is known by a random id alone
   * @returns its id; the check waits then
   */
  async enqueue(link: string, askedById: string | null): Promise<string> {
    const id = askedById === null ? randomUUID() : newId();
    await this.runner.enqueue([{ id, link, materialId: null, askedById, ownerId: askedById }]);
    return id;
  }

  find(id: string): Promise<AccessCheckRecord | null> {
    return this.checks.findOneBy({ id });
  }

  /** One that a visitor asked for. */
  findVisitors(id: string): Promise<AccessCheckRecord | null> {
    return this.checks.findOneBy({ id, ...nobodys });
  }

  /** Nobody comes back to what visitors asked before then. */
  async removeVisitors(before: Date): Promise<void> {
    await this.checks.delete({ ...nobodys, askedAt: LessThan(before) });
  }
}
