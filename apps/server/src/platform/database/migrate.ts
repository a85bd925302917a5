/**
 * Runs what is missing of the migrations, under a lock, so that two servers can start at once. Each statement is
 * recorded: MariaDB commits before and after every change of a table, so a server that is killed in the middle leaves
 * half a migration behind, and the next start goes on where that one ended.
 */
import { MigrationExecutor, type DataSource, type Migration, type QueryRunner } from 'typeorm';

const lockName = 'hapset-migrations';
const lockTimeoutS = 60;

export interface MigrateOptions {
  /** Called with each statement at two moments; a test throws there, as if the server were killed. */
  readonly at?: (moment: 'done' | 'recorded', statement: string) => void;
}

/** A database that a later version changed: its tables may mean what this version does not know. */
export class NewerDatabaseError extends Error {
  constructor(readonly migrations: readonly string[]) {
    super(
      `A newer version of Hapset has changed this database (${migrations.join(', ')}). Start that version, or restore a backup from before the update.`,
    );
  }
}

/** @throws Error when another server holds the lock for longer than a minute. @throws NewerDatabaseError */
export async function migrate(dataSource: DataSource, options: MigrateOptions = {}): Promise<void> {
  const runner = dataSource.createQueryRunner();
  try {
    const [row] = (await runner.query('SELECT GET_LOCK(?, ?) AS got', [lockName, lockTimeoutS])) as {
      got: string | number | null;
    }[];
    if (Number(row?.got) !== 1) throw new Error('Another server is changing the database. Start again in a minute.');
    try {
      await runPending(dataSource, runner, options);
    } finally {
      await runner.query('SELECT RELEASE_LOCK(?)', [lockName]);
    }
  } finally {
    await runner.release();
  }
}

/** TypeORM's own, whose table is made before it is read. */
class SteppedExecutor extends MigrationExecutor {
  prepare(runner: QueryRunner): Promise<void> {
    return this.createMigrationsTableIfNotExist(runner);
  }
}

async function runPending(dataSource: DataSource, runner: QueryRunner, options: MigrateOptions): Promise<void> {
  const executor = new SteppedExecutor(dataSource, runner);
  await executor.prepare(runner);
  await refuseNewer(dataSource, executor);
  const pending = await executor.getPendingMigrations();
  if (pending.length === 0) return;
  await runner.query(
    'CREATE TABLE IF NOT EXISTS migration_steps (migration varchar(120) NOT NULL, step int NOT NULL, done tinyint NOT NULL, PRIMARY KEY (migration, step)) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci',
  );
  for (const migration of pending) {
    await migration.instance?.up(await stepping(runner, migration, options));
    await executor.insertMigration(migration);
    await runner.query('DELETE FROM migration_steps WHERE migration = ?', [migration.name]);
  }
}

async function refuseNewer(dataSource: DataSource, executor: MigrationExecutor): Promise<void> {
  const known = new Set(dataSource.migrations.map((migration) => migration.name ?? migration.constructor.name));
  const unknown = (await executor.getExecutedMigrations()).map(({ name }) => name).filter((name) => !known.has(name));
  if (unknown.length > 0) throw new NewerDatabaseError(unknown);
}

/** A runner whose statements are steps: those that were done before are passed over. */
async function stepping(
  runner: QueryRunner,
  { name }: Migration,
  { at = () => undefined }: MigrateOptions,
): Promise<QueryRunner> {
  const rows = (await runner.query('SELECT step, done FROM migration_steps WHERE migration = ?', [name])) as {
    step: number;
    done: number;
  }[];
  const before = new Map(rows.map(({ step, done }) => [step, done === 1]));
  let count = 0;
  const query = async (statement: string, values?: unknown[]): Promise<unknown> => {
    const step = (count += 1);
    if (before.get(step) === true) return undefined;
    if (/^\s*(?:INSERT|UPDATE|DELETE|REPLACE)\b/i.test(statement))
      return changeRows(runner, { name, step, statement, values }, at);
    // It may have been done without being recorded; only then is "it is so already" no failure.
    const begun = before.has(step);
    if (!begun)
      await runner.query('INSERT INTO migration_steps (migration, step, done) VALUES (?, ?, 0)', [name, step]);
    await runner.query(statement, values).catch((error: unknown) => {
      if (!begun || !isSoAlready(error)) throw error;
    });
    at('done', statement);
    await runner.query('UPDATE migration_steps SET done = 1 WHERE migration = ? AND step = ?', [name, step]);
    at('recorded', statement);
    return undefined;
  };
  return new Proxy(runner, {
    get: (target, property) => (property === 'query' ? query : (Reflect.get(target, property) as unknown)),
  });
}

/** A statement about rows and its record become visible together. */
async function changeRows(
  runner: QueryRunner,
  { name, step, statement, values }: { name: string; step: number; statement: string; values: unknown[] | undefined },
  at: NonNullable<MigrateOptions['at']>,
): Promise<void> {
  await runner.startTransaction();
  try {
    await runner.query(statement, values);
    at('done', statement);
    await runner.query('REPLACE INTO migration_steps (migration, step, done) VALUES (?, ?, 1)', [name, step]);
    await runner.commitTransaction();
  } catch (error) {
    await runner.rollbackTransaction();
    throw error;
  }
  at('recorded', statement);
}

const soAlready = new Set([
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_CANT_DROP_FIELD_OR_KEY',
  'ER_BAD_TABLE_ERROR',
  'ER_DUP_CONSTRAINT_NAME',
  'ER_FK_DUP_NAME',
  'ER_MULTIPLE_PRI_KEY',
  'ER_BAD_FIELD_ERROR',
]);

function isSoAlready(error: unknown): boolean {
  const { code, message } = error as { readonly code?: string; readonly message?: string };
  // A foreign key of that name: InnoDB says so by its own number (errno 121).
  return soAlready.has(code ?? '') || (code === 'ER_CANT_CREATE_TABLE' && /errno: 121/.test(message ?? ''));
}
