import { routes, type MakeSheet, type SheetView } from '@hapset/contract';
import { useMutation, type UseMutationResult } from '@tanstack/react-query';
import { addressOf, call } from '../api/client.js';
import { useLessonsChanged } from '../lesson/lesson.queries.js';
import { routeFor, type PlaceId } from '../material/place-id.js';

/** Makes a sheet and saves its file. */
export function useMakeSheet(place: PlaceId): UseMutationResult<SheetView, Error, MakeSheet> {
  const changed = useLessonsChanged();
  return useMutation({
    mutationFn: (body: MakeSheet): Promise<SheetView> => {
      const { route, params } = routeFor(place, routes.makeStationSheet, routes.makeMaterialSheet);
      return call(route, { params, body });
    },
    onSuccess: (sheet) => {
      saveFile(sheet);
      return changed();
    },
  });
}

export function sheetAddress(sheet: SheetView): string {
  return addressOf(routes.sheetFile, { sheetId: sheet.id });
}

function saveFile(sheet: SheetView): void {
  const link = document.createElement('a');
  link.href = sheetAddress(sheet);
  link.download = sheet.fileName;
  link.click();
}
