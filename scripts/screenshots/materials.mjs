// Materials: what a code carries, files, what students see, looks.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { newPage, signIn } from '../browser.mjs';
import { settings, work } from './places.mjs';
import { joined, openPart, sideBySide } from './tools.mjs';

/** The ladder of a long link; a short link that is tried, gets another target and is listed. */
export async function takeCarries(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  const student = {
    'User-Agent': 'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/129.0 Mobile Safari/537.36',
  };
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Our school library' }).click();
  await openPart(page, 'carries');
  await page.getByText('recommended').waitFor();
  await page.getByText('Error correction', { exact: true }).click();
  const ladder = await page.locator('#carries').screenshot();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'The school’s short link' })
    .getByRole('button', { name: 'Use this' })
    .click();
  await page.locator('#short-link').waitFor();
  const address = (await page.locator('aside p.font-mono').innerText()).trim();
  await openPart(page, 'reads');
  await page.getByRole('link', { name: 'Try a device' }).click();
  await page.getByText('Waiting.').waitFor();
  await page.waitForTimeout(1700);
  await fetch(address, { redirect: 'manual', headers: student });
  await page.getByText('A phone opened it').waitFor();
  await page.getByLabel('Which device was it').selectOption({ label: 'New phones' });
  await page.waitForTimeout(6000);
  const tried = await page.screenshot();
  await page.getByRole('link', { name: 'Done' }).click();
  await openPart(page, 'short-link');
  await page.getByRole('button', { name: 'Change target' }).click();
  await page
    .getByLabel('New target')
    .fill(`http://cofferlane.localhost:${settings.neighboursPort}/leaf/what-yeast-eats`);
  await page.getByRole('button', { name: 'Check it as a student' }).click();
  await page.getByRole('button', { name: 'Save target' }).waitFor();
  await page.waitForTimeout(300);
  const elsewhere = await page.getByRole('dialog').screenshot();
  await sideBySide(browser, [ladder, elsewhere], 'ladder', { width: 980, height: 1250, direction: 'column' });
  for (let opening = 0; opening < 26; opening += 1) await fetch(address, { redirect: 'manual', headers: student });
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Network for guests' }).waitFor();
  await page.waitForTimeout(1200);
  await page.goto('/shelf/short-links');
  await page.getByRole('list', { name: 'Short links' }).waitFor();
  await sideBySide(browser, [tried, await page.screenshot()], 'short-links', {
    width: 1328,
    height: 1672,
    direction: 'column',
  });
}

/** Uploads, the editor, the list of files, and what students see of four kinds, side by side. */
export async function takeKept(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  const addresses = [];
  let writing = null;
  for (const title of ['Before you go out', 'Rock pools we drew', 'Shore sounds']) {
    await page.goto('/shelf');
    await page.getByRole('link', { name: title }).click();
    addresses.push(await page.getByRole('link', { name: 'View as a student' }).getAttribute('href'));
    if (title !== 'Before you go out') continue;
    await page.getByRole('link', { name: 'Write', exact: true }).click();
    await page.locator('.written-page img').waitFor();
    await page.waitForTimeout(500);
    writing = await page.screenshot();
  }
  await page.goto('/shelf/files');
  await page.getByLabel('Name of weed.png').waitFor();
  await page.waitForTimeout(300);
  const files = await page.screenshot();
  await page.goto('/shelf');
  const guide = {
    name: 'field-guide.pdf',
    mimeType: 'application/pdf',
    buffer: readFileSync(join(work, 'poster.pdf')),
  };
  await page.getByLabel('Files or photos').setInputFiles([guide]);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  addresses.push(await page.getByRole('link', { name: 'View as a student' }).getAttribute('href'));
  // The second part of the large file never arrives, so that the picture shows it half way.
  await page
    .context()
    .route('**/api/uploads/*', (route, request) =>
      Number(request.headers()['upload-offset']) >= 8_000_000 ? undefined : route.continue(),
    );
  await page.goto('/shelf');
  await page
    .getByLabel('Files or photos')
    .setInputFiles([guide, { name: 'limpet-film.mp4', mimeType: 'video/mp4', buffer: Buffer.alloc(14_000_000) }]);
  await page.getByText('8 MB of 14 MB').waitFor();
  await page.getByText('Uploaded,').waitFor();
  await sideBySide(browser, [await page.screenshot(), files, writing], 'kept', {
    width: 1328,
    height: 2496,
    direction: 'column',
  });
  await takeStudentPages(browser, addresses);
}

