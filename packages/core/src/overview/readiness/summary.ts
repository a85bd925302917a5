/** The one line above the bench: how many stations are ready, and what keeps the others. */
import type { AnswerState } from '../../platform/answer-state.js';

/** The four answers of one station. */
export interface FourStates {
  readonly opens: AnswerState;
  readonly carries: AnswerState;
  readonly reads: AnswerState;
  readonly paper: AnswerState;
}

/** How many stations are ready, and what holds the others up. */
export interface ReadinessSummary {
  readonly stations: number;
  readonly ready: number;
  /** Stations that don't open. */
  readonly locked: number;
  /** Stations with something to look at, the locked ones left out. */
  readonly toLookAt: number;
  /** Stations that only lack a sheet. */
  readonly withoutSheet: number;
}

/** Every station counts once: locked, then to look at, then without a sheet, then ready; one still being worked on counts nowhere. */
export function summarise(stations: readonly FourStates[]): ReadinessSummary {
  const counts = { stations: stations.length, ready: 0, locked: 0, toLookAt: 0, withoutSheet: 0 };
  for (const states of stations) {
    const [opens, ...others] = [states.opens, states.carries, states.reads, states.paper];
    if (opens === 'stop') counts.locked += 1;
    else if (opens === 'look-at' || others.some((state) => state === 'look-at' || state === 'stop'))
      counts.toLookAt += 1;
    else if (states.paper === 'not-yet') counts.withoutSheet += 1;
    else if (opens === 'done' && others.every((state) => state === 'done')) counts.ready += 1;
  }
  return counts;
}
