/**
 * Formats of sounds and films, as browsers on devices differ in them: a container (MP4, WebM ...) with the codec in it.
 * Pictures and PDFs need no entry: the server encodes pictures again, and draws PDFs itself.
 */

/** What a device may play or not. `aac`: in MP4 (M4A) or bare. `webm`: VP8, VP9 or AV1 with Opus or Vorbis. */
export const mediaFormats = ['mp4-h264', 'mp4-hevc', 'mov', 'webm', 'mp3', 'aac', 'ogg', 'flac', 'wav'] as const;
/** One of them. */
export type MediaFormat = (typeof mediaFormats)[number];

/** What nearly every device plays: where nothing is known of the devices, and on old ones. */
export const commonFormats: readonly MediaFormat[] = ['mp4-h264', 'mp3', 'aac', 'wav'];

/** What a device's browser plays. */
export interface MediaProfile {
  readonly id: string;
  readonly plays: readonly MediaFormat[];
}

/** The devices that don't play one of the formats, in their order. Formats that are wanted come from what is kept. */
export function notPlaying<Device extends MediaProfile>(
  devices: readonly Device[],
  formats: readonly MediaFormat[],
): readonly Device[] {
  return devices.filter(({ plays }) => formats.some((format) => !plays.includes(format)));
}

/** The formats that not even common devices can be expected to play. */
export function uncommonFormats(formats: readonly MediaFormat[]): readonly MediaFormat[] {
  return formats.filter((format) => !commonFormats.includes(format));
}
