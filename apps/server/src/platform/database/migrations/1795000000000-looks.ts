/** Looks of the school and pictures in the middle of codes, who has which, and pictures for web pages. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class Looks1795000000000 extends ForwardMigration {
  readonly name = 'Looks1795000000000';
  protected readonly statements = statements;
}

// Index and constraint names are TypeORM's own, so that it finds no difference between entities and tables.
const statements: readonly string[] = [
  `CREATE TABLE looks (
    id char(36) ${ascii} NOT NULL,
    name varchar(60) NOT NULL,
    design json NOT NULL,
    allowed tinyint NOT NULL DEFAULT 1,
    made_by_id char(36) ${ascii} NOT NULL,
    version int NOT NULL DEFAULT 1,
    created_at datetime(3) NOT NULL,
    removed_at datetime(3) NULL,
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE look_pictures (
    id char(36) ${ascii} NOT NULL,
    bytes mediumblob NOT NULL,
    width_px int NOT NULL,
    height_px int NOT NULL,
    created_at datetime(3) NOT NULL,
    PRIMARY KEY (id)
  ) ${table}`,
  `ALTER TABLE materials ADD look varchar(36) ${ascii} NULL, ADD picture_token varchar(20) ${ascii} NULL, ADD picture_shown tinyint NOT NULL DEFAULT 0, ADD UNIQUE INDEX IDX_7b089edd9e08344b717c60c538 (picture_token)`,
  `ALTER TABLE lessons ADD look varchar(36) ${ascii} NULL`,
  `ALTER TABLE schools ADD default_look_id char(36) ${ascii} NULL, ADD looks_made_by varchar(20) ${ascii} NOT NULL DEFAULT 'staff'`,
];
