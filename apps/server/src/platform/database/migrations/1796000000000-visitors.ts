/** From which networks a link is followed for somebody who is not signed in. */
import { ForwardMigration } from '../forward-migration.js';

export class Visitors1796000000000 extends ForwardMigration {
  readonly name = 'Visitors1796000000000';
  protected readonly statements = ['ALTER TABLE schools ADD visitor_networks json NULL'];
}
