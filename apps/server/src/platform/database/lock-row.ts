/**
 * One at a time, over all servers: a row that is locked until the transaction ends. For work that first reads and then
 * writes what no unique key can guard.
 */
import type { EntityManager } from 'typeorm';

/** Begin the transaction with it: what is read afterwards is what the one before has written. */
export async function lockRow(manager: EntityManager, name: 'rosters' | 'jobs' | 'accounts'): Promise<void> {
  await manager.query('SELECT name FROM locks WHERE name = ? FOR UPDATE', [name]);
}
