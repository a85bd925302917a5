/** In which order codes are rehearsed. Pure. */
import type { CodeView, RehearsalView } from '@hapset/contract';
import type { PlaceId } from '../../gather/material/place-id.js';

export interface RehearsalPlace {
  readonly place: PlaceId;
  readonly code: CodeView | null;
  readonly rehearsal: RehearsalView;
}

export interface RehearsalOrder {
  /** What is on the screen comes first. */
  readonly isInSight?: (place: PlaceId) => boolean;
}

interface Planning extends RehearsalOrder {
  /** True where what the other engines make of it is shown. */
  readonly withOthers?: boolean;
  readonly handedIn: ReadonlySet<string>;
  readonly runningKey: string | null;
}

/**
 * How much of it is rehearsed, and what is next: what runs already, then what is on the screen, then the rest in its order;
 * what other engines make of it comes last.
 */
export function planRehearsals(
  places: readonly RehearsalPlace[],
  { handedIn, withOthers = false, isInSight = () => false, runningKey }: Planning,
): { readonly done: number; readonly of: number; readonly next: RehearsalPlace | null } {
  const wanted = places.filter((place) => place.code !== null && place.rehearsal.devices.length > 0);
  const open = wanted.filter(({ rehearsal: { key, results } }) => results === null && !handedIn.has(key));
  const others = withOthers ? wanted.find((place) => lacksOthers(place)) : undefined;
  const next =
    open.find(({ rehearsal }) => rehearsal.key === runningKey) ??
    open.find(({ place }) => isInSight(place)) ??
    open[0] ??
    others ??
    null;
  return { done: wanted.length - open.length, of: wanted.length, next };
}

function lacksOthers({ rehearsal: { results } }: RehearsalPlace): boolean {
  return results !== null && results.some(({ others }) => others.length === 0);
}
