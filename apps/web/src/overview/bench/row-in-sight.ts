import type { PlaceId } from '../../gather/material/place-id.js';

/** Where a station's row is found in the page. */
export function rowId(stationId: string): string {
  return `station-${stationId}`;
}

/** Whether a part of the station's row is on the screen. */
export function isRowInSight(place: PlaceId): boolean {
  const row = 'stationId' in place ? document.getElementById(rowId(place.stationId)) : null;
  if (!row) return false;
  const { top, bottom } = row.getBoundingClientRect();
  return bottom > 0 && top < window.innerHeight;
}
