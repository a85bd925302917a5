/**
 * A sign-in stands in the way. One sign alone is not enough on an open page (a sign-in link in the corner, an article
 * about passwords, an address with "login" in it), so the page itself must be a sign-in: a form for name and password
 * on a page that holds little else, a sign-in at another address than was asked for, or words that say so in its place.
 */
import { findHeading, findMark, findNotice, findWall, isShort } from '../find-marks.js';
import type { Evidence, FormFacts, PageFacts } from '../evidence.js';
import { hostNameOf, parseUrl } from '../../../platform/web-address.js';
import { found, type Finding, type Rule } from '../judgement.js';

const signInPath =
  /\/(?:sign-?in|signon|log-?in|log-?on|auth|authenticate|authorize|authorise|oauth2?|openid|saml2?|adfs|sso|idp|cas|come-in|session|anmelden|anmeldung|einloggen|connexion|identification|iniciar-sesion|acceso|entrar)(?:[/?.]|$)/i;

/** It asks to sign in. */
export const signIn: Rule = {
  verdict: 'sign-in',
  find: (evidence, catalogue) => {
    const { final } = evidence;
    if (!final) return [];
    const known = findWall(evidence, catalogue, 'sign-in');
    const page = final.page;
    return found(
      final.status === 401 ? { reason: 'status-unauthorised', detail: '401' } : null,
      known ? { reason: 'led-to-sign-in', detail: new URL(final.address).hostname } : null,
      ...(page
        ? [
            postsItself(page),
            known ? null : ledAway(evidence, final.address, page),
            form(evidence, page),
            notice(evidence),
          ]
        : []),
    );
  },
};

/** Hidden fields that post themselves to a sign-in: SAML's HTTP-POST binding and its kin. */
function postsItself(page: PageFacts): Finding | null {
  const target = page.postsItselfTo ?? null;
  return target !== null && signInPath.test(pathOf(target))
    ? { reason: 'posts-itself', detail: hostNameOf(target) ?? target }
    : null;
}

function ledAway(evidence: Evidence, finalAddress: string, page: PageFacts): Finding | null {
  if (!movedElsewhere(evidence) || !signInPath.test(pathOf(finalAddress)) || signInPath.test(pathOf(evidence.asked)))
    return null;
  const asks = page.forms.some((candidate) => isPasswordForm(candidate) || isNameForm(candidate));
  return findHeading(page, 'signInTitle') !== null || (asks && isShort(page))
    ? { reason: 'led-to-sign-in', detail: hostNameOf(finalAddress) ?? finalAddress }
    : null;
}

function form(evidence: Evidence, page: PageFacts): Finding | null {
  const password = page.forms.find(isPasswordForm);
  const stands = isShort(page) || movedElsewhere(evidence);
  if (password && stands && (findMark(page, 'signInTitle') !== null || isForOnePerson(password)))
    return { reason: 'sign-in-form', detail: page.title };
  // The name alone is asked for first: only where heading and button leave no doubt that nothing else is meant.
  const name =
    page.forms.length === 1 &&
    page.forms.some(isNameForm) &&
    isShort(page) &&
    findHeading(page, 'signInSurely') !== null;
  return name ? { reason: 'sign-in-form', detail: page.title } : null;
}

function notice(evidence: Evidence): Finding | null {
  const said = findNotice(evidence, 'signIn');
  return said === null ? null : { reason: 'says-sign-in', detail: said };
}

/** One password field: two of them belong to a page where an account is made or a password changed. */
function isPasswordForm({ fields }: FormFacts): boolean {
  return fields.filter((field) => field === 'password').length === 1 && fields.length <= 4;
}

/** A name and a password and hardly anything else; a password alone may be a riddle. */
function isForOnePerson({ fields }: FormFacts): boolean {
  const named = fields.filter((field) => field === 'text' || field === 'email' || field === 'tel');
  return (
    named.length === 1 && fields.every((field) => ['text', 'email', 'tel', 'password', 'checkbox'].includes(field))
  );
}

function isNameForm({ fields, method }: FormFacts): boolean {
  return (
    method === 'post' &&
    fields.filter((field) => field !== 'checkbox').length === 1 &&
    ['text', 'email', 'tel'].includes(fields.find((field) => field !== 'checkbox') ?? '')
  );
}

function movedElsewhere({ asked, final }: Evidence): boolean {
  return final !== null && pathOf(final.address) !== pathOf(asked);
}

function pathOf(address: string): string {
  const url = parseUrl(address);
  return url ? url.host + url.pathname : address;
}
