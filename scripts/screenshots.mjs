// `npm run screenshots`: one picture of each main view, from fresh demo data, into docs/screenshots.
import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { newPage, signIn, withBrowser } from './browser.mjs';
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireModules, requirePackages } from './machine.mjs';
import { folder, settings, work } from './screenshots/places.mjs';
import { makePoster, settled, sideBySide } from './screenshots/tools.mjs';
import { takeCarries, takeKept, takeLooks } from './screenshots/materials.mjs';
import { takeDarkAndOutage, takeOpens, takePhones, takeReviews } from './screenshots/lessons.mjs';
import { takeInspection, takeRehearsal, takeServices, takeSheets, takeStudents } from './screenshots/paper.mjs';
import { runMain } from './settings.mjs';

await runMain(async () => {
  requirePackages({ ...mariadbPackages, chromium: 'chromium' });
  requireModules();
  build();
  rmSync(work, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  await withBrowser(settings, takeAll);
});

async function takeAll(browser) {
  const page = await newPage(browser, settings);
  const take = (name) => page.screenshot({ path: join(folder, `${name}.png`) });
  await signIn(page);
  await page.goto('/lessons');
  await page.getByRole('link', { name: /Life between the tides/ }).click();
  await settled(page);
  await makePoster(page, 'Tide-line tally');
  await makePoster(page, 'Photo bank, north cove');
  await page.mouse.move(640, 780);
  await take('lesson-bench');
  await page
    .getByLabel('Next station')
    .fill(
      [
        'Worksheet: htps://cofferlane.example/leaf/tide-tables',
        'Please open https://cofferlane.example/leaf/shells and read it',
        'Office: +353 1 555 0123',
      ].join('\n'),
    );
  await page.getByRole('list', { name: 'What will be added' }).waitFor();
  await page.getByLabel('Next station').scrollIntoViewIfNeeded();
  await page.mouse.wheel(0, 1000);
  await page.waitForTimeout(300);
  const intakeReview = await page.screenshot();
  await page.getByLabel('Next station').fill('');
  await page.getByRole('link', { name: 'Field guide to limpets' }).click();
  await page.getByRole('heading', { name: /^Reads from/ }).waitFor();
  await page.mouse.move(640, 780);
  await take('station');
  await takeOpens(browser);
  await page.goto('/');
  await page.getByRole('heading', { name: 'What changed' }).waitFor();
  await page
    .getByRole('link', { name: /Life between/ })
    .first()
    .waitFor();
  const start = await page.screenshot();
  await takeReviews(browser, page, intakeReview);
  await page.goto('/shelf');
  await page.getByRole('listitem').first().waitFor();
  await page.waitForTimeout(300);
  await sideBySide(browser, [start, await page.screenshot()], 'start', { width: 2632, height: 848 });
  await takeCarries(browser);
  await takeKept(browser);
  await takeLooks(browser);
  await takeRehearsal(browser);
  await takeSheets(browser);
  await takeStudents(browser);
  await takeInspection(browser);
  await takeServices(browser);
  await takePhones(browser);
  await takeDarkAndOutage(browser);
}
