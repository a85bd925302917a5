/** What is looked into: folders and pages that were written here hold other things, each with sharing of its own. */
import { isOwnPublicPage } from '../../gather/kept/kept.js';
import type { ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import { describeAddress } from '../../gather/service-description/match.js';
import { parseUrl } from '../../platform/web-address.js';

/** A link on a page, in the order of the page. */
export interface PageLink {
  readonly address: string;
  readonly text: string;
  /** True in the page's head, foot and menus. */
  readonly inMenu: boolean;
}

/** How many things in a folder or a page are opened as well, and how deep. */
export const insideLimits = { items: 200, depth: 2 } as const;

/** The kinds that hold other things. */
export type Holder = 'folder' | 'written-page';

/**
 * The links to open inside of a holder, each once. A described service's folder holds what its description calls a
 * student's page; a stranger's holds what its page links to at the same host, menus left out. A written page holds every link.
 */
export function linksInside(
  holder: Holder,
  address: string,
  links: readonly PageLink[],
  catalogue: ServiceCatalogue,
  publicAddress: string | null,
): readonly PageLink[] {
  const own = parseUrl(address);
  const service = describeAddress(address, catalogue)?.service.id ?? null;
  const isWanted = (link: PageLink, url: URL): boolean =>
    holder === 'written-page'
      ? publicAddress === null || !isOwnPublicPage(link.address, publicAddress) || url.pathname !== own?.pathname
      : isInFolder(link.address, url, own, service, catalogue);
  const wanted = links.filter((link) => {
    const url = link.inMenu ? null : parseUrl(link.address);
    return url !== null && isWeb(url) && isWanted(link, url);
  });
  return [...new Map(wanted.map((link) => [withoutFragment(new URL(link.address)), link])).values()];
}

function isWeb({ protocol }: URL): boolean {
  return protocol === 'http:' || protocol === 'https:';
}

/** @param own the folder's address. @param service the folder's; null for a stranger's */
function isInFolder(
  address: string,
  url: URL,
  own: URL | null,
  service: string | null,
  catalogue: ServiceCatalogue,
): boolean {
  if (own && withoutFragment(url) === withoutFragment(own)) return false;
  if (service === null) return url.host === own?.host && url.pathname !== '/';
  const described = describeAddress(address, catalogue);
  return described?.service.id === service && described.address?.role === 'student';
}

/** True where an address inside of a folder is a folder itself. */
export function isFolder(address: string, catalogue: ServiceCatalogue): boolean {
  return describeAddress(address, catalogue)?.address?.kind === 'folder';
}

function withoutFragment(url: URL): string {
  return url.href.replace(/#.*$/, '');
}
