import { readFileSync, mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';
import {
  planSymbol,
  rehearseDevice,
  renderFrame,
  trialView,
  uniformSource,
  type DeviceProfile,
  type GreyFrame,
  type SymbolPlan,
} from '@hapset/core';
import { createZxingReader } from '@hapset/readers';
import config from '../playwright.config.js';
import { expect, openSession, test } from './journey.js';
import { asFilmed, toY4m } from './scene.js';

const camera: DeviceProfile = {
  id: 'film',
  name: 'Film',
  previewWidthPx: 1280,
  previewHeightPx: 720,
  horizontalFovDeg: 60,
  nearestFocusM: 0.15,
  blurPx: 0.8,
  noiseGrey: 6,
  engine: 'zxing',
};
const sizeMm = 90;
const framesEach = 6;
const film = fileURLToPath(new URL('../test-output/approach.y4m', import.meta.url));
const { args = [], ...launch } = config.use?.launchOptions ?? {};
test.use({
  launchOptions: {
    ...launch,
    args: [
      ...args,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${film}`,
    ],
  },
});

/** Each distance has a text of its own, of the same length: what was read tells from where. */
const textOf = (step: number): string => `The tide comes in, step ${String(step).padStart(2, '0')}`;
const planOf = (step: number): SymbolPlan => {
  const planned = planSymbol(textOf(step));
  if (!planned.ok) throw new Error(planned.problem.reason);
  return planned.value;
};
let distances: readonly number[] = [];
let reachM = 0;

test.beforeAll(async () => {
  const reader = await createZxingReader({
    bytes: readFileSync(createRequire(import.meta.url).resolve('zxing-wasm/reader/zxing_reader.wasm')),
  });
  const found = await rehearseDevice(
    planOf(0),
    sizeMm,
    camera,
    async (frame) => (await reader.read(frame))?.text ?? null,
  );
  reachM = found?.reachM ?? 0;
  distances = Array.from({ length: 11 }, (_, step) => reachM * 1.36 * 0.94 ** step);
  const uniform = uniformSource(11);
  const frames = distances.flatMap((distanceM, step) =>
    Array.from({ length: framesEach }, (): GreyFrame =>
      asFilmed(renderFrame(planOf(step), sizeMm, camera, trialView(distanceM, 0, 0, uniform))),
    ),
  );
  mkdirSync(dirname(film), { recursive: true });
  writeFileSync(film, toY4m(frames));
});

test('a code that comes nearer is read by the camera at the distance that the model says, within 15 %', async ({
  page,
}) => {
  await openSession(page);
  await page.goto('/inspect');
  await page.getByRole('button', { name: 'Use the camera' }).click();
  const texts = page.getByLabel('What it says, letter by letter');
  await expect(texts.filter({ hasText: textOf(distances.length - 1) })).toBeVisible({ timeout: 120_000 });
  // Two more rounds of the film, by the camera's own clock. It plays ten frames a second.
  const roundsS = (2 * distances.length * framesEach) / 10 + 0.5;
  const playedS = () => page.locator('video').evaluate((video: HTMLVideoElement) => video.currentTime);
  const untilS = (await playedS()) + roundsS;
  await expect.poll(playedS, { timeout: (roundsS + 30) * 1000 }).toBeGreaterThan(untilS);
  const read = (await texts.allInnerTexts()).map((text) => Number(/step (\d\d)/.exec(text)?.[1]));
  const farthestM = distances[Math.min(...read)] ?? 0;
  expect(
    Math.abs(farthestM / reachM - 1),
    `read from ${farthestM.toFixed(2)} m, the model says ${reachM.toFixed(2)} m`,
  ).toBeLessThan(0.15);
  // And from everywhere nearer.
  expect(new Set(read).size).toBe(distances.length - Math.min(...read));
});
