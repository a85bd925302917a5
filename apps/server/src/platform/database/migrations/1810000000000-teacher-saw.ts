/** First words that the teacher saw at a link: what students get is compared with them. */
import { ForwardMigration } from '../forward-migration.js';

export class TeacherSaw1810000000000 extends ForwardMigration {
  readonly name = 'TeacherSaw1810000000000';
  protected readonly statements = ['ALTER TABLE materials ADD COLUMN teacher_saw varchar(400) NULL'];
}
