import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { GreyFrame } from '@hapset/core';
import type { PNG } from 'pngjs';
import config from '../playwright.config.js';
import { cropCards, decodeCards, renderPage, type Cards } from './decode.js';
import { expect, openSession, signIn, test } from './journey.js';
import { asFilmed, toY4m } from './scene.js';

const yearGroup = fileURLToPath(new URL('../demo/year-6.csv', import.meta.url));
const folder = fileURLToPath(new URL('../test-output/', import.meta.url));
const film = `${folder}cards-camera.y4m`;
mkdirSync(folder, { recursive: true });
// A wall, until there are cards to be filmed.
writeFileSync(film, toY4m([{ widthPx: 8, heightPx: 8, grey: new Uint8Array(64).fill(150) }]));

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

/** Ten cards of ID-1 in the middle of A4. */
const ten: Cards = { columns: 2, rows: 5, marginX: (210 - 171.2) / 2 / 210, marginY: (297 - 269.9) / 2 / 297 };

function greyOf({ data, width, height }: PNG): GreyFrame {
  return {
    widthPx: width,
    heightPx: height,
    grey: Uint8Array.from({ length: width * height }, (_, at) => data[4 * at] ?? 255),
  };
}

test('a year group is imported, its cards are made, and three of them are read by the camera into the list', async ({
  page,
}, info) => {
  await openSession(page, 'hesper.tolland@fernhollow.example');
  await page.goto('/school/students');
  await expect(page.getByRole('list', { name: 'Students' })).toContainText('Nguyễn');

  await test.step('import the roster of 320', async () => {
    await page.getByRole('link', { name: 'Import roster' }).click();
    await page.getByLabel('Choose a file').setInputFiles(yearGroup);
    await expect(page.getByText('320 students', { exact: true })).toBeVisible();
    await expect(page.getByLabel('Column 1', { exact: true })).toHaveValue('id');
    await expect(page.getByLabel('Column 2', { exact: true })).toHaveValue('family');
    // Two of the same name are two people, and their ids tell them apart.
    await expect(page.getByRole('list', { name: 'Rows that need attention' })).toHaveCount(0);
    await expect(page.getByRole('region', { name: 'Are these names right?' })).toContainText('Nguyễn');
    await expect(page.getByText('292 new')).toBeVisible();
    await expect(page.getByText('28 are unchanged.')).toBeVisible();
    await page.getByRole('button', { name: 'Import 320 students' }).click();
    await expect(page.getByText(/^292 added, 0 changed, 0 left the school\./)).toBeVisible();
    await page.goto('/school/students');
    await expect(page.getByText('320 students')).toBeVisible();
    await page.getByLabel('Find a student').fill('00633');
    await expect(page.getByRole('list', { name: 'Students' }).getByRole('listitem')).toHaveCount(1);
    await expect(page.getByRole('list', { name: 'Students' })).toContainText('Suharto');
  });

  const file = info.outputPath('cards.pdf');
  await test.step('make the cards of all of them in one go', async () => {
    await page.getByLabel('Find a student').fill('');
    await page.getByRole('link', { name: 'Make cards' }).click();
    // Laid out on a thread that has to read its fonts first.
    await expect(page.getByText('320 cards on 32 pages', { exact: false })).toBeVisible({ timeout: 120_000 });
    await expect(page.getByText('letters that mean nothing outside this school', { exact: false })).toBeVisible();
    await expect(page.getByText(/^Every device reads a card from up to/)).toBeVisible({ timeout: 120_000 });
    await page.getByRole('button', { name: 'Make the cards' }).click();
    const row = page.getByRole('list', { name: 'Just made' }).getByRole('listitem');
    await expect(row).toContainText('All classes, A4, 10 per page, student cards.pdf');
    const save = row.getByRole('link', { name: 'Save PDF' });
    await expect(save).toBeVisible({ timeout: 120_000 });
    const [download] = await Promise.all([page.waitForEvent('download'), save.click()]);
    await download.saveAs(file);
  });

  await test.step('three of them are held in front of the camera', async () => {
    const cards = renderPage(file, 1);
    const tokens = decodeCards(cards, ten);
    expect(tokens.every((token) => /^HPC[2-9A-Z]{13}$/.test(token ?? ''))).toBe(true);
    const shown = cropCards(cards, ten)
      .slice(0, 3)
      .map((card) => asFilmed(greyOf(card)));
    writeFileSync(film, toY4m(shown.flatMap((card) => Array.from({ length: 20 }, () => card))));
    await page.goto('/school/students/read');
    await page.getByRole('button', { name: 'Use the camera' }).click();
    const read = page.getByRole('list', { name: 'Cards that were read' });
    await expect(read.getByRole('listitem')).toHaveCount(3, { timeout: 120_000 });
    await page.getByRole('button', { name: 'Stop the camera' }).click();
    await expect(page.getByLabel('Who it is')).toBeVisible();
    await expect(read).toContainText('6 Avocet');
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Save as CSV' }).click(),
    ]);
    const csv = info.outputPath('read.csv');
    await download.saveAs(csv);
    expect(readFileSync(csv, 'utf8').trim().split('\r\n').length).toBeGreaterThanOrEqual(4);
  });

  await test.step('what is no card is said plainly', async () => {
    await page.getByLabel('Letters on the card').fill('https://a.example/somewhere');
    await page.getByRole('button', { name: 'Read', exact: true }).click();
    await expect(page.getByText('Not one of our cards.')).toBeVisible();
  });
});

