/** Photos of students for their cards. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class StudentPhotos1821000000000 extends ForwardMigration {
  readonly name = 'StudentPhotos1821000000000';
  protected readonly statements = [
    'ALTER TABLE schools ADD student_photos tinyint NOT NULL DEFAULT 0',
    `CREATE TABLE student_photos (
      student_id char(36) ${ascii} NOT NULL,
      bytes mediumblob NOT NULL,
      added_at datetime(3) NOT NULL,
      PRIMARY KEY (student_id)
    ) ${table}`,
    'ALTER TABLE student_photos ADD CONSTRAINT FK_5357daea02a514c15ceb51a1546 FOREIGN KEY (student_id) REFERENCES students(id) ON DELETE CASCADE ON UPDATE NO ACTION',
  ];
}
