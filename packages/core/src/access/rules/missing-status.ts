/** Gone, by the status of the answer (RFC 9110, 15.5.5 and 15.5.11). */
import type { Rule } from '../judgement.js';

export const missingStatus: Rule = {
  verdict: 'missing',
  find: ({ final }) => (final?.status === 404 || final?.status === 410 ? [{ reason: 'status-missing', detail: String(final.status) }] : []),
};
