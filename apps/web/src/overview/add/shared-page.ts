/** What a bookmark or a phone's share menu shared, as one line for the intake: the link, a tab, its title. */
import { limits } from '@hapset/contract';
import { holdsAddress } from '@hapset/core';

/**
 * Phones share in different ways: some put the address into `link`, many into `text`, some behind the title.
 * @param search of the page's address: `link`, `title`, `text`
 */
export function sharedText(search: URLSearchParams): string {
  const link = (search.get('link') ?? '').trim();
  const title = (search.get('title') ?? '').replace(/\s+/g, ' ').trim();
  const text = (search.get('text') ?? '').trim();
  if (link !== '') return title === '' || title === link ? link : `${link}\t${title}`;
  const isAddress = holdsAddress(text) && !/\s/.test(text);
  if (isAddress && title !== '') return `${text}\t${title}`;
  return text === '' ? title : text;
}

/** First words that were seen where the shared link leads; null where none came along. */
export function sharedWords(search: URLSearchParams): { readonly link: string; readonly words: string } | null {
  const [link, words] = [search.get('link') ?? '', (search.get('text') ?? '').replace(/\s+/g, ' ')].map((each) =>
    each.trim(),
  );
  if (!link || !words || holdsAddress(words)) return null;
  return { link, words: words.slice(0, limits.sawLength) };
}

/** What of the page a person sees first: chosen words, its main part, or all of it. */
const firstWords = `(String(getSelection())||(document.querySelector('main,article,[role=main]')||document.body).innerText||'').slice(0,${limits.sawLength})`;

/** The bookmark that adds the page being looked at. Plain: it opens this page with address, title and first words, and nothing else. */
export function bookmarklet(origin: string): string {
  const open = `window.open('${origin}/add?link='+encodeURIComponent(location.href)+'&title='+encodeURIComponent(document.title)+'&text='+encodeURIComponent(${firstWords}))`;
  return `javascript:(()=>{${open}})()`;
}
