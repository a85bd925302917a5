/**
 * Evidence -> verdict, a pure function: the rules in their order, the first that finds a reason decides. The order goes
 * from what is certain (guard, network, status) over what the service's description knows to what the page looks like.
 * Where doubt remains the verdict is `unknown`: `open` needs proof (proof.ts).
 */
import type { ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import type { Evidence } from './evidence.js';
import type { Judgement, Rule } from './judgement.js';
import { judgeKept } from './judge-kept.js';
import { closed } from './rules/closed.js';
import { failing } from './rules/failing.js';
import { missingStatus } from './rules/missing-status.js';
import { namedOnly } from './rules/named-only.js';
import { obstructed } from './rules/obstructed.js';
import { openEditable } from './rules/open-editable.js';
import { open } from './rules/open.js';
import { organisation } from './rules/organisation.js';
import { partial } from './rules/partial.js';
import { refused } from './rules/refused.js';
import { robotCheck } from './rules/robot-check.js';
import { saysMissing } from './rules/says-missing.js';
import { statusError } from './rules/status-error.js';
import { signIn } from './rules/sign-in.js';
import { unknown } from './rules/unknown.js';
import { unproven } from './rules/unproven.js';

/** A check against robots comes with any status, so it is looked for before them. */
const rules: readonly Rule[] = [
  refused,
  robotCheck,
  failing,
  missingStatus,
  organisation,
  namedOnly,
  closed,
  signIn,
  saysMissing,
  statusError,
  unknown,
  unproven,
  partial,
  obstructed,
  openEditable,
  open,
];

/** Judges what opening a link as a student showed. */
export function judgeAccess(evidence: Evidence, catalogue: ServiceCatalogue): Judgement {
  if (evidence.kept) return judgeKept(evidence.kept, evidence.inside);
  for (const { verdict, find } of rules) {
    const reasons = find(evidence, catalogue);
    if (reasons.length > 0) return { verdict, reasons };
  }
  return { verdict: 'unknown', reasons: [{ reason: 'nothing-to-see', detail: '' }] };
}
