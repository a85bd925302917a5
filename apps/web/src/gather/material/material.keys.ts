import type { ShelfOrder } from '@hapset/contract';
import type { PlaceId } from './place-id.js';
import { keyRoots } from '../../platform/api/materials-changed.js';

export const materialKeys = {
  all: [keyRoots.materials] as const,
  shelf: (find: string, tag: string | null, order: ShelfOrder) =>
    [keyRoots.materials, 'shelf', find, tag, order] as const,
  matches: (links: readonly string[]) => [keyRoots.materials, 'matches', links] as const,
  tags: [keyRoots.materials, 'tags'] as const,
  earlierChecks: (materialId: string) => [keyRoots.materials, 'earlier-checks', materialId] as const,
  page: (place: PlaceId) => [keyRoots.materials, 'page', place] as const,
};
