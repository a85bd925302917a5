import type { PlaceId } from './place-id.js';
import { keyRoots } from '../../platform/api/materials-changed.js';

export const materialKeys = {
  all: [keyRoots.materials] as const,
  shelf: (find: string, tag: string | null) => [keyRoots.materials, 'shelf', find, tag] as const,
  tags: [keyRoots.materials, 'tags'] as const,
  earlierChecks: (materialId: string) => [keyRoots.materials, 'earlier-checks', materialId] as const,
  page: (place: PlaceId) => [keyRoots.materials, 'page', place] as const,
};
