import fc from 'fast-check';
import {
  blockTypes,
  documentLimits,
  inlineTypes,
  markTypes,
  palette,
  type PageDocument,
  type PageNode,
} from './document.js';
import { documentHtml, type ShownFile } from './document-html.js';
import { documentFiles, documentLinks, documentText, readDocument } from './read-document.js';

const fileId = '01890a5d-ac96-774b-bcce-b302099a8057';
const file: ShownFile = { address: '/k/abc', name: 'Waves.mp3', widthPx: 800, heightPx: 600 };
const text = (words: string, ...marks: object[]): object => ({
  type: 'text',
  text: words,
  ...(marks.length > 0 && { marks }),
});
const doc = (...content: object[]): object => ({ type: 'doc', content });
const paragraph = (...content: object[]): object => ({ type: 'paragraph', content });
const html = (given: object): string =>
  documentHtml(readDocument(given) as PageDocument, (id) => (id === fileId ? file : null));

describe('a written page', () => {
  it('comes out as it was written', () => {
    const given = doc(
      { type: 'heading', attrs: { level: 1, textAlign: 'center' }, content: [text('Tides & time')] },
      paragraph(
        text('Low at '),
        text('nine', { type: 'bold' }, { type: 'look', attrs: { colour: 'blue', size: 'large' } }),
        { type: 'hardBreak' },
        text('see', { type: 'link', attrs: { href: 'https://a.example/t?a=1&b=2' } }),
      ),
      { type: 'orderedList', attrs: { start: 3 }, content: [{ type: 'listItem', content: [paragraph(text('Look'))] }] },
      {
        type: 'table',
        content: [
          {
            type: 'tableRow',
            content: [{ type: 'tableHeader', attrs: { colspan: 2 }, content: [paragraph(text('Day'))] }],
          },
        ],
      },
      { type: 'keptPicture', attrs: { fileId, alt: 'A "limpet"' } },
      { type: 'keptMedia', attrs: { fileId, media: 'sound' } },
      { type: 'horizontalRule' },
    );
    expect(html(given)).toBe(
      '<h2 class="align-center">Tides &#38; time</h2>' +
        '<p>Low at <strong><span class="colour-blue size-large">nine</span></strong><br><a href="https://a.example/t?a=1&#38;b=2" rel="noopener noreferrer">see</a></p>' +
        '<ol start="3"><li><p>Look</p></li></ol>' +
        '<div class="wide"><table><tbody><tr><th colspan="2"><p>Day</p></th></tr></tbody></table></div>' +
        '<figure><img src="/k/abc/w1280" srcset="/k/abc/w640 640w, /k/abc/w1280 1280w" sizes="(max-width: 700px) 94vw, 660px" alt="A &#34;limpet&#34;" loading="lazy" width="800" height="600"></figure>' +
        '<figure><audio controls preload="metadata" src="/k/abc"></audio><figcaption>Waves.mp3</figcaption></figure>' +
        '<hr>',
    );
  });

  it('names its files, links and words', () => {
    const given = readDocument(
      doc(
        { type: 'keptPicture', attrs: { fileId, alt: '' } },
        paragraph(text('One', { type: 'link', attrs: { href: 'https://a.example/' } }), text(' two')),
        { type: 'keptMedia', attrs: { fileId } },
      ),
    ) as PageDocument;
    expect(documentFiles(given)).toEqual([fileId]);
    expect(documentLinks(given)).toEqual(['https://a.example/']);
    expect(documentText(given)).toBe('One two');
  });

  it('leaves out pictures whose file is gone', () => {
    const given = readDocument(doc({ type: 'keptPicture', attrs: { fileId, alt: '' } })) as PageDocument;
    expect(documentHtml(given, () => null)).toBe('');
  });
});

