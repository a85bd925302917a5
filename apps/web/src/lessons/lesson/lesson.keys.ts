export const lessonKeys = {
  all: ['lessons'] as const,
  list: ['lessons', 'list'] as const,
  bench: (lessonId: string) => ['lessons', 'bench', lessonId] as const,
};
