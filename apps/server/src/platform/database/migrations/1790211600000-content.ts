/** Fields of the kinds that the code carries itself (contact, event, place and their like), and tags. */
import { ForwardMigration } from '../forward-migration.js';

export class Content1790211600000 extends ForwardMigration {
  readonly name = 'Content1790211600000';
  protected readonly statements = [
    'ALTER TABLE materials ADD content json NULL AFTER words, ADD tags json NULL AFTER content',
  ];
}