test('problems of a roster are named row by row, and an import is undone', async ({ page }) => {
  await openSession(page, 'hesper.tolland@fernhollow.example');
  await page.goto('/school/students/import');
  const table =
    'Vorname;Nachname;Klasse;Nummer\nEmre;Kaya;9z;0001\n;;9z;0002\n\nIda;Möller;9z;0003\nIda;Möller;9z;0003\nJo;=SUM(A1);9z;0004';
  await page
    .getByLabel('Choose a file')
    .setInputFiles({ name: 'klasse.csv', mimeType: 'text/csv', buffer: Buffer.from(table, 'latin1') });
  await expect(page.getByLabel('Text encoding')).toHaveValue('windows-1252');
  const rows = page.getByRole('list', { name: 'Rows that need attention' });
  await expect(rows).toContainText('Row 3: id 0002 has no name. The row is left out.');
  await expect(rows).toContainText('Row 6: id 0003 is also in row 5.');
  await expect(page.getByText('3 new')).toBeVisible();
  await page.getByLabel('Text encoding').selectOption({ label: 'Central Europe (Windows-1250)' });
  await expect(page.getByText('3 new')).toBeVisible();
  await page.getByLabel('Text encoding').selectOption({ label: 'Western Europe (Windows-1252)' });
  await expect(page.getByText('Ida Möller, 9z')).toBeVisible();
  await page.getByRole('button', { name: 'Import 3 students' }).click();
  await expect(page.getByText(/^3 added, 0 changed, 0 left the school\./)).toBeVisible();
  const before = page.getByRole('list', { name: 'Earlier imports' }).getByRole('listitem').first();
  await expect(before).toContainText('klasse.csv');
  await before.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('dialog')).toContainText('Deletes 3 students');
  await expect(page.getByRole('dialog')).toContainText('Ida Möller, 9z');
  await page.getByRole('dialog').getByRole('button', { name: 'Undo import' }).click();
  await expect(page.getByText('Import undone: 3 deleted, 0 restored, 0 unchanged.', { exact: true })).toBeVisible();
  await expect(before).toContainText('undone');
  await page.goto('/school/students');
  await page.getByLabel('Find a student').fill('Kaya');
  await expect(page.getByText('No student found')).toBeVisible();
});

