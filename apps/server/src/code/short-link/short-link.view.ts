import type { ShortLinkDetails, ShortLinkTurnView, ShortLinkView } from '@hapset/contract';
import {
  isShortForm,
  openStateAt,
  shortAddress,
  shortAddressInLetters,
  visitorKinds,
  type VisitorKind,
} from '@hapset/core';
import type { ShortLinkCount } from './short-link-count.entity.js';
import type { ShortLinkTurn } from './short-link-turn.entity.js';
import type { ShortLink } from './short-link.entity.js';
import type { SchoolRecord } from '../../school/settings/school-record.js';

export function toShortLinkView(
  { slug, opening }: ShortLink,
  { publicAddress, shortLinkHost, timeZone }: SchoolRecord,
  opens: number,
  now: Date,
): ShortLinkView {
  const address = shortAddress(publicAddress, shortLinkHost, slug);
  return {
    slug,
    address,
    shortForm: isShortForm(slug),
    inLetters: shortAddressInLetters(address),
    opening,
    open: openStateAt(opening, now.getTime(), timeZone).open,
    opens: Number(opens),
  };
}

export function toDetails(
  view: ShortLinkView,
  turns: readonly ShortLinkTurn[],
  counts: readonly ShortLinkCount[],
  timeZone: string,
): ShortLinkDetails {
  const days = new Map<string, number>();
  const hours = Array.from({ length: 24 }, () => 0);
  const visitors = Object.fromEntries(visitorKinds.map((kind) => [kind, 0])) as Record<VisitorKind, number>;
  const wall = new Intl.DateTimeFormat('sv-SE', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
  });
  for (const { hour, visitor, opens } of counts) {
    const [day = '', time = '0'] = wall.format(hour).split(' ');
    days.set(day, (days.get(day) ?? 0) + opens);
    hours[Number(time)] = (hours[Number(time)] ?? 0) + opens;
    visitors[visitor] += opens;
  }
  return {
    ...view,
    turns: turns.map(toTurn),
    days: [...days].map(([day, opens]) => ({ day, opens })),
    hours,
    visitors,
  };
}

function toTurn({ fromAddress, toAddress, at }: ShortLinkTurn): ShortLinkTurnView {
  return { from: fromAddress, to: toAddress, at: at.toISOString() };
}
