/** Readings of an id that was typed, without a card. */
import { ForwardMigration } from '../forward-migration.js';

export class ReadingsById1818000000000 extends ForwardMigration {
  readonly name = 'ReadingsById1818000000000';
  protected readonly statements = ['ALTER TABLE card_readings ADD by_id tinyint NOT NULL DEFAULT 0'];
}
