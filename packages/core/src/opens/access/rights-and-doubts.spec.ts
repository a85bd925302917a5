import { emptyCatalogue } from '../../gather/service-description/catalogue.js';
import { sampleCatalogue } from '../../test/sample-services.js';
import { doubtsOf, strangersBetween } from './doubts.js';
import type { Evidence, PageFacts } from './evidence.js';
import { isFolder, linksInside, type PageLink } from './inside.js';
import { addressAtService } from './on-the-way.js';
import { dueOpenings } from './opening-times.js';
import { rightsOf } from './rights.js';
import { judgeAccess } from './verdict.js';

const page = (more: Partial<PageFacts> = {}): PageFacts => ({
  title: 'Tides',
  firstLines: ['The tides come twice.'],
  visibleCharacters: 300,
  forms: [],
  scripts: 0,
  refreshTo: null,
  ...more,
});
function evidence(
  facts: Partial<PageFacts> | null = {},
  {
    asked = 'https://a.example/leaf/x',
    hops = [asked],
    more = {},
  }: { asked?: string; hops?: readonly string[]; more?: Partial<Evidence> } = {},
): Evidence {
  const address = hops.at(-1) ?? asked;
  const final = {
    address,
    status: 200,
    contentType: facts ? 'text/html' : 'application/pdf',
    sizeBytes: 100,
    cut: false,
    page: facts && page(facts),
  };
  return {
    asked,
    hops: hops.map((hop) => ({ address: hop, status: 200, elapsedMs: 1 })),
    ending: 'answered',
    final,
    elapsedMs: 50,
    ...more,
  };
}
const form = (fields: readonly string[], buttons: readonly string[], filledCharacters = 0) => ({
  action: '',
  method: 'post' as const,
  fields,
  buttons,
  filledCharacters,
});

describe('what a student could do', () => {
  it.each<[string, Partial<PageFacts> | null, object]>([
    ['look at a page', {}, { look: true, comment: false, change: false, download: false, answer: 'no' }],
    ['look at a file and save it', null, { look: true, download: true, change: false }],
    [
      'answer as often as they like',
      { forms: [form(['text', 'radio'], ['Send'])] },
      { answer: 'again', change: false },
    ],
    ['answer once', { forms: [form(['radio'], ['Vote'])], firstLines: ['One answer each.'] }, { answer: 'once' }],
    ['comment', { forms: [form(['textarea'], ['Kommentieren'])] }, { comment: true, answer: 'no' }],
    ['change what is editable', { editableCharacters: 200 }, { change: true }],
    ['change a text in a field', { forms: [form(['textarea'], ['Guardar'], 120)] }, { change: true, answer: 'no' }],
    ['save what has a button for it', { buttons: ['ダウンロード'] }, { download: true }],
    [
      'not answer a search',
      { forms: [{ action: '', method: 'get', fields: ['search'], buttons: ['Find'] }] },
      { answer: 'no' },
    ],
  ])('%s', (_, facts, rights) => expect(rightsOf(evidence(facts), emptyCatalogue)).toMatchObject(rights));

  it('is nothing where nothing opened', () =>
    expect(rightsOf({ ...evidence(), final: null }, emptyCatalogue)).toBeNull());
});

describe('doubts', () => {
  const reasons = (given: Evidence, title: string | null = null, catalogue = emptyCatalogue): readonly string[] =>
    doubtsOf(given, { title, kept: false }, catalogue).map(({ reason }) => reason);

  it('a deep link that ends at the start page', () => {
    expect(reasons(evidence({}, { hops: ['https://a.example/leaf/x', 'https://a.example/'] }))).toEqual(['start-page']);
    expect(
      reasons(
        evidence(
          {},
          { asked: 'https://a.example/?leaf=7', hops: ['https://a.example/?leaf=7', 'https://a.example/home'] },
        ),
      ),
    ).toEqual(['start-page']);
    expect(reasons(evidence({}, { asked: 'https://a.example/' }))).toEqual([]);
    expect(reasons(evidence({}, { asked: 'https://cofferlane.example/' }), null, sampleCatalogue)).toEqual([
      'start-page',
    ]);
  });

  it('a title of which not a word is on the page', () => {
    expect(reasons(evidence({ title: 'Welcome' }), 'Limpet guide')).toEqual(['title-differs']);
    expect(reasons(evidence({ title: 'Guides to the shore' }), 'Limpet guide')).toEqual([]);
    expect(reasons(evidence({ title: '潮だまりの図鑑' }), '図鑑')).toEqual([]);
    expect(reasons(evidence({ title: '' }), 'Limpet guide')).toEqual([]);
  });

  it('strangers on the way: no names of the same service or domain, and not the school’s own short links', () => {
    const way = (...hosts: string[]): readonly string[] =>
      strangersBetween(
        evidence({}, { asked: `https://${hosts[0] ?? ''}/x`, hops: hosts.map((host) => `https://${host}/x`) }),
        sampleCatalogue,
      );
    expect(way('short.example', 'count.example', 'a.example')).toEqual(['short.example', 'count.example']);
    expect(way('www.a.example', 'a.example')).toEqual([]);
    expect(way('cofferlane.localhost', 'cofferlane.example')).toEqual([]);
    expect(way('go.askleaf.example', 'a.example')).toEqual([]);
  });

  it('what is kept here at an address that phones can’t reach', () => {
    const own = (asked: string): unknown =>
      doubtsOf(evidence({}, { asked }), { title: null, kept: true }, emptyCatalogue);
    expect(own('http://localhost:4300/p/x')).toEqual([{ reason: 'address-loopback', detail: 'localhost' }]);
    expect(own('http://k.example/p/x')).toEqual([{ reason: 'address-plain', detail: 'k.example' }]);
    expect(own('https://k.example/p/x')).toEqual([]);
  });
});

