/** Steps of services are `fixes`, and two repairs of what was pasted have plainer names. */
import { ForwardMigration } from '../forward-migration.js';

export class PlainNames1813000000000 extends ForwardMigration {
  readonly name = 'PlainNames1813000000000';
  protected readonly statements = [
    `UPDATE service_descriptions
      SET description = JSON_INSERT(JSON_REMOVE(description, '$.mending'), '$.fixes', JSON_EXTRACT(description, '$.mending'))
      WHERE JSON_EXISTS(description, '$.mending') AND NOT JSON_EXISTS(description, '$.fixes')`,
    `UPDATE materials
      SET repairs = REPLACE(REPLACE(repairs, '"scheme-mended"', '"scheme-repaired"'), '"dot-mended"', '"dot-repaired"')
      WHERE repairs LIKE '%-mended"%'`,
  ];
}
