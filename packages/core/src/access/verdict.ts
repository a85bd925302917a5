/**
 * Evidence -> verdict, a pure function: the rules in their order, the first that speaks decides. The order goes
 * from what is certain (guard, network, status) over what the service's description knows to what the page looks like.
 * Where doubt remains the verdict is `unknown`, never `open`.
 */
import type { ServiceDescription } from '../service/description.js';
import { failedEndings, type Evidence } from './evidence.js';
import { closedRule } from './rules/closed.js';
import { failingRule } from './rules/failing.js';
import { missingRule } from './rules/missing.js';
import { namedOnlyRule } from './rules/named-only.js';
import { openRule } from './rules/open.js';
import { refusedRule } from './rules/refused.js';
import { signInRule } from './rules/sign-in.js';
import { unknownRule } from './rules/unknown.js';

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
export type Rule = (evidence: Evidence, services: readonly ServiceDescription[]) => Judgement | null;

const rules: readonly Rule[] = [refusedRule, failingRule, missingRule, closedRule, namedOnlyRule, signInRule, unknownRule, openRule];

/** Judges what opening a link as a student showed. */
export function judgeAccess(evidence: Evidence, services: readonly ServiceDescription[]): Judgement {
  for (const rule of rules) {
    const judgement = rule(evidence, services);
    if (judgement) return judgement;
  }
  return { verdict: 'unknown', reason: 'nothing-to-see', detail: '' };
}
