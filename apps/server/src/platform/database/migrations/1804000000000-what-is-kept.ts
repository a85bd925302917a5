/** What is in kept files, what devices play, and what people say about links that nothing else can tell. */
import { ascii, ForwardMigration, table } from '../forward-migration.js';

export class WhatIsKept1804000000000 extends ForwardMigration {
  readonly name = 'WhatIsKept1804000000000';
  protected readonly statements = [
    'ALTER TABLE stored_contents ADD COLUMN findings json NULL',
    'ALTER TABLE devices ADD COLUMN plays json NULL',
    // What nearly every device plays; an administrator says more.
    `UPDATE devices SET plays = '["mp4-h264","mp3","aac","wav"]'`,
    'ALTER TABLE devices MODIFY COLUMN plays json NOT NULL',
    `CREATE TABLE person_answers (
      material_id char(36) ${ascii} NOT NULL,
      link text NOT NULL,
      opens tinyint NOT NULL,
      answered_by varchar(120) NOT NULL,
      answered_at datetime(3) NOT NULL,
      PRIMARY KEY (material_id)
    ) ${table}`,
    'ALTER TABLE person_answers ADD CONSTRAINT FK_46100efa10165eed47830dca6dc FOREIGN KEY (material_id) REFERENCES materials(id) ON DELETE CASCADE ON UPDATE NO ACTION',
  ];
}
