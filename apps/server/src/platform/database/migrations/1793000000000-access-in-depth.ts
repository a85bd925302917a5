/** Checks with several reasons, of links without a material, with limits by host; and when lessons were opened by schedule. */
import { ascii, ForwardMigration } from '../forward-migration.js';

export class AccessInDepth1793000000000 extends ForwardMigration {
  readonly name = 'AccessInDepth1793000000000';
  protected readonly statements = statements;
}

// Index and constraint names are TypeORM's own, so that it finds no difference between entities and tables.
const statements: readonly string[] = [
  `CREATE TABLE scheduled_openings (
    lesson_id char(36) ${ascii} NOT NULL,
    time varchar(20) ${ascii} NOT NULL,
    due_at datetime(3) NOT NULL,
    PRIMARY KEY (lesson_id, time, due_at),
    CONSTRAINT FK_de6255606cf21c25a95cab2a69b FOREIGN KEY (lesson_id) REFERENCES lessons (id) ON DELETE CASCADE ON UPDATE NO ACTION
  ) ENGINE=InnoDB DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_unicode_ci`,
  `ALTER TABLE access_checks
    ADD asked_by_id char(36) ${ascii} NULL,
    ADD host varchar(100) ${ascii} NOT NULL DEFAULT '',
    ADD reasons json NULL,
    ADD picture mediumblob NULL,
    ADD picture_bytes int NULL,
    ADD changed_at datetime(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3) ON UPDATE CURRENT_TIMESTAMP(3)`,
  `UPDATE access_checks SET reasons = JSON_ARRAY(JSON_OBJECT('reason', reason, 'detail', COALESCE(detail, ''))) WHERE reason IS NOT NULL`,
  `UPDATE access_checks SET host = LEFT(SUBSTRING_INDEX(SUBSTRING_INDEX(link, '/', 3), '//', -1), 100) WHERE link REGEXP '^https?://[[:alnum:].:-]+'`,
  'ALTER TABLE access_checks DROP INDEX IDX_326a02a4921aa6eaa5288ce098, DROP COLUMN reason, DROP COLUMN detail',
  'ALTER TABLE access_checks ALTER COLUMN host DROP DEFAULT',
  'ALTER TABLE access_checks DROP FOREIGN KEY FK_1ef7b3b10dc5be061be70b9b680',
  `ALTER TABLE access_checks MODIFY material_id char(36) ${ascii} NULL`,
  `ALTER TABLE access_checks
    ADD INDEX IDX_73a351060add28fe622debc213 (asked_by_id),
    ADD INDEX IDX_ed99c5715b036f12b13a6018c2 (changed_at),
    ADD INDEX IDX_d4246584aed94eb48d6fda8525 (state, host, lease_until),
    ADD CONSTRAINT FK_1ef7b3b10dc5be061be70b9b680 FOREIGN KEY (material_id) REFERENCES materials (id) ON DELETE CASCADE ON UPDATE NO ACTION,
    ADD CONSTRAINT FK_73a351060add28fe622debc2136 FOREIGN KEY (asked_by_id) REFERENCES accounts (id) ON DELETE CASCADE ON UPDATE NO ACTION`,
];
