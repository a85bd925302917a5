import type { EntityManager } from 'typeorm';

/** Few enough that nobody waits for their locks. */
const atOnce = 1000;

/**
 * Deletes in batches, each in a transaction of its own.
 * @param from what follows DELETE FROM, of our own and never of a request; it needs no ORDER BY
 * @returns how many rows went
 */
export async function deleteRows(manager: EntityManager, from: string, values: readonly unknown[]): Promise<number> {
  let deleted = 0;
  for (;;) {
    const { affectedRows } = (await manager.query(`DELETE FROM ${from} LIMIT ${atOnce}`, [...values])) as {
      affectedRows: number;
    };
    deleted += affectedRows;
    if (affectedRows < atOnce) return deleted;
  }
}
