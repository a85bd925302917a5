/** Access checks wait in the queue of all long work, which knows for whom, in which lane, how urgent and how far. */
import { ascii, ForwardMigration } from '../forward-migration.js';

export class OneQueue1802000000000 extends ForwardMigration {
  readonly name = 'OneQueue1802000000000';
  protected readonly statements = [
    `ALTER TABLE jobs
      ADD COLUMN owner_id varchar(36) ${ascii} NOT NULL DEFAULT '',
      ADD COLUMN lane varchar(100) ${ascii} NOT NULL DEFAULT '',
      ADD COLUMN priority tinyint NOT NULL DEFAULT 0,
      ADD COLUMN progress_done int NULL,
      ADD COLUMN progress_total int NULL,
      ADD INDEX IDX_a8762d6912f0ca816696c90e80 (finished_at)`,
    "INSERT IGNORE INTO locks (name) VALUES ('jobs')",
    `INSERT IGNORE INTO jobs (id, kind, subject, active_key, owner_id, lane, state, run_at, attempts, created_at)
      SELECT UUID(), 'access-check', c.id, CONCAT('access-check ', c.id), COALESCE(m.owner_id, c.asked_by_id, ''), c.host,
             'waiting', NOW(3), 0, NOW(3)
        FROM access_checks c LEFT JOIN materials m ON m.id = c.material_id
       WHERE c.state IN ('waiting', 'opening')`,
    `ALTER TABLE access_checks
      DROP INDEX IDX_19fd6946a8be2489eeb63c128f, DROP INDEX IDX_d4246584aed94eb48d6fda8525,
      DROP COLUMN claim, DROP COLUMN lease_until, DROP COLUMN attempts, DROP COLUMN host`,
    'ALTER TABLE prints DROP COLUMN drawn',
  ];
}
