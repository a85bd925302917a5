import type { MediaFormat } from '../../school/device/media-format.js';
import {
  containerName,
  findingsOf,
  formatsNeeded,
  isLookedInto,
  mediaKinds,
  type FileFacts,
  type MediaTracks,
} from './file-facts.js';

const tracks = (contentType: string, videoCodec: string | null, audioCodec: string | null): MediaTracks => ({
  contentType,
  videoCodec,
  audioCodec,
  durationS: 12.5,
});

describe('what is in a sound or film', () => {
  it.each<[string, string | null, string | null, MediaFormat | null, string]>([
    ['video/mp4', 'avc', 'aac', 'mp4-h264', 'MP4, H.264'],
    ['video/mp4', 'avc', null, 'mp4-h264', 'MP4, H.264'],
    ['video/mp4', 'hevc', 'aac', 'mp4-hevc', 'MP4, HEVC'],
    ['video/mp4', 'avc', 'ac3', null, 'MP4, H.264'],
    ['video/mp4', 'av1', 'opus', null, 'MP4, AV1'],
    ['video/mp4', 'unknown', 'aac', null, 'MP4'],
    ['video/quicktime', 'avc', 'aac', 'mov', 'MOV, H.264'],
    ['video/quicktime', 'hevc', 'aac', 'mov', 'MOV, HEVC'],
    ['video/quicktime', 'prores', 'pcm-s16', null, 'MOV, PRORES'],
    ['video/webm', 'vp9', 'opus', 'webm', 'WebM, VP9'],
    ['video/webm', 'vp8', null, 'webm', 'WebM, VP8'],
    ['video/webm', 'avc', 'opus', null, 'WebM, H.264'],
    ['video/webm', null, 'opus', 'webm', 'WebM'],
    ['video/matroska', 'avc', 'aac', null, 'Matroska, H.264'],
    ['audio/mpeg', null, 'mp3', 'mp3', 'MP3'],
    ['audio/mpeg', null, 'unknown', null, 'MP3'],
    ['audio/mp4', null, 'aac', 'aac', 'M4A'],
    ['audio/mp4', null, 'alac', null, 'M4A, ALAC'],
    ['video/mp4', null, 'aac', 'aac', 'MP4'],
    ['audio/aac', null, 'aac', 'aac', 'AAC'],
    ['audio/ogg', null, 'vorbis', 'ogg', 'Ogg'],
    ['audio/ogg', null, 'opus', 'ogg', 'Ogg'],
    ['audio/ogg', null, 'flac', null, 'Ogg'],
    ['audio/flac', null, 'flac', 'flac', 'FLAC'],
    ['audio/wav', null, 'pcm-s16', 'wav', 'WAV'],
    ['audio/wav', null, 'adpcm', null, 'WAV'],
    ['audio/amr', null, 'amr', null, 'AMR'],
  ])('%s with %s and %s', (contentType, video, audio, format, name) => {
    expect(findingsOf(tracks(contentType, video, audio))).toEqual({ kind: 'played', format, name, durationS: 12.5 });
  });

  it('is damaged without a track, and without any time', () => {
    expect(findingsOf(tracks('video/mp4', null, null))).toEqual({ kind: 'damaged' });
    for (const durationS of [0, Number.NaN])
      expect(findingsOf({ ...tracks('video/mp4', 'avc', 'aac'), durationS })).toEqual({ kind: 'damaged' });
  });

  it('is named as people name it', () => {
    expect(
      ['video/quicktime', 'video/vnd.avi', 'video/x-flv', 'audio/vnd.dolby.dd-raw', 'odd'].map(containerName),
    ).toEqual(['MOV', 'AVI', 'FLV', 'DOLBY.DD-RAW', 'ODD']);
  });

  it('is looked for in sounds, films and PDFs', () => {
    expect(mediaKinds.filter(isLookedInto)).toEqual(['sound', 'film', 'pdf']);
  });

  it('asks a device for each format once', () => {
    const film = (format: MediaFormat | null): FileFacts => ({
      name: 'a',
      media: 'film',
      contentType: 'video/x',
      sizeBytes: 1,
      findings: { kind: 'played', format, name: 'x', durationS: 1 },
      hasPdf: false,
    });
    const picture: FileFacts = { ...film(null), media: 'picture', findings: null };
    const files = [film('webm'), null, film('mp3'), film('webm'), film(null), picture];
    expect(formatsNeeded({ kind: 'written-page', files, characters: 3 })).toEqual(['webm', 'mp3']);
  });
});
