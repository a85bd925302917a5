/** Fields of the kinds that the code carries itself (contact, event, place and their like), and tags. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Content1790211600000 implements MigrationInterface {
  readonly name = 'Content1790211600000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE materials ADD content json NULL AFTER words, ADD tags json NULL AFTER content');
  }

  down(): Promise<void> {
    throw new Error('migrations go forward only');
  }
}
