/** What a rehearsal was asked for is its request, and what is in the middle of a code has a kind. */
import { ForwardMigration } from '../forward-migration.js';

export class Kinds1801000000000 extends ForwardMigration {
  readonly name = 'Kinds1801000000000';
  protected readonly statements = [
    'ALTER TABLE asked_rehearsals CHANGE COLUMN wish request json NOT NULL',
    // As text, so that the order of the fields stays: a sheet's look is compared with today's. A quote inside a text
    // is written \" in JSON, so no words of a person can look like this.
    ...['looks.design', 'sheets.content', 'printed_cards.content'].map((place) => {
      const [table, column] = place.split('.');
      return `UPDATE ${table} SET ${column} = REPLACE(${column}, '"centre":{"sort":"', '"centre":{"kind":"')`;
    }),
  ];
}
