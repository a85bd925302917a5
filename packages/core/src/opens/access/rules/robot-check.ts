/** The service wants to know whether a person opens it. The check does not pretend to be one, so it can't tell. */
import { findNotice } from '../find-marks.js';
import type { Rule } from '../judgement.js';

/** Visitors have to show that they are no robots. */
export const robotCheck: Rule = {
  verdict: 'unknown',
  find: (evidence) => {
    const said = findNotice(evidence, 'robots');
    return said === null ? [] : [{ reason: 'robot-check', detail: said }];
  },
};
