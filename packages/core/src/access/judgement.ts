/** The words in which access is judged: verdicts, the reasons behind them, and what a rule is. */
import type { ServiceCatalogue } from '../service/catalogue.js';
import { failedEndings, type Evidence } from './evidence.js';

export const accessVerdicts = ['open', 'sign-in', 'named-only', 'closed', 'missing', 'failing', 'unknown', 'refused'] as const;
export type AccessVerdict = (typeof accessVerdicts)[number];

export const verdictReasons = [
  'opened',
  'opened-file',
  ...failedEndings,
  'server-error',
  'too-busy',
  'status-missing',
  'says-missing',
  'status-unauthorised',
  'led-to-sign-in',
  'sign-in-form',
  'says-sign-in',
  'status-forbidden',
  'says-ask-for-access',
  'says-closed',
  'needs-script',
  'unexpected-status',
  'nothing-to-see',
  'leads-on',
] as const;
export type VerdictReason = (typeof verdictReasons)[number];

export interface Judgement {
  readonly verdict: AccessVerdict;
  readonly reason: VerdictReason;
  /** What the reason names: a host, a status, the words that were found. '' where nothing is to be named. */
  readonly detail: string;
}

/** A rule speaks or stays silent (null). */
export type Rule = (evidence: Evidence, catalogue: ServiceCatalogue) => Judgement | null;