describe('what a page may not hold', () => {
  it.each<[string, object]>([
    ['a script as a node', doc({ type: 'script', content: [text('alert(1)')] })],
    ['a script as a type with markup', doc({ type: 'paragraph><script>', content: [text('x')] })],
    ['a link that runs', doc(paragraph(text('x', { type: 'link', attrs: { href: 'javascript:alert(1)' } })))],
    [
      'a link that runs, written oddly',
      doc(paragraph(text('x', { type: 'link', attrs: { href: ' JaVa\tScRiPt:alert(1)' } }))),
    ],
    [
      'a link that holds a page',
      doc(paragraph(text('x', { type: 'link', attrs: { href: 'data:text/html,<script>alert(1)</script>' } }))),
    ],
    [
      'a link out of its quotes',
      doc(paragraph(text('x', { type: 'link', attrs: { href: 'https://a.example/" onmouseover="alert(1)' } }))),
    ],
    ['markup in a text', doc(paragraph(text('<img src=x onerror=alert(1)>')))],
    [
      'markup in an alternative text',
      doc({ type: 'keptPicture', attrs: { fileId, alt: '"><script>alert(1)</script>' } }),
    ],
    ['a picture from elsewhere', doc({ type: 'image', attrs: { src: 'https://evil.example/x.png' } })],
    ['a picture under a made-up id', doc({ type: 'keptPicture', attrs: { fileId: '../../x" onerror="alert(1)' } })],
    [
      'a style',
      doc(
        paragraph(
          text(
            'x',
            { type: 'textStyle', attrs: { style: 'position:fixed' } },
            { type: 'look', attrs: { colour: 'red;position:fixed', font: 'x" onclick="y' } },
          ),
        ),
      ),
    ],
    [
      'an alignment that is none',
      doc({ type: 'paragraph', attrs: { textAlign: 'left" onclick="alert(1)' }, content: [text('x')] }),
    ],
    ['an embedded page', doc({ type: 'iframe', attrs: { src: 'https://evil.example' } })],
  ])('%s is harmless', (_, given) => {
    const shown = html(given);
    // What remains of it is text: no tag that was not asked for, no attribute that runs.
    expect(shown.replace(/<(\/?)(?:p|a|strong|span|figure|img|br)(?=[\s>])[^>]*>/g, '')).not.toMatch(/[<>]/);
    for (const [tag] of shown.matchAll(/<[^>]*>/g)) expect(tag).not.toMatch(/\son\w+=|javascript:|data:|style=|evil/i);
  });

  it('is left out, and what stood in it stays', () => {
    expect(readDocument(doc({ type: 'aside', content: [paragraph(text('Still here'))] }))).toEqual({
      type: 'doc',
      content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Still here' }] }],
    });
  });

  it.each([null, 'doc', [], {}, { type: 'paragraph' }])('%j is no document', (given) =>
    expect(readDocument(given)).toBeNull(),
  );

  it('is more than a page: refused as a whole', () => {
    expect(readDocument(doc(...Array.from({ length: 5000 }, () => paragraph())))).toBeNull();
    expect(readDocument(doc(paragraph(text('x'.repeat(100_001)))))).toBeNull();
  });

  it('is just not too much: as many parts as are taken come through', () => {
    const paragraphs = (count: number) => ({
      type: 'doc',
      content: Array.from({ length: count }, () => ({ type: 'paragraph' })),
    });
    expect(readDocument(paragraphs(documentLimits.nodes))?.content).toHaveLength(documentLimits.nodes);
    expect(readDocument(paragraphs(documentLimits.nodes + 1))).toBeNull();
  });

  it('has no attributes and no content where there is nothing to say', () => {
    const page = readDocument({
      type: 'doc',
      content: [
        { type: 'paragraph', content: [] },
        { type: 'orderedList', attrs: { start: 1 }, content: [{ type: 'listItem', content: [{ type: 'paragraph' }] }] },
        { type: 'orderedList', attrs: { start: 3 }, content: [{ type: 'listItem', content: [{ type: 'paragraph' }] }] },
      ],
    });
    expect(page?.content[0]).toEqual({ type: 'paragraph' });
    expect(page?.content[1]).not.toHaveProperty('attrs');
    expect(page?.content[2]).toMatchObject({ attrs: { start: 3 } });
  });

  it('is nested without end: cut at its depth', () => {
    let deep: object = text('x');
    for (let level = 0; level < 5000; level += 1) deep = { type: 'blockquote', content: [deep] };
    expect(html(doc(deep)).match(/<blockquote>/g)).toHaveLength(12);
  });

  it('whatever is sent, reading it twice changes nothing, and its HTML has known tags only', () => {
    const attrs = fc.dictionary(
      fc.constantFrom('level', 'textAlign', 'href', 'colour', 'fileId', 'alt', 'start', 'colspan', 'style', 'onclick'),
      fc.oneof(
        fc.string(),
        fc.integer(),
        fc.constantFrom('center', 'red', fileId, 'https://a.example/', 'javascript:1'),
      ),
    );
    const mark = fc.record({ type: fc.oneof(fc.constantFrom(...markTypes), fc.string()), attrs });
    const { node } = fc.letrec<{ node: object }>((tie) => ({
      node: fc.record(
        {
          type: fc.oneof(fc.constantFrom(...blockTypes, ...inlineTypes), fc.string()),
          attrs,
          text: fc.string(),
          marks: fc.array(mark, { maxLength: 3 }),
          content: fc.array(tie('node'), { maxLength: 3, depthIdentifier: 'page' }),
        },
        { requiredKeys: ['type'] },
      ),
    }));
    fc.assert(
      fc.property(fc.array(node, { maxLength: 4 }), (content) => {
        const once = readDocument({ type: 'doc', content }) as PageDocument;
        expect(readDocument(JSON.parse(JSON.stringify(once)))).toEqual(once);
        for (const [, tag = ''] of documentHtml(once, () => file).matchAll(/<\/?([^\s>]*)/g))
          expect(knownTags).toContain(tag);
      }),
    );
  });
});

const knownTags = [
  'p',
  'h2',
  'h3',
  'h4',
  'ul',
  'ol',
  'li',
  'blockquote',
  'hr',
  'div',
  'table',
  'tbody',
  'tr',
  'td',
  'th',
  'figure',
  'figcaption',
  'img',
  'audio',
  'video',
  'br',
  'strong',
  'em',
  'u',
  's',
  'code',
  'a',
  'span',
];

describe('the palette', () => {
  const luminance = (hex: string): number => {
    const [r = 0, g = 0, b = 0] = [1, 3, 5]
      .map((at) => parseInt(hex.slice(at, at + 2), 16) / 255)
      .map((value) => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4));
    return 0.2126 * r + 0.7152 * g + 0.0722 * b;
  };
  it.each(Object.entries(palette.colours))('%s is readable on white (WCAG 2.2, 1.4.3)', (_, colour) =>
    expect(1.05 / (luminance(colour) + 0.05)).toBeGreaterThan(4.5),
  );
  it('has a class for each choice', () => {
    const node = (attrs: object): PageNode => ({ type: 'text', text: 'x', marks: [{ type: 'look', attrs }] });
    expect(documentHtml({ type: 'doc', content: [node({ font: 'typewriter' })] }, () => null)).toBe(
      '<span class="font-typewriter">x</span>',
    );
  });
});
