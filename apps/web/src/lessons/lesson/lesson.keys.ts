import { keyRoots } from '../../platform/api/materials-changed.js';

export const lessonKeys = {
  all: [keyRoots.lessons] as const,
  list: [keyRoots.lessons, 'list'] as const,
  bench: (lessonId: string) => [keyRoots.lessons, 'bench', lessonId] as const,
};
