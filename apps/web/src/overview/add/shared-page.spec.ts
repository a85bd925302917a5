import { bookmarklet, sharedText } from './shared-page.js';

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

describe('the bookmark', () => {
  it('opens the add page with address and title, and does nothing else', () => {
    const opened: string[] = [];
    const script = bookmarklet('https://hapset.example').replace(/^javascript:/, '');
    const run = new Function('window', 'location', 'document', script) as (
      window: object,
      location: object,
      document: object,
    ) => void;
    run(
      { open: (address: string) => opened.push(address) },
      { href: 'https://a.example/x?a=1&b=ü' },
      { title: 'Tides & time' },
    );
    expect(opened).toHaveLength(1);
    expect(Object.fromEntries(new URL(opened[0] ?? '').searchParams)).toEqual({
      link: 'https://a.example/x?a=1&b=ü',
      title: 'Tides & time',
    });
  });
});
