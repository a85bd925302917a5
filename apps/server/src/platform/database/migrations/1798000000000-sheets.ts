/** Sheets of many codes in one go, designs of the school's own, and what its printer does. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class Sheets1798000000000 extends ForwardMigration {
  readonly name = 'Sheets1798000000000';
  protected readonly statements = statements;
}

// Index and constraint names are TypeORM's own, so that it finds no difference between entities and tables.
const statements: readonly string[] = [
  `ALTER TABLE schools ADD printer_margin_mm double NOT NULL DEFAULT 5, ADD duplex_edge varchar(5) ${ascii} NOT NULL DEFAULT 'long', ADD duplex_right_mm double NOT NULL DEFAULT 0, ADD duplex_down_mm double NOT NULL DEFAULT 0`,
  `CREATE TABLE prints (
    id char(36) ${ascii} NOT NULL,
    owner_id char(36) ${ascii} NOT NULL,
    name varchar(200) NOT NULL,
    kind varchar(20) ${ascii} NOT NULL,
    setup json NOT NULL,
    han varchar(4) ${ascii} NOT NULL,
    codes int NOT NULL,
    pages int NOT NULL,
    drawn int NOT NULL DEFAULT 0,
    state varchar(10) ${ascii} NOT NULL,
    storage_key varchar(80) ${ascii} NULL,
    file_name varchar(120) NOT NULL,
    made_at datetime(3) NOT NULL,
    finished_at datetime(3) NULL,
    INDEX IDX_6c5fe93488760e9ea7bce4e6e9 (owner_id, id),
    INDEX IDX_781a0c9b8646365d2e8146016b (state, finished_at),
    PRIMARY KEY (id)
  ) ${table}`,
  'ALTER TABLE prints ADD CONSTRAINT FK_890c334d2a0057b5dbff87d3f6a FOREIGN KEY (owner_id) REFERENCES accounts(id) ON DELETE CASCADE ON UPDATE NO ACTION',
  `ALTER TABLE sheets ADD print_id char(36) ${ascii} NULL, ADD position int NOT NULL DEFAULT 0`,
  'CREATE INDEX IDX_00b85c6255d71f975b86126011 ON sheets (print_id, position)',
  'ALTER TABLE sheets ADD CONSTRAINT FK_c7163393849adf927ee90323be6 FOREIGN KEY (print_id) REFERENCES prints(id) ON DELETE CASCADE ON UPDATE NO ACTION',
  `CREATE TABLE sheet_templates (
    id char(36) ${ascii} NOT NULL,
    name varchar(60) NOT NULL,
    kind varchar(20) ${ascii} NOT NULL,
    accent varchar(7) ${ascii} NOT NULL,
    header json NULL,
    usual tinyint NOT NULL DEFAULT 0,
    made_by_id char(36) ${ascii} NOT NULL,
    version int NOT NULL DEFAULT 1,
    created_at datetime(3) NOT NULL,
    removed_at datetime(3) NULL,
    PRIMARY KEY (id)
  ) ${table}`,
];
