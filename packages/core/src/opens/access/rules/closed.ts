/** There, but not now: a form that takes no answers, a link past its day or before it, a limit that was reached. */
import { findNotice, findWallWords } from '../find-marks.js';
import { found, type Finding, type Rule, type VerdictReason } from '../judgement.js';

/** It takes no answers any more. */
export const closed: Rule = {
  verdict: 'closed',
  find: (evidence, catalogue) => {
    // A form that can be filled in is open, whatever it says on days and limits.
    if (evidence.final?.page?.forms.some((form) => form.method === 'post' && form.fields.length > 1)) return [];
    const said = (reason: VerdictReason, words: string | null): Finding | null =>
      words === null ? null : { reason, detail: words };
    return found(
      said('says-closed', findWallWords(evidence, catalogue, 'closed', 'closed')),
      said('says-over-limit', findNotice(evidence, 'overLimit')),
      said('says-expired', findNotice(evidence, 'expired')),
      said('says-not-yet', findNotice(evidence, 'notYet')),
    );
  },
};
