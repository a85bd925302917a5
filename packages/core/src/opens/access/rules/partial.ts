/** It opens, and holds something that does not: named, so that it can be fixed. */
import { locksOut } from '../../../gather/service-description/access-verdict.js';
import type { Rule } from '../judgement.js';

/** Some of what is in it does not open. */
export const partial: Rule = {
  verdict: 'partial',
  find: ({ inside = [] }) =>
    inside.filter(({ verdict }) => locksOut(verdict)).map(({ name }) => ({ reason: 'holds-locked', detail: name })),
};
