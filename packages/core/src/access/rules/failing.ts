/** No answer, or an answer that says the service itself is in trouble: nothing is known about the sharing. */
import type { Rule } from '../judgement.js';

export const failingRule: Rule = ({ ending, final, hops, asked }) => {
  const host = hostOf(hops.at(-1)?.address ?? asked);
  if (ending !== 'answered' && ending !== 'guarded-address' && ending !== 'not-a-web-address') {
    return { verdict: 'failing', reason: ending, detail: host };
  }
  if (!final) return null;
  if (final.status === 429) return { verdict: 'failing', reason: 'too-busy', detail: host };
  if (final.status >= 500) return { verdict: 'failing', reason: 'server-error', detail: String(final.status) };
  return null;
};

function hostOf(address: string): string {
  return URL.canParse(address) ? new URL(address).host : address;
}
