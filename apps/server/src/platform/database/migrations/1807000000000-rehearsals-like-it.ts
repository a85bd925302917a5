/** Rehearsals are found by the shape of their code as well. Earlier ones have none, and are found by their key only. */
import { ascii, ForwardMigration } from '../forward-migration.js';

export class RehearsalsLikeIt1807000000000 extends ForwardMigration {
  readonly name = 'RehearsalsLikeIt1807000000000';
  protected readonly statements = [
    `ALTER TABLE rehearsals ADD COLUMN shape_key varchar(64) ${ascii} NULL`,
    'CREATE INDEX IDX_ff17324ca878e09b2ccf5aa110 ON rehearsals (shape_key, rehearsed_at)',
  ];
}
