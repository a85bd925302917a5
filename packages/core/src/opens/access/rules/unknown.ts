/** What can't be told from here: pages that only a script fills, pages that lead on by themselves, odd statuses. */
import type { PageFacts } from '../evidence.js';
import type { Rule } from '../judgement.js';

/** A page with more than this on it is more than a stop on the way. Characters. */
const stopCharacters = 400;

/** Where a page that is only a stop on the way leads by itself (meta refresh); null for any other. */
export function leadsOn({ refreshTo, visibleCharacters }: PageFacts): string | null {
  return visibleCharacters < stopCharacters ? refreshTo : null;
}

/** What no other rule tells. */
export const unknown: Rule = {
  verdict: 'unknown',
  find: ({ final, drawn }) => {
    if (!final) return [{ reason: 'nothing-to-see', detail: '' }];
    if (drawn?.stoppedBy === 'page-changes') return [{ reason: 'keeps-changing', detail: final.address }];
    if (final.status < 200 || final.status >= 300)
      return [{ reason: 'unexpected-status', detail: String(final.status) }];
    if (final.page) return onPage(final.page);
    return final.sizeBytes === 0 ? [{ reason: 'nothing-to-see', detail: '' }] : [];
  },
};

function onPage(page: PageFacts): ReturnType<Rule['find']> {
  const onward = leadsOn(page);
  if (onward !== null) return [{ reason: 'leads-on', detail: onward }];
  const empty = page.visibleCharacters < 40 && page.forms.length === 0 && (page.media ?? 0) === 0;
  if (empty && page.scripts > 0) return [{ reason: 'needs-script', detail: '' }];
  return empty && page.visibleCharacters === 0 ? [{ reason: 'nothing-to-see', detail: '' }] : [];
}
