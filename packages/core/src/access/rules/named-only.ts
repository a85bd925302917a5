/** Shared with chosen people: the service knows the material and offers to ask for it, or answers 403. */
import { findNotice, findWall, marks } from '../marks.js';
import type { Rule } from '../judgement.js';

export const namedOnlyRule: Rule = (evidence, catalogue) => {
  const known = findWall(evidence, catalogue, 'named-only');
  const said = known ? (known.words?.[0] ?? '') : findNotice(evidence, marks.askForAccess);
  if (said !== null) return { verdict: 'named-only', reason: 'says-ask-for-access', detail: said };
  if (evidence.final?.status === 403) return { verdict: 'named-only', reason: 'status-forbidden', detail: '403' };
  return null;
};
