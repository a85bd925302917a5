import { filesOf, isOwnPublicPage, pageAddress, readKept, type Kept } from './kept.js';

const one = '01890a5d-ac96-774b-bcce-b302099a8057';
const two = '01890a5d-ac96-774b-bcce-b302099a8058';
const set = {
  kind: 'picture-set',
  pictures: [
    { fileId: one, caption: ' Cafe\u0301 ', alternative: '' },
    { fileId: two, caption: '', alternative: 'A crab' },
  ],
};

describe('what is kept', () => {
  it('is read with its texts in one form', () => {
    expect(readKept(set)).toEqual({
      kind: 'picture-set',
      pictures: [
        { fileId: one, caption: 'Café', alternative: '' },
        { fileId: two, caption: '', alternative: 'A crab' },
      ],
    });
    expect(readKept({ kind: 'file', fileId: one, transcript: ' Waves. ', captionsId: null, more: 1 })).toEqual({
      kind: 'file',
      fileId: one,
      transcript: 'Waves.',
      captionsId: null,
    });
    expect(readKept({ kind: 'written-page', document: { type: 'doc' } })).toEqual({
      kind: 'written-page',
      document: { type: 'doc', content: [] },
    });
  });

  it.each<[string, unknown]>([
    ['nothing', null],
    ['another kind', { kind: 'form' }],
    ['a file without an id', { kind: 'file', fileId: 'x', transcript: '', captionsId: null }],
    ['a file with captions that are none', { kind: 'file', fileId: one, transcript: '', captionsId: 7 }],
    ['too many words', { kind: 'file', fileId: one, transcript: 'x'.repeat(20_001), captionsId: null }],
    ['no picture', { kind: 'picture-set', pictures: [] }],
    ['too many pictures', { kind: 'picture-set', pictures: Array.from({ length: 61 }, () => set.pictures[0]) }],
    ['a picture that is none', { kind: 'picture-set', pictures: [{ fileId: one }] }],
    ['a page that is none', { kind: 'written-page', document: 'x' }],
  ])('is not read out of %s', (_, given) => expect(readKept(given)).toBeNull());

  it('names its files, each once', () => {
    expect(filesOf(readKept({ ...set, pictures: [...set.pictures, set.pictures[0]] }) as Kept)).toEqual([one, two]);
    expect(filesOf({ kind: 'file', fileId: one, transcript: '', captionsId: two })).toEqual([one, two]);
  });
});

describe('its page', () => {
  it('is under the public address', () => {
    expect(pageAddress('https://k.example/', 'abc')).toBe('https://k.example/p/abc');
    expect(pageAddress('https://k.example/codes', 'abc')).toBe('https://k.example/codes/p/abc');
  });

  it.each([
    ['https://k.example/p/abc', true],
    ['https://k.example/k/abc/w640', true],
    ['https://k.example/api/materials', false],
    ['https://k.example/', false],
    ['https://k.example/../p/abc', true],
    ['https://k.example/p/../api/session', false],
    ['https://k.example:8443/p/abc', false],
    ['http://k.example/p/abc', false],
    ['https://k.example.evil.example/p/abc', false],
    ['nonsense', false],
  ])('%s is one: %s', (address, own) => expect(isOwnPublicPage(address, 'https://k.example')).toBe(own));
});
