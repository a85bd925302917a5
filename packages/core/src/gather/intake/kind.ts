/** What kind of material a link is, before anything was opened: by the service's description, else by its ending. */
import { describeAddress } from '../service-description/match.js';
import type { ServiceCatalogue } from '../service-description/catalogue.js';
import type { LinkKind } from '../material/material-kinds.js';
import { parseUrl } from '../../platform/web-address.js';

const endings: readonly (readonly [RegExp, LinkKind])[] = [
  [/\.(?:pdf|docx?|odt|pptx?|odp|xlsx?|ods)$/i, 'document'],
  [/\.(?:mp4|webm|mov|m4v)$/i, 'video'],
  [/\.(?:mp3|m4a|ogg|wav|flac)$/i, 'audio'],
];

/** The kind of a link; `web-page` where nothing tells more. */
export function recogniseKind(link: string, catalogue: ServiceCatalogue): LinkKind {
  const described = describeAddress(link, catalogue);
  if (described?.address) return described.address.kind;
  const path = parseUrl(link)?.pathname ?? '';
  return endings.find(([ending]) => ending.test(path))?.[1] ?? 'web-page';
}

/**
 * A first title out of the address, until the page's own is known: the last part of the path, or the host.
 * "https://cofferlane.example/leaf/field-guide" gives "Field guide".
 */
export function titleFromAddress(link: string): string {
  const url = parseUrl(link);
  if (!url) return link.slice(0, 80);
  const parts = url.pathname.split('/').filter((part) => part !== '');
  const last = safeDecode(parts.at(-1) ?? '').replace(/\.[a-z0-9]{2,4}$/i, '');
  const words = last.replace(/[-_+]+/g, ' ').trim();
  const telling = words.length > 2 && /\p{L}{3}/u.test(words) && !/\d{4,}/.test(words);
  return telling ? words.charAt(0).toUpperCase() + words.slice(1, 80) : url.hostname;
}

/** A first title for a file: "tide_tables-2.pdf" gives "Tide tables 2"; a name that is an ending alone stays. */
export function titleFromName(name: string): string {
  const words = name
    .replace(/\.[a-z0-9]{1,5}$/i, '')
    .replace(/[_-]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  return words === '' ? name : words.charAt(0).toUpperCase() + words.slice(1);
}

/** A first title for words: their first line, cut at a word near 60 characters. */
export function titleFromWords(words: string): string {
  const line = words.split('\n')[0]?.trim() ?? '';
  if (line.length <= 60) return line;
  return `${line.slice(0, 60).replace(/\s+\S*$/, '')}…`;
}

function safeDecode(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}
