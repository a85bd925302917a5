/** What a bookmark or a phone's share menu shared, as one line for the intake: the link, a tab, its title. */
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

/** The bookmark that adds the page being looked at. Plain: it opens this page with address and title, and nothing else. */
export function bookmarklet(origin: string): string {
  const open = `window.open('${origin}/add?link='+encodeURIComponent(location.href)+'&title='+encodeURIComponent(document.title))`;
  return `javascript:(()=>{${open}})()`;
}