/** What students see, in four languages; and below it a bench in the made-up language that is 40 % longer. */
export async function takeStudentPages(browser, [written, pictures, sound, pdf]) {
  const phones = [];
  for (const address of [
    written,
    `${pictures}?lang=uk`,
    `${sound}?lang=ar`,
    `${pdf}?lang=pl`,
    '/K/ABCDE?lang=ar',
    '/read?lang=uk',
  ]) {
    const phone = await newPage(browser, settings, { width: 390, height: 844 });
    await phone.goto(address);
    await phone.waitForTimeout(1800);
    phones.push(await phone.screenshot());
  }
  // A service worker would answer with the page that it knows.
  const page = await newPage(browser, settings, { serviceWorkers: 'block' });
  await signIn(page);
  await page.route(
    (url) => !/^\/(?:api|assets|p|k|c)\//.test(url.pathname),
    async (route) => {
      if (route.request().resourceType() !== 'document') return route.fallback();
      const response = await route.fetch();
      const body = (await response.text()).replace(/<html lang="[^"]*">/, '<html lang="qps">');
      await route.fulfill({ response, body });
    },
  );
  await page.goto('/lessons');
  await page.getByRole('link', { name: /bakery/ }).click();
  await page.getByRole('table').waitFor();
  await page.waitForTimeout(8000);
  const bench = await page.screenshot();
  const row = await joined(browser, phones, 24 + phones.length * 414, 892);
  await sideBySide(browser, [row, bench], 'student-pages', { width: 2556, height: 1764, direction: 'column' });
}

/** A look that fails and the same fixed; a lesson that gets one in a click; and the pictures of a code by use. */
export async function takeLooks(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  await page.goto('/shelf');
  await page
    .getByLabel('Next material')
    .fill('Find the smallest snail on the rock and count the turns of its house. Then draw it.');
  await page.keyboard.press('Enter');
  await openPart(page, 'look');
  await page.getByRole('link', { name: 'Design a look' }).click();
  await page.getByText('Worn', { exact: true }).first().click();
  await page.getByLabel('Code, as a number').fill('#ffe27a');
  await page.getByRole('button', { name: 'snail', exact: true }).click();
  await page.getByText('Tide', { exact: true }).click();
  await page.getByLabel('Words', { exact: true }).selectOption({ label: 'The same text on every code' });
  await page.evaluate(() => window.scrollTo(0, 0));
  const rehearsed = () =>
    page
      .getByRole('status', { name: 'How well this look scans' })
      .getByText(/^(?:Reads from|Not read)/)
      .waitFor({ timeout: 60_000 });
  await rehearsed();
  const failing = await page.screenshot();
  await page.getByRole('button', { name: 'Use the nearest colours that work' }).click();
  await page.getByLabel('Code, as a number').fill('#8a4b00');
  await page.waitForTimeout(600);
  await rehearsed();
  await sideBySide(browser, [failing, await page.screenshot()], 'look', {
    width: 1328,
    height: 1672,
    direction: 'column',
  });
  await page.goto('/lessons');
  await page.getByRole('link', { name: /The bakery of tiny helpers/ }).click();
  await page.getByRole('button', { name: 'More for this lesson' }).click();
  await page.getByRole('menuitem', { name: 'Design all codes' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Warm bread/ })
    .waitFor();
  const chosen = await page.screenshot();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'What yeast eats' }).click();
  await page.getByRole('button', { name: 'More formats' }).click();
  await page.getByRole('button', { name: 'Create address' }).click();
  await page.getByLabel('HTML code').waitFor();
  await sideBySide(browser, [chosen, await page.screenshot()], 'pictures', {
    width: 1328,
    height: 1672,
    direction: 'column',
  });
}
