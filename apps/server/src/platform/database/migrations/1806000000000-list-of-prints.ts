/** Prints can be deleted, and composed again with what they were made with. Earlier ones don't know that. */
import { ForwardMigration } from '../forward-migration.js';

export class ListOfPrints1806000000000 extends ForwardMigration {
  readonly name = 'ListOfPrints1806000000000';
  protected readonly statements = [
    'ALTER TABLE prints ADD COLUMN removed_at datetime(3) NULL',
    'ALTER TABLE prints ADD COLUMN origin json NULL',
  ];
}
