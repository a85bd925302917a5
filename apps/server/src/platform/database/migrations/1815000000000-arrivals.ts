/** Phones that were seen to reach this server, and when the printer's test page was made. */
import { ForwardMigration } from '../forward-migration.js';

export class Arrivals1815000000000 extends ForwardMigration {
  readonly name = 'Arrivals1815000000000';
  protected readonly statements = [
    'ALTER TABLE schools ADD printer_tested_at datetime(3) NULL',
    `CREATE TABLE arrivals (
      id char(36) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      token varchar(20) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      maker_hash varchar(64) CHARACTER SET ascii COLLATE ascii_bin NOT NULL,
      made_at datetime(3) NOT NULL,
      arrived_at datetime(3) NULL,
      address varchar(220) NULL,
      device varchar(80) NOT NULL DEFAULT '',
      UNIQUE INDEX IDX_ca2dddbe7fb99de26bd579beee (token),
      INDEX IDX_13ebee602cc26fc4f5f2b24e29 (arrived_at),
      PRIMARY KEY (id)
    )`,
  ];
}
