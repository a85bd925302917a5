import type { SheetNotice, SheetWarning } from '@hapset/contract';

/** A warning without any details. */
export function blankNotice(
  warning: SheetWarning,
  place: Pick<SheetNotice, 'name' | 'stationId' | 'materialId'>,
): SheetNotice {
  return {
    warning,
    ...place,
    field: null,
    opens: null,
    characters: [],
    sizeMm: null,
    reachM: null,
    distanceM: null,
    otherKinds: [],
    finer: false,
    larger: [],
    length: null,
  };
}
