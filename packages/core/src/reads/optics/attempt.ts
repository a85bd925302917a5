/** One attempt of a student, frame by frame: what a person can look at while moving sliders. */
import { renderFrame } from './camera.js';
import { uniformSource } from './random.js';
import type { GreyFrame } from './sensor.js';
import { framesPerTrial, trialView, type ReadFrame, type Staging } from './trial.js';

/** A few frames, and how many of them were read. */
export interface Attempt {
  /** As the camera sees it. */
  readonly first: GreyFrame;
  /** Frames that were read as meant. */
  readonly read: number;
  readonly of: number;
}

/** @param seed of movements and noise */
export async function attempt(
  { code, sizeMm, device, scene, tiltDeg }: Staging,
  distanceM: number,
  readFrame: ReadFrame,
  seed = 1,
): Promise<Attempt> {
  const uniform = uniformSource(seed);
  const frames = Array.from({ length: framesPerTrial }, () =>
    renderFrame(code, sizeMm, device, trialView(distanceM, tiltDeg ?? 0, 0, uniform), scene),
  );
  let read = 0;
  for (const frame of frames) if ((await readFrame(frame)) === code.payload) read += 1;
  return { first: frames[0] as GreyFrame, read, of: framesPerTrial };
}
