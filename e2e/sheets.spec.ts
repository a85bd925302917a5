import { writeFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';
import { cropCards, decodeCards, decodePdf, hasInk, mirrored, renderPage, textOfPdf, type Cards } from './decode.js';
import { add, expect, moreForLesson, newLesson, openSession, settled, test } from './journey.js';

const riddles = [
  'I have one foot and no legs. Who am I?',
  'I carry my house on my back',
  'I walk sideways under the weed',
  'Two shells and no bones',
  'Five arms and no hands',
];
/** Twelve on A4, with the printer's margin and the marks. */
const twelve: Cards = { columns: 3, rows: 4, marginX: 8 / 210, marginY: 8 / 297 };

const pageShown = (page: Page) => page.getByRole('img', { name: /^Page \d+ of \d+, (?:front|back)$/ });

/** Makes what is shown, whatever is to be looked at, and stands in the dialog with the files. */
async function makeAnyway(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Make the sheets' }).click();
  const files = page.getByRole('dialog', { name: 'Your sheets' });
  const anyway = page.getByRole('button', { name: 'Print anyway' });
  await expect(files.or(anyway)).toBeVisible();
  if (await anyway.isVisible()) await anyway.click();
  await expect(files).toBeVisible();
}

test('a lesson becomes cards: backs fall on their fronts, and every code says what was typed', async ({
  page,
}, info) => {
  await openSession(page);
  await newLesson(page, 'Riddles of the shore');
  await add(page, riddles.join('\n'));
  await settled(page);
  await moreForLesson(page, 'Make sheets');
  await expect(page.getByRole('heading', { name: 'Sheets of “Riddles of the shore”' })).toBeVisible();
  await expect(pageShown(page)).toHaveAccessibleName('Page 1 of 5, front');

  await page.getByText('Small cards', { exact: true }).click();
  await expect(page.getByText(/^1 page, codes/)).toBeVisible();
  await page.getByLabel('Print backs (both sides)').click();
  await page.getByRole('button', { name: 'Next page' }).click();
  await expect(pageShown(page)).toHaveAccessibleName('Page 2 of 2, back');

  await makeAnyway(page);
  const row = page.getByRole('list', { name: 'Just made' }).getByRole('listitem');
  await expect(row).toHaveCount(1);
  await expect(row).toContainText('Riddles of the shore, cards.pdf');
  await expect(row).toContainText(/5 codes on 2 pages, A4 portrait, plain design\. Made .* by Maren Dallow/);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    row.getByRole('link', { name: 'Save PDF' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('Riddles of the shore, cards.pdf');
  const file = info.outputPath('cards.pdf');
  await download.saveAs(file);
  const [front, back] = [renderPage(file, 1), renderPage(file, 2)];
  expect(decodeCards(front, twelve).slice(0, riddles.length)).toEqual(riddles);
  // Looked at through the paper: text behind each code, and nothing behind an empty cell.
  const printed = Array.from({ length: 12 }, (_, index) => index < riddles.length);
  expect(cropCards(front, twelve).map(hasInk)).toEqual(printed);
  expect(cropCards(mirrored(back), twelve).map(hasInk)).toEqual(printed);
  expect(textOfPdf(file)).toContain('I carry my house on my back');

  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('link', { name: 'Riddles of the shore' }).first().click();
  await settled(page);
  await expect(
    page
      .getByRole('img', { name: 'Paper: done' })
      .or(page.getByRole('img', { name: 'On paper: done' }))
      .first(),
  ).toBeVisible();
});

test('the browser’s own print has the same pages, in their size', async ({ page, context }, info) => {
  await openSession(page);
  await newLesson(page, 'Two for the wall', '0.8');
  await add(page, riddles.slice(0, 2).join('\n'));
  await settled(page);
  await moreForLesson(page, 'Make sheets');
  await expect(pageShown(page)).toHaveAccessibleName('Page 1 of 2, front');
  await page.getByLabel('Orientation').selectOption('Landscape');
  await makeAnyway(page);
  const address = await page.getByRole('link', { name: 'Print', exact: true }).first().getAttribute('href');
  const printing = await context.newPage();
  await printing.addInitScript(() => {
    window.print = () => document.documentElement.setAttribute('data-printed', 'yes');
  });
  await printing.goto(address ?? '');
  await expect(printing.locator('html[data-printed]')).toBeAttached();
  const file = info.outputPath('print.pdf');
  writeFileSync(file, await printing.pdf({ preferCSSPageSize: true, printBackground: true }));
  await printing.close();
  expect(decodePdf(file)).toBe(riddles[0]);
  const second = renderPage(file, 2, 75);
  expect(second.width).toBeGreaterThan(second.height);
  writeFileSync(info.outputPath('second.png'), PNG.sync.write(second));
  expect(decodeCards(second, { columns: 1, rows: 1, marginX: 0, marginY: 0 })).toEqual([riddles[1]]);
});

test('many pages are drawn while the page is left, and can be stopped', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'A pile of tents', '0.8');
  await add(page, riddles.slice(0, 3).join('\n'));
  await settled(page);
  await moreForLesson(page, 'Make sheets');
  await page.getByText('Table cards', { exact: true }).click();
  await page.getByLabel('Copies of each').fill('60');
  await expect(page.getByText(/^90 pages/)).toBeVisible();
  await makeAnyway(page);
  await page.goto('/sheets');
  const row = page.getByRole('listitem').filter({ hasText: 'A pile of tents, table cards.pdf' }).first();
  await expect(row.getByRole('link', { name: 'Save PDF' })).toBeVisible({ timeout: 120_000 });

  await page.goBack();
  await page.getByText('Table cards', { exact: true }).click();
  await page.getByLabel('Copies of each').fill('59');
  await expect(page.getByText(/^89 pages/)).toBeVisible();
  await makeAnyway(page);
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('list', { name: 'Just made' })).toContainText('You stopped it before it was finished.');
});

