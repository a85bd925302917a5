import type { AccessCheckView } from '@hapset/contract';
import { isOwnShortener, mendingFor, type ServiceCatalogue } from '@hapset/core';
import type { AccessCheck } from './access-check.entity.js';

export function toAccessCheckView(check: AccessCheck, catalogue: ServiceCatalogue): AccessCheckView {
  const { evidence, verdict } = check;
  const page = evidence?.final?.page ?? null;
  const hosts = (evidence?.hops ?? []).flatMap(({ address }) => (URL.canParse(address) ? [new URL(address).hostname] : []));
  return {
    id: check.id,
    state: check.state,
    askedAt: check.askedAt.toISOString(),
    finishedAt: check.finishedAt?.toISOString() ?? null,
    verdict,
    reason: check.reason,
    detail: check.detail,
    title: page && page.title !== '' ? page.title : null,
    firstLines: page?.firstLines ?? [],
    ending: evidence?.ending ?? null,
    finalAddress: evidence?.final?.address ?? null,
    contentType: evidence?.final?.contentType ?? null,
    sizeBytes: evidence?.final?.sizeBytes ?? null,
    hops: evidence?.hops ?? [],
    mending: verdict ? mendingFor(verdict, check.link, catalogue) : null,
    trimmed: check.trimmed?.same ? { link: check.trimmed.link, removed: check.trimmed.removed } : null,
    ownShorteners: [...new Set(hosts)].filter((host) => isOwnShortener(host, catalogue)),
  };
}
