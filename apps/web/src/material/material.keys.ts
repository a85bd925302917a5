import type { PlaceId } from './place-id.js';

export const materialKeys = {
  all: ['materials'] as const,
  shelf: (find: string) => ['materials', 'shelf', find] as const,
  page: (place: PlaceId) => ['materials', 'page', place] as const,
};
