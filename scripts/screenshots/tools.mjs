// What all pictures need: parts that unfold, waiting, and several pictures in one.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { newPage } from '../browser.mjs';
import { folder, settings, work } from './places.mjs';

/** One picture out of several. */
export async function sideBySide(
  browser,
  pictures,
  name,
  { width = 24 + pictures.length * 414, height = 892, direction = 'row' } = {},
) {
  writeFileSync(join(folder, `${name}.png`), await joined(browser, pictures, width, height, direction));
}

export async function joined(browser, pictures, width, height, direction = 'row') {
  const page = await newPage(browser, settings, { width, height });
  await page.setContent(
    `<body style="margin:24px;display:flex;flex-direction:${direction};align-items:flex-start;gap:24px;background:#e9e3d6">${pictures.map((picture) => `<img style="border-radius:12px" src="data:image/png;base64,${picture.toString('base64')}">`).join('')}</body>`,
  );
  await page.waitForTimeout(300);
  return page.screenshot();
}

/** Unfolds a part of a material's page, as a link to it does. */
export async function openPart(page, id) {
  await page.locator(`#${id}`).waitFor();
  await page.evaluate((part) => (location.hash = part), id);
  await page
    .locator(`#${id}`)
    .getByRole('button', { name: /^Hide / })
    .waitFor();
}

/** The page was opened in a browser, and its picture is shown. */
export async function viewed(page) {
  await page.waitForTimeout(500);
  await page.getByRole('heading', { name: 'Checking in a browser…' }).waitFor({ state: 'detached' });
  await page.waitForTimeout(1200);
}

export async function settled(page) {
  await page.getByRole('table').waitFor();
  await page.waitForTimeout(1500);
  const isQuiet = () => !/(?:Rehearsing|Opening) \d/.test(document.body.innerText);
  await page.waitForFunction(isQuiet, null, { timeout: 120_000 });
}

/** A demo's address is reached by no phone, and more may be named: it is printed on purpose. */
export async function printAnyway(page) {
  await page.locator('#paper').getByRole('button', { name: 'Make poster' }).click();
  const dialog = page.getByRole('dialog').getByRole('button', { name: 'Print anyway' });
  const made = page.getByText(/^Poster saved: /).first();
  await dialog.or(made).first().waitFor();
  if (await dialog.isVisible()) await dialog.click();
}

/** Makes a station's poster. */
export async function makePoster(page, name) {
  const bench = page.url();
  await page.getByRole('link', { name, exact: true }).click();
  const [download] = await Promise.all([page.waitForEvent('download'), printAnyway(page)]);
  const file = join(work, 'poster.pdf');
  await download.saveAs(file);
  // Loaded again rather than gone back to, so that no notice lies over the next picture.
  await page.goto(bench);
  await page.getByRole('table').waitFor();
}
