// A page of a fresh stack in Debian's Chromium, signed in as the demo teacher: for benches and pictures.
import { rmSync } from 'node:fs';
import { startStack } from './stack.mjs';

/** How every browser of ours is started. */
export const chromiumOptions = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-dev-shm-usage',
    '--disable-background-networking',
    '--no-first-run',
  ],
};

/**
 * Starts a stack on fresh data, runs the work with a browser, ends both.
 * @param more arguments for the browser
 */
export async function withBrowser(settings, work, more = []) {
  rmSync(settings.dataFolder, { recursive: true, force: true });
  const stack = await startStack(settings);
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({ ...chromiumOptions, args: [...chromiumOptions.args, ...more] });
  try {
    return await work(browser);
  } finally {
    await browser.close();
    await stack.stop();
  }
}

export async function newPage(browser, settings, { width = 1280, height = 800, ...more } = {}) {
  const context = await browser.newContext({
    viewport: { width, height },
    baseURL: settings.address,
    locale: 'en-GB',
    acceptDownloads: true,
    ...more,
  });
  return context.newPage();
}

export async function signIn(page) {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: /Look around/ }).click();
  await page.getByRole('heading', { name: /^Hello, / }).waitFor();
}

/** Without the form, as somebody of the demo. */
export async function signInAs(page, email) {
  await page.request.post('/api/session', { data: { email, password: 'low-tide-at-nine' } });
}

/** Listens for tasks over 50 ms on the page's own thread. @returns a function that gives their durations so far, in ms */
export async function listenForLongTasks(page) {
  await page.evaluate(() => {
    globalThis.longTasks = [];
    new PerformanceObserver((list) =>
      globalThis.longTasks.push(...list.getEntries().map((entry) => entry.duration)),
    ).observe({ type: 'longtask' });
  });
  return () => page.evaluate(() => globalThis.longTasks);
}
