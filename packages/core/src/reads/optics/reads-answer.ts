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

/** What a real device made of the code. */
export interface TriedDevice {
  /** Null where nobody said which device it was. */
  readonly deviceId: string | null;
  readonly outcome: 'as-meant' | 'otherwise' | 'nothing';
}

/** Whether all devices read it from where students stand. */
export interface ReadsAnswer {
  readonly state: AnswerState;
  /** Reach of the weakest device, metres; null before a rehearsal. */
  readonly leastReachM: number | null;
  /** Devices that don't read from where students stand. */
  readonly fallShort: readonly string[];
  /** Real devices that did not read it, or read something else, whatever was simulated; null for an unnamed one. */
  readonly failed: readonly (string | null)[];
}

/**
 * All devices must reach the distance; one that returns other characters than were meant stops. What a real device did
 * corrects the simulation: the last tryout of each counts against it, never for it.
 */
export function readsAnswer(
  reaches: readonly DeviceReach[] | null,
  distanceM: number,
  tried: readonly TriedDevice[] = [],
): ReadsAnswer {
  const simulated = simulatedAnswer(reaches, distanceM);
  const failures = tried.filter(({ outcome }) => outcome !== 'as-meant');
  if (failures.length === 0) return { ...simulated, failed: [] };
  const state = failures.some(({ outcome }) => outcome === 'otherwise') ? 'stop' : 'look-at';
  return {
    ...simulated,
    state: simulated.state === 'stop' ? 'stop' : state,
    failed: failures.map(({ deviceId }) => deviceId),
  };
}

function simulatedAnswer(reaches: readonly DeviceReach[] | null, distanceM: number): Omit<ReadsAnswer, 'failed'> {
  if (reaches === null || reaches.length === 0) return { state: 'not-yet', leastReachM: null, fallShort: [] };
  const leastReachM = Math.min(...reaches.map((reach) => reach.reachM));
  const fallShort = reaches
    .filter((reach) => reach.reachM < distanceM || reach.fromM > distanceM)
    .map((reach) => reach.deviceId);
  if (reaches.some((reach) => reach.misread !== null && reach.misread !== undefined) || leastReachM === 0)
    return { state: 'stop', leastReachM, fallShort };
  return { state: fallShort.length > 0 ? 'look-at' : 'done', leastReachM, fallShort };
}
