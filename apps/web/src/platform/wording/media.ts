import type { MediaFormat } from '@hapset/core';
import { t } from './words.js';

/** What people call formats of sounds and films. */
export const mediaFormatWords: Readonly<Record<MediaFormat, string>> = {
  'mp4-h264': 'MP4 (H.264)',
  'mp4-hevc': 'MP4 (HEVC)',
  mov: t('media.mOV'),
  webm: t('media.webM'),
  mp3: 'MP3',
  aac: 'M4A (AAC)',
  ogg: t('media.ogg'),
  flac: t('media.fLAC'),
  wav: t('media.wAV'),
};
