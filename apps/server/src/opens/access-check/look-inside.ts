/** Opens what a folder or a written page holds, level by level, up to the core's limits. */
import {
  insideLimits,
  isFolder,
  judgeAccess,
  type AccessVerdict,
  letsIn,
  linksInside,
  type Evidence,
  type Holder,
  type InsideItem,
  type PageLink,
  type ServiceCatalogue,
} from '@hapset/core';
import type { Opened, StudentBrowser } from '../student-browser/student-browser.js';
import type { Surroundings } from './check-surroundings.js';

/** Items of one folder are mostly at one host, which is not to be flooded. */
const atOnce = 6;

/** What one item turned out to be, with the links on it. */
export interface OpenedItem {
  readonly verdict: AccessVerdict;
  readonly links: readonly PageLink[];
}

export interface LookingInside {
  readonly open: (address: string) => Promise<OpenedItem>;
  readonly catalogue: ServiceCatalogue;
  readonly publicAddress: string | null;
  readonly stop: AbortSignal;
}

/** Opens items without a browser. */
export function openingPlainly(
  browser: StudentBrowser,
  { catalogue, publicAddress }: Surroundings,
  stop: AbortSignal,
): LookingInside {
  const open = async (address: string): Promise<OpenedItem> => {
    const { evidence, links } = await browser.openPage(address, stop, publicAddress);
    return { verdict: judgeAccess(evidence, catalogue).verdict, links };
  };
  return { open, catalogue, publicAddress, stop };
}

/** The evidence with what was found inside of it. */
export async function lookInside(
  holder: Holder,
  { evidence, links }: Pick<Opened, 'evidence' | 'links'>,
  looking: LookingInside,
): Promise<Evidence> {
  const inside: InsideItem[] = [];
  const seen = new Set([evidence.asked, evidence.final?.address ?? '']);
  let left = 0;
  let level = linksToOpen(holder, evidence.final?.address ?? evidence.asked, links, looking, seen);
  for (let depth = 1; depth <= insideLimits.depth && level.length > 0 && !looking.stop.aborted; depth += 1) {
    const mayOpen = insideLimits.items - inside.length;
    left += Math.max(0, level.length - mayOpen);
    const opened = await openAll(level.slice(0, mayOpen), looking);
    inside.push(...opened.map(({ item }) => ({ ...item, depth })));
    level = opened.flatMap(({ item, links: inItem }) =>
      isFolder(item.address, looking.catalogue) && letsIn(item.verdict)
        ? linksToOpen('folder', item.address, inItem, looking, seen)
        : [],
    );
  }
  return { ...evidence, inside, ...(left > 0 && { insideLeft: left }) };
}

function linksToOpen(
  holder: Holder,
  address: string,
  links: readonly PageLink[],
  { catalogue, publicAddress }: LookingInside,
  seen: Set<string>,
): readonly PageLink[] {
  const fresh = linksInside(holder, address, links, catalogue, publicAddress).filter((link) => !seen.has(link.address));
  for (const link of fresh) seen.add(link.address);
  return fresh;
}

interface NamedItem {
  readonly item: Omit<InsideItem, 'depth'>;
  readonly links: readonly PageLink[];
}

async function openAll(links: readonly PageLink[], looking: LookingInside): Promise<readonly NamedItem[]> {
  const opened: NamedItem[] = [];
  const waiting = [...links.entries()];
  const worker = async (): Promise<void> => {
    for (let next = waiting.shift(); next && !looking.stop.aborted; next = waiting.shift()) {
      const [index, { address, text }] = next;
      const { verdict, links: inside } = await looking.open(address);
      opened[index] = { item: { name: text === '' ? lastPart(address) : text, address, verdict }, links: inside };
    }
  };
  await Promise.all(Array.from({ length: atOnce }, worker));
  return opened.filter((each) => each !== undefined);
}

function lastPart(address: string): string {
  const part =
    new URL(address).pathname
      .split('/')
      .filter((each) => each !== '')
      .at(-1) ?? address;
  try {
    return decodeURIComponent(part);
  } catch {
    return part;
  }
}
