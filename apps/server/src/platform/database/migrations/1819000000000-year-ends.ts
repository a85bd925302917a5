/** Imports of rosters and ends of school years are told apart. */
import { ascii, ForwardMigration } from '../forward-migration.js';

export class YearEnds1819000000000 extends ForwardMigration {
  readonly name = 'YearEnds1819000000000';
  protected readonly statements = [
    `ALTER TABLE roster_imports ADD kind varchar(20) ${ascii} NOT NULL DEFAULT 'roster'`,
  ];
}
