import { askedLanguage } from './asked-language.js';

const asked = (accept: string | undefined, url = '/p/abc', school?: string): string => {
  const { tag, chosen } = askedLanguage({ url, headers: { 'accept-language': accept } }, school);
  return `${tag}${chosen ? ', chosen' : ''}`;
};

describe('the language of a student’s page', () => {
  it.each([
    ['uk-UA,uk;q=0.9,en;q=0.8', 'uk'],
    ['en;q=0.5, ar-EG;q=0.9', 'ar'],
    ['cs, sk;q=0.9', 'en'],
    ['*', 'en'],
    ['de;q=0, pl', 'pl'],
    ['', 'en'],
    [undefined, 'en'],
    ['q=;;,,', 'en'],
    [`${'xx,'.repeat(5000)}uk`, 'en'],
  ])('follows %p', (accept, tag) => expect(asked(accept)).toBe(tag));

  it('is the school’s where a phone asks for none that there is', () =>
    expect(asked('cs', '/p/abc', 'pl-PL')).toBe('pl'));

  it('is what was chosen at the foot', () => {
    expect(asked('uk', '/p/abc?lang=ar')).toBe('ar, chosen');
    expect(asked('uk', '/K/ABC?s=1&lang=TR&x=1')).toBe('tr, chosen');
    expect(asked('uk', '/p/abc?lang=xx')).toBe('uk');
    expect(asked('uk', '/p/abc?lang=ar%22%3E')).toBe('uk');
  });
});
