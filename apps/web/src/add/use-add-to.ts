import { routes, type NewMaterial } from '@hapset/contract';
import { useNavigate } from 'react-router';
import { call } from '../api/client.js';
import { useLessonsChanged } from '../lesson/lesson.queries.js';
import { useCreateMaterials } from '../material/material.queries.js';

/** Adds to a lesson or to the shelf, and goes where the new thing is. */
export function useAddTo(lessonId: string | null): (items: readonly NewMaterial[]) => Promise<void> {
  const navigate = useNavigate();
  const create = useCreateMaterials();
  const changed = useLessonsChanged();
  return async (items) => {
    if (lessonId === null) {
      const ids = await create.mutateAsync(items);
      await navigate(ids.length === 1 ? `/shelf/${ids[0] ?? ''}` : '/shelf');
      return;
    }
    const { stationIds } = await call(routes.addStations, { params: { lessonId }, body: { items, materialIds: [] } });
    await changed();
    await navigate(stationIds.length === 1 ? `/lessons/${lessonId}/stations/${stationIds[0] ?? ''}` : `/lessons/${lessonId}`);
  };
}
