import type { LookView, MaterialPage } from '@hapset/contract';

/** Where a look for that code is designed: the one that it has, or a new one where it has none. */
export function designAddress({ look, station, material }: MaterialPage): string {
  const on = station ? `station=${station.stationId}` : `material=${material.id}`;
  return `/school/looks/${look.id ?? 'new'}?${on}`;
}

export function lookAddress({ id }: Pick<LookView, 'id'>): string {
  return `/school/looks/${id}`;
}
