import fc from 'fast-check';
import type { Evidence, FinalPage, PageFacts } from '../../opens/access/evidence.js';
import { accessVerdicts } from './access-verdict.js';
import { askleaf, cofferlane, sampleCatalogue } from '../../test/sample-services.js';
import { fillTemplate, matchPath } from './address-path.js';
import { compileServices, emptyCatalogue, needPatterns } from './catalogue.js';
import type { ServiceDescription } from './description.js';
import { descriptionProblems } from './description-problems.js';
import { describeAddress, hostMatches, isOwnShortener } from './match.js';
import { mendingFor } from '../../opens/access/mending.js';
import { compileRe2 } from './re2-pattern.js';
import { samePage, trimLink } from '../../opens/access/tracking.js';

describe('matching an address', () => {
  it('ignores the port and the case of the host', () => {
    expect(describeAddress('http://COFFERLANE.localhost:1234/leaf/x', sampleCatalogue)?.service.id).toBe('cofferlane');
  });

  it('knows the host even where it does not know the path', () => {
    expect(describeAddress('http://cofferlane.localhost/', sampleCatalogue)).toMatchObject({
      service: { id: 'cofferlane' },
      address: null,
      studentLink: null,
    });
  });

  it('gives nothing for a stranger, or for a name that only ends alike', () => {
    expect(describeAddress('https://notcofferlane.example/leaf/x', sampleCatalogue)).toBeNull();
    expect(describeAddress('nonsense', sampleCatalogue)).toBeNull();
    expect(describeAddress('http://cofferlane.localhost/leaf/x', emptyCatalogue)).toBeNull();
  });

  it('knows the hosts of the school’s own short links', () => {
    expect(isOwnShortener('go.askleaf.example', sampleCatalogue)).toBe(true);
    expect(isOwnShortener('go.stranger.example', sampleCatalogue)).toBe(false);
  });

  it.each([
    ['*.a.example', 'b.a.example', true],
    ['*.a.example', 'c.b.a.example', true],
    ['*.a.example', 'a.example', false],
    ['*.a.example', 'ba.example', false],
    ['a.example', 'A.Example', true],
  ])('host %s covers %s: %s', (pattern, host, expected) => expect(hostMatches(pattern, host)).toBe(expected));

  it.each([
    ['/leaf/*', '/leaf/x', {}],
    ['/leaf/*', '/leaf/x/write', null],
    ['/leaf/**', '/leaf/x/write', {}],
    ['/leaf/{leaf}/write', '/leaf/x%20y/write', { leaf: 'x%20y' }],
    ['/leaf', '/leaf/', {}],
    ['/leaf/*', '/leaf', null],
    ['/**', '/', {}],
  ])('path %s on %s: %j', (template, path, expected) => expect(matchPath(template, path)).toEqual(expected));

  it('a filled template fits itself again, with the same parts', () => {
    const part = fc.stringMatching(/^[A-Za-z0-9_.~-]{1,20}$/);
    fc.assert(
      fc.property(part, part, (a, b) =>
        expect(matchPath('/x/{a}/y/{b}', fillTemplate('/x/{a}/y/{b}', { a, b }))).toEqual({ a, b }),
      ),
    );
  });
});

describe('the student’s link', () => {
  const studentLink = (link: string): string | null | undefined => describeAddress(link, sampleCatalogue)?.studentLink;

  it('is worked out from the editor’s, on the same host and port', () => {
    expect(
      describeAddress('http://cofferlane.localhost:4310/leaf/tides/write?tab=2#end', sampleCatalogue),
    ).toMatchObject({
      address: { role: 'editor', kind: 'document' },
      studentLink: 'http://cofferlane.localhost:4310/leaf/tides',
    });
  });

  it('is worked out by an expression’s named groups', () => {
    expect(studentLink('https://eu.askleaf.example/ask/tally/heard?page=2')).toBe(
      'https://eu.askleaf.example/ask/tally?from=heard',
    );
  });

  it('is not offered where this is it already, or where it can’t be worked out', () => {
    expect(studentLink('https://cofferlane.example/leaf/tides')).toBeNull();
    expect(describeAddress('https://eu.askleaf.example/sheet/9', sampleCatalogue)).toMatchObject({
      address: { role: 'answers', steps: ['Press **Hand it out**.'] },
      studentLink: null,
    });
  });

  it('never leads to another host, whatever stands in the address', () => {
    const sly: ServiceDescription = {
      ...askleaf,
      addresses: [{ role: 'editor', kind: 'form', pattern: 'to=(?P<to>.*)', studentLink: '/{to}' }],
    };
    const catalogue = compileServices([sly], compileRe2);
    fc.assert(
      fc.property(fc.webUrl({ withQueryParameters: true }), (to) => {
        const found = describeAddress(`http://askleaf.localhost/x?to=${to}`, catalogue)?.studentLink;
        expect(found === null || found === undefined || new URL(found).host === 'askleaf.localhost').toBe(true);
      }),
    );
  });
});

