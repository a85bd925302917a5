/** It opens, but something comes before it or spoils it on a phone: questions, a download, no encryption, a long wait. */
import { findHeading, findIn, findNotice, findWall, findWords, isShort } from '../find-marks.js';
import type { Evidence, FinalPage, PageFacts } from '../evidence.js';
import { found, type Finding, type Rule } from '../judgement.js';

/** Waiting longer than this, a class of thirty has begun to talk. Milliseconds. */
export const slowMs = 5000;

/** What a phone does not show by itself. */
const savedOnly =
  /^application\/(?:zip|x-zip-compressed|gzip|x-7z-compressed|x-rar-compressed|vnd\.rar|octet-stream|x-msdownload|msword|vnd\.ms-|vnd\.openxmlformats|vnd\.oasis\.opendocument)/;

/** Something comes before what is there. */
export const obstructed: Rule = {
  verdict: 'obstructed',
  find: (evidence, catalogue) => {
    const { final, hops, elapsedMs } = evidence;
    if (!final || final.status < 200 || final.status >= 300) return [];
    const known = findWall(evidence, catalogue, 'obstructed');
    return found(
      ...(known
        ? [{ reason: 'asks-first' as const, detail: findWords(evidence, known.words ?? []) ?? '' }]
        : [consent(evidence), age(evidence)]),
      isSavedOnly(final) ? { reason: 'download-only', detail: final.contentType } : null,
      hops.at(-1)?.plain === true ? { reason: 'not-encrypted', detail: new URL(final.address).hostname } : null,
      elapsedMs > slowMs ? { reason: 'slow', detail: String(Math.round(elapsedMs / 1000)) } : null,
    );
  },
};

/** A bar of cookies above the material is none: its page would have a heading of its own. A lesson on privacy has no button to accept it. */
function consent({ final }: Evidence): Finding | null {
  const asks = final?.page && isShort(final.page) && findIn(buttonsOf(final.page).join('\n'), 'consentButton') !== null;
  const said = asks && final.page ? findHeading(final.page, 'consent') : null;
  return said === null ? null : { reason: 'asks-consent', detail: said };
}

function age(evidence: Evidence): Finding | null {
  const page = evidence.final?.page;
  // Something to answer with; a lesson may ask how old somebody is.
  const answers = page ? buttonsOf(page).length > 0 || page.forms.some((form) => form.fields.length > 0) : false;
  const said = answers ? findNotice(evidence, 'age') : null;
  // A questionnaire may ask for an age among other things.
  const asksMore = page?.forms.some((form) => form.fields.length > 3) ?? false;
  return said === null || asksMore ? null : { reason: 'asks-age', detail: said };
}

function buttonsOf(page: PageFacts): readonly string[] {
  return [...page.forms.flatMap((form) => form.buttons), ...(page.buttons ?? [])];
}

function isSavedOnly({ attachment, page, contentType }: FinalPage): boolean {
  return page === null && (attachment === true || savedOnly.test(contentType));
}
