/** Shared with chosen people: the service knows the material and offers to ask for it, calls it private, or answers 403. */
import { findNotice, findWallWords } from '../find-marks.js';
import { found, type Rule } from '../judgement.js';

/** It opens for people who were named. */
export const namedOnly: Rule = {
  verdict: 'named-only',
  find: (evidence, catalogue) => {
    const asks = findWallWords(evidence, catalogue, 'named-only', 'askForAccess');
    const hides = findNotice(evidence, 'isPrivate');
    return found(
      asks === null ? null : { reason: 'says-ask-for-access', detail: asks },
      hides === null ? null : { reason: 'says-private', detail: hides },
      evidence.final?.status === 403 ? { reason: 'status-forbidden', detail: '403' } : null,
    );
  },
};
