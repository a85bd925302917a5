// What pastes become, right, asked about or wrong; and 2,000 pasted lines: how long until they are reviewed, and whether the
// page ever stands still meanwhile.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readIntake } from '../../packages/core/dist/gather/paste/read-intake.js';
import { scorePaste } from '../../packages/core/dist/gather/paste/pastes/score.js';
import { listenForLongTasks, newPage, signIn, withBrowser } from '../browser.mjs';
import { projectFolder, readSettings } from '../settings.mjs';

const lines = Array.from(
  { length: 2000 },
  (_, index) => `“https://https://a.example/leaf/some-longer-path-${index}”. Title ${index}`,
).join('\n');

export function bench() {
  const settings = readSettings({
    HAPSET_PORT: '4600',
    HAPSET_NEIGHBOURS_PORT: '4610',
    HAPSET_DATA: join(projectFolder, 'test-output/bench'),
  });
  return withBrowser(settings, async (browser) => {
    const page = await newPage(browser, settings);
    await signIn(page);
    await page.goto('/add');
    await page.getByLabel('What should students open?').waitFor();
    await page.waitForTimeout(500);
    const longTasks = await listenForLongTasks(page);
    const began = Date.now();
    await page.evaluate((text) => {
      const data = new DataTransfer();
      data.setData('text/plain', text);
      document.activeElement?.blur();
      document.body.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, lines);
    await page.getByRole('button', { name: 'Add 2000 materials' }).waitFor();
    await page.waitForFunction(
      () =>
        ![...document.querySelectorAll('button')].find((button) => button.textContent.startsWith('Add 2000'))?.disabled,
    );
    const reviewedMs = Date.now() - began;
    await page
      .getByRole('region', { name: /What will be added/ })
      .evaluate((region) => region.scrollTo(0, region.scrollHeight / 2));
    await page.waitForTimeout(400);
    const tasks = await longTasks();
    return [
      ...scorePastes(),
      { what: '2,000 messy lines pasted and reviewed', value: `${(reviewedMs / 1000).toFixed(2)} s`, target: '' },
      { what: 'tasks over 50 ms on the page’s thread meanwhile', value: String(tasks.length), target: 'none' },
      { what: 'longest of them', value: `${Math.max(0, ...tasks).toFixed(0)} ms`, target: 'under 50 ms' },
    ];
  });
}

/** The hosts of the services that the demo describes. */
const isListed = (host) => /^(?:cofferlane|askleaf)\.example$/.test(host);

function scorePastes() {
  return ['first', 'second'].map((half) => {
    const file = `packages/core/src/gather/paste/pastes/${half}-half.json`;
    const pastes = JSON.parse(readFileSync(join(projectFolder, file), 'utf8'));
    const scores = pastes.map((paste) => scorePaste(paste, readIntake(paste.pasted, isListed)));
    const count = (wanted) => scores.filter((score) => score === wanted).length;
    return {
      what: `${pastes.length} pastes, ${half} half: right, asked about, wrong`,
      value: `${count('right')}, ${count('asked')}, ${count('wrong')}`,
      target: `at most ${Math.floor(pastes.length * 0.15)} asked about, none wrong`,
    };
  });
}
