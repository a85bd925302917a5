/** What judging says: a verdict, and the reasons that decided. */
import type { ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import type { AccessVerdict } from '../../gather/service-description/access-verdict.js';
import { failedEndings, type Evidence } from './evidence.js';

/** Why a verdict was given. */
export const verdictReasons = [
  'opened',
  'opened-file',
  'service-says-open',
  'asks-questions',
  'plays-media',
  'takes-writing',
  'shows-content',
  'holds-open',
  'as-teacher-saw',
  'no-proof',
  'covered',
  'keeps-changing',
  ...failedEndings,
  'server-error',
  'too-busy',
  'status-missing',
  'says-missing',
  'status-unauthorised',
  'led-to-sign-in',
  'sign-in-form',
  'says-sign-in',
  'posts-itself',
  'says-organisation',
  'status-forbidden',
  'says-ask-for-access',
  'says-private',
  'says-closed',
  'says-expired',
  'says-not-yet',
  'says-over-limit',
  'asks-first',
  'asks-consent',
  'asks-age',
  'download-only',
  'not-encrypted',
  'slow',
  'holds-locked',
  'may-change',
  'robot-check',
  'needs-script',
  'status-error',
  'unexpected-status',
  'nothing-to-see',
  'leads-on',
  'check-failed',
  'kept-here',
  'page-empty',
  'file-gone',
  'file-empty',
  'file-damaged',
  'file-password',
  'format-unusual',
  'needs-program',
  'file-unread',
] as const;
/** One of them. */
export type VerdictReason = (typeof verdictReasons)[number];

/** A reason with the words or the address that it comes from. */
export interface Finding {
  readonly reason: VerdictReason;
  /** What the reason names: a host, a status, the words that were found. '' where nothing is to be named. */
  readonly detail: string;
}

/** A verdict with its reasons, the first first. */
export interface Judgement {
  readonly verdict: AccessVerdict;
  /** The first is the one to tell first; never empty. */
  readonly reasons: readonly Finding[];
}

/** Reasons for the rule's verdict; none where the rule stays silent. */
export type FindReasons = (evidence: Evidence, catalogue: ServiceCatalogue) => readonly Finding[];

/** One way to a verdict. */
export interface Rule {
  readonly verdict: AccessVerdict;
  readonly find: FindReasons;
}

/** Nothing stood in the way, but nothing proved that it is the material: what is on it may still be looked at. */
export function isUnproven(reasons: readonly Finding[]): boolean {
  return reasons.some(({ reason }) => reason === 'no-proof');
}

/** Reasons by which what was seen is not the material yet. */
export function standsBefore({ reason }: Finding): boolean {
  return reason === 'asks-first' || reason === 'asks-consent' || reason === 'asks-age';
}

/** The findings that were made, of those that were looked for. */
export function found(...findings: readonly (Finding | null)[]): readonly Finding[] {
  return findings.filter((finding) => finding !== null);
}
