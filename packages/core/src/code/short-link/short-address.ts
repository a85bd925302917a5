/** Where a short link is: at the root of the school's own short host, under /K/ of the public address elsewhere. */
import { groupedSlug, normalSlug, slugLengths } from './slug.js';

/** What comes before the slug. Upper case as far as that leads to the same place: alphanumeric mode is denser. */
export function shortBase(publicAddress: string, shortLinkHost: string | null): string {
  const url = new URL(publicAddress);
  // Whoever answers the public address over TLS answers the short host so as well.
  if (shortLinkHost !== null && shortLinkHost !== '') return `${url.protocol}//${shortLinkHost}/`.toUpperCase();
  const folder = url.pathname.replace(/\/+$/, '');
  const origin = url.origin.toUpperCase();
  // A folder's own case may matter to whoever answers there.
  return `${origin}${folder}/K/`;
}

/** The whole address that a code carries. @param slug as it is stored */
export function shortAddress(publicAddress: string, shortLinkHost: string | null, slug: string): string {
  return `${shortBase(publicAddress, shortLinkHost)}${slug}`;
}

/** In letters on paper: no scheme, the slug in groups. "k.school.example/ CD3 F7" */
export function shortAddressInLetters(address: string): string {
  const cut = address.lastIndexOf('/') + 1;
  return `${address
    .slice(0, cut)
    .replace(/^https?:\/\//i, '')
    .toLowerCase()} ${groupedSlug(address.slice(cut))}`;
}

/**
 * The slug that a request asks for, in its normal form; null where the path is no short link's.
 * @param path of the request, with its query
 * @param atRoot true on a short host, where slugs stand at the root
 */
export function slugAskedFor(path: string, atRoot: boolean): string | null {
  const asked = (atRoot ? /^\/(?:k\/)?([^/?#]+)\/?(?:[?#]|$)/i : /^\/k\/([^/?#]+)\/?(?:[?#]|$)/i).exec(path)?.[1];
  if (asked === undefined || asked.length > longestAsked) return null;
  const slug = normalSlug(decoded(asked));
  // Kept files stand under /k/ as well; their tokens are longer.
  return slug.length >= slugLengths.least - 1 && slug.length <= slugLengths.most + 1 ? slug : null;
}

/** Groups may be typed as they stand on paper, each blank as %20. */
const longestAsked = 21;

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}
