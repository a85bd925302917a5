import { readFileSync } from 'node:fs';
import {
  add,
  carryShortLink,
  addOne,
  askleaf,
  bench,
  cofferlane,
  expect,
  newLesson,
  openPart,
  openSession,
  test,
} from './journey.js';
import { decodePdf, textOfPdf } from './decode.js';

const phone = 'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/129.0 Mobile Safari/537.36';

test('the target of a short link on paper is changed, and the old poster leads to the new page', async ({
  page,
  context,
  request,
}, info) => {
  await openSession(page);
  await newLesson(page, 'Where it leads');
  await add(page, `${cofferlane}/leaf/what-yeast-eats`);
  const lesson = page.url();
  await page.getByRole('link', { name: 'What yeast eats' }).click();
  await openPart(page, 'carries');
  const rung = page
    .getByRole('list', { name: 'What the code can carry' })
    .getByRole('listitem')
    .filter({ hasText: 'The school’s short link' });
  await expect(rung).toContainText('Coarse');
  await rung.getByRole('button', { name: 'Use this' }).click();
  await expect(rung).toContainText('used now');
  await openPart(page, 'short-link');
  await expect(page.locator('#short-link')).toContainText(
    /127\.0\.0\.1:\d+\/k\/ [2-9A-Z]{3} [2-9A-Z]{3} [2-9A-Z]{2,3}/,
  );

  await page.locator('#paper').getByRole('button', { name: 'Make poster' }).click();
  // No phone reaches this machine: said by name, and printed on purpose.
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Print anyway' }).click(),
  ]);
  const file = info.outputPath('poster.pdf');
  await download.saveAs(file);
  const said = decodePdf(file) ?? '';
  expect(textOfPdf(file)).toMatch(/127\.0\.0\.1:\d+\/k\/ [2-9A-Z]{3} [2-9A-Z]{3} [2-9A-Z]{2,3}/);
  await expect(page.getByRole('heading', { name: 'On paper' })).toBeVisible();
  expect(said).toMatch(/^HTTPS?:\/\/127\.0\.0\.1:\d+\/K\/[2-9A-Z]{8,9}$/);

  await page.getByRole('button', { name: 'Change target' }).click();
  await page.getByLabel('New target').fill(`${askleaf}/ask/tide-line-tally`);
  await page.getByRole('button', { name: 'Check it as a student' }).click();
  await expect(page.getByRole('dialog').getByText('Opens for everyone')).toBeVisible();
  await expect(page.getByLabel('Call it “Tide-line tally” too')).not.toBeChecked();
  await page.getByRole('button', { name: 'Save target' }).click();
  await expect(page.getByText(/^The short link leads there now\./)).toBeVisible();
  await expect(page.getByText('checked just now')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What yeast eats', level: 1 })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'On paper' })).toBeVisible();

  const student = await context.newPage();
  await student.goto(said.toLowerCase());
  await expect(student).toHaveURL(`${askleaf}/ask/tide-line-tally`);
  const wrong = said.slice(0, -1) + (said.endsWith('C') ? 'D' : 'C');
  await student.goto(wrong);
  await expect(student.getByText('One character is wrong. Did you mean this address?')).toBeVisible();
  await student.getByRole('link').first().click();
  await expect(student).toHaveURL(`${askleaf}/ask/tide-line-tally`);
  await student.goto(wrong);
  await student
    .getByLabel('Last part of the address')
    .fill((said.split('/').at(-1) ?? '').toLowerCase().replace(/(.{3})(?=.)/g, '$1 '));
  await student.getByRole('button', { name: 'Open', exact: true }).click();
  await expect(student).toHaveURL(`${askleaf}/ask/tide-line-tally`);

  await page.getByText('Opening hours, scans and history').click();
  await expect(page.getByRole('heading', { name: 'Earlier targets' })).toBeVisible();
  await page.getByRole('button', { name: 'Use this target again' }).click();
  await expect
    .poll(async () => (await request.get(said, { maxRedirects: 0 })).headers().location)
    .toBe(`${cofferlane}/leaf/what-yeast-eats`);

  await page.getByLabel('Open until').fill('2026-01-01T10:00');
  await page.getByRole('button', { name: 'Save opening hours' }).click();
  await expect(page.locator('#short-link')).toContainText('closed now');
  expect((await request.get(said, { maxRedirects: 0 })).status()).toBe(403);
  await page.getByRole('button', { name: 'Always open' }).click();
  await expect.poll(async () => (await request.get(said, { maxRedirects: 0 })).status()).toBe(302);
  await page.goto(lesson);
  await expect(bench(page).getByText('Short link')).toBeVisible();
});

test('a device that opens the code is seen within a second, and said to be one of the school’s', async ({
  page,
  browser,
}) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, `${cofferlane}/leaf/what-yeast-eats?lane=try`);
  await carryShortLink(page);
  await expect(page.locator('#short-link')).toBeVisible();
  const says = (await page.locator('aside p.font-mono').innerText()).trim();
  await openPart(page, 'reads');
  await page.getByRole('link', { name: 'Try a device' }).click();
  await expect(page.getByText('Waiting. A device appears below')).toBeVisible();
  await page.getByRole('button', { name: 'Measure this screen' }).click();
  await page.getByLabel('Size of the outline').fill('4');
  await page.getByRole('button', { name: 'They match' }).click();
  await expect(page.getByRole('button', { name: 'Measure again' })).toBeVisible();
  const device = await browser.newContext({ userAgent: phone, viewport: { width: 390, height: 844 } });
  const camera = await device.newPage();
  await camera.goto(says);
  await expect(page.getByText(/A phone opened it after \d+\.\d.s/)).toBeVisible();
  await page.getByLabel('Which device was it').selectOption({ label: 'Small old phones' });
  await page.reload();
  await expect(page.getByLabel('Which device was it')).toHaveValue(/.+/);
  await page.getByRole('link', { name: 'Done' }).click();
  await openPart(page, 'reads');
  await expect(page.getByRole('list', { name: 'Tried with real devices' })).toContainText('Small old phones tried');
  await device.close();

  await page.goto('/shelf/short-links');
  const row = page
    .getByRole('list', { name: 'Short links' })
    .getByRole('listitem')
    .filter({ hasText: says.split('/').at(-1) ?? '' });
  await expect(row).toContainText('What yeast eats');
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save list' }).click(),
  ]);
  expect(readFileSync(await saved.path(), 'utf8')).toContain(says);
  await page.getByLabel('Find a short link').fill('no such thing');
  await expect(page.getByText('No short link found')).toBeVisible();
});

test('where no short link tells, the teacher says what the device showed', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, 'Whose shell is it?');
  await openPart(page, 'reads');
  await page.getByRole('link', { name: 'Try a device' }).click();
  await expect(page.getByText('It should show exactly this:')).toContainText('Whose shell is it?');
  await page.getByLabel('Tried with').selectOption({ label: 'Small old phones' });
  await page.getByRole('button', { name: 'It showed something else' }).click();
  const results = page.getByRole('list', { name: 'Results' });
  await expect(results.getByRole('listitem')).toContainText('It showed something else');
  await expect(results.getByRole('combobox').first()).toHaveValue(/.+/);
  await results.getByRole('button', { name: 'Remove' }).click();
  await expect(results.getByRole('listitem')).toHaveCount(0);
});
