/** The school's language, for dates, numbers and texts. */
import { ascii, ForwardMigration } from '../forward-migration.js';

export class SchoolLanguage1812000000000 extends ForwardMigration {
  readonly name = 'SchoolLanguage1812000000000';
  protected readonly statements = [
    `ALTER TABLE schools ADD COLUMN language varchar(35) ${ascii} NOT NULL DEFAULT 'en-GB'`,
  ];
}
