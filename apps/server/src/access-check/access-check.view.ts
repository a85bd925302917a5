import type { AccessCheckView } from '@hapset/contract';
import { mendingFor, shippedServices } from '@hapset/core';
import type { AccessCheck } from './access-check.entity.js';

export function toAccessCheckView(check: AccessCheck): AccessCheckView {
  const { evidence, verdict } = check;
  const page = evidence?.final?.page ?? null;
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
    mending: verdict ? mendingFor(verdict, check.link, shippedServices) : null,
  };
}
