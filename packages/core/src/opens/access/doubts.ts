/**
 * Doubts about a link that opens: perhaps it is not what was meant, or not what phones would reach. They decide
 * nothing; they stand beside the verdict with title, first lines and picture, for a person to judge.
 */
import type { ServiceCatalogue } from '../../gather/service-description/catalogue.js';
import { isOwnShortener, serviceAt } from '../../gather/service-description/match.js';
import { hostNameOf, parseUrl } from '../../platform/web-address.js';
import { isOnThisComputerOnly } from './obstacle.js';
import type { Evidence } from './evidence.js';
import { hostsOnTheWay } from './on-the-way.js';

/** What may be wrong although it opens. */
export const doubtReasons = [
  'start-page',
  'title-differs',
  'stranger-between',
  'address-loopback',
  'address-plain',
] as const;
/** One of them. */
export type DoubtReason = (typeof doubtReasons)[number];

/** A doubt with what it is about. */
export interface Doubt {
  readonly reason: DoubtReason;
  /** A host or a title. */
  readonly detail: string;
}

/** What a person said of the link: what opens is compared with it. */
export interface Expected {
  /** Title that a person wrote; null where it was taken from page or address. */
  readonly title: string | null;
  /** True where the school's own server keeps it: then phones must reach its public address. */
  readonly kept: boolean;
}

/** None where nothing came that could be doubted. */
export function doubtsOf(evidence: Evidence, expected: Expected, catalogue: ServiceCatalogue): readonly Doubt[] {
  if (expected.kept) return ownAddressDoubts(evidence.asked);
  if (evidence.final === null) return [];
  return [
    ...startPage(evidence, catalogue),
    ...titleDiffers(evidence, expected.title),
    ...strangersBetween(evidence, catalogue).map((host) => ({ reason: 'stranger-between' as const, detail: host })),
  ];
}

const startPath = /^\/(?:(?:index|home|start|default)(?:\.\w+)?\/?|[a-z]{2}(?:-[a-z]{2})?\/?)?$/i;

/** A deep link that ended at the start page, or a described service's start page itself: perhaps only part of the address was copied. */
function startPage({ asked, final }: Evidence, catalogue: ServiceCatalogue): readonly Doubt[] {
  const [from, to] = [parseUrl(asked), parseUrl(final?.address ?? '')];
  if (!from || !to) return [];
  if (!startPath.test(to.pathname) || to.search !== '') return [];
  const deep = from.search !== '' || !startPath.test(from.pathname);
  return deep || serviceAt(from.hostname, catalogue) ? [{ reason: 'start-page', detail: to.hostname }] : [];
}

/** Not a single word of the title that a person wrote is in what opened. */
function titleDiffers({ final }: Evidence, title: string | null): readonly Doubt[] {
  const page = final?.page;
  if (!page || title === null || page.title === '') return [];
  const wanted = wordsIn(title);
  const shown = wordsIn([page.title, ...page.firstLines].join(' '));
  return wanted.size === 0 ||
    [...wanted].some((word) => [...shown].some((other) => other.startsWith(word) || word.startsWith(other)))
    ? []
    : [{ reason: 'title-differs', detail: page.title }];
}

/** Words of three letters and more; writing without blanks is cut into pairs of characters. */
function wordsIn(text: string): Set<string> {
  const words =
    text
      .normalize('NFKC')
      .toLowerCase()
      .match(/[\p{L}\p{N}]+/gu) ?? [];
  return new Set(
    words.flatMap((word) =>
      /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}]/u.test(word)
        ? pairs(word)
        : word.length > 2
          ? [word]
          : [],
    ),
  );
}

function pairs(word: string): string[] {
  const characters = [...word];
  return characters.length === 1
    ? characters
    : characters.slice(1).map((character, index) => (characters[index] ?? '') + character);
}

/**
 * Hosts that stand between the code and the page: they could stop or send elsewhere one day. The page's own host, names
 * of the same service or the same domain, and the school's own short links are no strangers.
 */
export function strangersBetween({ hops, final }: Evidence, catalogue: ServiceCatalogue): readonly string[] {
  const home = final && hostNameOf(final.address);
  if (home === null) return [];
  return hostsOnTheWay({ hops }).filter((host) => !isAtHome(host, home, catalogue) && !isOwnShortener(host, catalogue));
}

function isAtHome(host: string, home: string, catalogue: ServiceCatalogue): boolean {
  if (host === home || host.endsWith(`.${home}`) || home.endsWith(`.${host}`)) return true;
  const service = serviceAt(home, catalogue);
  return service !== null && serviceAt(host, catalogue)?.description.id === service.description.id;
}

function ownAddressDoubts(asked: string): readonly Doubt[] {
  const url = parseUrl(asked);
  if (!url) return [];
  const { hostname, protocol } = url;
  if (isOnThisComputerOnly(asked)) return [{ reason: 'address-loopback', detail: hostname }];
  return protocol === 'http:' ? [{ reason: 'address-plain', detail: hostname }] : [];
}
