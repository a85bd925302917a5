/** Sends one file in parts by the tus protocol, goes on after a lost connection, and makes it a kept file. */
import { routes, type FileView, type Problem } from '@hapset/contract';
import { DetailedError, Upload } from 'tus-js-client';
import { call } from '../../platform/api/client.js';
import { ApiError } from '../../platform/api/problem-error.js';
import { sessionRenewed } from '../../platform/api/session-renewal.js';

/** What is lost at most when a connection breaks. */
const partBytes = 4_000_000;
/** Waits between attempts; a school's network comes back within minutes. */
const retryDelaysMs = [0, 1000, 3000, 5000, 10_000, 20_000, 30_000, 60_000];

export interface Sending {
  readonly done: Promise<FileView>;
  /** Ends it, here and on the server. */
  readonly stop: () => void;
}

/** @param onProgress bytes that the server has acknowledged. `done` rejects with ApiError; stopped ones never settle. */
export function sendFile(
  file: File,
  name: string,
  onProgress: (sentBytes: number) => void,
  onPreparing: () => void,
): Sending {
  let upload: Upload | null = null;
  const done = send(file, onProgress, (made) => (upload = made)).then((uploadId) => {
    onPreparing();
    return call(routes.addFile, { body: { uploadId, name } });
  });
  return { done, stop: () => void upload?.abort(true).catch(() => undefined) };
}

/** Sends a file that takes the place of another: gives the upload's id alone. */
export function sendOnly(file: File, onProgress: (sentBytes: number) => void): Promise<string> {
  return send(file, onProgress, () => undefined);
}

/** Gives the id of the finished upload. The same file chosen again goes on where it stopped, also after the page was left. */
async function send(
  file: File,
  onProgress: (sentBytes: number) => void,
  onMade: (upload: Upload) => void,
): Promise<string> {
  for (;;) {
    try {
      return await new Promise<string>((resolve, reject) => {
        const upload = new Upload(file, {
          endpoint: routes.beginUpload.path,
          chunkSize: partBytes,
          retryDelays: retryDelaysMs,
          removeFingerprintOnSuccess: true,
          onProgress: (sent) => onProgress(sent),
          onSuccess: () => resolve(idOf(upload.url)),
          onError: (error) => reject(toApiError(error)),
        });
        onMade(upload);
        void upload.findPreviousUploads().then(([before]) => {
          if (before) upload.resumeFromPreviousUpload(before);
          upload.start();
        });
      });
    } catch (error) {
      if (!(error instanceof ApiError) || error.reason !== 'not-signed-in') throw error;
      await sessionRenewed();
    }
  }
}

function idOf(url: string | null): string {
  return url?.split('/').at(-1) ?? '';
}

export function toApiError(error: unknown): ApiError {
  const response = error instanceof DetailedError ? error.originalResponse : null;
  if (!response) return new ApiError('unreachable');
  try {
    const problem = JSON.parse(response.getBody()) as Partial<Problem>;
    return new ApiError(problem.reason ?? 'failed', problem);
  } catch {
    return new ApiError(response.getStatus() === 413 ? 'too-large' : 'failed');
  }
}
