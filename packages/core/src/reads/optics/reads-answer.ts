/** Does it read? What the reach of each device means from where students stand. */
import type { AnswerState } from '../../platform/answer-state.js';

/** How far one device reads it, metres. */
export interface DeviceReach {
  readonly deviceId: string;
  /** Reads from here ... */
  readonly fromM: number;
  /** ... to here, metres. */
  readonly reachM: number;
  readonly misread: unknown;
}

/** Whether all devices read it from where students stand. */
export interface ReadsAnswer {
  readonly state: AnswerState;
  /** Reach of the weakest device, metres; null before a rehearsal. */
  readonly leastReachM: number | null;
  /** Devices that don't read from where students stand. */
  readonly fallShort: readonly string[];
}

/** All devices must reach the distance; one that returns other characters than were meant stops. */
export function readsAnswer(reaches: readonly DeviceReach[] | null, distanceM: number): ReadsAnswer {
  if (reaches === null || reaches.length === 0) return { state: 'not-yet', leastReachM: null, fallShort: [] };
  const leastReachM = Math.min(...reaches.map((reach) => reach.reachM));
  const fallShort = reaches
    .filter((reach) => reach.reachM < distanceM || reach.fromM > distanceM)
    .map((reach) => reach.deviceId);
  if (reaches.some((reach) => reach.misread !== null && reach.misread !== undefined) || leastReachM === 0)
    return { state: 'stop', leastReachM, fallShort };
  return { state: fallShort.length > 0 ? 'look-at' : 'done', leastReachM, fallShort };
}
