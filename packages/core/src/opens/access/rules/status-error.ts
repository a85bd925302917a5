/** An answer of the 4xx class that nothing on the page explains (RFC 9110, 15.5): students get an error as well. */
import type { Rule } from '../judgement.js';

/** The service answers with an error. */
export const statusError: Rule = {
  verdict: 'failing',
  find: ({ final }) =>
    final && final.status >= 400 && final.status < 500
      ? [{ reason: 'status-error', detail: String(final.status) }]
      : [],
};
