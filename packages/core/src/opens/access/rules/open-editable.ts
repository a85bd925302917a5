/** It opens, and students could change it: for a class of thirty that is seldom meant. */
import type { Rule } from '../judgement.js';
import { rightsOf } from '../rights.js';

/** It opens, and whoever has the link may change it. */
export const openEditable: Rule = {
  verdict: 'open-editable',
  find: (evidence, catalogue) => (rightsOf(evidence, catalogue)?.change ? [{ reason: 'may-change', detail: '' }] : []),
};
