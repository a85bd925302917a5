/** Short links of the school's own with where they led and how often they were opened, and what real devices made of codes. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class ShortLinks1794000000000 extends ForwardMigration {
  readonly name = 'ShortLinks1794000000000';
  protected readonly statements = statements;
}

// Index and constraint names are TypeORM's own, so that it finds no difference between entities and tables.
const statements: readonly string[] = [
  `ALTER TABLE materials ADD slug varchar(7) ${ascii} NULL, ADD UNIQUE INDEX IDX_051578c40cd4979bb4446151ba (slug)`,
  'ALTER TABLE schools ADD former_short_hosts json NULL',
  `CREATE TABLE short_links (
    slug varchar(7) ${ascii} NOT NULL,
    material_id char(36) ${ascii} NULL,
    opening json NOT NULL,
    trying_since datetime(3) NULL,
    trying_until datetime(3) NULL,
    created_at datetime(3) NOT NULL,
    changed_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
    UNIQUE INDEX IDX_d0238de945793dc6132acdb1a0 (material_id),
    INDEX IDX_1afd39a67fa1f7305b2dc2b8f5 (changed_at),
    PRIMARY KEY (slug),
    CONSTRAINT FK_d0238de945793dc6132acdb1a0b FOREIGN KEY (material_id) REFERENCES materials (id) ON DELETE SET NULL ON UPDATE NO ACTION
  ) ${table}`,
  `CREATE TABLE short_link_turns (
    id char(36) ${ascii} NOT NULL,
    slug varchar(7) ${ascii} NOT NULL,
    from_address text NOT NULL,
    to_address text NOT NULL,
    at datetime(3) NOT NULL,
    INDEX IDX_de40d2971ab4280059310e6e42 (slug, id),
    PRIMARY KEY (id)
  ) ${table}`,
  `CREATE TABLE short_link_counts (
    slug varchar(7) ${ascii} NOT NULL,
    hour datetime NOT NULL,
    visitor varchar(10) ${ascii} NOT NULL,
    opens int NOT NULL,
    PRIMARY KEY (slug, hour, visitor)
  ) ${table}`,
  `CREATE TABLE tryouts (
    id char(36) ${ascii} NOT NULL,
    material_id char(36) ${ascii} NOT NULL,
    device_id char(36) ${ascii} NULL,
    outcome varchar(12) ${ascii} NOT NULL,
    visitor varchar(10) ${ascii} NULL,
    after_ms int NULL,
    page_opened tinyint NULL,
    payload text NOT NULL,
    at datetime(3) NOT NULL,
    changed_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3),
    INDEX IDX_20c98b9378369a5cd0eae56a22 (changed_at),
    INDEX IDX_6b64c060af43981c7e2ba9c678 (material_id, id),
    PRIMARY KEY (id),
    CONSTRAINT FK_79e0cc9e8dfca621157a1328345 FOREIGN KEY (material_id) REFERENCES materials (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    CONSTRAINT FK_6b66b3387d1713481872e8dac57 FOREIGN KEY (device_id) REFERENCES devices (id) ON DELETE SET NULL ON UPDATE NO ACTION
  ) ${table}`,
];
