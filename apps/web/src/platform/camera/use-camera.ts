/** The rear camera of this device, as far as it has one and allows it. */
import { useCallback, useEffect, useState } from 'react';

/** Why there is no picture: no secure address, refused, no camera, or another program has it. */
export const cameraTroubles = ['insecure', 'refused', 'none', 'busy'] as const;
export type CameraTrouble = (typeof cameraTroubles)[number];

export interface Camera {
  /** Null while it is asked for, and where there is trouble. */
  readonly stream: MediaStream | null;
  readonly trouble: CameraTrouble | null;
  /** Null where it has none. */
  readonly torch: { readonly on: boolean; readonly switchTo: (on: boolean) => void } | null;
}

const wanted: MediaStreamConstraints = {
  audio: false,
  video: { facingMode: { ideal: 'environment' }, width: { ideal: 1280 }, height: { ideal: 720 } },
};

export function useCamera(): Camera {
  const [stream, setStream] = useState<MediaStream | null>(null);
  const [trouble, setTrouble] = useState<CameraTrouble | null>(() => (mayAsk() ? null : 'insecure'));
  const [torchOn, setTorchOn] = useState(false);
  useEffect(() => {
    if (!mayAsk()) return;
    let left = false;
    let opened: MediaStream | null = null;
    navigator.mediaDevices
      .getUserMedia(wanted)
      .then((media) => {
        opened = media;
        if (left) end(media);
        else setStream(media);
      })
      .catch((error: unknown) => {
        if (!left) setTrouble(troubleOf(error));
      });
    return () => {
      left = true;
      if (opened) end(opened);
    };
  }, []);
  const switchTo = useCallback(
    (on: boolean): void => {
      const track = stream?.getVideoTracks()[0];
      void track?.applyConstraints({ advanced: [{ torch: on } as MediaTrackConstraintSet] }).then(
        () => setTorchOn(on),
        () => undefined,
      );
    },
    [stream],
  );
  return { stream, trouble, torch: stream && hasTorch(stream) ? { on: torchOn, switchTo } : null };
}

/** Cameras need a secure address (W3C Media Capture, 10.1); on others the browser hides them. */
function mayAsk(): boolean {
  return window.isSecureContext && typeof navigator.mediaDevices?.getUserMedia === 'function';
}

function end(stream: MediaStream): void {
  for (const track of stream.getTracks()) track.stop();
}

function hasTorch(stream: MediaStream): boolean {
  const capabilities = stream.getVideoTracks()[0]?.getCapabilities?.() as { readonly torch?: boolean } | undefined;
  return capabilities?.torch === true;
}

function troubleOf(error: unknown): CameraTrouble {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError' || name === 'SecurityError') return 'refused';
  return name === 'NotFoundError' || name === 'OverconstrainedError' ? 'none' : 'busy';
}
