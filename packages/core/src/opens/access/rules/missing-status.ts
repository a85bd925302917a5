/** Gone, by the status of the answer (RFC 9110, 15.5.5 and 15.5.11). */
import { findAnyWall } from '../find-marks.js';
import type { Rule } from '../judgement.js';

/** The server says that there is nothing. */
export const missingStatus: Rule = {
  verdict: 'missing',
  find: (evidence, catalogue) => {
    const status = evidence.final?.status;
    // A service that is described may say with that status what is gone: a day, a place.
    return (status === 404 || status === 410) && findAnyWall(evidence, catalogue) === null
      ? [{ reason: 'status-missing', detail: String(status) }]
      : [];
  },
};
