/** It was answered with a page on which nothing proves that it is the material: a person has to look. */
import { standsBefore, type Rule } from '../judgement.js';
import { isCovered } from '../drawn.js';
import { findProofs } from '../proof.js';
import { obstructed } from './obstructed.js';

/** Nothing speaks against it, and nothing for it. */
export const unproven: Rule = {
  verdict: 'unknown',
  find: (evidence, catalogue) => {
    const { final } = evidence;
    if (!final || findProofs(evidence, catalogue).length > 0) return [];
    // What comes before the material is known, and is taken away by a tap. A file that is only saved is told as such.
    const known = obstructed.find(evidence, catalogue);
    if (known.some((finding) => standsBefore(finding) || finding.reason === 'download-only')) return [];
    const unproven = { reason: 'no-proof', detail: final.page?.title ?? final.contentType } as const;
    return isCovered(evidence)
      ? [{ reason: 'covered', detail: final.page?.firstLines[0] ?? '' }, unproven]
      : [unproven];
  },
};
