/** How long records are kept, and what was deleted last. */

/** Least, default and most days for which a kind of record is kept. */
export interface RetentionRange {
  readonly least: number;
  readonly usual: number;
  readonly most: number;
}

const tenYears = 3650;
/** By kind. What is on paper, and the newest check of each link, are never deleted for their age. */
export const retentionRanges = {
  /** Earlier checks of links; the last two of each material stay, with their pictures. */
  checks: { least: 30, usual: 365, most: tenYears },
  /** Files of long prints; that their codes are on paper is remembered. */
  prints: { least: 1, usual: 7, most: 365 },
  /** Student cards that were read. */
  readings: { least: 1, usual: 90, most: tenYears },
  /** Imports of rosters, with what undoing them needs. */
  imports: { least: 1, usual: 90, most: tenYears },
  /** What real devices made of codes. */
  tryouts: { least: 30, usual: 365, most: tenYears },
  /** How often short links were opened, by the hour. */
  linkCounts: { least: 30, usual: 730, most: tenYears },
  /** Sessions that ended, and one-time links that no longer work. */
  sessions: { least: 1, usual: 7, most: 365 },
  /** Work of the server that ended. */
  jobs: { least: 1, usual: 7, most: 365 },
  /** The activity log: long enough that nobody deletes what they did by shortening it. */
  activity: { least: 90, usual: 365, most: tenYears },
} as const satisfies Readonly<Record<string, RetentionRange>>;
/** A kind of record that is deleted when it is old. */
export type RecordKind = keyof typeof retentionRanges;
/** In the order in which they are shown. */
export const recordKinds = Object.keys(retentionRanges) as readonly RecordKind[];

/** Days for which each kind is kept. */
export type RetentionDays = Readonly<Record<RecordKind, number>>;

/** As the administrator sees it. */
export interface RetentionView {
  readonly days: RetentionDays;
  /** The last deletion, with how many records went; null before the first. */
  readonly last: {
    /** ISO 8601. */
    readonly at: string;
    readonly deleted: Readonly<Record<RecordKind, number>>;
  } | null;
  readonly version: number;
}

/** All kinds at once, under the version they were read with. */
export type ChangeRetention = Pick<RetentionView, 'days' | 'version'>;
