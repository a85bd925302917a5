/** How long records are kept, and what the last deletion deleted. */
import { ForwardMigration } from '../forward-migration.js';

export class Retention1816000000000 extends ForwardMigration {
  readonly name = 'Retention1816000000000';
  protected readonly statements = [
    `CREATE TABLE retention (
      id tinyint NOT NULL,
      days json NOT NULL,
      deleted json NOT NULL,
      deleted_at datetime(3) NULL,
      version int NOT NULL DEFAULT 1,
      PRIMARY KEY (id)
    )`,
    "INSERT INTO retention (id, days, deleted) VALUES (1, '{}', '{}')",
  ];
}
