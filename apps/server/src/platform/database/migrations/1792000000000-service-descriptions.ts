/** Service descriptions of the school's own, and what opening a link without its counting parameters showed. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

export class ServiceDescriptions1792000000000 implements MigrationInterface {
  readonly name = 'ServiceDescriptions1792000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `CREATE TABLE service_descriptions (
        id varchar(60) CHARACTER SET "ascii" COLLATE "ascii_bin" NOT NULL,
        description json NOT NULL,
        version int NOT NULL DEFAULT '1',
        changed_at datetime(3) NOT NULL,
        PRIMARY KEY (id)
      ) ENGINE=InnoDB`,
    );
    await runner.query('ALTER TABLE access_checks ADD trimmed json NULL');
  }

  down(): Promise<void> {
    throw new Error('migrations go forward only');
  }
}
