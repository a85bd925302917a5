/** From which networks a link is followed for somebody who is not signed in. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Visitors1796000000000 implements MigrationInterface {
  readonly name = 'Visitors1796000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE schools ADD visitor_networks json NULL');
  }

  down(): Promise<void> {
    throw new Error('migrations go forward only');
  }
}
