/** Templates of sheets name a design and a line at the foot. */
import { ForwardMigration } from '../forward-migration.js';

export class SheetDesigns1822000000000 extends ForwardMigration {
  readonly name = 'SheetDesigns1822000000000';
  protected readonly statements = [
    'ALTER TABLE sheet_templates ADD layout varchar(20) NULL',
    "ALTER TABLE sheet_templates ADD footer varchar(120) NOT NULL DEFAULT ''",
    'ALTER TABLE sheet_templates ADD labels json NULL',
  ];
}
