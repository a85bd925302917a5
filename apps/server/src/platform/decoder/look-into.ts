/** What is in a sound, a film or a PDF: codecs, duration, pages. Only heads and indexes are read, nothing is decoded. */
import { readFile } from 'node:fs/promises';
import { ALL_FORMATS, FilePathSource, Input, UnsupportedInputFormatError } from 'mediabunny';
import type { FoundPages, FoundTracks } from './decoder.task.js';

/** `unsupported`: a container that is not known here. Null where it holds nothing or is damaged. */
export async function lookIntoMedia(file: string): Promise<FoundTracks | 'unsupported' | null> {
  const input = new Input({ source: new FilePathSource(file), formats: ALL_FORMATS });
  try {
    const [video, audio] = [await input.getPrimaryVideoTrack(), await input.getPrimaryAudioTrack()];
    return {
      videoCodec: video && (video.codec ?? 'unknown'),
      audioCodec: audio && (audio.codec ?? 'unknown'),
      durationS: await input.computeDuration(),
    };
  } catch (error) {
    return error instanceof UnsupportedInputFormatError ? 'unsupported' : null;
  } finally {
    input.dispose();
  }
}

/** Pages of a PDF; `password` where it asks for one, null where it is damaged. */
export async function lookIntoPdf(file: string): Promise<FoundPages> {
  // Drawing would need it; counting pages does not.
  (globalThis as { DOMMatrix?: unknown }).DOMMatrix ??= class {};
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const loading = getDocument({ data: new Uint8Array(await readFile(file)), verbosity: 0, isEvalSupported: false });
  try {
    const { numPages } = await loading.promise;
    return numPages > 0 ? numPages : null;
  } catch (error) {
    return error instanceof Error && error.name === 'PasswordException' ? 'password' : null;
  } finally {
    await loading.destroy();
  }
}
