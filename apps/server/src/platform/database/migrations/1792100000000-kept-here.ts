/** Files that the school's own server keeps, uploads under way, what materials show of them, and jobs. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class KeptHere1792100000000 extends ForwardMigration {
  readonly name = 'KeptHere1792100000000';
  protected readonly statements = statements;
}

// Index and constraint names are TypeORM's own, so that it finds no difference between entities and tables.
const statements: readonly string[] = [
  `CREATE TABLE stored_contents (
    hash varchar(64) ${ascii} NOT NULL,
    size_bytes int NOT NULL,
    content_type varchar(120) ${ascii} NOT NULL,
    media varchar(10) ${ascii} NOT NULL,
    width_px int NULL,
    height_px int NULL,
    variants json NOT NULL,
    stored_at datetime(3) NOT NULL,
    orphaned_at datetime(3) NULL,
    PRIMARY KEY (hash)
  ) ${table}`,
  `CREATE TABLE jobs (
    id char(36) ${ascii} NOT NULL,
    kind varchar(40) ${ascii} NOT NULL,
    subject varchar(120) ${ascii} NOT NULL,
    state varchar(10) ${ascii} NOT NULL,
    run_at datetime(3) NOT NULL,
    attempts int NOT NULL DEFAULT '0',
    failure varchar(500) NULL,
    claim char(36) ${ascii} NULL,
    lease_until datetime(3) NULL,
    created_at datetime(3) NOT NULL,
    finished_at datetime(3) NULL,
    INDEX IDX_3a2bda19fa88563ae81b196e26 (claim),
    INDEX IDX_355b06293b6cafac4bbb9a77a4 (kind, subject, state),
    INDEX IDX_d005f680672fb2ea4c0a033fc3 (state, run_at),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE uploads (
    id char(36) ${ascii} NOT NULL,
    owner_id char(36) ${ascii} NOT NULL,
    size_bytes int NOT NULL,
    created_at datetime(3) NOT NULL,
    INDEX IDX_4dfa98b9e12204ea0f0f712f30 (owner_id),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE kept_files (
    id char(36) ${ascii} NOT NULL,
    owner_id char(36) ${ascii} NOT NULL,
    token varchar(20) ${ascii} NOT NULL,
    name varchar(200) NOT NULL,
    content_hash varchar(64) ${ascii} NOT NULL,
    version int NOT NULL DEFAULT '1',
    created_at datetime(3) NOT NULL,
    removed_at datetime(3) NULL,
    UNIQUE INDEX IDX_7a204f236673565702125362c7 (token),
    INDEX IDX_69fcc984051541df67eb612939 (content_hash),
    INDEX IDX_4ff3c44342b3143217763da5cf (owner_id, removed_at, id),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE file_uses (
    material_id char(36) ${ascii} NOT NULL,
    file_id char(36) ${ascii} NOT NULL,
    INDEX IDX_b01c1fb6a7ce4a07d029ade6e8 (file_id),
    PRIMARY KEY (material_id, file_id)
  ) ${table}`,
  `CREATE TABLE earlier_pages (
    id char(36) ${ascii} NOT NULL,
    material_id char(36) ${ascii} NOT NULL,
    document json NOT NULL,
    replaced_at datetime(3) NOT NULL,
    INDEX IDX_e74daca09423d62eb5819ef736 (material_id, id),
    PRIMARY KEY (id)
  ) ${table}`,
  `ALTER TABLE materials ADD kept json NULL`,
  `ALTER TABLE materials ADD page_token varchar(20) ${ascii} NULL`,
  `ALTER TABLE materials ADD UNIQUE INDEX IDX_44e29574b46795d922bdf5142f (page_token)`,
  `ALTER TABLE materials ADD shown_until varchar(10) ${ascii} NULL`,
  `ALTER TABLE uploads ADD CONSTRAINT FK_4dfa98b9e12204ea0f0f712f30c FOREIGN KEY (owner_id) REFERENCES accounts(id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE kept_files ADD CONSTRAINT FK_eacb1fdb3325493b2d596314cfc FOREIGN KEY (owner_id) REFERENCES accounts(id) ON DELETE RESTRICT ON UPDATE NO ACTION`,
  `ALTER TABLE kept_files ADD CONSTRAINT FK_69fcc984051541df67eb6129394 FOREIGN KEY (content_hash) REFERENCES stored_contents(hash) ON DELETE RESTRICT ON UPDATE NO ACTION`,
  `ALTER TABLE file_uses ADD CONSTRAINT FK_e636b9a00c059af613aa934f3b4 FOREIGN KEY (material_id) REFERENCES materials(id) ON DELETE CASCADE ON UPDATE NO ACTION`,
  `ALTER TABLE file_uses ADD CONSTRAINT FK_b01c1fb6a7ce4a07d029ade6e82 FOREIGN KEY (file_id) REFERENCES kept_files(id) ON DELETE RESTRICT ON UPDATE NO ACTION`,
  `ALTER TABLE earlier_pages ADD CONSTRAINT FK_6b4d53023b1169e3639688ce766 FOREIGN KEY (material_id) REFERENCES materials(id) ON DELETE CASCADE ON UPDATE NO ACTION`,
];
