/** The address guard: what the server must not reach, nobody can be shown. */
import type { Rule } from '../judgement.js';

export const refusedRule: Rule = ({ ending, hops, asked }) => {
  if (ending !== 'guarded-address' && ending !== 'not-a-web-address') return null;
  return { verdict: 'refused', reason: ending, detail: hops.at(-1)?.address ?? asked };
};
