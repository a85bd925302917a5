import { hostNameOf, isLoopbackHost, isWebAddress, originOf, parseUrl } from './web-address.js';

describe('an address', () => {
  it('is read, also relative to another', () => {
    expect(parseUrl('https://example.org/a')?.pathname).toBe('/a');
    expect(parseUrl('../b', 'https://example.org/a/c')?.href).toBe('https://example.org/b');
    expect(['', 'a', 'https://', 'http://xn--a.example'].map((text) => parseUrl(text))).toEqual([
      null,
      null,
      null,
      null,
    ]);
  });

  // URL.canParse of Node 20 says no from about the 6000th call on.
  it('has an origin where it is of the web, however it is written', () => {
    expect(originOf('HTTPS://Hapset.School.example:443/p/x?y')).toBe('https://hapset.school.example');
    expect(originOf('http://192.0.2.7:4300')).toBe('http://192.0.2.7:4300');
    expect([originOf('ftp://a.example'), originOf('a.example'), originOf('')]).toEqual([null, null, null]);
  });

  it('with letters like ü is one, however often it was asked for', () => {
    const address = 'https://schüle.example/größe';
    expect(Array.from({ length: 20_000 }, () => isWebAddress(address)).every(Boolean)).toBe(true);
    expect(hostNameOf(address)).toBe('xn--schle-mva.example');
  });

  it.each(['http://a.example', 'HTTPS://a.example/x'])('%s is one of the web', (text) => {
    expect(isWebAddress(text)).toBe(true);
  });

  it.each(['ftp://a.example', 'mailto:a@b.example', 'https://a.example/a b', 'javascript:alert(1)', 'a.example', ''])(
    '%j is none of the web',
    (text) => expect(isWebAddress(text)).toBe(false),
  );

  it.each(['localhost', 'tide.localhost', '127.0.0.1', '[::1]', '[::ffff:7f00:1]', '[::ffff:7f00:ffff]'])(
    'of %s leads to itself',
    (host) => {
      expect(isLoopbackHost(host)).toBe(true);
    },
  );

  it.each(['localhost.example', '128.0.0.1', '[::2]', '[::ffff:8000:1]', 'xlocalhost'])(
    'of %s leads elsewhere',
    (host) => {
      expect(isLoopbackHost(host)).toBe(false);
    },
  );
});
