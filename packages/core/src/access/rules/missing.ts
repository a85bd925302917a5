/** Gone, by status or by a short page that says so with status 200. */
import { findNotice, findWall, marks } from '../marks.js';
import type { Rule } from '../judgement.js';

export const missingRule: Rule = (evidence, catalogue) => {
  const status = evidence.final?.status;
  if (status === 404 || status === 410) return { verdict: 'missing', reason: 'status-missing', detail: String(status) };
  const known = findWall(evidence, catalogue, 'missing');
  if (known) return { verdict: 'missing', reason: 'says-missing', detail: known.words?.[0] ?? '' };
  // A field to fill in means that the page is about something else than its own absence.
  const said = evidence.final?.page?.forms.some((form) => form.fields.length > 1) ? null : findNotice(evidence, marks.missing);
  return said === null ? null : { verdict: 'missing', reason: 'says-missing', detail: said };
};
