import type { MediaFormat } from '@hapset/core';

/** What people call formats of sounds and films. */
export const mediaFormatWords: Readonly<Record<MediaFormat, string>> = {
  'mp4-h264': 'MP4 (H.264)',
  'mp4-hevc': 'MP4 (HEVC)',
  mov: 'MOV',
  webm: 'WebM',
  mp3: 'MP3',
  aac: 'M4A (AAC)',
  ogg: 'Ogg',
  flac: 'FLAC',
  wav: 'WAV',
};
