/** Changes become visible in another order than they were made; those of the last moments are looked at again. */
export const overlapSeconds = 3;

/** A condition on a column that the database sets at every change, by its own clock. */
export function changedLately(column: string): string {
  return `${column} >= NOW(3) - INTERVAL ${overlapSeconds} SECOND`;
}
