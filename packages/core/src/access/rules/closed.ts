/** A form that takes no more answers. */
import { findNotice, findWall, marks } from '../marks.js';
import type { Rule } from '../judgement.js';

export const closedRule: Rule = (evidence, catalogue) => {
  const known = findWall(evidence, catalogue, 'closed');
  const said = known ? (known.words?.[0] ?? '') : findNotice(evidence, marks.closed);
  return said === null ? null : { verdict: 'closed', reason: 'says-closed', detail: said };
};
