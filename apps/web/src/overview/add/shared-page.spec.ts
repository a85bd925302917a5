import { bookmarklet, sharedText, sharedWords } from './shared-page.js';

const shared = (query: string): string => sharedText(new URLSearchParams(query));

describe('what was shared', () => {
  it.each([
    ['link=https://a.example/x&title=Tide tables', 'https://a.example/x\tTide tables'],
    ['link=https://a.example/x', 'https://a.example/x'],
    ['link=https://a.example/x&title=https://a.example/x', 'https://a.example/x'],
    ['title=Tide tables&text=https://a.example/x', 'https://a.example/x\tTide tables'],
    ['title=Tides&text=Look at this https://a.example/x today', 'Look at this https://a.example/x today'],
    ['text=Who am I?', 'Who am I?'],
    ['title=Only a title', 'Only a title'],
    ['', ''],
  ])('%s is %j', (query, text) => expect(shared(query)).toBe(text));
});

describe('what was seen there', () => {
  const words = (query: string): unknown => sharedWords(new URLSearchParams(query));

  it('is cut and sent with the link; an address does not count as words', () => {
    expect(words('link=https://a.example/x&text=Low%20tide%0A at  nine')).toEqual({
      link: 'https://a.example/x',
      words: 'Low tide at nine',
    });
    expect(words('link=https://a.example/x')).toBeNull();
    expect(words('text=Low tide')).toBeNull();
    expect(words('link=https://a.example/x&text=see https://b.example')).toBeNull();
  });
});

describe('the bookmark', () => {
  it('opens the add page with address, title and first words, and does nothing else', () => {
    const opened: string[] = [];
    const script = bookmarklet('https://hapset.example').replace(/^javascript:/, '');
    const run = new Function('window', 'location', 'document', 'getSelection', script) as (
      window: object,
      location: object,
      document: object,
      getSelection: () => string,
    ) => void;
    run(
      { open: (address: string) => opened.push(address) },
      { href: 'https://a.example/x?a=1&b=ü' },
      { title: 'Tides & time', querySelector: () => ({ innerText: `Low tide${' at nine'.repeat(90)}` }) },
      () => '',
    );
    expect(opened).toHaveLength(1);
    expect(Object.fromEntries(new URL(opened[0] ?? '').searchParams)).toEqual({
      link: 'https://a.example/x?a=1&b=ü',
      title: 'Tides & time',
      text: `Low tide${' at nine'.repeat(90)}`.slice(0, 400),
    });
  });
});
