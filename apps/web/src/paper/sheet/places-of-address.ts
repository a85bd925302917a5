/** What is put on paper, as it stands in the composer's address: `?lesson=`, `?station=`, `?materials=a,b`, `?tag=`. */
import type { SheetPlaces } from '@hapset/contract';

const nothing: SheetPlaces = { lessonId: null, stationIds: [], materialIds: [], tag: null };

/** Null where the address names nothing. */
export function placesOfAddress(search: URLSearchParams): SheetPlaces | null {
  const [lesson, station, materials, tag] = ['lesson', 'station', 'materials', 'tag'].map(
    (name) => search.get(name) || null,
  );
  if (lesson) return { ...nothing, lessonId: lesson };
  if (station) return { ...nothing, stationIds: [station] };
  if (materials) return { ...nothing, materialIds: materials.split(',').filter((id) => id !== '') };
  return tag ? { ...nothing, tag } : null;
}

export function composerOfLesson(lessonId: string): string {
  return `/sheets?${new URLSearchParams({ lesson: lessonId }).toString()}`;
}

export function composerOfMaterials(ids: readonly string[]): string {
  return `/sheets?materials=${ids.join(',')}`;
}

export function composerOfTag(tag: string): string {
  return `/sheets?${new URLSearchParams({ tag }).toString()}`;
}