test('a print is deleted and taken back, and made again with what it was made with', async ({ page, context }) => {
  await openSession(page);
  await newLesson(page, 'Kept in the list', '0.8');
  await add(page, riddles.slice(0, 2).join('\n'));
  await settled(page);
  await moreForLesson(page, 'Make sheets');
  await page.getByText('Small cards', { exact: true }).click();
  await page.getByLabel('Copies of each').fill('3');
  await makeAnyway(page);
  const name = 'Kept in the list, cards.pdf';
  await page.getByRole('button', { name: 'Done' }).click();

  await page.goto('/sheets');
  const list = page.getByRole('list', { name: 'Earlier' });
  await expect(list).toContainText(name);
  const print = await list
    .getByRole('listitem')
    .filter({ hasText: name })
    .getByRole('link', { name: 'Print', exact: true })
    .getAttribute('href');
  await page.getByRole('button', { name: `More for ${name}` }).click();
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(list.getByText(name)).toHaveCount(0);
  const late = await context.newPage();
  await late.goto(print ?? '');
  await expect(late.getByText('Its file was deleted.')).toBeVisible();
  await late.close();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(list).toContainText(name);

  await page.getByRole('button', { name: `More for ${name}` }).click();
  await page.getByRole('menuitem', { name: 'Make again' }).click();
  await expect(page.getByRole('heading', { name: 'Sheets of “Kept in the list”' })).toBeVisible();
  await expect(page.getByRole('radio', { name: /Small cards/ })).toBeChecked();
  await expect(page.getByLabel('Copies of each')).toHaveValue('3');
  await expect(page.getByText(/^2 codes on 1 page/)).toBeVisible();
});

test('what is not right is said by name, with what helps', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'Far away', '6');
  await add(page, `A riddle with many words, so that its code is fine: ${'who walks sideways, '.repeat(8)}`);
  await settled(page);
  await moreForLesson(page, 'Make sheets');
  await page.getByText('Labels', { exact: true }).click();
  await page.getByLabel('Read from (m)').fill('3');
  const notices = page.getByRole('list', { name: 'Needs attention before printing' });
  await expect(notices).toContainText('Too small');
  await expect(notices).toContainText('students stand at 3.0 m');
  await page.getByLabel('Horizontal pitch (mm)').fill('20');
  await expect(page.getByRole('alert')).toContainText('The labels overlap');
  await expect(page.getByRole('button', { name: 'Make the sheets' })).toBeDisabled();
  await page.getByLabel('Horizontal pitch (mm)').fill('64');
  await expect(pageShown(page)).toBeVisible();
  await page.getByRole('button', { name: 'Make the sheets' }).click();
  await expect(page.getByRole('dialog')).toContainText('students stand at 3.0 m');
  await page.getByRole('link', { name: /^Fix “.*” first$/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('materials ticked on the shelf become a handout in the school’s template', async ({ page }, info) => {
  await openSession(page);
  await page.goto('/shelf');
  await add(page, 'The first of two for a handout\nThe second of two for a handout');
  await page.getByLabel('Select The first of two for a handout').click();
  await page.getByLabel('Select The second of two for a handout').click();
  await page.getByRole('group', { name: 'Selection' }).getByRole('link', { name: 'Make sheets' }).click();
  await page.getByText('Handout', { exact: true }).click();
  await page.getByRole('button', { name: 'New template' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Deep sea');
  await dialog.getByLabel('Colour of titles').fill('#ffe97a');
  await expect(dialog.getByRole('alert')).toContainText('Too pale');
  await dialog.getByLabel('Colour of titles').fill('#0b5c6e');
  await dialog.getByRole('button', { name: 'Save template' }).click();
  await expect(page.getByRole('combobox', { name: 'Template' })).toHaveValue(/.+/);
  await expect(pageShown(page)).toHaveAttribute('src', /0b5c6e/);
  await makeAnyway(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save PDF' }).first().click(),
  ]);
  const file = info.outputPath('handout.pdf');
  await download.saveAs(file);
  const said = decodeCards(renderPage(file, 1), { columns: 1, rows: 4, marginX: 10 / 210, marginY: 27 / 297 }).filter(
    (text) => text !== null,
  );
  expect(new Set(said)).toEqual(new Set(['The first of two for a handout', 'The second of two for a handout']));

  await page.goto('/school/templates');
  await page.getByRole('listitem').filter({ hasText: 'Deep sea' }).getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByText('“Deep sea” was removed.', { exact: false }).first()).toBeVisible();
});
