/** Looks at the running server: what its database, disk, queue, addresses and programs say now. */
import { access, constants, readFile, statfs } from 'node:fs/promises';
import { Inject, Injectable } from '@nestjs/common';
import type { ConditionView } from '@hapset/contract';
import { originOf } from '@hapset/core';
import { DataSource } from 'typeorm';
import { fetch } from 'undici';
import { Clock } from '../../platform/clock/clock.js';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { StudentViews } from '../../opens/student-view/student-views.js';
import { ArrivalService } from '../../school/arrival/arrival.service.js';
import { SchoolService } from '../../school/settings/school.service.js';
import { judgeCondition, type ConditionFacts } from './judge-condition.js';

const addressMs = 3000;

interface QueueRow {
  readonly waiting: string | null;
  readonly failed: string | null;
  readonly oldest: Date | null;
}

@Injectable()
export class ConditionService {
  constructor(
    private readonly dataSource: DataSource,
    private readonly school: SchoolService,
    private readonly arrivals: ArrivalService,
    private readonly views: StudentViews,
    private readonly clock: Clock,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  async look(): Promise<ConditionView> {
    const { publicAddress } = await this.school.get();
    const [database, disk, filesWritable, addressAnswers, arrival, queue, backup] = await Promise.all([
      this.database(),
      this.disk(),
      this.filesWritable(),
      this.answers(publicAddress),
      this.arrivals.last(),
      this.queue(),
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

  private async database(): Promise<ConditionFacts['database']> {
    const rows = (await this.dataSource
      .query('SELECT NOW(3) AS now, (SELECT name FROM migrations ORDER BY id DESC LIMIT 1) AS migration')
      .catch(() => [])) as { now: Date; migration: string }[];
    const [row] = rows;
    return row ? { now: row.now.getTime(), migration: row.migration } : null;
  }

  private async disk(): Promise<ConditionFacts['disk']> {
    const found = await statfs(this.configuration.filesFolder).catch(() => null);
    return found && { freeBytes: found.bavail * found.bsize, allBytes: found.blocks * found.bsize };
  }

  private async filesWritable(): Promise<boolean> {
    return access(this.configuration.filesFolder, constants.W_OK).then(
      () => true,
      () => false,
    );
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

  private async queue(): Promise<ConditionFacts['queue']> {
    const rows = (await this.dataSource
      .query(
        `SELECT SUM(state = 'waiting') AS waiting, SUM(state = 'failed') AS failed,
          MIN(IF(state = 'waiting' AND run_at <= NOW(3), run_at, NULL)) AS oldest FROM jobs
          WHERE state IN ('waiting', 'failed')`,
      )
      .catch(() => [])) as QueueRow[];
    const [row] = rows;
    return {
      waiting: Number(row?.waiting ?? 0),
      failed: Number(row?.failed ?? 0),
      oldestAt: row?.oldest?.getTime() ?? null,
    };
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
