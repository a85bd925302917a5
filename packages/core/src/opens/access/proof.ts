/**
 * What proves that a page is the material and not a wall in other words. Words explain why something is locked; that no
 * such words were found proves nothing, least of all in a language without a list of them.
 */
import type { ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import { letsIn } from '../../gather/service-description/access-verdict.js';
import { isCovered } from './drawn.js';
import type { Evidence, FinalPage, FormFacts, PageFacts } from './evidence.js';
import { isShort } from './find-marks.js';
import { found, type Finding } from './judgement.js';
import { showsWhatTeacherSaw } from './teacher-saw.js';
import { findDescribedRight, isTextInForm, writingPlace } from './rights.js';

/** A notice says what it has to say in less; longer than that, a page has a text of its own. Characters. */
const contentLength = 400;
/** The same for writing that needs no letters. */
const denseContentLength = 160;

/** What a phone shows by itself. */
const shownFile =
  /^(?:application\/pdf|image\/(?:jpeg|png|gif|webp|avif|svg\+xml)|audio\/[\w.+-]+|video\/[\w.+-]+|text\/plain)$/;

/** All proofs, the strongest first; none where nothing proves anything. */
export function findProofs(evidence: Evidence, catalogue: ServiceCatalogue): readonly Finding[] {
  const { final } = evidence;
  if (!final || final.sizeBytes === 0) return [];
  if (!final.page) return found(showsFile(final));
  // What lies over the page is all that a student gets, and what it asks for is not the material.
  if (isCovered(evidence)) return [];
  return [
    ...ofService(evidence, final.page, catalogue),
    ...ofPage(final.page),
    ...ofWhatIsInside(evidence, final.page),
    ...ofWhatTeacherSaw(evidence, final.page),
  ];
}

function ofService(evidence: Evidence, page: PageFacts, catalogue: ServiceCatalogue): readonly Finding[] {
  const said = findDescribedRight(evidence, page, catalogue);
  return said === null ? [] : [{ reason: 'service-says-open', detail: said }];
}

function ofPage(page: PageFacts): readonly Finding[] {
  const detail = page.title;
  const writes = (page.editableCharacters ?? 0) >= writingPlace || page.forms.some(isTextInForm);
  return found(
    page.forms.some(asksQuestions) ? { reason: 'asks-questions', detail } : null,
    (page.players ?? 0) > 0 ? { reason: 'plays-media', detail } : null,
    writes ? { reason: 'takes-writing', detail } : null,
    hasContent(page) ? { reason: 'shows-content', detail } : null,
  );
}

function ofWhatIsInside({ inside = [] }: Evidence, { title }: PageFacts): readonly Finding[] {
  return inside.some(({ verdict }) => letsIn(verdict)) ? [{ reason: 'holds-open', detail: title }] : [];
}

function ofWhatTeacherSaw({ teacherSaw }: Evidence, page: PageFacts): readonly Finding[] {
  return showsWhatTeacherSaw(page, teacherSaw) === true ? [{ reason: 'as-teacher-saw', detail: page.title }] : [];
}

function showsFile({ contentType, attachment }: FinalPage): Finding | null {
  return attachment !== true && shownFile.test(contentType) ? { reason: 'opened-file', detail: contentType } : null;
}

function hasContent(page: PageFacts): boolean {
  const visibleCharacters = page.contentCharacters ?? page.visibleCharacters;
  return !isShort({ ...page, visibleCharacters }, contentLength - 1, denseContentLength - 1);
}

/**
 * A form about the material: choices, or several things to write. Who is asked for an address or a password is asked
 * who they are; a field alone may want a code.
 */
function asksQuestions({ fields }: FormFacts): boolean {
  const count = (...kinds: readonly string[]): number => fields.filter((field) => kinds.includes(field)).length;
  if (count('password', 'email', 'tel') > 0) return false;
  return count('radio') > 1 || count('checkbox') > 1 || (count('textarea') > 0 && fields.length > 1);
}
