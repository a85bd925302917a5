/** Where a material is looked at: as a station of a lesson, or on the shelf. The page is the same. */
export type PlaceId = { readonly stationId: string } | { readonly materialId: string };

/** Picks the route that belongs to the place, and its ids for the path. */
export function routeFor<R>(
  place: PlaceId,
  ofStation: R,
  ofMaterial: R,
): { readonly route: R; readonly params: Readonly<Record<string, string>> } {
  return 'stationId' in place
    ? { route: ofStation, params: { stationId: place.stationId } }
    : { route: ofMaterial, params: { materialId: place.materialId } };
}
