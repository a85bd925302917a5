import { useNavigate } from 'react-router';
import type { AddItems } from '../../gather/intake/use-intake.js';
import { useAddStations } from '../../lessons/lesson/lesson.queries.js';
import { useCreateMaterials } from '../../gather/material/material.queries.js';

/** Adds to a lesson or to the shelf, and goes where the new thing is: the one that was there already, where that is used. */
export function useAddTo(lessonId: string | null): AddItems {
  const navigate = useNavigate();
  const create = useCreateMaterials();
  const addStations = useAddStations(lessonId ?? '');
  return async (items, materialIds) => {
    if (lessonId !== null) {
      const [first = '', ...more] = await addStations.mutateAsync({ items, materialIds });
      await navigate(more.length === 0 ? `/lessons/${lessonId}/stations/${first}` : `/lessons/${lessonId}`);
      return;
    }
    const made = items.length === 0 ? [] : await create.mutateAsync(items);
    const [first = '', ...more] = made.length === 0 ? materialIds : made;
    await navigate(more.length === 0 ? `/shelf/${first}` : '/shelf');
  };
}
