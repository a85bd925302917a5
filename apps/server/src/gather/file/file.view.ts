import type { FileView } from '@hapset/contract';
import type { KeptFile } from './kept-file.entity.js';
import type { UsedIn } from './file.service.js';

export function toFileView(
  { id, token, name, content, version, createdAt }: KeptFile,
  uses: readonly UsedIn[] = [],
): FileView {
  return {
    id,
    name,
    media: content.media,
    contentType: content.contentType,
    sizeBytes: content.sizeBytes,
    widthPx: content.widthPx,
    heightPx: content.heightPx,
    address: `/k/${token}`,
    variants: content.variants.map((variant) => variant.name),
    usedIn: uses.filter((use) => use.fileId === id).map((use) => ({ id: use.id, title: use.title })),
    version,
    createdAt: createdAt.toISOString(),
  };
}
