/** What can't be told from here: pages that only a script fills, pages that lead on by themselves, odd statuses. */
import type { Rule } from '../judgement.js';

export const unknownRule: Rule = ({ final }) => {
  if (!final) return { verdict: 'unknown', reason: 'nothing-to-see', detail: '' };
  if (final.status < 200 || final.status >= 300) return { verdict: 'unknown', reason: 'unexpected-status', detail: String(final.status) };
  const { page } = final;
  if (!page) return null;
  if (page.refreshTo !== null && page.visibleCharacters < 400) return { verdict: 'unknown', reason: 'leads-on', detail: page.refreshTo };
  const empty = page.visibleCharacters < 40 && page.forms.length === 0 && (page.media ?? 0) === 0;
  if (empty && page.scripts > 0) return { verdict: 'unknown', reason: 'needs-script', detail: '' };
  return null;
};
