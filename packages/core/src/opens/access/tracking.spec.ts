import fc from 'fast-check';
import { sampleCatalogue } from '../../test/sample-services.js';
import type { Evidence, FinalPage, PageFacts } from './evidence.js';
import { samePage, trimLink } from './tracking.js';

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

  it('count as needed where one is a page and the other is none, and where files differ in size', () => {
    const file = (sizeBytes: number): Partial<FinalPage> => ({ page: null, contentType: 'application/pdf', sizeBytes });
    expect(samePage(opened(whole, file(10)), opened(short, file(10)), sampleCatalogue)).toBe(true);
    expect(samePage(opened(whole, file(10)), opened(short, file(11)), sampleCatalogue)).toBe(false);
    expect(samePage(opened(whole), opened(short, { page: null }), sampleCatalogue)).toBe(false);
  });

  it('leave nothing behind of an empty pair or a broken escape', () => {
    expect(trimLink('https://a.example/x?&utm_source=1&', sampleCatalogue)?.link).toBe('https://a.example/x');
    expect(trimLink('https://a.example/x?%E0%A4=1&fbclid=2', sampleCatalogue)).toEqual({
      link: 'https://a.example/x?%E0%A4=1',
      removed: ['fbclid'],
    });
  });
});
