import { sampleCatalogue } from '../../test/sample-services.js';
import { recogniseKind, titleFromAddress, titleFromWords } from './kind.js';

describe('the kind of a link', () => {
  it.each([
    ['http://cofferlane.localhost:4310/leaf/tides', 'document'],
    ['https://cofferlane.example/crate/photos', 'folder'],
    ['http://askleaf.localhost:9999/ask/tally', 'form'],
    ['https://a.example/guide.PDF', 'document'],
    ['https://a.example/waves.mp3', 'audio'],
    ['https://a.example/limpet.webm', 'video'],
    ['https://a.example/', 'web-page'],
    ['not an address', 'web-page'],
  ])('%s is a %s', (link, kind) => expect(recogniseKind(link, sampleCatalogue)).toBe(kind));
});

describe('a first title', () => {
  it.each([
    ['https://a.example/leaf/field-guide-to-limpets', 'Field guide to limpets'],
    ['https://a.example/leaf/Wie%20Flechten%20wachsen.html', 'Wie Flechten wachsen'],
    ['https://a.example/d/1AbC9283746xYz', 'a.example'],
    ['https://a.example/', 'a.example'],
    ['https://a.example/%E0%A4%A', 'a.example'],
  ])('of %s is %s', (link, title) => expect(titleFromAddress(link)).toBe(title));

  it('of words is their first line, cut between words', () => {
    expect(titleFromWords('Short\nsecond')).toBe('Short');
    const long = titleFromWords('I have one foot and no legs and my house never ever leaves my back at all');
    expect(long).toBe('I have one foot and no legs and my house never ever leaves…');
  });
});
