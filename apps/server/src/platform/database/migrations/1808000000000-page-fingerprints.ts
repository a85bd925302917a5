/** Which page a person looked at. Answers of before don't know. */
import { ForwardMigration } from '../forward-migration.js';

export class PageFingerprints1808000000000 extends ForwardMigration {
  readonly name = 'PageFingerprints1808000000000';
  protected readonly statements = ['ALTER TABLE person_answers ADD COLUMN fingerprint json NULL'];
}
