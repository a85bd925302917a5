/** Runs what is missing of the migrations, under a lock, so that two servers can start at once. */
import type { DataSource } from 'typeorm';

const lockName = 'hapset-migrations';
const lockTimeoutS = 60;

/** @throws Error when another server holds the lock for longer than a minute. */
export async function migrate(dataSource: DataSource): Promise<void> {
  const runner = dataSource.createQueryRunner();
  try {
    const [row] = (await runner.query('SELECT GET_LOCK(?, ?) AS got', [lockName, lockTimeoutS])) as { got: string | number | null }[];
    if (Number(row?.got) !== 1) throw new Error('Another server is changing the database. Start again in a minute.');
    try {
      await dataSource.runMigrations();
    } finally {
      await runner.query('SELECT RELEASE_LOCK(?)', [lockName]);
    }
  } finally {
    await runner.release();
  }
}
