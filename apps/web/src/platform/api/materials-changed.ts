import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';

/** First words of query keys: what shows lessons, and what shows materials. */
export const keyRoots = { lessons: 'lessons', materials: 'materials' } as const;

/** After a change to a material, a lesson or its stations: everything that shows them looks again. */
export function useMaterialsChanged(): () => Promise<void> {
  const client = useQueryClient();
  return useCallback(async () => {
    await Promise.all(Object.values(keyRoots).map((root) => client.invalidateQueries({ queryKey: [root] })));
  }, [client]);
}
