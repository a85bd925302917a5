/**
 * A sign-in stands in the way. One sign alone is not enough on an open page (a sign-in link in the corner, an
 * article about passwords, an address with "login" in it), so the page itself must be a sign-in: a password form
 * on a page that holds little else, or a title that says so after a redirect to another address.
 */
import { findNotice, findWall, findWords, marks, noticeLength } from '../marks.js';
import type { Evidence, FormFacts, PageFacts } from '../evidence.js';
import type { Rule } from '../judgement.js';

const signInPath = /\/(?:sign-?in|log-?in|auth|authorize|oauth2?|saml2?|sso|come-in|session)(?:[/?]|$)/i;

export const signInRule: Rule = (evidence, catalogue) => {
  const { final, asked } = evidence;
  if (!final) return null;
  if (final.status === 401) return { verdict: 'sign-in', reason: 'status-unauthorised', detail: '401' };
  if (findWall(evidence, catalogue, 'sign-in')) return { verdict: 'sign-in', reason: 'led-to-sign-in', detail: new URL(final.address).hostname };
  const { page } = final;
  if (!page) return null;
  const form = page.forms.find(isPasswordForm);
  if (form && (movedElsewhere(evidence) || page.visibleCharacters <= noticeLength) && saysSignIn(page, form)) {
    return { verdict: 'sign-in', reason: 'sign-in-form', detail: page.title };
  }
  if (movedElsewhere(evidence) && (signInPath.test(pathOf(final.address)) && !signInPath.test(pathOf(asked))) && findWords(page, marks.signInTitle)) {
    return { verdict: 'sign-in', reason: 'led-to-sign-in', detail: new URL(final.address).hostname };
  }
  const said = findNotice(evidence, marks.signIn);
  return said === null ? null : { verdict: 'sign-in', reason: 'says-sign-in', detail: said };
};

/** One password field: two of them belong to a page where an account is made or a password changed. */
function isPasswordForm(form: FormFacts): boolean {
  return form.fields.filter((field) => field === 'password').length === 1 && form.fields.length <= 3;
}

function saysSignIn(page: PageFacts, form: FormFacts): boolean {
  const words = [page.title, ...page.firstLines, ...form.buttons].join('\n').toLowerCase();
  return marks.signInTitle.some((mark) => words.includes(mark)) || form.fields.length >= 2;
}

function movedElsewhere({ asked, final }: Evidence): boolean {
  return final !== null && pathOf(final.address) !== pathOf(asked);
}

function pathOf(address: string): string {
  if (!URL.canParse(address)) return address;
  const url = new URL(address);
  return url.host + url.pathname;
}
