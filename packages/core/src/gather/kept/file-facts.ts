/** What is known of a kept file beyond its bytes: whether students' devices can show it. Found out once, when it is added. */
import type { MediaFormat } from '../../school/device/media-format.js';

/** What kept bytes are, told by the bytes themselves. */
export const mediaKinds = ['picture', 'sound', 'film', 'pdf', 'office', 'captions', 'other'] as const;
/** What a file is, by its bytes. */
export type Media = (typeof mediaKinds)[number];

/** What looking into a file showed. */
export type FileFindings =
  /** Sound or film. `format`: null for one that browsers don't play; `name` says what it is, for people. */
  | {
      readonly kind: 'played';
      readonly format: MediaFormat | null;
      readonly name: string;
      readonly durationS: number;
    }
  /** PDF, or an office file with a PDF of it. */
  | { readonly kind: 'pages'; readonly pages: number }
  /** A PDF that asks for a password. */
  | { readonly kind: 'password' }
  /** It can't be read as what it claims to be, or holds nothing. */
  | { readonly kind: 'damaged' };

/** A kept file as far as showing it goes. */
export interface FileFacts {
  readonly name: string;
  readonly media: Media;
  readonly contentType: string;
  readonly sizeBytes: number;
  /** Null for media that need no looking into, and where it could not be found out. */
  readonly findings: FileFindings | null;
  /** An office file has a PDF that phones show. */
  readonly hasPdf: boolean;
}

/** What is kept of a material, as far as showing it goes. Files that are gone are null. */
export interface KeptFacts {
  readonly kind: 'file' | 'picture-set' | 'written-page';
  readonly files: readonly (FileFacts | null)[];
  /** Of a written page: characters of its text, blanks left out. */
  readonly characters: number;
}

/** Tracks of a sound or film, as a demultiplexer names them. */
export interface MediaTracks {
  /** Media type of the file by its bytes. */
  readonly contentType: string;
  /** Codec of the first video track: `avc`, `hevc`, `vp9` ...; null without one, `unknown` for one without a name. */
  readonly videoCodec: string | null;
  /** Codec of the first audio track: `aac`, `mp3`, `opus`, `pcm-s16` ...; null without one. */
  readonly audioCodec: string | null;
  readonly durationS: number;
}

/** The media of which more is to be found out than their type. */
export function isLookedInto(media: Media): boolean {
  return media === 'sound' || media === 'film' || media === 'pdf';
}

/** Formats of sounds and films that a device must play to show all of it, each once. */
export function formatsNeeded({ files }: KeptFacts): readonly MediaFormat[] {
  const formats = files.flatMap((file) => (file?.findings?.kind === 'played' ? (file.findings.format ?? []) : []));
  return [...new Set(formats)];
}

const mp4Sound = new Set(['aac', 'mp3', null]);
const webmVideo = new Set(['vp8', 'vp9', 'av1']);
const webmSound = new Set(['opus', 'vorbis', null]);

/** What the tracks of a file say about playing it. */
export function findingsOf(tracks: MediaTracks): FileFindings {
  const { videoCodec, audioCodec, durationS } = tracks;
  if ((videoCodec === null && audioCodec === null) || !(durationS > 0)) return { kind: 'damaged' };
  return { kind: 'played', format: formatOf(tracks), name: nameOf(tracks), durationS };
}

/** Null for what browsers don't play. */
function formatOf({ contentType, videoCodec, audioCodec }: MediaTracks): MediaFormat | null {
  if (videoCodec !== null) return filmFormatOf(contentType, videoCodec, audioCodec);
  switch (contentType) {
    case 'audio/mpeg':
      return audioCodec === 'mp3' ? 'mp3' : null;
    case 'audio/mp4':
    case 'video/mp4':
    case 'audio/aac':
      return audioCodec === 'aac' ? 'aac' : null;
    case 'audio/ogg':
    case 'video/ogg':
      return audioCodec === 'opus' || audioCodec === 'vorbis' ? 'ogg' : null;
    case 'audio/webm':
    case 'video/webm':
      return webmSound.has(audioCodec) ? 'webm' : null;
    case 'audio/flac':
      return 'flac';
    case 'audio/wav':
      return audioCodec?.startsWith('pcm') === true ? 'wav' : null;
    default:
      return null;
  }
}

function filmFormatOf(contentType: string, video: string, audio: string | null): MediaFormat | null {
  if (contentType === 'video/quicktime') return video === 'avc' || video === 'hevc' ? 'mov' : null;
  if (contentType === 'video/webm') return webmVideo.has(video) && webmSound.has(audio) ? 'webm' : null;
  if (contentType !== 'video/mp4' || !mp4Sound.has(audio)) return null;
  return video === 'avc' ? 'mp4-h264' : video === 'hevc' ? 'mp4-hevc' : null;
}

const containerNames: Readonly<Record<string, string>> = {
  'video/mp4': 'MP4',
  'audio/mp4': 'M4A',
  'video/quicktime': 'MOV',
  'video/webm': 'WebM',
  'audio/webm': 'WebM',
  'video/matroska': 'Matroska',
  'audio/mpeg': 'MP3',
  'audio/aac': 'AAC',
  'audio/ogg': 'Ogg',
  'video/ogg': 'Ogg',
  'audio/flac': 'FLAC',
  'audio/wav': 'WAV',
  'video/vnd.avi': 'AVI',
  'video/x-ms-asf': 'WMV',
  'audio/x-ms-wma': 'WMA',
  'audio/aiff': 'AIFF',
  'audio/amr': 'AMR',
};
const codecNames: Readonly<Record<string, string>> = {
  avc: 'H.264',
  hevc: 'HEVC',
  av1: 'AV1',
  alac: 'ALAC',
  ac3: 'AC-3',
};

/** "MP4, HEVC" for a film, "MP3" for a sound. */
function nameOf({ contentType, videoCodec, audioCodec }: MediaTracks): string {
  const container = containerName(contentType);
  const codec = videoCodec ?? (audioCodec === 'alac' ? audioCodec : null);
  if (codec === null || codec === 'unknown') return container;
  return `${container}, ${codecNames[codec] ?? codec.toUpperCase()}`;
}

/** What people call files of that type: "MOV". The end of the media type where they have no name for it. */
export function containerName(contentType: string): string {
  return (
    containerNames[contentType] ?? (contentType.split('/')[1] ?? contentType).replace(/^(?:x-|vnd\.)/, '').toUpperCase()
  );
}
