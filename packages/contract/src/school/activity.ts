import type { Role } from './account.js';

/** What administrators and the office do, as the activity log records it. */
export const activities = [
  'school-set-up',
  'settings-changed',
  'teacher-classes-changed',
  'retention-changed',
  'invited',
  'invitation-revoked',
  'account-created',
  'role-changed',
  'account-deactivated',
  'account-activated',
  'reset-link-made',
  'password-reset',
  'email-changed',
  'password-changed',
  'handed-over',
  'roster-imported',
  'roster-undone',
  'year-ended',
  'students-exported',
  'student-copied',
  'students-erased',
  'service-changed',
  'activity-exported',
] as const;
/** What was done. */
export type Activity = (typeof activities)[number];

/** One thing that was done. */
export interface ActivityEntry {
  readonly id: string;
  /** ISO 8601. */
  readonly at: string;
  /** The person's name at that time; "the server's console" for commands on the server. */
  readonly who: string;
  readonly role: Role | null;
  readonly activity: Activity;
  /** To whom or what, as far as that is no student: a colleague's name, a count. */
  readonly subject: string;
}

/** The latest first. */
export interface ActivityPage {
  readonly entries: readonly ActivityEntry[];
  /** For the next page; null at the end. */
  readonly next: string | null;
}
