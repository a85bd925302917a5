import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import config from '../playwright.config.js';
import type { Page } from '@playwright/test';
import { expect, openSession, test } from './journey.js';
import { photograph, toY4m } from './scene.js';

const payload = 'Meet at the third breakwater at noon';
const folder = fileURLToPath(new URL('../test-output/', import.meta.url));
const film = `${folder}fake-camera.y4m`;
mkdirSync(folder, { recursive: true });
// A wall, then a code that comes into view and moves a little.
const wall = { widthPx: 8, heightPx: 8, grey: new Uint8Array(64).fill(150) };
writeFileSync(
  film,
  toY4m([wall, wall, ...[0, 2, 4, 6, 8].map((rollDeg) => photograph([{ payload, tiltDeg: 10, rollDeg }], 0.5))]),
);

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

/** Resolves once the camera's picture is shown, also where the next code is read, and the picture gone, at once. */
function nextPicture(page: Page): Promise<void> {
  return page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        new MutationObserver((_, observer) => {
          if (!document.querySelector('[aria-label="What the camera sees"]')?.checkVisibility()) return;
          observer.disconnect();
          resolve();
        }).observe(document, { childList: true, subtree: true, attributes: true });
      }),
  );
}

test('the camera reads a code that comes into view, and tells it', async ({ page }) => {
  await openSession(page);
  await page.goto('/inspect');
  await page.getByRole('button', { name: 'Use the camera' }).click();
  await expect(page.getByLabel('What the camera sees')).toBeVisible();
  await expect(page.getByLabel('What it says, letter by letter')).toHaveText(payload, { timeout: 120_000 });
  await expect(page.getByRole('status').getByText('1 code read')).toBeVisible();
  await page.getByRole('button', { name: 'Stop the camera' }).click();
  await expect(page.getByLabel('What the camera sees')).toHaveCount(0);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await page.waitForURL(/\/shelf\/./);
  await expect(page.locator('aside p.font-mono')).toHaveText(payload);
});

test('the students’ reader reads without an account, and goes on doing so without a network', async ({
  page,
  context,
}) => {
  await page.goto('/read');
  await page.getByRole('button', { name: 'Use the camera' }).click();
  const result = page.getByRole('region', { name: 'What the code says' });
  await expect(result).toContainText(payload, { timeout: 120_000 });
  await expect(page.locator('link[rel="manifest"]')).toHaveAttribute('href', '/reader.webmanifest');
  expect(await context.cookies()).toEqual([]);
  expect(await page.evaluate(() => [localStorage.length, sessionStorage.length])).toEqual([0, 0]);

  // Once more, so that the service worker has seen all that it needs.
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.reload();
  await page.getByRole('button', { name: 'Use the camera' }).click();
  await expect(result).toContainText(payload, { timeout: 120_000 });
  await context.setOffline(true);
  await page.reload();
  await page.getByRole('button', { name: 'Use the camera' }).click();
  await expect(result).toContainText(payload, { timeout: 120_000 });
  const picture = nextPicture(page);
  await page.getByRole('button', { name: 'Read another' }).click();
  await picture;
  await context.setOffline(false);
});
