/** Accounts that are made, changed and closed in the application: one-time links, known devices, and a log of who did what. */
import { ForwardMigration } from '../forward-migration.js';

export class StaffAccounts1814000000000 extends ForwardMigration {
  readonly name = 'StaffAccounts1814000000000';
  protected readonly statements = [
    "INSERT IGNORE INTO locks (name) VALUES ('accounts')",
    'ALTER TABLE accounts ADD deactivated_at datetime(3) NULL, ADD last_sign_in_at datetime(3) NULL',
    `ALTER TABLE sessions
      ADD id char(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
      ADD begun_at datetime(3) NULL,
      ADD used_at datetime(3) NULL,
      ADD confirmed_at datetime(3) NULL,
      ADD device varchar(80) NOT NULL DEFAULT ''`,
    'UPDATE sessions SET id = UUID(), begun_at = NOW(3), used_at = NOW(3) WHERE id IS NULL',
    `ALTER TABLE sessions
      MODIFY id char(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      MODIFY begun_at datetime(3) NOT NULL,
      MODIFY used_at datetime(3) NOT NULL,
      ADD UNIQUE INDEX IDX_3238ef96f18b355b671619111b (id)`,
    `CREATE TABLE account_links (
      id char(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      token_hash varchar(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      kind varchar(12) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      role varchar(20) CHARACTER SET ascii COLLATE ascii_bin NULL,
      account_id char(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
      note varchar(120) NOT NULL,
      made_at datetime(3) NOT NULL,
      expires_at datetime(3) NOT NULL,
      UNIQUE INDEX IDX_0c2e20e8aa37ab904b00e4cd5b (token_hash),
      INDEX IDX_5252c55c26596b3dbcc23184bd (account_id),
      INDEX IDX_ddd09dffca8c148f0db27d6f19 (expires_at),
      PRIMARY KEY (id),
      CONSTRAINT FK_5252c55c26596b3dbcc23184bdc FOREIGN KEY (account_id) REFERENCES accounts (id) ON DELETE CASCADE ON UPDATE NO ACTION
    )`,
    `CREATE TABLE activity_entries (
      id char(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      at datetime(3) NOT NULL,
      account_id char(36) CHARACTER SET ascii COLLATE ascii_bin NULL,
      who varchar(120) NOT NULL,
      role varchar(20) CHARACTER SET ascii COLLATE ascii_bin NULL,
      activity varchar(40) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      subject varchar(200) NOT NULL,
      INDEX IDX_de70d0140520ef44fc5f2af675 (activity, id),
      INDEX IDX_67ab6b5f15fb4ea008fec05c16 (who, id),
      INDEX IDX_3b2f368dfcd871b22f01395a28 (at),
      PRIMARY KEY (id)
    )`,
  ];
}
