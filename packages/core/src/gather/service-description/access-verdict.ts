/** The words in which access is judged. */
export const accessVerdicts = [
  'open',
  'open-editable',
  'sign-in',
  'organisation',
  'named-only',
  'closed',
  'missing',
  'empty',
  'partial',
  'obstructed',
  'failing',
  'unknown',
  'refused',
] as const;
/**
 * `open-editable`: students could change it. `organisation`: opens with an account of one organisation. `closed`: takes
 * no answers, expired, not open yet, over its limit. `empty`: kept here, and there is nothing to see. `partial`: opens, and holds something that does not. `obstructed`:
 * opens after something that comes before it, or slowly, or unencrypted, or as a download alone.
 */
export type AccessVerdict = (typeof accessVerdicts)[number];

/** Verdicts that let a student see something. */
export const openVerdicts = [
  'open',
  'open-editable',
  'partial',
  'obstructed',
] as const satisfies readonly AccessVerdict[];

/** Whether students get what is there, if not all of it. */
export function letsIn(verdict: AccessVerdict): boolean {
  return (openVerdicts as readonly AccessVerdict[]).includes(verdict);
}

/** Verdicts that name a locked or absent thing for certain; doubt and trouble of the server are none. */
export function locksOut(verdict: AccessVerdict): boolean {
  return ['sign-in', 'organisation', 'named-only', 'closed', 'missing', 'empty'].includes(verdict);
}
