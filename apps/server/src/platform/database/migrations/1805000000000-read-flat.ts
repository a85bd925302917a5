/** Engines that can't read a code even flat and straight. Earlier rehearsals did not ask; their keys are not asked for any more. */
import { ForwardMigration } from '../forward-migration.js';

export class ReadFlat1805000000000 extends ForwardMigration {
  readonly name = 'ReadFlat1805000000000';
  protected readonly statements = [
    'ALTER TABLE rehearsals ADD COLUMN unread_by json NULL',
    "UPDATE rehearsals SET unread_by = '[]'",
    'ALTER TABLE rehearsals MODIFY COLUMN unread_by json NOT NULL',
  ];
}
