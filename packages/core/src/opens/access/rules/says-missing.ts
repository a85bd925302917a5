/** Gone, by a short page that says so with status 200. */
import { findSoleWords, findWallWords } from '../find-marks.js';
import type { Rule } from '../judgement.js';

/** A page that says that there is nothing. */
export const saysMissing: Rule = {
  verdict: 'missing',
  find: (evidence, catalogue) => {
    // Fields to fill in mean that the page is about something else than its own absence.
    const asks = evidence.final?.page?.forms.some(
      (form) => form.fields.filter((field) => field !== 'search').length > 1,
    );
    const said = asks
      ? null
      : (findWallWords(evidence, catalogue, 'missing', 'missing') ?? findSoleWords(evidence, 'missingLoosely'));
    return said === null ? [] : [{ reason: 'says-missing', detail: said }];
  },
};
