/** Opens with an account of one organisation: a wall that names its members. */
import { findWallWords } from '../find-marks.js';
import type { Rule } from '../judgement.js';

/** It opens for accounts of the organisation. */
export const organisation: Rule = {
  verdict: 'organisation',
  find: (evidence, catalogue) => {
    const said = findWallWords(evidence, catalogue, 'organisation', 'organisation');
    return said === null ? [] : [{ reason: 'says-organisation', detail: said }];
  },
};
