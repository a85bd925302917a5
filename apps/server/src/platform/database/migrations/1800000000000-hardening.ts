/** Sessions that end when idle, sign-ins counted before they are tried, one row where two requests come at once, longer slugs. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class Hardening1800000000000 extends ForwardMigration {
  readonly name = 'Hardening1800000000000';
  protected readonly statements = statements;
}

// Index names are TypeORM's own, so that it finds no difference between entities and tables.
const statements: readonly string[] = [
  `CREATE TABLE locks (name varchar(40) ${ascii} NOT NULL, PRIMARY KEY (name)) ${table}`,
  "INSERT IGNORE INTO locks (name) VALUES ('rosters')",
  'ALTER TABLE sessions ADD COLUMN kept tinyint NOT NULL DEFAULT 0',
  `ALTER TABLE sessions ADD COLUMN address_hash varchar(64) ${ascii} NULL`,
  // They were made for 30 days each; from now on only those who ask for it stay so long.
  'DELETE FROM sessions',
  'DROP TABLE sign_in_attempts',
  `CREATE TABLE sign_in_failures (\`key\` varchar(64) ${ascii} NOT NULL, count int NOT NULL, last_at datetime(3) NOT NULL, INDEX IDX_ce683c6c7923ee31367102929e (last_at), PRIMARY KEY (\`key\`)) ${table}`,
  'ALTER TABLE access_checks ADD COLUMN attempts int NOT NULL DEFAULT 0',
  `ALTER TABLE jobs ADD COLUMN active_key varchar(170) ${ascii} NULL`,
  // Of several unfinished ones of a kind and subject the first goes on.
  "UPDATE jobs SET state = 'done' WHERE state IN ('waiting', 'working') AND id NOT IN (SELECT id FROM (SELECT MIN(id) AS id FROM jobs WHERE state IN ('waiting', 'working') GROUP BY kind, subject) AS firsts)",
  "UPDATE jobs SET active_key = CONCAT(kind, ' ', subject) WHERE state IN ('waiting', 'working')",
  'ALTER TABLE jobs ADD UNIQUE INDEX IDX_1280c79374eeb4dc31e6c24f5a (active_key)',
  'ALTER TABLE uploads ADD COLUMN taken_at datetime(3) NULL',
  `ALTER TABLE student_cards ADD COLUMN valid_for char(36) ${ascii} NULL`,
  // Of several valid ones the last counts, as it did.
  'UPDATE student_cards SET replaced_at = made_at WHERE replaced_at IS NULL AND id NOT IN (SELECT id FROM (SELECT MAX(id) AS id FROM student_cards WHERE replaced_at IS NULL GROUP BY student_id) AS lasts)',
  'UPDATE student_cards SET valid_for = student_id WHERE replaced_at IS NULL',
  'ALTER TABLE student_cards ADD UNIQUE INDEX IDX_36de6f1de14a6295584edb4ed9 (valid_for)',
  'ALTER TABLE prints ADD COLUMN revision int NOT NULL DEFAULT 1',
  'ALTER TABLE schools ADD COLUMN teacher_classes json NULL',
  `ALTER TABLE short_links MODIFY slug varchar(9) ${ascii} NOT NULL`,
  `ALTER TABLE short_link_counts MODIFY slug varchar(9) ${ascii} NOT NULL`,
  `ALTER TABLE short_link_turns MODIFY slug varchar(9) ${ascii} NOT NULL`,
  `ALTER TABLE materials MODIFY slug varchar(9) ${ascii} NULL`,
  // A replaced slug leads to the same material still.
  'ALTER TABLE short_links DROP INDEX IDX_d0238de945793dc6132acdb1a0, ADD INDEX IDX_d0238de945793dc6132acdb1a0 (material_id)',
  `ALTER TABLE short_links ADD COLUMN current_for char(36) ${ascii} NULL`,
  'UPDATE short_links SET current_for = material_id, changed_at = changed_at WHERE material_id IS NOT NULL',
  'ALTER TABLE short_links ADD UNIQUE INDEX IDX_ded8105615026344a0d21b945b (current_for)',
  `CREATE TABLE short_link_misses (hour datetime(3) NOT NULL, misses int NOT NULL, slowed int NOT NULL, PRIMARY KEY (hour)) ${table}`,
];
