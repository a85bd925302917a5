/** Sounds and films that devices of a class don't play. */
import type { AnswerState } from '../../platform/answer-state.js';
import { notPlaying, uncommonFormats, type MediaFormat, type MediaProfile } from '../../school/device/media-format.js';

/** What is not played, and by which devices. */
export interface Unplayed<Device> {
  /** Of the formats that are needed, those that some device does not play. */
  readonly formats: readonly MediaFormat[];
  /** None where no device is known: then only what nearly every device plays is taken for granted. */
  readonly by: readonly Device[];
  /** It stops where no device plays it. */
  readonly state: Extract<AnswerState, 'look-at' | 'stop'>;
}

/** Null where every device plays all of it. @param formats that are needed to show all of a material */
export function findUnplayed<Device extends MediaProfile>(
  formats: readonly MediaFormat[],
  devices: readonly Device[],
): Unplayed<Device> | null {
  if (devices.length === 0) {
    const uncommon = uncommonFormats(formats);
    return uncommon.length === 0 ? null : { formats: uncommon, by: [], state: 'look-at' };
  }
  const by = notPlaying(devices, formats);
  if (by.length === 0) return null;
  return {
    formats: formats.filter((format) => by.some(({ plays }) => !plays.includes(format))),
    by,
    state: by.length === devices.length ? 'stop' : 'look-at',
  };
}
