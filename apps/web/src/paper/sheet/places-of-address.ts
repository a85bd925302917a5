/** What is put on paper, as the composer's address says it: `?lesson=`, `?station=`, `?materials=a,b`, `?tag=`; `?print=` for the same again. */
import type { PrintView, SheetPlaces } from '@hapset/contract';

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

/** The composer with what a print was made with; cards have a page of their own. Null where that is not known. */
export function composerOfPrint({ id, kind, canBeComposed }: PrintView): string | null {
  if (kind === 'student-card') return '/students/cards';
  return canBeComposed ? `/sheets?${new URLSearchParams({ print: id }).toString()}` : null;
}
