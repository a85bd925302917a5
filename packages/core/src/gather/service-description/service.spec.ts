import fc from 'fast-check';
import { askleaf, cofferlane, sampleCatalogue } from '../../test/sample-services.js';
import { fillTemplate, isAddressPath, matchPath } from './address-path.js';
import { compileServices, emptyCatalogue, needPatterns } from './catalogue.js';
import type { ServiceDescription } from './description.js';
import { descriptionProblems } from './description-problems.js';
import { describeAddress, hostMatches, isOwnShortener } from './match.js';
import { compileRe2 } from './re2-pattern.js';

describe('a path of a description', () => {
  it.each(['/leaf/{leaf}', '/leaf/*/change', '/leaf/**', '/', '/a-b/{leafOne2}'])('can be %s', (path) =>
    expect(isAddressPath(path)).toBe(true),
  );

  it.each([
    'leaf',
    '//a.example',
    '/leaf?x',
    '/leaf#x',
    '/le af',
    '/x{leaf}',
    '/{leaf}x',
    '/{Leaf}',
    '/{}',
    '/**/x',
    '/x*',
  ])('can’t be %s', (path) => expect(isAddressPath(path)).toBe(false));

  it('fills what is named, and leaves nothing of what is not', () => {
    expect(fillTemplate('/leaf/{leaf}/{page}', { leaf: 'tides' })).toBe('/leaf/tides/');
    expect(matchPath('/leaf/{leaf}', '/leaf')).toBeNull();
    expect(matchPath('/leaf/{leaf}', '/leaf/a/b')).toBeNull();
  });
});

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
