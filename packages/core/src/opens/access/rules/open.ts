/** Nothing stood in the way: a page with something on it, or a file. */
import type { Rule } from '../judgement.js';

/** Everything else that was answered with something. */
export const open: Rule = {
  verdict: 'open',
  find: ({ final }) => {
    if (!final || final.sizeBytes === 0) return [];
    return final.page === null
      ? [{ reason: 'opened-file', detail: final.contentType }]
      : [{ reason: 'opened', detail: final.page.title }];
  },
};
