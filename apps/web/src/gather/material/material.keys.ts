import type { PlaceId } from './place-id.js';

export const materialKeys = {
  all: ['materials'] as const,
  shelf: (find: string, tag: string | null) => ['materials', 'shelf', find, tag] as const,
  tags: ['materials', 'tags'] as const,
  earlierChecks: (materialId: string) => ['materials', 'earlier-checks', materialId] as const,
  page: (place: PlaceId) => ['materials', 'page', place] as const,
};
