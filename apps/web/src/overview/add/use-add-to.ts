import type { NewMaterial } from '@hapset/contract';
import { useNavigate } from 'react-router';
import { useAddStations } from '../../lessons/lesson/lesson.queries.js';
import { useCreateMaterials } from '../../gather/material/material.queries.js';

/** Adds to a lesson or to the shelf, and goes where the new thing is. */
export function useAddTo(lessonId: string | null): (items: readonly NewMaterial[]) => Promise<void> {
  const navigate = useNavigate();
  const create = useCreateMaterials();
  const addStations = useAddStations(lessonId ?? '');
  return async (items) => {
    const [first = '', ...more] = await (lessonId === null ? create : addStations).mutateAsync(items);
    const all = lessonId === null ? '/shelf' : `/lessons/${lessonId}`;
    const one = lessonId === null ? `/shelf/${first}` : `${all}/stations/${first}`;
    await navigate(more.length === 0 ? one : all);
  };
}
