/** Service descriptions of the school's own, and what opening a link without its counting parameters showed. */
import { ForwardMigration } from '../forward-migration.js';

export class ServiceDescriptions1792000000000 extends ForwardMigration {
  readonly name = 'ServiceDescriptions1792000000000';
  protected readonly statements = [
    `CREATE TABLE service_descriptions (
        id varchar(60) CHARACTER SET "ascii" COLLATE "ascii_bin" NOT NULL,
        description json NOT NULL,
        version int NOT NULL DEFAULT '1',
        changed_at datetime(3) NOT NULL,
        PRIMARY KEY (id)
      ) ENGINE=InnoDB`,
    'ALTER TABLE access_checks ADD trimmed json NULL',
  ];
}
