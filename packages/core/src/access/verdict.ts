/**
 * Evidence -> verdict, a pure function: the rules in their order, the first that speaks decides. The order goes
 * from what is certain (guard, network, status) over what the service's description knows to what the page looks like.
 * Where doubt remains the verdict is `unknown`, never `open`.
 */
import type { ServiceCatalogue } from '../service/catalogue.js';
import type { Evidence } from './evidence.js';
import type { Judgement, Rule } from './judgement.js';
import { closedRule } from './rules/closed.js';
import { failingRule } from './rules/failing.js';
import { missingRule } from './rules/missing.js';
import { namedOnlyRule } from './rules/named-only.js';
import { openRule } from './rules/open.js';
import { refusedRule } from './rules/refused.js';
import { signInRule } from './rules/sign-in.js';
import { unknownRule } from './rules/unknown.js';

const rules: readonly Rule[] = [refusedRule, failingRule, missingRule, closedRule, namedOnlyRule, signInRule, unknownRule, openRule];

/** Judges what opening a link as a student showed. */
export function judgeAccess(evidence: Evidence, catalogue: ServiceCatalogue): Judgement {
  for (const rule of rules) {
    const judgement = rule(evidence, catalogue);
    if (judgement) return judgement;
  }
  return { verdict: 'unknown', reason: 'nothing-to-see', detail: '' };
}
