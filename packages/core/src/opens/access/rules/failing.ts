/** No answer, or an answer that says the service itself is in trouble: nothing is known about the sharing. */
import type { Rule } from '../judgement.js';
import { parseUrl } from '../../../platform/web-address.js';

/** The server or the way to it fails. */
export const failing: Rule = {
  verdict: 'failing',
  find: ({ ending, final, hops, asked }) => {
    const host = hostOf(hops.at(-1)?.address ?? asked);
    if (ending !== 'answered' && ending !== 'guarded-address' && ending !== 'not-a-web-address')
      return [{ reason: ending, detail: host }];
    if (final?.status === 429) return [{ reason: 'too-busy', detail: host }];
    return final && final.status >= 500 ? [{ reason: 'server-error', detail: String(final.status) }] : [];
  },
};

function hostOf(address: string): string {
  return parseUrl(address)?.host ?? address;
}
