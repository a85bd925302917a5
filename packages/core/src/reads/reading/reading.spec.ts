import fc from 'fast-check';
import { contentPayload } from '../../code/payload/carry.js';
import type { Content } from '../../gather/content/content.js';
import { codePixels } from '../../code/look/pixels.js';
import { planSymbol } from '../../code/symbol/plan.js';
import { markedText } from './marked-text.js';
import { measureSymbol, type Corners } from './measure-symbol.js';
import { saidBy } from './said.js';

describe('what a code says', () => {
  it.each([
    ['https://a.example/leaf?x=1#y', { kind: 'link', host: 'a.example', secure: true }],
    ['HTTP://K.EXAMPLE/CD3F7', { kind: 'link', host: 'k.example', secure: false }],
    [' https://a.example ', { kind: 'link', host: 'a.example' }],
    ['a.example/leaf', { kind: 'bare-address', link: 'http://a.example/leaf' }],
    ['intent://scan#Intent;end', { kind: 'other-address', scheme: 'intent' }],
    ['javascript:alert(1)', { kind: 'other-address', scheme: 'javascript' }],
    ['https://a.example has moved', { kind: 'words' }],
    ['https://', { kind: 'other-address', scheme: 'https' }],
    ['Remember: bring bread', { kind: 'words' }],
    ['12.30', { kind: 'words' }],
    ['file.a', { kind: 'words' }],
    ['Who carries its house?', { kind: 'words' }],
    ['tel:+35312345678', { kind: 'phone', number: '+35312345678' }],
    ['geo:53.3,-6.2;u=35', { kind: 'place', latitude: 53.3, longitude: -6.2 }],
    ['', { kind: 'words' }],
  ])('%j', (text, said) => expect(saidBy(text)).toMatchObject(said));

  it('is the kind that was written, for every kind', () => {
    const contents: readonly Content[] = [
      {
        kind: 'contact',
        givenName: 'Ida',
        familyName: 'Wren',
        organisation: '',
        phone: '+353 1 2345678',
        email: 'ida@a.example',
        webPage: '',
      },
      {
        kind: 'event',
        title: 'Harbour walk',
        date: '2027-06-12',
        startsAt: '09:30',
        endsAt: '',
        place: 'Pier',
        about: '',
      },
      { kind: 'place', name: 'Pier', latitude: 53.3, longitude: -6.2 },
      { kind: 'e-mail', address: 'ida@a.example', subject: 'Walk', text: 'See you' },
      { kind: 'phone', number: '+353 1 2345678', name: '' },
      { kind: 'text-message', number: '+353 1 2345678', text: 'We are there' },
      { kind: 'network', name: 'Guests', security: 'WPA', password: 'tide', hidden: false },
    ];
    for (const content of contents) expect(saidBy(contentPayload(content, 'Europe/Dublin')).kind).toBe(content.kind);
  });
});

describe('its exact text', () => {
  it('joined again is the text, whatever it is', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) =>
        expect(
          markedText(text)
            .map((piece) => piece.text)
            .join(''),
        ).toBe(text),
      ),
    );
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (text) =>
        expect(
          markedText(text)
            .map((piece) => piece.text)
            .join(''),
        ).toBe(text),
      ),
    );
  });

  const marked = (text: string): readonly string[] =>
    markedText(text).flatMap(({ mark, code }) => (mark === null ? [] : [`${mark} ${code}`]));
  it.each([
    ['plain words, an é and 潮', []],
    ['a\u200bb', ['invisible U+200B']],
    ['\ufeffhttps://a.example', ['invisible U+FEFF']],
    ['user\u202egnp.exe', ['invisible U+202E']],
    ['one\r\ntwo', ['line-end U+000D', 'line-end U+000A']],
    ['a\u00a0b', ['odd-blank U+00A0']],
    ['a b ', ['edge-blank U+0020']],
    ['https://p\u0430ypond.example', ['look-alike U+0430']],
    ['москва', []],
    ['Tide \uff21', ['look-alike U+FF21']],
    ['👩‍🌾 🐚', []],
  ])('%j is marked %j', (text, marks) => expect(marked(text)).toEqual(marks));
});

describe('measuring a symbol in a picture', () => {
  const planned = planSymbol('https://a.example/leaf/x');
  if (!planned.ok) throw new Error(planned.problem.reason);
  const symbol = planned.value;
  const scale = 6;
  const frameOf = (dark: number, light: number, quiet = 4) => {
    const { widthPx, grey } = codePixels(symbol, scale);
    const edge = (4 - quiet) * scale;
    const toned = grey.map((level, index) => {
      const [x, y] = [index % widthPx, Math.floor(index / widthPx)];
      if (Math.min(x, y, widthPx - 1 - x, widthPx - 1 - y) < edge) return dark;
      return level === 0 ? dark : light;
    });
    return { widthPx, heightPx: widthPx, grey: toned };
  };
  const [from, to] = [4 * scale, (4 + symbol.modules) * scale];
  const corners: Corners = [
    { x: from, y: from },
    { x: to, y: from },
    { x: to, y: to },
    { x: from, y: to },
  ];

  it('finds contrast and quiet zone as they are', () => {
    const black = measureSymbol(frameOf(0, 255), corners, symbol.modules);
    // A sample within half a pixel of the edge would leave the picture, so the last module can't be told.
    expect(black).toMatchObject({ contrast: 1, lightOnDark: false });
    expect(black?.quietZone).toBeGreaterThanOrEqual(3);
    expect(measureSymbol(frameOf(0, 255, 2), corners, symbol.modules)).toMatchObject({ quietZone: 2 });
    expect(measureSymbol(frameOf(0, 255, 0), corners, symbol.modules)).toMatchObject({ quietZone: 0 });
    expect(measureSymbol(frameOf(128, 255), corners, symbol.modules)?.contrast).toBeCloseTo(0.784, 2);
    expect(measureSymbol(frameOf(255, 0), corners, symbol.modules)).toMatchObject({ lightOnDark: true });
  });

  it('measures a turned one as well', () => {
    const turned: Corners = [corners[1], corners[2], corners[3], corners[0]];
    expect(measureSymbol(frameOf(0, 255), turned, symbol.modules)?.contrast).toBe(1);
  });

  it('says nothing of what lies outside, or is all the same', () => {
    expect(
      measureSymbol(
        frameOf(0, 255),
        [
          { x: -9, y: 0 },
          { x: 90, y: 0 },
          { x: 90, y: 90 },
          { x: 0, y: 90 },
        ],
        symbol.modules,
      ),
    ).toBeNull();
    expect(measureSymbol(frameOf(90, 90), corners, symbol.modules)).toBeNull();
  });
});
