/** What a browser drew, put in the place of what came without one: the same rules judge both. */
import { letsIn } from '../../gather/service-description/access-verdict.js';
import type { DrawnFacts, Evidence, Hop, PageFacts } from './evidence.js';
import type { Judgement } from './judgement.js';

/** What a browser showed of a page. */
export interface DrawnView {
  readonly address: string;
  /** HTTP status of its last document; null where none came. */
  readonly status: number | null;
  /** Media type in lower case; '' where none was named. */
  readonly contentType: string;
  /** Pages on its way, in their order. */
  readonly hops: readonly Hop[];
  readonly page: PageFacts;
  readonly facts: Omit<DrawnFacts, 'plain'>;
}

/**
 * Whether a browser should look as well: where nothing could be told or proven without one, also of an item in it, and where a script could
 * still put something before what seems to open.
 * @param soon it is wanted within days: then what students see is shown, whatever it is
 */
export function wantsDrawing({ final, kept, inside = [] }: Evidence, { verdict }: Judgement, soon: boolean): boolean {
  if (inside.some((item) => item.verdict === 'unknown')) return true;
  if (kept || !final?.page) return false;
  if (soon || verdict === 'unknown') return true;
  return letsIn(verdict) && final.page.scripts > 0;
}

/** Whether what a browser shows may change the verdict. A lock that is certain is not talked away by it. */
export function mayBeRejudged({ verdict }: Judgement): boolean {
  return verdict === 'unknown' || letsIn(verdict);
}

/** The evidence with what the browser showed at its end. */
export function withDrawn(plain: Evidence, { address, status, contentType, hops, page, facts }: DrawnView): Evidence {
  const { final } = plain;
  const before = final?.page ?? null;
  return {
    ...plain,
    hops: [...plain.hops, ...newHops(plain.hops, hops)],
    ending: 'answered',
    final: {
      address,
      status: status ?? final?.status ?? 200,
      contentType: contentType === '' ? (final?.contentType ?? 'text/html') : contentType,
      sizeBytes: Math.max(1, final?.sizeBytes ?? 0),
      cut: false,
      page,
    },
    drawn: {
      ...facts,
      plain: before && {
        title: before.title,
        firstLines: before.firstLines.slice(0, 2),
        visibleCharacters: before.visibleCharacters,
      },
    },
  };
}

/** What the page says without its scripts, where that is something else than what they draw; null where it is alike. */
export function differsUndrawn({ drawn, final }: Evidence): DrawnFacts['plain'] {
  const plain = drawn?.plain ?? null;
  const page = final?.page ?? null;
  if (!plain || !page) return null;
  const wasEmpty = plain.visibleCharacters < page.visibleCharacters / 2;
  return wasEmpty || plain.title !== page.title ? plain : null;
}

/** The way that was known already is not told twice. */
function newHops(known: readonly Hop[], hops: readonly Hop[]): readonly Hop[] {
  const addresses = new Set(known.map(({ address }) => withoutFragment(address)));
  return hops.filter(({ address }) => !addresses.has(withoutFragment(address)));
}

function withoutFragment(address: string): string {
  return address.replace(/#.*$/, '');
}

/** Whether something lies over the page that it was opened for. */
export function isCovered({ drawn }: Evidence): boolean {
  return (drawn?.layerShare ?? 0) > 0;
}
