/** Connects to the database and migrates it. A server that starts before its database waits for it. */
import { setTimeout as wait } from 'node:timers/promises';
import { DataSource, type DataSourceOptions } from 'typeorm';
import type { AppLogger } from '../logging/logger.token.js';
import { waitMs } from '../loop/loop.js';
import { migrate } from './migrate.js';
import { isDatabaseAway } from './outage.js';

const everyMs = 500;

/** @throws whatever says that waiting does not help: a wrong password, a migration that fails */
export async function connect(options: DataSourceOptions, logger: AppLogger): Promise<DataSource> {
  for (let failures = 0; ; failures += 1) {
    let dataSource: DataSource | null = null;
    try {
      dataSource = await new DataSource(options).initialize();
      await migrate(dataSource);
      return dataSource;
    } catch (error) {
      if (dataSource?.isInitialized) await dataSource.destroy().catch(() => undefined);
      if (!isDatabaseAway(error)) throw error;
      logger.warn({ err: error, failures: failures + 1 }, 'waiting for the database');
      await wait(waitMs(everyMs, Math.min(failures, 3) + 1, Math.random));
    }
  }
}