describe('what is in the way of what opens', () => {
  it.each([
    [
      'an address without encryption',
      { hops: [{ address: 'http://a.example/', status: 200, elapsedMs: 5, plain: true }] },
      'not-encrypted',
    ],
    ['a long wait', { elapsedMs: 6200 }, 'slow'],
  ])('%s', (_, more, reason) =>
    expect(judgeAccess(evidence({ visibleCharacters: 2000 }, { more }), emptyCatalogue)).toMatchObject({
      verdict: 'obstructed',
      reasons: [{ reason }],
    }),
  );

  it('something locked inside, by its name', () => {
    const inside = (['open', 'sign-in', 'failing', 'missing'] as const).map((verdict, index) => ({
      name: `cove-0${index}`,
      address: 'https://a.example/',
      verdict,
      depth: 1,
    }));
    expect(judgeAccess(evidence({}, { more: { inside } }), emptyCatalogue)).toEqual({
      verdict: 'partial',
      reasons: [
        { reason: 'holds-locked', detail: 'cove-01' },
        { reason: 'holds-locked', detail: 'cove-03' },
      ],
    });
  });
});

describe('what is looked into', () => {
  const links = (...addresses: string[]): PageLink[] =>
    addresses.map((address) => ({ address, text: 'x', inMenu: false }));
  const inside = (
    holder: 'folder' | 'written-page',
    address: string,
    given: readonly PageLink[],
    catalogue = emptyCatalogue,
  ): readonly string[] =>
    linksInside(holder, address, given, catalogue, 'https://k.example').map((link) => link.address);

  it('a stranger’s folder: its own host, once each, without menus, mail and itself', () => {
    const given = [
      ...links(
        'https://a.example/f/1',
        'https://a.example/f/1#top',
        'https://b.example/2',
        'mailto:x@a.example',
        'https://a.example/f',
        'https://a.example/',
      ),
      { address: 'https://a.example/help', text: 'Help', inMenu: true },
    ];
    expect(inside('folder', 'https://a.example/f', given)).toEqual(['https://a.example/f/1#top']);
  });
  it('a described service’s folder: what its description calls a student’s page', () => {
    const given = links(
      'http://cofferlane.localhost/leaf/a',
      'http://cofferlane.localhost/leaf/a/write',
      'http://cofferlane.localhost/crate/b',
      'http://cofferlane.localhost/prices',
      'https://askleaf.localhost/ask/x',
    );
    expect(inside('folder', 'http://cofferlane.localhost/crate/x', given, sampleCatalogue)).toEqual([
      'http://cofferlane.localhost/leaf/a',
      'http://cofferlane.localhost/crate/b',
    ]);
    expect(isFolder('http://cofferlane.localhost/crate/b', sampleCatalogue)).toBe(true);
    expect(isFolder('http://cofferlane.localhost/leaf/a', sampleCatalogue)).toBe(false);
  });
  it('a written page: every link', () =>
    expect(
      inside(
        'written-page',
        'https://k.example/p/abc',
        links('https://a.example/1', 'https://b.example/2', 'https://k.example/p/abc', 'https://k.example/p/other'),
      ),
    ).toEqual(['https://a.example/1', 'https://b.example/2', 'https://k.example/p/other']));
});

describe('a short link before a described service', () => {
  const hops = ['https://short.example/x', 'http://cofferlane.localhost/leaf/a', 'http://gatepost.localhost/come-in'];
  const led = evidence({ title: 'Welcome' }, { asked: hops[0], hops });
  it('is judged by the walls of the service, and fixed there', () => {
    expect(judgeAccess(led, sampleCatalogue)).toMatchObject({
      verdict: 'sign-in',
      reasons: [{ reason: 'led-to-sign-in', detail: 'gatepost.localhost' }],
    });
    expect(addressAtService(led, sampleCatalogue)).toBe('http://cofferlane.localhost/leaf/a');
    expect(addressAtService(led, emptyCatalogue)).toBe('https://short.example/x');
  });
  it('counts what a description says of a page more than its status', () => {
    const gone = evidence({ title: 'This leaf was blown away' }, { asked: 'http://cofferlane.localhost/leaf/a' });
    const [final] = [gone.final && { ...gone.final, status: 410 }];
    expect(judgeAccess({ ...gone, final }, sampleCatalogue).reasons).toEqual([{ reason: 'says-missing', detail: '' }]);
    expect(judgeAccess({ ...gone, final }, emptyCatalogue).reasons).toEqual([
      { reason: 'status-missing', detail: '410' },
    ]);
  });
});

describe('when lessons are opened by the clock', () => {
  const due = (now: string, startsAt: string | null = '09:40', date = '2027-06-10'): readonly string[] =>
    dueOpenings(date, startsAt, 'Europe/Dublin', Date.parse(now)).map(({ time }) => time);
  it('the evening before and an hour before, in the school’s zone', () => {
    expect(due('2027-06-09T16:59:00Z')).toEqual([]);
    expect(due('2027-06-09T17:00:00Z')).toEqual(['evening-before']);
    expect(due('2027-06-10T07:39:00Z')).toEqual([]);
    expect(due('2027-06-10T07:40:00Z')).toEqual(['hour-before']);
    expect(due('2027-06-10T08:40:00Z')).toEqual([]);
  });
  it('in winter at another instant, and without a time of day before eight', () => {
    expect(due('2027-01-11T18:00:00Z', '09:40', '2027-01-12')).toEqual(['evening-before']);
    expect(due('2027-01-11T17:30:00Z', '09:40', '2027-01-12')).toEqual([]);
    expect(due('2027-01-12T07:00:00Z', null, '2027-01-12')).toEqual(['evening-before', 'hour-before']);
  });
});
