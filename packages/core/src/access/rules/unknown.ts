/** What can't be told from here: pages that only a script fills, pages that lead on by themselves, odd statuses. */
import type { Rule } from '../judgement.js';

export const unknown: Rule = {
  verdict: 'unknown',
  find: ({ final }) => {
    if (!final) return [{ reason: 'nothing-to-see', detail: '' }];
    if (final.status < 200 || final.status >= 300) return [{ reason: 'unexpected-status', detail: String(final.status) }];
    const { page } = final;
    if (!page) return final.sizeBytes === 0 ? [{ reason: 'nothing-to-see', detail: '' }] : [];
    if (page.refreshTo !== null && page.visibleCharacters < 400) return [{ reason: 'leads-on', detail: page.refreshTo }];
    const empty = page.visibleCharacters < 40 && page.forms.length === 0 && (page.media ?? 0) === 0;
    if (empty && page.scripts > 0) return [{ reason: 'needs-script', detail: '' }];
    return empty && page.visibleCharacters === 0 ? [{ reason: 'nothing-to-see', detail: '' }] : [];
  },
};
