/**
 * What a student could do with what opens: told from the page itself, and from the words that its service's description
 * knows. Only what shows is told; a service may allow more behind a script.
 */
import type { ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import type { RightDescription } from '../../gather/service-description/description.js';
import type { Evidence, FormFacts, PageFacts } from './evidence.js';
import { findIn, findMark, textOf } from './find-marks.js';
import { servicesOnTheWay } from './on-the-way.js';

/** What a student may do there. */
export interface Rights {
  readonly look: boolean;
  readonly comment: boolean;
  readonly change: boolean;
  readonly download: boolean;
  /** `once` where the page says that each gives one answer. */
  readonly answer: 'no' | 'once' | 'again';
}

/** A writing field that holds this many characters already is the text itself, not a question's answer. */
const textInField = 80;
/** A place to write into is more than a box for a search. */
export const writingPlace = 20;

/** Null where nothing came that could be looked at. */
export function rightsOf(evidence: Evidence, catalogue: ServiceCatalogue): Rights | null {
  const { final, kept } = evidence;
  if (kept) return { look: true, comment: false, change: false, download: kept.files.length > 0, answer: 'no' };
  if (!final || final.status < 200 || final.status >= 300) return null;
  const { page } = final;
  if (!page) return { look: final.attachment !== true, comment: false, change: false, download: true, answer: 'no' };
  const described = describedRights(evidence, page, catalogue);
  const change =
    described.includes('change') || (page.editableCharacters ?? 0) >= writingPlace || page.forms.some(isTextInForm);
  return {
    look: true,
    comment: described.includes('comment') || page.forms.some(isCommentForm),
    change,
    download: described.includes('download') || findMark(page, 'downloadButton') !== null,
    // Whoever may change the text itself is not asked for an answer.
    answer: change ? 'no' : answerOf(page, described.includes('answer')),
  };
}

function answerOf(page: PageFacts, described: boolean): Rights['answer'] {
  if (!described && !page.forms.some(isQuestionForm)) return 'no';
  return findMark(page, 'answerOnce') === null ? 'again' : 'once';
}

function isCommentForm({ fields, buttons }: FormFacts): boolean {
  return fields.includes('textarea') && findIn(buttons.join('\n'), 'commentButton') !== null;
}

function describedRights(evidence: Evidence, page: PageFacts, catalogue: ServiceCatalogue): readonly string[] {
  return shownRights(evidence, page, catalogue).map(({ can }) => can);
}

/** The words of the page by which its service's description tells that it opened; null where it tells none. */
export function findDescribedRight(evidence: Evidence, page: PageFacts, catalogue: ServiceCatalogue): string | null {
  return shownRights(evidence, page, catalogue)[0]?.word ?? null;
}

/** Rights that the service's description knows, each with the first of its words that the page shows. */
function shownRights(
  evidence: Evidence,
  page: PageFacts,
  catalogue: ServiceCatalogue,
): readonly { readonly can: RightDescription['can']; readonly word: string }[] {
  const text = textOf(page).toLowerCase();
  const known = servicesOnTheWay(evidence, catalogue).flatMap(({ description }) => description.rights ?? []);
  return known.flatMap(({ can, words }) => {
    const word = words.find((each) => text.includes(each.toLowerCase()));
    return word === undefined ? [] : [{ can, word }];
  });
}

/** A field that already holds a text, with a button that saves it. */
export function isTextInForm(form: FormFacts): boolean {
  return (
    form.method === 'post' &&
    (form.filledCharacters ?? 0) >= textInField &&
    findIn(form.buttons.join('\n'), 'keepButton') !== null
  );
}

/** Fields that ask something: more than a search, a sign-in or a comment. */
function isQuestionForm({ method, fields, buttons }: FormFacts): boolean {
  const asking = fields.filter((field) => field !== 'search' && field !== 'password');
  return (
    method === 'post' &&
    asking.length > 0 &&
    !fields.includes('password') &&
    findIn(buttons.join('\n'), 'commentButton') === null
  );
}
