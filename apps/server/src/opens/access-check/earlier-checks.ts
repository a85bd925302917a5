/** Old checks: the last two of a material stay, whatever their age, with their pictures. */
import type { EntityManager } from 'typeorm';
import { deleteRows } from '../../platform/database/delete-rows.js';

const kept = 2;

/** Pictures of those that go have no row any more, and are deleted with the files that nobody holds. @returns how many went */
export function deleteEarlierChecks(before: Date, manager: EntityManager): Promise<number> {
  return deleteRows(
    manager,
    `access_checks WHERE asked_at < ? AND id IN (
       SELECT id FROM (
         SELECT id, material_id, ROW_NUMBER() OVER (PARTITION BY material_id ORDER BY id DESC) AS turn FROM access_checks
       ) AS numbered WHERE material_id IS NULL OR turn > ?
     )`,
    [before, kept],
  );
}