describe('descriptions that people write', () => {
  const problemsOf = (more: Partial<ServiceDescription>): readonly string[] =>
    descriptionProblems({ ...cofferlane, ...more }, compileRe2).map(({ path, reason }) => `${path}: ${reason}`);

  it('have no problems where they are right', () => {
    expect(problemsOf({})).toEqual([]);
    expect(descriptionProblems(askleaf, compileRe2)).toEqual([]);
  });

  it.each<[string, Partial<ServiceDescription>, string]>([
    ['a scheme in a host', { hosts: ['https://a.example'] }, 'hosts.0: host-unusable'],
    ['a star inside a host', { hosts: ['a.*.example'] }, 'hosts.0: host-unusable'],
    ['no host at all', { hosts: [] }, 'hosts: no-host'],
    ['a short link’s host with a path', { shorteners: ['go.example/x'] }, 'shorteners.0: host-unusable'],
    ['neither path nor expression', { addresses: [{ role: 'student', kind: 'form' }] }, 'addresses.0: path-or-pattern'],
    [
      'both path and expression',
      { addresses: [{ role: 'student', kind: 'form', path: '/x', pattern: 'x' }] },
      'addresses.0: path-or-pattern',
    ],
    [
      'a path without its first stroke',
      { addresses: [{ role: 'student', kind: 'form', path: 'leaf/*' }] },
      'addresses.0.path: path-unusable',
    ],
    [
      'a rest in the middle',
      { addresses: [{ role: 'student', kind: 'form', path: '/**/x' }] },
      'addresses.0.path: path-unusable',
    ],
    [
      'a part that is named like nothing',
      { addresses: [{ role: 'student', kind: 'form', path: '/{9}' }] },
      'addresses.0.path: path-unusable',
    ],
    [
      'an expression with an open bracket',
      { addresses: [{ role: 'student', kind: 'form', pattern: '(' }] },
      'addresses.0.pattern: pattern-unusable',
    ],
    [
      'an expression that looks back',
      { walls: [{ verdict: 'closed', pattern: '(a)\\1' }] },
      'walls.0.pattern: pattern-unusable',
    ],
    [
      'an expression that is too long',
      { walls: [{ verdict: 'closed', pattern: 'a'.repeat(501) }] },
      'walls.0.pattern: pattern-unusable',
    ],
    ['a wall without a mark', { walls: [{ verdict: 'closed', words: [] }] }, 'walls.0: mark-missing'],
    [
      'a student’s link on another host',
      { addresses: [{ role: 'editor', kind: 'form', path: '/x', studentLink: '//b.example/x' }] },
      'addresses.0.studentLink: student-link-unusable',
    ],
    [
      'a student’s link with a part that nothing gives',
      { addresses: [{ role: 'editor', kind: 'form', path: '/{a}', studentLink: '/{b}' }] },
      'addresses.0.studentLink: part-unknown',
    ],
  ])('%s is found', (_, more, problem) => expect(problemsOf(more)).toEqual([problem]));

  it('are named and left out where they can’t be used, and the others work on', () => {
    const { services, leftOut } = compileServices([{ ...cofferlane, hosts: ['no host'] }, askleaf], compileRe2);
    expect(services.map(({ description }) => description.id)).toEqual(['askleaf']);
    expect(leftOut).toEqual([
      {
        id: 'cofferlane',
        name: 'Cofferlane',
        problems: [{ path: 'hosts.0', reason: 'host-unusable', detail: 'no host' }],
      },
    ]);
  });

  it('tell whether an engine for expressions is needed at all', () => {
    expect(needPatterns([askleaf])).toBe(true);
    expect(needPatterns([{ ...askleaf, addresses: [] }])).toBe(false);
  });

  it('run in time that grows with the text alone: expressions that double a back-tracking engine’s work with each letter', () => {
    // 5,000 letters would take such an engine longer than the universe is old; this test would never end.
    for (const source of ['^(a+)+$', '^(a|a)*$', '^(a|aa)+$', '(x+x+)+y'])
      expect(compileRe2(source).find(`${'a'.repeat(5000)}!${'x'.repeat(5000)}`)).toBeNull();
  });
});

