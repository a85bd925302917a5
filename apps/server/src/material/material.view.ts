import type { MaterialView } from '@hapset/contract';
import { describeAddress, shippedServices } from '@hapset/core';
import type { Material } from './material.entity.js';

export function toMaterialView(material: Material): MaterialView {
  const { id, kind, title, link, words, content, pasted, repairs, instruction, tags, createdAt, version } = material;
  const service = link === null ? null : (describeAddress(link, shippedServices)?.service.name ?? null);
  return { id, kind, title, link, words, content, pasted, repairs, service, instruction, tags: tags ?? [], createdAt: createdAt.toISOString(), version };
}
