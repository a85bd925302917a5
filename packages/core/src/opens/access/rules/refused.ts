/** The address guard: what the server must not reach, nobody can be shown. */
import type { Rule } from '../judgement.js';

/** The server refuses. */
export const refused: Rule = {
  verdict: 'refused',
  find: ({ ending, hops, asked }) =>
    ending === 'guarded-address' || ending === 'not-a-web-address'
      ? [{ reason: ending, detail: hops.at(-1)?.address ?? asked }]
      : [],
};
