/** A roster is sent once: what was compared is kept until it is imported, for a day at most. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class ComparedRosters1803000000000 extends ForwardMigration {
  readonly name = 'ComparedRosters1803000000000';
  protected readonly statements = [
    `CREATE TABLE compared_rosters (
      id char(36) ${ascii} NOT NULL,
      compared_by_id char(36) ${ascii} NOT NULL,
      students json NOT NULL,
      compared_at datetime(3) NOT NULL,
      INDEX IDX_4ce719499c61a8f1279a728bb8 (compared_by_id, id),
      INDEX IDX_16b1d2d794c96809da75018f8d (compared_at),
      PRIMARY KEY (id)
    ) ${table}`,
    'ALTER TABLE compared_rosters ADD CONSTRAINT FK_475a211aff2c81630681496d945 FOREIGN KEY (compared_by_id) REFERENCES accounts(id) ON DELETE CASCADE ON UPDATE NO ACTION',
  ];
}
