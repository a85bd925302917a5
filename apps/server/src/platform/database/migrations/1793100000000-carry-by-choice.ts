/** What of an address a code carries, and the level, where they were chosen by hand; what scanners act on; the level that was printed. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

export class CarryByChoice1793100000000 implements MigrationInterface {
  readonly name = 'CarryByChoice1793100000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE materials
      ADD carry varchar(20) ${ascii} NOT NULL DEFAULT 'link',
      ADD trimmed_link text NULL,
      ADD level varchar(1) ${ascii} NULL`);
    await runner.query('ALTER TABLE devices ADD acts_on json NULL');
    // Until somebody says otherwise a scanner is taken to act on everything but bare addresses.
    await runner.query(
      `UPDATE devices SET acts_on = '["link","contact","event","place","e-mail","phone","text-message","network"]'`,
    );
    await runner.query('ALTER TABLE devices MODIFY acts_on json NOT NULL');
  }

  down(): Promise<void> {
    throw new Error('migrations go forward only');
  }
}

const ascii = 'CHARACTER SET ascii COLLATE ascii_bin';