describe('mending', () => {
  it('gives the service’s own steps, and the page on which its owner does them', () => {
    const mending = mendingFor('sign-in', 'http://cofferlane.localhost:4310/leaf/tides?from=mail', sampleCatalogue);
    expect(mending).toMatchObject({
      service: 'Cofferlane',
      ownerPage: 'http://cofferlane.localhost:4310/leaf/tides/who',
    });
    expect(mending?.steps[0]).toContain('**Who may look**');
  });

  it('finds that page from the editor’s address too', () => {
    expect(mendingFor('sign-in', 'http://cofferlane.localhost:4310/leaf/tides/write', sampleCatalogue)?.ownerPage).toBe(
      'http://cofferlane.localhost:4310/leaf/tides/who',
    );
  });

  it('has steps for every verdict but open, also at a stranger’s', () => {
    for (const verdict of accessVerdicts) {
      const mending = mendingFor(verdict, 'https://stranger.example/x', sampleCatalogue);
      if (verdict === 'open') expect(mending).toBeNull();
      else expect(mending?.steps.length).toBeGreaterThan(0);
    }
  });
});

describe('parameters that only count visitors', () => {
  it.each([
    [
      'https://a.example/x?utm_source=mail&id=7&utm_medium=web#part',
      'https://a.example/x?id=7#part',
      ['utm_source', 'utm_medium'],
    ],
    ['https://a.example/x?gclid=1', 'https://a.example/x', ['gclid']],
    ['https://a.example/x?UTM_Source=1&q=a+b%20c', 'https://a.example/x?q=a+b%20c', ['UTM_Source']],
    ['http://cofferlane.example/leaf/x?lane=9', 'http://cofferlane.example/leaf/x', ['lane']],
  ])('are left out of %s', (link, trimmed, removed) =>
    expect(trimLink(link, sampleCatalogue)).toEqual({ link: trimmed, removed }),
  );

  it.each([
    'https://a.example/x',
    'https://a.example/x?id=7',
    'https://a.example/x?lane=9',
    'https://a.example/x#?utm_source=1',
    'utm_source',
  ])('are not seen in %s', (link) => expect(trimLink(link, sampleCatalogue)).toBeNull());

  it('are all found at once, and the rest stays character by character', () => {
    const pair = fc
      .tuple(fc.constantFrom('utm_x', 'id', 'q', 'fooclid', 'Name'), fc.stringMatching(/^[A-Za-z0-9%+.]{0,8}$/))
      .map(([name, value]) => `${name}=${value}`);
    fc.assert(
      fc.property(fc.array(pair, { maxLength: 8 }), (pairs) => {
        const trimmed = trimLink(`https://a.example/x?${pairs.join('&')}`, sampleCatalogue);
        const wanted = pairs.filter((each) => !/^(?:utm_|fooclid)/.test(each));
        expect(trimmed === null).toBe(wanted.length === pairs.length);
        if (!trimmed) return;
        expect(trimmed.link).toBe(`https://a.example/x${wanted.length === 0 ? '' : `?${wanted.join('&')}`}`);
        expect(trimLink(trimmed.link, sampleCatalogue)).toBeNull();
      }),
    );
  });

  const page = (facts: Partial<PageFacts> = {}): PageFacts => ({
    title: 'Tides',
    firstLines: [],
    visibleCharacters: 1000,
    forms: [],
    scripts: 0,
    refreshTo: null,
    ...facts,
  });
  const opened = (asked: string, final: Partial<FinalPage> = {}): Evidence => ({
    asked,
    hops: [],
    ending: 'answered',
    final: {
      address: asked,
      status: 200,
      contentType: 'text/html',
      sizeBytes: 5000,
      cut: false,
      page: page(),
      ...final,
    },
    elapsedMs: 1,
  });
  const whole = 'https://a.example/x?utm_source=mail&id=7';
  const short = 'https://a.example/x?id=7';

  it.each<[string, boolean, Partial<FinalPage>]>([
    ['the same page', true, {}],
    [
      'the same page with a figure that changes',
      true,
      { page: page({ visibleCharacters: 1004, firstLines: ['Read 4 times'] }) },
    ],
    ['another status', false, { status: 404 }],
    ['another title', false, { page: page({ title: 'Welcome' }) }],
    [
      'a page with a form more',
      false,
      { page: page({ forms: [{ action: '', method: 'post', fields: [], buttons: [] }] }) },
    ],
    ['a much shorter page', false, { page: page({ visibleCharacters: 300 }) }],
    ['another address', false, { address: 'https://a.example/start' }],
    ['a file of the same size in a page’s place', false, { page: null, contentType: 'application/pdf' }],
  ])('without them %s: %s', (_, same, final) =>
    expect(samePage(opened(whole), opened(short, final), sampleCatalogue)).toBe(same),
  );

  it('count as needed where either did not open', () => {
    expect(samePage(opened(whole), { ...opened(short), ending: 'took-too-long', final: null }, sampleCatalogue)).toBe(
      false,
    );
  });
});
