/** What the camera sees, read continuously: all codes in view are marked, and told as soon as they are read. */
import type { FoundCode } from '@hapset/readers';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { Button } from '../../platform/design/button.js';
import { cameraTroubleWords } from '../../platform/wording/reading.js';
import { findCodes } from './find-codes.js';
import { frameOf, glanceAt, isUnchanged } from './grey-frame.js';
import { useCamera, type CameraTrouble } from '../../platform/camera/use-camera.js';
import { t } from '../words.js';

/** What the reader says. */
export interface CameraWords {
  readonly sees: string;
  readonly lightOn: string;
  readonly lightOff: string;
  readonly troubles: Readonly<Record<CameraTrouble, string>>;
}

const staffWords: CameraWords = {
  sees: t('cameraReader.whatTheCameraSees'),
  lightOn: t('cameraReader.lightOn'),
  lightOff: t('cameraReader.lightOff'),
  troubles: cameraTroubleWords,
};

interface Props {
  /** In the students' language, where they read. */
  readonly words?: CameraWords;
  /** Called with all codes of a frame in which there was one. */
  readonly onCodes: (codes: readonly FoundCode[]) => void;
}

interface Seen {
  readonly codes: readonly FoundCode[];
  readonly widthPx: number;
  readonly heightPx: number;
}

export function CameraReader({ onCodes, words = staffWords }: Props): ReactElement {
  const { stream, trouble, torch } = useCamera();
  const video = useRef<HTMLVideoElement>(null);
  const [seen, setSeen] = useState<Seen | null>(null);
  const latest = useRef(onCodes);
  useEffect(() => {
    latest.current = onCodes;
  });
  useEffect(() => {
    const element = video.current;
    if (!stream || !element) return;
    element.srcObject = stream;
    void element.play().catch(() => undefined);
    return readFrames(element, (next) => {
      setSeen(next);
      if (next.codes.length > 0) latest.current(next.codes);
    });
  }, [stream]);
  if (trouble) {
    return (
      <p role="alert" className="m-0 rounded-sheet border border-line-strong bg-sheet px-4 py-3 text-body">
        {words.troubles[trouble]}
      </p>
    );
  }
  return (
    <div className="relative overflow-hidden rounded-sheet bg-print-ink">
      <video
        ref={video}
        muted
        playsInline
        aria-label={words.sees}
        className="block max-h-[46vh] w-full object-contain"
      />
      {seen && (
        <svg
          viewBox={`0 0 ${seen.widthPx} ${seen.heightPx}`}
          className="pointer-events-none absolute inset-0 size-full"
          aria-hidden
        >
          {seen.codes.map(({ corners }, index) => (
            <polygon
              key={index}
              points={corners.map(({ x, y }) => `${x},${y}`).join(' ')}
              className="fill-marker/30 stroke-marker"
              strokeWidth={seen.widthPx / 200}
            />
          ))}
        </svg>
      )}
      {torch && (
        <div className="absolute right-3 bottom-3">
          <Button onClick={() => torch.switchTo(!torch.on)}>{torch.on ? words.lightOff : words.lightOn}</Button>
        </div>
      )}
    </div>
  );
}

/** A still code at the limit is lost in one frame and read in the next: so many get their chance, as in a rehearsal's trial. */
const chancesOfStill = 10;

/** Reads frame after frame, one at a time; frames in which nothing moved are not read again. Gives what ends it. */
function readFrames(video: HTMLVideoElement, onSeen: (seen: Seen) => void): () => void {
  const canvas = document.createElement('canvas');
  let before: Float32Array | null = null;
  let chances = 0;
  let ended = false;
  let busy = false;
  const look = async (): Promise<void> => {
    if (busy || video.videoWidth === 0) return;
    const frame = frameOf(video, video.videoWidth, video.videoHeight, canvas);
    const glance = glanceAt(frame);
    if (!isUnchanged(before, glance)) chances = chancesOfStill;
    if (chances === 0) return;
    busy = true;
    try {
      const codes = await findCodes(frame);
      before = glance;
      chances = codes.length > 0 ? 0 : chances - 1;
      if (!ended) onSeen({ codes, widthPx: frame.widthPx, heightPx: frame.heightPx });
    } finally {
      busy = false;
    }
  };
  const next = (): void => {
    if (ended) return;
    void look().catch(() => undefined);
    schedule();
  };
  const schedule = (): void => {
    if (typeof video.requestVideoFrameCallback === 'function') video.requestVideoFrameCallback(next);
    else requestAnimationFrame(next);
  };
  schedule();
  return () => {
    ended = true;
  };
}
