import type { DescribedLink, MaterialView } from '@hapset/contract';
import { describeAddress, pageAddress, type ServiceCatalogue } from '@hapset/core';
import type { MaterialRecord } from './material-record.js';

export function toMaterialView(
  material: MaterialRecord,
  catalogue: ServiceCatalogue,
  publicAddress: string,
): MaterialView {
  const {
    id,
    kind,
    title,
    link,
    pageToken,
    shownUntil,
    words,
    content,
    pasted,
    repairs,
    carry,
    level,
    look,
    instruction,
    tags,
    createdAt,
    version,
  } = material;
  return {
    id,
    kind,
    title,
    link,
    words,
    content,
    pasted,
    repairs,
    carry,
    level,
    look,
    pageAddress: pageToken === null ? null : pageAddress(publicAddress, pageToken),
    shownUntil,
    at: link === null ? null : describedLink(link, catalogue),
    instruction,
    tags: tags ?? [],
    createdAt: createdAt.toISOString(),
    version,
  };
}

function describedLink(link: string, catalogue: ServiceCatalogue): DescribedLink | null {
  const described = describeAddress(link, catalogue);
  if (!described) return null;
  const { service, address, studentLink } = described;
  return { service: service.name, role: address?.role ?? null, studentLink, steps: address?.steps ?? [] };
}
