import type { MaterialPage } from '@hapset/contract';

/** Where a material's page is: as a station of its lesson, or on the shelf. */
export function pagePath({ station, material }: Pick<MaterialPage, 'station' | 'material'>): string {
  return station ? `/lessons/${station.lessonId}/stations/${station.stationId}` : `/shelf/${material.id}`;
}
