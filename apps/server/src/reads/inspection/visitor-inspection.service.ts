/** Follows a link for somebody who is not signed in, where the school lets its own networks do so. */
import { Injectable } from '@nestjs/common';
import { Clock } from '../../platform/clock/clock.js';
import { notFound, ProblemError } from '../../platform/problem/problem.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { AttemptWindow } from '../../school/visitor/attempt-window.js';
import { isIn } from '../../platform/configuration/networks.js';
import type { AccessCheckRecord } from '../../opens/access-check/access-check-record.js';
import { LinkChecks } from '../../opens/access-check/link-checks.js';

/** Long enough to look at it; nobody comes back to it later. */
const keptMs = 3_600_000;

@Injectable()
export class VisitorInspectionService {
  private readonly attempts = new AttemptWindow();

  constructor(
    private readonly checks: LinkChecks,
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
    await this.checks.removeVisitors(new Date(now.getTime() - keptMs));
    return this.checks.enqueue(link, null);
  }

  /** @throws ProblemError not-found, also where nothing may be asked for */
  async require(id: string, address: string): Promise<AccessCheckRecord> {
    const found = (await this.mayInspect(address)) ? await this.checks.findVisitors(id) : null;
    if (!found) throw notFound('link check');
    return found;
  }
}
