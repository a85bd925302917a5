/** Nothing stood in the way: a page with something on it, or a file. */
import type { Rule } from '../judgement.js';

export const openRule: Rule = ({ final }) => {
  if (!final || final.sizeBytes === 0) return null;
  if (final.page === null) return { verdict: 'open', reason: 'opened-file', detail: final.contentType };
  return { verdict: 'open', reason: 'opened', detail: final.page.title };
};
