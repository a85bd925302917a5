/** Looks at the running server: what its database, disk, queue, addresses and programs say now. */
import { readFile } from 'node:fs/promises';
import { Inject, Injectable } from '@nestjs/common';
import type { ConditionView } from '@hapset/contract';
import { originOf } from '@hapset/core';
import { fetch } from 'undici';
import { Clock } from '../../platform/clock/clock.js';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { StudentViews } from '../../opens/student-view/student-views.js';
import { ArrivalService } from '../../school/arrival/arrival.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { ServerParts } from './server-parts.js';
import { judgeCondition, type ConditionFacts } from './judge-condition.js';

const addressMs = 3000;

@Injectable()
export class ConditionService {
  constructor(
    private readonly parts: ServerParts,
    private readonly school: SchoolService,
    private readonly arrivals: ArrivalService,
    private readonly views: StudentViews,
    private readonly clock: Clock,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  async look(): Promise<ConditionView> {
    const { publicAddress } = await this.school.get();
    const [database, disk, filesWritable, addressAnswers, arrival, queue, backup] = await Promise.all([
      this.parts.database(),
      this.parts.disk(),
      this.parts.filesWritable(),
      this.answers(publicAddress),
      this.arrivals.last(),
      this.parts.queue(),
      this.backup(),
    ]);
    const cameHere = arrival !== null && originOf(arrival.address) === originOf(publicAddress);
    const facts: ConditionFacts = {
      now: this.clock.now().getTime(),
      database,
      disk,
      filesWritable,
      publicAddress,
      addressAnswers,
      phoneAt: cameHere ? Date.parse(arrival.arrivedAt) : null,
      queue,
      backup,
      browser:
        this.views.missing === null ? 'ready' : this.views.missing === 'no-browser' ? 'missing' : 'does-not-start',
      office: this.configuration.officeProgram !== null,
    };
    return { version: this.configuration.version, checks: judgeCondition(facts) };
  }

  /** Whether what answers there is this server. */
  private async answers(address: string): Promise<boolean> {
    try {
      const response = await fetch(`${address}/api/health`, {
        redirect: 'error',
        signal: AbortSignal.timeout(addressMs),
      });
      const { version } = (await response.json()) as { version?: unknown };
      return version === this.configuration.version;
    } catch {
      return false;
    }
  }

  /** As the start command noted it. */
  private async backup(): Promise<ConditionFacts['backup']> {
    const { lastBackupFile } = this.configuration;
    if (lastBackupFile === null) return null;
    try {
      const { madeAt, problem } = JSON.parse(await readFile(lastBackupFile, 'utf8')) as {
        madeAt: string;
        problem: string | null;
      };
      return { madeAt: Date.parse(madeAt), problem };
    } catch {
      return null;
    }
  }
}