test('a student is changed, leaves, loses a card, and is erased', async ({ page }) => {
  await openSession(page, 'hesper.tolland@fernhollow.example');
  await page.goto('/school/students/import');
  await page.getByLabel('Paste cells here').focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', 'Id\tName\tClass\n8001\tMoss, Odette\t8x\n8002\tReed, Otto\t8x');
    document.activeElement?.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await page.getByRole('button', { name: 'Import 2 students' }).click();
  await page.goto('/school/students');
  await test.step('both leave together, and are back', async () => {
    await page.getByLabel('Class').selectOption('8x');
    await page.getByRole('checkbox', { name: 'Choose Odette Moss' }).check();
    await page.getByRole('button', { name: 'Choose all listed' }).click();
    await page.getByRole('button', { name: 'Mark as left' }).click();
    await expect(page.getByText('2 students marked as left.', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('checkbox', { name: 'Choose Otto Reed' })).toBeVisible();
  });
  await page.goto('/school/students');
  await page.getByLabel('Find a student').fill('Moss Odette');
  const row = page.getByRole('list', { name: 'Students' }).getByRole('listitem').filter({ hasText: 'Odette Moss' });
  await row.getByRole('button', { name: 'More about Odette Moss' }).click();
  await page.getByRole('menuitem', { name: 'Change' }).click();
  await page.getByRole('dialog').getByLabel('Given name').fill('Odetta');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await page.getByLabel('Find a student').fill('Odetta');
  await expect(page.getByRole('listitem').filter({ hasText: 'Odetta Moss' })).toBeVisible();

  await page.getByLabel('Class').selectOption('8x');
  await page.getByLabel('Find a student').fill('');
  await page.getByRole('link', { name: 'Make cards' }).click();
  await expect(page.getByText('2 cards on 1 page', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Make the cards' }).click();
  await expect(page.getByRole('list', { name: 'Just made' })).toContainText('8x, A4, 10 per page, student cards.pdf');
  await page.goto('/school/students');
  await page.getByLabel('Find a student').fill('Odetta');
  // The list before stays in sight until the next one is there: one row alone is looked at.
  const odetta = page.getByRole('list', { name: 'Students' }).getByRole('listitem').filter({ hasText: 'Odetta Moss' });
  await expect(odetta).toContainText('card printed just now');
  const more = page.getByRole('button', { name: 'More about Odetta Moss' });
  await more.click();
  await page.getByRole('menuitem', { name: 'Card lost' }).click();
  await page.getByRole('button', { name: 'Mark as lost' }).click();
  await expect(page.getByRole('dialog')).toContainText('Odetta Moss’s card is lost');
  await expect(page.getByRole('link', { name: 'Make a new card' })).toHaveAttribute('href', /\?student=/);
  await page.getByRole('button', { name: 'Close' }).last().click();
  await expect(odetta).toContainText('card lost just now');
  await more.click();
  const copy = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Save everything about them' }).click();
  const about = readFileSync(await (await copy).path(), 'utf8');
  expect(about).toContain('stores about Odetta Moss in Hapset');
  expect(about).toContain('Moss, 8x');
  await more.click();
  await page.getByRole('menuitem', { name: 'Left the school' }).click();
  await expect(page.getByText('No student found')).toBeVisible();
  await page.getByLabel('Who').selectOption('left');
  await more.click();
  await page.getByRole('menuitem', { name: 'Erase with all traces' }).click();
  await page.getByRole('button', { name: 'Erase', exact: true }).click();
  await expect(page.getByText('No student found')).toBeVisible();
});

test('teachers see the classes that the administrator gives them, and import nothing', async ({ page }) => {
  await openSession(page);
  await page.goto('/school/students');
  await expect(page.getByRole('list', { name: 'Students' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Import roster' })).toHaveCount(0);
  await page.goto('/school/students/import');
  await expect(page.getByText('The school’s office and administrators import rosters.')).toBeVisible();

  await test.step('the administrator limits what teachers see', async () => {
    await openSession(page, 'pell.arkwright@fernhollow.example');
    await page.goto('/school');
    await page.getByText('Teachers see the students of all classes.', { exact: false }).waitFor();
    await page
      .locator('section')
      .filter({ hasText: 'Who sees which students' })
      .getByRole('button', { name: 'Change' })
      .click();
    await page.getByRole('checkbox', { name: 'Teachers see all classes' }).uncheck();
    await page.getByRole('group', { name: 'Tobiah Quill' }).getByRole('checkbox', { name: '6 Kestrel' }).check();
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText(/1 of \d+ teachers see students/)).toBeVisible();
  });
  await openSession(page);
  await page.goto('/school/students');
  await expect(page.getByText('You see the classes assigned to you.', { exact: false })).toBeVisible();
  await openSession(page, 'tobiah.quill@fernhollow.example');
  await page.goto('/school/students');
  await expect(page.getByRole('list', { name: 'Students' }).getByRole('listitem').first()).toContainText('6 Kestrel');
  // As it was, for the journeys after this one.
  await signIn(page, 'pell.arkwright@fernhollow.example');
  expect((await page.request.put('/api/school/teacher-classes', { data: { limited: null } })).status()).toBe(200);
});
