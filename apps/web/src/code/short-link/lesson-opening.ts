import type { LessonView } from '@hapset/contract';

const beforeMinutes = 10;
const lengthMinutes = 100;

/** From a little before the lesson to a little after it, as wall times; null for a lesson without a day and time. */
export function lessonOpening({
  date,
  startsAt,
}: Pick<LessonView, 'date' | 'startsAt'>): { readonly from: string; readonly until: string } | null {
  if (date === null || startsAt === null) return null;
  return { from: shifted(date, startsAt, -beforeMinutes), until: shifted(date, startsAt, lengthMinutes) };
}

/** Wall times are reckoned as if in UTC: no zone is asked, and none gets in. */
function shifted(date: string, time: string, minutes: number): string {
  return new Date(Date.parse(`${date}T${time}:00Z`) + minutes * 60_000).toISOString().slice(0, 16);
}
