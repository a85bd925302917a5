import type { AccessCheckView, EarlierCheck, LinkCheckEvidence, LinkCheckView } from '@hapset/contract';
import {
  addressAtService,
  differsFromSeen,
  differsUndrawn,
  doubtsOf,
  hostsOnTheWay,
  isCovered,
  isOwnShortener,
  letsIn,
  locksOut,
  remedyFor,
  otherLinkFor,
  rightsOf,
  isUnproven,
  standsBefore,
  type Evidence,
  type Remedy,
  type ServiceCatalogue,
} from '@hapset/core';
import type { MaterialRecord } from '../../gather/material/material-record.js';
import type { AccessCheckRecord } from './access-check-record.js';

const firstLinesShown = 5;
const lockedNamed = 50;

/** @param material whose link it is: what a person wrote of it is compared with what opened */
export function toAccessCheckView(
  check: AccessCheckRecord,
  material: MaterialRecord,
  catalogue: ServiceCatalogue,
): AccessCheckView {
  const { evidence } = check;
  const expected = {
    title: material.titleSource === 'person' ? material.title : null,
    kept: material.pageToken !== null,
  };
  return {
    id: check.id,
    state: check.state,
    askedAt: check.askedAt.toISOString(),
    finishedAt: check.finishedAt?.toISOString() ?? null,
    verdict: check.verdict,
    reasons: check.reasons ?? [],
    ...seen(check, catalogue, expected),
    hasPicture: (check.pictureBytes ?? 0) > 0,
    notAsSeen: evidence && differsFromSeen(evidence),
    studentView: studentViewOf(check),
    ...wayOf(evidence),
    inside: insideOf(evidence),
    remedy: remedyOf(check, catalogue),
    trimmed: check.trimmed?.same ? { link: check.trimmed.link, removed: check.trimmed.removed } : null,
    ownShorteners: evidence ? hostsOnTheWay(evidence).filter((host) => isOwnShortener(host, catalogue)) : [],
  };
}

/** What a browser showed, or how far it is. */
function studentViewOf({ view, viewKey, evidence }: AccessCheckRecord): AccessCheckView['studentView'] {
  if (view === null) return null;
  const { contentAfterMs, stoppedBy } = evidence?.drawn ?? { contentAfterMs: null, stoppedBy: null };
  const plain = evidence && differsUndrawn(evidence);
  return {
    state: view,
    hasPicture: viewKey !== null,
    contentAfterMs,
    stoppedBy,
    isCovered: evidence !== null && isCovered(evidence),
    withoutScripts: plain && { title: plain.title, firstLines: plain.firstLines },
  };
}

/** How it went, and where it ended. */
function wayOf(
  evidence: Evidence | null,
): Pick<AccessCheckView, 'ending' | 'hops' | 'finalAddress' | 'contentType' | 'sizeBytes'> {
  const { address, contentType, sizeBytes } = evidence?.final ?? nothingCame;
  return {
    ending: evidence?.ending ?? null,
    hops: evidence?.hops ?? [],
    finalAddress: address,
    contentType,
    sizeBytes,
  };
}

/** The steps that fix what was found, at the service where it is looked after; null before it is done, and where nothing is to be fixed. */
export function remedyOf({ verdict, evidence, link }: AccessCheckRecord, catalogue: ServiceCatalogue): Remedy | null {
  return verdict ? remedyFor(verdict, evidence ? addressAtService(evidence, catalogue) : link, catalogue) : null;
}

/** Steps that are known to open it. Another link is one step, and simpler than any change of permissions. */
export function stepsOf(check: AccessCheckRecord, { link }: MaterialRecord, catalogue: ServiceCatalogue): number {
  if (check.verdict === null || check.verdict === 'open') return 0;
  if (link !== null && otherLinkFor(link, catalogue) !== null) return 1;
  const remedy = remedyOf(check, catalogue);
  return remedy?.known ? remedy.steps.length : 0;
}

/** What a student would see and could do; little of it where the door is shut. */
function seen(
  check: AccessCheckRecord,
  catalogue: ServiceCatalogue,
  expected: Parameters<typeof doubtsOf>[1],
): Pick<AccessCheckView, 'rights' | 'doubts' | 'title' | 'firstLines'> {
  const { evidence } = check;
  const page = evidence?.final?.page;
  const opened = doorIsOpen(check) ? evidence : null;
  return {
    rights: opened && rightsOf(opened, catalogue),
    doubts: evidence && mayBeLookedAt(check) ? doubtsOf(evidence, expected, catalogue) : [],
    title: page?.title || null,
    firstLines: page?.firstLines.slice(0, firstLinesShown) ?? [],
  };
}

/** What a person would judge with, also where the check itself can't tell. */
function mayBeLookedAt(check: AccessCheckRecord): boolean {
  return doorIsOpen(check) || isUnproven(check.reasons ?? []);
}

function doorIsOpen({ verdict, reasons }: AccessCheckRecord): boolean {
  return verdict !== null && letsIn(verdict) && !(reasons ?? []).some(standsBefore);
}

function insideOf(evidence: Evidence | null): AccessCheckView['inside'] {
  if (!evidence?.inside) return null;
  return {
    opened: evidence.inside.length,
    left: evidence.insideLeft ?? 0,
    locked: evidence.inside.filter(({ verdict }) => locksOut(verdict)).slice(0, lockedNamed),
  };
}

export function toEarlierCheck({
  id,
  link,
  finishedAt,
  askedAt,
  verdict,
  reasons,
  viewKey,
}: AccessCheckRecord): EarlierCheck {
  return {
    id,
    link,
    finishedAt: (finishedAt ?? askedAt).toISOString(),
    verdict: verdict ?? 'unknown',
    reasons: reasons ?? [],
    hasView: viewKey !== null,
  };
}

const notYet = { state: 'opening', verdict: null, reasons: null, evidence: null } as const;

function isViewed({ view }: AccessCheckRecord): boolean {
  return view === 'waiting' || view === 'drawing';
}

/** A link by itself, for scripts: they wait for a browser too. */
export function toLinkCheckView(given: AccessCheckRecord, catalogue: ServiceCatalogue): LinkCheckView {
  const check = { ...given, ...(isViewed(given) && notYet) };
  const { evidence, verdict } = check;
  const { title, firstLines, rights, doubts } = seen(check, catalogue, { title: null, kept: false });
  return {
    id: check.id,
    link: check.link,
    state: check.state,
    verdict,
    reasons: check.reasons ?? [],
    rights,
    doubts,
    evidence: evidence && { ...whatItShowed(evidence), title, firstLines },
  };
}

function whatItShowed({
  ending,
  hops,
  final,
  elapsedMs,
  inside = [],
}: Evidence): Omit<LinkCheckEvidence, 'title' | 'firstLines'> {
  const { address, status, contentType, sizeBytes } = final ?? nothingCame;
  return { ending, hops, finalAddress: address, status, contentType, sizeBytes, elapsedMs, inside };
}

const nothingCame = { address: null, status: null, contentType: null, sizeBytes: null };
