/** Checks of links that belong to no material: for scripts and tests. The same runner opens them. */
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { Repository } from 'typeorm';
import { AccessCheck, hostOfLink } from '../access-check/access-check.entity.js';
import { AccessCheckRunner } from '../access-check/access-check.runner.js';
import { Clock } from '../../platform/clock/clock.js';
import { newId } from '../../platform/database/columns.js';
import { notFound } from '../../platform/problem/problem.js';

@Injectable()
export class LinkCheckService {
  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly runner: AccessCheckRunner,
    private readonly clock: Clock,
  ) {}

  /** Its id; the check waits then. */
  async ask(link: string, askedById: string): Promise<string> {
    const id = newId();
    await this.checks.insert({
      id,
      materialId: null,
      askedById,
      state: 'waiting',
      link,
      host: hostOfLink(link),
      askedAt: this.clock.now(),
    });
    this.runner.wake();
    return id;
  }

  /** @throws ProblemError not-found */
  async require(id: string): Promise<AccessCheck> {
    const found = await this.checks.findOneBy({ id });
    if (!found) throw notFound('link check');
    return found;
  }
}
