/** The frame of a migration: its statements one after the other, and no way back. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Ids and keywords: compared byte by byte. */
export const ascii = 'CHARACTER SET ascii COLLATE ascii_bin';
/** How every table is stored. */
export const table = 'ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci';

export abstract class ForwardMigration implements MigrationInterface {
  /** What TypeORM remembers of it: words and a time in milliseconds, which gives the order. */
  abstract readonly name: string;
  /** Each is recorded as it is done, so that a start goes on where an earlier one was killed. */
  protected abstract readonly statements: readonly string[];

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of this.statements) await runner.query(statement);
  }

  down(): Promise<void> {
    throw new Error('migrations go forward only');
  }
}
