/** Looks at the parts of the server: its database and queue, the folder with kept files, the disk. */
import { access, constants, statfs } from 'node:fs/promises';
import { Inject, Injectable } from '@nestjs/common';
import { DataSource } from 'typeorm';
import { CONFIGURATION, type Configuration } from '../../platform/configuration/configuration.js';
import { leastFreeBytes, type ConditionFacts } from './judge-condition.js';

/** A database that takes longer is no help to anybody. */
const askMs = 2000;

interface QueueRow {
  readonly waiting: string | null;
  readonly failed: string | null;
  readonly oldest: Date | null;
}

@Injectable()
export class ServerParts {
  constructor(
    private readonly dataSource: DataSource,
    @Inject(CONFIGURATION) private readonly configuration: Configuration,
  ) {}

  /** Its clock and its newest migration; null where it does not answer in time. */
  async database(): Promise<ConditionFacts['database']> {
    const asked = this.dataSource
      .query('SELECT NOW(3) AS now, (SELECT name FROM migrations ORDER BY id DESC LIMIT 1) AS migration')
      .catch(() => []) as Promise<readonly { readonly now: Date; readonly migration: string }[]>;
    let timer: NodeJS.Timeout | undefined;
    const late = new Promise<readonly []>((resolve) => (timer = setTimeout(() => resolve([]), askMs)));
    try {
      const [row] = await Promise.race([asked, late]);
      return row ? { now: row.now.getTime(), migration: row.migration } : null;
    } finally {
      clearTimeout(timer);
    }
  }

  /** Null where it can't be read. */
  async disk(): Promise<ConditionFacts['disk']> {
    const found = await statfs(this.configuration.filesFolder).catch(() => null);
    return found && { freeBytes: found.bavail * found.bsize, allBytes: found.blocks * found.bsize };
  }

  async filesWritable(): Promise<boolean> {
    return access(this.configuration.filesFolder, constants.W_OK).then(
      () => true,
      () => false,
    );
  }

  async queue(): Promise<ConditionFacts['queue']> {
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

  /** Whether there is room for what a start needs. */
  async hasRoom(): Promise<boolean> {
    const disk = await this.disk();
    return disk !== null && disk.freeBytes >= leastFreeBytes;
  }
}
