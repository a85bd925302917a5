/** Follows a link for somebody who is not signed in, where the school lets its own networks do so. */
import { randomUUID } from 'node:crypto';
import { Injectable } from '@nestjs/common';
import { InjectRepository } from '@nestjs/typeorm';
import { IsNull, LessThan, Repository } from 'typeorm';
import { AccessCheck, hostOfLink } from '../../opens/access-check/access-check.entity.js';
import { AccessCheckRunner } from '../../opens/access-check/access-check.runner.js';
import { Clock } from '../../platform/clock/clock.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { AttemptWindow } from '../../school/visitor/attempt-window.js';
import { isIn } from '../../platform/configuration/networks.js';

/** Long enough to look at it; nobody comes back to it later. */
const keptMs = 3_600_000;
const visitors = { materialId: IsNull(), askedById: IsNull() };

@Injectable()
export class VisitorInspectionService {
  private readonly attempts = new AttemptWindow();

  constructor(
    @InjectRepository(AccessCheck) private readonly checks: Repository<AccessCheck>,
    private readonly runner: AccessCheckRunner,
    private readonly school: SchoolService,
    private readonly clock: Clock,
  ) {}

  async mayInspect(address: string): Promise<boolean> {
    return isIn((await this.school.get()).visitorNetworks ?? [], address);
  }

  /** @returns what it is asked for by: random, since it is all that a visitor has @throws ProblemError not-allowed, too-many-attempts */
  async ask(link: string, address: string): Promise<string> {
    if (!(await this.mayInspect(address)))
      throw new ProblemError('not-allowed', 'Sign in first, or ask from one of the school’s networks.');
    const now = this.clock.now();
    const waitS = this.attempts.take(address, now.getTime());
    if (waitS > 0)
      throw new ProblemError('too-many-attempts', 'Too many links were followed from here. Wait a while.', {
        retryAfterS: waitS,
      });
    await this.checks.delete({ ...visitors, askedAt: LessThan(new Date(now.getTime() - keptMs)) });
    const id = randomUUID();
    await this.checks.insert({
      id,
      materialId: null,
      askedById: null,
      state: 'waiting',
      link,
      host: hostOfLink(link),
      askedAt: now,
    });
    this.runner.wake();
    return id;
  }

  /** @throws ProblemError not-found, also where nothing may be asked for */
  async require(id: string, address: string): Promise<AccessCheck> {
    const found = (await this.mayInspect(address)) ? await this.checks.findOneBy({ id, ...visitors }) : null;
    if (!found) throw notFound('link check');
    return found;
  }
}
