import type { AccessVerdict } from '@hapset/core';

/** A material of a coming lesson that opened for students and does not any more. */
export interface NewsItem {
  readonly materialId: string;
  readonly stationId: string | null;
  readonly name: string;
  readonly lessonId: string | null;
  readonly lessonName: string | null;
  readonly before: AccessVerdict;
  readonly now: AccessVerdict;
  /** Ids of the checks before and now that have a picture of what students saw; null for one that has none. */
  readonly viewBefore: string | null;
  readonly viewNow: string | null;
  /** When it was noticed, RFC 3339 in UTC. */
  readonly noticedAt: string;
}
