/** What of students was edited by hand, and ids as long as an e-mail address. */
import { ForwardMigration } from '../forward-migration.js';

export class EditedStudents1817000000000 extends ForwardMigration {
  readonly name = 'EditedStudents1817000000000';
  protected readonly statements = [
    "ALTER TABLE students ADD edited json NOT NULL DEFAULT '{}'",
    'ALTER TABLE students ALTER COLUMN edited DROP DEFAULT',
    'ALTER TABLE students MODIFY school_id varchar(120) NULL',
  ];
}
