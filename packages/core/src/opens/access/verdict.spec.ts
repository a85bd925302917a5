import { emptyCatalogue } from '../../gather/service-description/catalogue.js';
import { sampleCatalogue } from '../../test/sample-services.js';
import type { Ending } from './evidence.js';
import type { AccessVerdict } from '../../gather/service-description/access-verdict.js';
import type { VerdictReason } from './judgement.js';
import { judgeAccess } from './verdict.js';
import { type Shape, evidence, signInForm } from '../../test/sample-evidence.js';

describe('what is in the way', () => {
  it.each<[string, Shape, AccessVerdict, VerdictReason]>([
    [
      'a redirect to the shared sign-in',
      {
        asked: 'http://cofferlane.localhost:4310/leaf/x',
        final: 'http://gatepost.localhost:4310/come-in?back=x',
        page: { title: 'Sign in', forms: [signInForm], visibleCharacters: 100 },
      },
      'sign-in',
      'led-to-sign-in',
    ],
    [
      'a redirect to a stranger’s sign-in',
      { final: 'https://id.example/signin?next=x', page: { title: 'Sign in', visibleCharacters: 90 } },
      'sign-in',
      'led-to-sign-in',
    ],
    [
      'a sign-in form in the page’s place',
      { page: { title: 'Welcome back', visibleCharacters: 120, forms: [signInForm] } },
      'sign-in',
      'sign-in-form',
    ],
    [
      'a form with a password alone',
      { page: { title: 'Log in', visibleCharacters: 60, forms: [{ ...signInForm, fields: ['password'] }] } },
      'sign-in',
      'sign-in-form',
    ],
    ['status 401', { status: 401 }, 'sign-in', 'status-unauthorised'],
    [
      'a notice to sign in',
      { page: { title: 'Board', firstLines: ['Please sign in to see this.'], visibleCharacters: 40 } },
      'sign-in',
      'says-sign-in',
    ],
    [
      'the service’s ask-for-a-key page with status 200',
      { asked: 'http://cofferlane.localhost/leaf/x', page: { title: 'Ask for a key', visibleCharacters: 70 } },
      'named-only',
      'says-ask-for-access',
    ],
    [
      'a stranger’s request-access page',
      { page: { title: 'You need access', visibleCharacters: 150 } },
      'named-only',
      'says-ask-for-access',
    ],
    ['status 403', { status: 403 }, 'named-only', 'status-forbidden'],
    [
      'the service’s page that a leaf blew away',
      {
        asked: 'http://cofferlane.localhost/leaf/x',
        page: { title: 'Cofferlane', firstLines: ['This leaf BLEW away.'], visibleCharacters: 40 },
      },
      'missing',
      'says-missing',
    ],
    [
      'a closed form',
      {
        asked: 'http://askleaf.localhost/ask/x',
        page: { title: 'Tally', firstLines: ['This leaf takes no more answers.'], visibleCharacters: 40 },
      },
      'closed',
      'says-closed',
    ],
    [
      'a stranger’s closed form',
      { page: { title: 'Quiz', firstLines: ['The form is closed.'], visibleCharacters: 60 } },
      'closed',
      'says-closed',
    ],
    ['status 404', { status: 404 }, 'missing', 'status-missing'],
    ['status 410', { status: 410 }, 'missing', 'status-missing'],
    [
      'a page that says so with status 200',
      { page: { title: 'Page not found', visibleCharacters: 80 } },
      'missing',
      'says-missing',
    ],
    ['status 503', { status: 503 }, 'failing', 'server-error'],
    ['status 429', { status: 429 }, 'failing', 'too-busy'],
    ['a page that only a script fills', { page: { visibleCharacters: 0, scripts: 3 } }, 'unknown', 'needs-script'],
    [
      'a page that leads on by itself',
      { page: { visibleCharacters: 20, refreshTo: 'https://b.example/' } },
      'unknown',
      'leads-on',
    ],
    [
      'a wall for members of an organisation',
      {
        page: {
          title: 'Sign in',
          firstLines: ['Only available to members of Fernhollow School.'],
          visibleCharacters: 90,
        },
      },
      'organisation',
      'says-organisation',
    ],
    [
      'the same in Japanese',
      { page: { title: 'ログイン', firstLines: ['組織内のユーザーのみ閲覧できます。'], visibleCharacters: 20 } },
      'organisation',
      'says-organisation',
    ],
    [
      'a private film',
      { page: { title: 'Video', firstLines: ['Este vídeo es privado.'], visibleCharacters: 22 } },
      'named-only',
      'says-private',
    ],
    [
      'hidden fields that post themselves to a sign-in',
      { page: { visibleCharacters: 0, scripts: 1, postsItselfTo: 'https://id.example/saml2/sso' } },
      'sign-in',
      'posts-itself',
    ],
    [
      'a name that is asked for first, at another address',
      {
        final: 'https://id.example/oauth2/authorize?x',
        page: {
          title: 'Welcome',
          visibleCharacters: 20,
          forms: [{ action: '', method: 'post', fields: ['email'], buttons: ['Next'] }],
        },
      },
      'sign-in',
      'led-to-sign-in',
    ],
    [
      'a link past its day',
      { page: { title: 'Freigabe', firstLines: ['Dieser Link ist abgelaufen.'], visibleCharacters: 30 } },
      'closed',
      'says-expired',
    ],
    [
      'a form before its day',
      { page: { title: 'Quiz', firstLines: ['Ce questionnaire n’est pas encore ouvert.'], visibleCharacters: 45 } },
      'closed',
      'says-not-yet',
    ],
    [
      'a form over its limit',
      {
        page: {
          title: 'Bus',
          firstLines: ['The maximum number of responses has been reached.'],
          visibleCharacters: 52,
        },
      },
      'closed',
      'says-over-limit',
    ],
    [
      'a page of consent before everything',
      { page: { title: 'Bevor es weitergeht', visibleCharacters: 120, buttons: ['Alle akzeptieren'] } },
      'obstructed',
      'asks-consent',
    ],
    [
      'a question for the age',
      {
        page: {
          title: 'Age check',
          firstLines: ['Please confirm your age.'],
          visibleCharacters: 60,
          buttons: ['I am 16'],
        },
      },
      'obstructed',
      'asks-age',
    ],
    [
      'an office file',
      { page: null, contentType: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document' },
      'obstructed',
      'download-only',
    ],
    [
      'a check against robots, whatever its status',
      {
        status: 503,
        page: { title: 'Einen Moment', firstLines: ['Ihr Browser wird überprüft.'], visibleCharacters: 40 },
      },
      'unknown',
      'robot-check',
    ],
    [
      'a document that its visitors write in',
      { page: { title: 'Notes', editableCharacters: 200 } },
      'open-editable',
      'may-change',
    ],
    ['another error of the service', { status: 418 }, 'failing', 'status-error'],
    ['an unusual status', { status: 304 }, 'unknown', 'unexpected-status'],
    ['an empty answer', { page: null, contentType: '', sizeBytes: 0 }, 'unknown', 'nothing-to-see'],
  ])('%s', (_, shape, verdict, reason) => {
    const judgement = judgeAccess(evidence(shape), sampleCatalogue);
    expect([judgement.verdict, judgement.reasons.map((finding) => finding.reason)]).toEqual([
      verdict,
      expect.arrayContaining([reason]),
    ]);
  });

  it.each<[Ending, AccessVerdict]>([
    ['guarded-address', 'refused'],
    ['not-a-web-address', 'refused'],
    ['name-not-found', 'failing'],
    ['not-reached', 'failing'],
    ['took-too-long', 'failing'],
    ['too-many-redirects', 'failing'],
    ['bad-certificate', 'failing'],
    ['broken-answer', 'failing'],
  ])('an opening that ended with %s is %s, and names the host or address', (ending, verdict) => {
    const judgement = judgeAccess(
      {
        asked: 'https://a.example/x',
        hops: [{ address: 'https://b.example/y', status: null, elapsedMs: 3 }],
        ending,
        final: null,
        elapsedMs: 3,
      },
      sampleCatalogue,
    );
    expect(judgement).toMatchObject({ verdict, reasons: [{ reason: ending }] });
    expect(judgement.reasons[0]?.detail).toContain('b.example');
  });

  it('judges without any service description too', () => {
    expect(
      judgeAccess(
        evidence({
          final: 'http://gatepost.localhost/come-in',
          page: { title: 'Sign in', visibleCharacters: 80, forms: [signInForm] },
        }),
        emptyCatalogue,
      ).verdict,
    ).toBe('sign-in');
  });
});
