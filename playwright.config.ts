import { defineConfig } from '@playwright/test';

const keyHash = process.env.HAPSET_TEST_KEY_HASH;

/** The stacks are started by scripts/test.mjs, one for each worker: `npm test -- e2e`. */
export default defineConfig({
  testDir: 'e2e',
  workers: Number(process.env.HAPSET_TEST_WORKERS ?? '1'),
  retries: 0,
  // Bounds for what hangs. On a machine that does three other things a journey takes four times as long.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json']],
  outputDir: 'test-output/playwright',
  use: {
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // A trace takes a quarter of the time; HAPSET_TRACE=1 keeps one of each journey that fails.
    trace: process.env.HAPSET_TRACE === '1' ? 'retain-on-failure' : 'off',
    // As many people have it; what moves is drawn again with every frame, by the processor.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-dev-shm-usage',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
        // The certificate of scripts/https-test.mjs is trusted by its key, and nothing else is.
        ...(keyHash === undefined ? [] : [`--ignore-certificate-errors-spki-list=${keyHash}`]),
      ],
    },
  },
});
