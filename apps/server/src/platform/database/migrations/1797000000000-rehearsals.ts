/** Sizes and distances chosen by hand, cameras that compress, and rehearsals that scripts ask for. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class Rehearsals1797000000000 extends ForwardMigration {
  readonly name = 'Rehearsals1797000000000';
  protected readonly statements = statements;
}

// Index and constraint names are TypeORM's own, so that it finds no difference between entities and tables.
const statements: readonly string[] = [
  'ALTER TABLE stations ADD viewing_distance_m double NULL, ADD size_mm int NULL',
  'ALTER TABLE materials ADD size_mm int NULL',
  'ALTER TABLE devices ADD jpeg_quality int NULL',
  `CREATE TABLE asked_rehearsals (
    id char(36) ${ascii} NOT NULL,
    asked_by_id char(36) ${ascii} NOT NULL,
    wish json NOT NULL,
    result json NULL,
    failure varchar(500) NULL,
    asked_at datetime(3) NOT NULL,
    INDEX IDX_527c73930c2ccd0c2dc9023c48 (asked_by_id),
    INDEX IDX_5409bc2dc3ab395dbd712f3eec (asked_at),
    PRIMARY KEY (id)
  ) ${table}`,
  'ALTER TABLE asked_rehearsals ADD CONSTRAINT FK_527c73930c2ccd0c2dc9023c484 FOREIGN KEY (asked_by_id) REFERENCES accounts(id) ON DELETE CASCADE ON UPDATE NO ACTION',
];
