/** Changes that are sent again get the reply of the first time. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class AnsweredRequests1811000000000 extends ForwardMigration {
  readonly name = 'AnsweredRequests1811000000000';
  protected readonly statements = [
    `CREATE TABLE answered_requests (
      account_id char(36) ${ascii} NOT NULL,
      request_key char(36) ${ascii} NOT NULL,
      fingerprint varchar(64) ${ascii} NOT NULL,
      held_at datetime(3) NOT NULL,
      answered_at datetime(3) NULL,
      reply mediumtext NULL,
      INDEX IDX_7d4223a9279034718edd62a811 (held_at),
      PRIMARY KEY (account_id, request_key)
    ) ${table}`,
    'ALTER TABLE answered_requests ADD CONSTRAINT FK_4d4584a6e53801cfff78e288d16 FOREIGN KEY (account_id) REFERENCES accounts(id) ON DELETE CASCADE ON UPDATE NO ACTION',
  ];
}
