/** Sizes and distances chosen by hand, cameras that compress, and rehearsals that scripts ask for. */
import type { MigrationInterface, QueryRunner } from 'typeorm';

export class Rehearsals1797000000000 implements MigrationInterface {
  readonly name = 'Rehearsals1797000000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const statement of statements) await runner.query(statement);
  }

  down(): Promise<void> {
    throw new Error('migrations go forward only');
  }
}

const statements: readonly string[] = [
  'ALTER TABLE stations ADD viewing_distance_m double NULL, ADD size_mm int NULL',
  'ALTER TABLE materials ADD size_mm int NULL',
  'ALTER TABLE devices ADD jpeg_quality int NULL',
];
