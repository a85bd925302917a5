import type { LessonRow } from '@hapset/contract';

/**
 * Coming lessons from the soonest on, then those without a day, then the past ones from the latest back.
 * @param rows as the server lists them, latest day first
 * @param today `YYYY-MM-DD`
 */
export function soonestFirst<Row extends Pick<LessonRow, 'date'>>(rows: readonly Row[], today: string): readonly Row[] {
  const coming = rows.filter((row) => row.date !== null && row.date >= today).reverse();
  const undated = rows.filter((row) => row.date === null);
  const past = rows.filter((row) => row.date !== null && row.date < today);
  return [...coming, ...undated, ...past];
}
