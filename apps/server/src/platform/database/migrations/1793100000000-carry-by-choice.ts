/** What of an address a code carries, and the level, where they were chosen by hand; what scanners act on; the level that was printed. */
import { ascii, ForwardMigration } from '../forward-migration.js';

export class CarryByChoice1793100000000 extends ForwardMigration {
  readonly name = 'CarryByChoice1793100000000';
  protected readonly statements = [
    `ALTER TABLE materials
      ADD carry varchar(20) ${ascii} NOT NULL DEFAULT 'link',
      ADD trimmed_link text NULL,
      ADD level varchar(1) ${ascii} NULL`,
    'ALTER TABLE devices ADD acts_on json NULL',
    // Until somebody says otherwise a scanner is taken to act on everything but bare addresses.
    `UPDATE devices SET acts_on = '["link","contact","event","place","e-mail","phone","text-message","network"]'`,
    'ALTER TABLE devices MODIFY acts_on json NOT NULL',
  ];
}
