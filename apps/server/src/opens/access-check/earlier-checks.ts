/** Deletes old checks. The last two of each material stay at any age, with their pictures. */
import type { EntityManager } from 'typeorm';
import { deleteRows } from '../../platform/database/delete-rows.js';

const kept = 2;

/** Pictures of deleted checks no longer have a row; the daily comparison of files deletes them. @returns how many checks it deleted */
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
