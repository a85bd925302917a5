/** What a browser shows of a page, and where its picture is. */
import { ForwardMigration } from '../forward-migration.js';

export class StudentViews1809000000000 extends ForwardMigration {
  readonly name = 'StudentViews1809000000000';
  protected readonly statements = [
    `ALTER TABLE access_checks
       ADD COLUMN view varchar(10) CHARACTER SET ascii COLLATE ascii_bin NULL,
       ADD COLUMN view_key varchar(80) CHARACTER SET ascii COLLATE ascii_bin NULL`,
  ];
}
