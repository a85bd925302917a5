/** Where found student cards are to be brought. */
import { ForwardMigration } from '../forward-migration.js';

export class CardBacks1820000000000 extends ForwardMigration {
  readonly name = 'CardBacks1820000000000';
  protected readonly statements = ["ALTER TABLE schools ADD card_return_to varchar(200) NOT NULL DEFAULT ''"];
}
