/** The one line above the bench: how many stations are ready, and what keeps the others. */
import { findTrouble, isReady, stationTroubles, type FourAnswers, type StationTrouble } from './trouble.js';

/** How many stations are ready, and what holds the others up. */
export interface ReadinessSummary {
  readonly stations: number;
  readonly ready: number;
  /** Each station once, under its first trouble; those that are still being worked on are in none. */
  readonly troubles: Readonly<Record<StationTrouble, number>>;
}

/** Counts the stations of a lesson. */
export function summarise(stations: readonly FourAnswers[]): ReadinessSummary {
  const found = stations.map(findTrouble);
  const counts = stationTroubles.map((trouble) => [trouble, found.filter((each) => each === trouble).length]);
  return {
    stations: stations.length,
    ready: stations.filter(isReady).length,
    troubles: Object.fromEntries(counts) as Record<StationTrouble, number>,
  };
}
