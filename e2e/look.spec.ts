import { readFileSync, writeFileSync } from 'node:fs';
import type { BenchView } from '@hapset/contract';
import type { Page } from '@playwright/test';
import { PNG } from 'pngjs';
import {
  add,
  addOne,
  askleaf,
  bench,
  cofferlane,
  expect,
  moreForLesson,
  newLesson,
  openPart,
  openSession,
  settled,
  test,
} from './journey.js';
import { decodePdf, decodePng, decodePngBytes } from './decode.js';
import { unzip } from '../apps/server/src/test/unzip.js';

const noticeOf = (page: Page, words: string) => page.getByText(words, { exact: true });

test('a lesson gets a look in one action, is exported as ZIP, and every file decodes to its payload', async ({
  page,
}, info) => {
  await openSession(page);
  await newLesson(page, 'A walk with looks', '0.8');
  await add(
    page,
    `${askleaf}/ask/tide-line-tally\n${cofferlane}/leaf/what-yeast-eats\nWhat lives under the seaweed and walks sideways?`,
  );
  await settled(page);
  await moreForLesson(page, 'Design all codes');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Rock pool/ })
    .click();
  await expect(noticeOf(page, 'All 3 stations have this look now.')).toBeVisible();
  await settled(page);
  await expect(bench(page).getByRole('img', { name: 'Reads: done' })).toHaveCount(3);

  const [download] = await Promise.all([page.waitForEvent('download'), moreForLesson(page, 'Save all pictures (ZIP)')]);
  expect(download.suggestedFilename()).toBe('A walk with looks, codes.zip');
  const path = info.outputPath('codes.zip');
  await download.saveAs(path);
  const lessonId = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  const { rows } = (await (await page.request.get(`/api/lessons/${lessonId}`)).json()) as BenchView;
  const files = await unzip(readFileSync(path));
  expect([...files.keys()]).toEqual(
    rows.map(({ name, position }) => `0${position} ${name.replace('?', '').trim()}.png`),
  );
  expect([...files.values()].map(decodePngBytes)).toEqual(rows.map(({ code }) => code?.payload));

  // One action there, one back.
  await moreForLesson(page, 'Design all codes');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Plain, black on white/ })
    .click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await moreForLesson(page, 'Design all codes');
  await expect(page.getByRole('dialog').getByRole('button', { name: /Rock pool/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('a look that fails is seen while it is designed, is not kept by accident, and is fixed in one click', async ({
  page,
}) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, 'Which crab carries a borrowed house?');
  await openPart(page, 'look');
  await page.getByRole('link', { name: 'Design a look' }).click();
  await page.getByText('Pebbles', { exact: true }).click();
  await page.getByLabel('Code, as a number').fill('#fbfaf2');
  const left = page.getByRole('status', { name: 'How well this look scans' });
  await expect(left.getByRole('img', { name: 'Contrast' })).toBeVisible();
  await expect(page.getByText('Too little contrast', { exact: false })).toBeVisible();
  await expect(left.getByText(/^Not read$/)).toBeVisible({ timeout: 120_000 });
  await page.getByRole('button', { name: 'Save and use here' }).click();
  const dialog = page.getByRole('dialog', { name: 'This look fails' });
  await expect(dialog).toContainText('no station with this look is ready');
  await dialog.getByRole('button', { name: 'Fix it first' }).click();
  await page.getByRole('button', { name: 'Use the nearest colours that work' }).click();
  await expect(page.getByRole('list', { name: 'Problems of this look' })).toHaveCount(0);
  await expect(left.getByText(/^Reads from/)).toBeVisible({ timeout: 120_000 });
  await page.getByLabel('Name of the look').fill('Sandy pebbles');
  await page.getByRole('button', { name: 'Save and use here' }).click();
  await expect(page.getByRole('heading', { name: 'Look: Sandy pebbles' })).toBeVisible();
  await expect(page.getByText('chosen for this code')).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Reads from/ })).toBeVisible({ timeout: 120_000 });

  await openPart(page, 'look');
  await page.getByRole('button', { name: 'Choose a look' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Plain, black on white/ })
    .click();
  await expect(page.getByRole('heading', { name: 'Look: Plain, black on white' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Look: Sandy pebbles' })).toBeVisible();
});

test('a failing look stops a station, whatever was rehearsed, until another is chosen', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'Chalk and cheese', '0.8');
  await add(page, 'What is white and writes?');
  await settled(page);
  await moreForLesson(page, 'Design all codes');
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Chalk on slate/ })
    .click();
  await expect(page.getByText(/^The station has this look now\. It fails: light on dark\./)).toBeVisible();
  await settled(page);
  await expect(bench(page).getByText('Look fails')).toBeVisible();
  await expect(bench(page).getByText('light on dark')).toBeVisible();
  await page.getByRole('link', { name: 'What is white and writes?' }).click();
  await expect(page.getByText('Light on dark:', { exact: false })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Reads', exact: true })).toBeVisible();
  await page.locator('#paper').getByRole('button', { name: 'Make poster' }).click();
  await expect(page.getByRole('dialog', { name: 'Check before you print' })).toBeVisible();
});

test('an own picture stands in the middle, as large as leaves half of the repair', async ({ page }, info) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, 'Here the whole class meets after the walk, beside the boats');
  await openPart(page, 'look');
  await page.getByRole('link', { name: 'Design a look' }).click();
  const crest = new PNG({ width: 60, height: 60 });
  crest.data.fill(0x40);
  const path = info.outputPath('crest.png');
  writeFileSync(path, PNG.sync.write(crest));
  await page.getByLabel('Own picture').setInputFiles(path);
  await expect(page.getByText(/The middle takes \d+ × \d+ modules/)).toBeVisible();
  await page.getByLabel('Largest size that keeps half of the error correction').uncheck();
  await page.getByLabel('Width').fill('0.5');
  await expect(page.getByText('covers more than can be repaired', { exact: false })).toBeVisible();
  await page.getByRole('button', { name: 'Use the largest size that works' }).click();
  await expect(page.getByRole('list', { name: 'Problems of this look' })).toHaveCount(0);
  await page.getByLabel('Name of the look').fill('With our crest');
  await page.getByRole('button', { name: 'Save and use here' }).click();
  await expect(page.getByRole('heading', { name: 'Look: With our crest' })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save picture' }).click(),
  ]);
  const saved = info.outputPath('code.png');
  await download.saveAs(saved);
  expect(decodePng(saved)).toBe('Here the whole class meets after the walk, beside the boats');
});

test('a higher level is proposed where it costs nothing, and taken in a click', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, 'Who glues itself to the rock twice a day?');
  await openPart(page, 'carries');
  await page.getByText('Error correction', { exact: true }).click();
  await page.getByText(/^Level L,/).click();
  const take = page.getByRole('button', { name: /^Use level [MQH]$/ });
  await expect(page.getByText(/repairs more damage, and the code stays as coarse/)).toBeVisible();
  await take.click();
  await expect(take).toHaveCount(0);
});

test('pictures are named by use, go to the clipboard and to web pages of others, and can be switched off there', async ({
  page,
  context,
  browser,
  baseURL,
}, info) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, `${cofferlane}/leaf/what-yeast-eats?class=6`);
  const payload = await page.locator('aside p.font-mono').innerText();
  await page.getByRole('button', { name: 'More formats' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText(/\d+ mm wide, to read on a table. Below \d+ mm/);
  for (const [name, ending] of [
    ['PDF', 'pdf'],
    ['PNG 600 dpi', 'png'],
    ['JPEG', 'jpg'],
    ['SVG', 'svg'],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('link', { name, exact: true }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(new RegExp(`\\.${ending}$`));
    const path = info.outputPath(`code.${ending}`);
    await download.saveAs(path);
    if (ending === 'pdf') expect(decodePdf(path)).toBe(payload);
    if (ending === 'png') expect(decodePng(path)).toBe(payload);
  }
  await dialog.getByRole('button', { name: 'Copy', exact: true }).click();
  await expect(noticeOf(page, 'Picture copied.')).toBeVisible();
  const copied = await page.evaluate(async () => {
    const [item] = await navigator.clipboard.read();
    return [...new Uint8Array(await (await (item as ClipboardItem).getType('image/png')).arrayBuffer())];
  });
  expect(decodePngBytes(Buffer.from(copied))).toBe(payload);

  await dialog.getByRole('button', { name: 'Create address' }).click();
  const line = await dialog.getByLabel('HTML code').innerText();
  const path = /src="https?:\/\/[^/]+(\/c\/[a-z2-9]{16}\.png)"/.exec(line)?.[1] ?? '';
  // A page of somebody else's: another origin, where nobody is signed in.
  const elsewhere = await browser.newContext();
  const other = await elsewhere.newPage();
  await other.goto(`${askleaf}/ask/tide-line-tally`);
  const shown = await other.evaluate(async (address) => {
    const image = new Image();
    image.crossOrigin = 'anonymous';
    image.src = address;
    await image.decode();
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [image.naturalWidth, image.naturalHeight];
    canvas.getContext('2d')?.drawImage(image, 0, 0);
    return canvas.toDataURL('image/png').split(',')[1] ?? '';
  }, new URL(path, baseURL).href);
  expect(decodePngBytes(Buffer.from(shown, 'base64'))).toBe(payload);
  await dialog.getByRole('button', { name: 'Switch off' }).click();
  await expect(dialog.getByRole('button', { name: 'Create address' })).toBeVisible();
  expect((await other.request.get(new URL(path, baseURL).href)).status()).toBe(404);
  await elsewhere.close();
});

test('the administrator decides which looks may be chosen, and which one codes have where none is', async ({
  page,
}) => {
  await openSession(page, 'pell.arkwright@fernhollow.example');
  await page.goto('/school/looks');
  const card = page
    .getByRole('list', { name: 'Looks of the school' })
    .getByRole('listitem')
    .filter({ hasText: 'Recorder group' });
  await card.getByRole('button', { name: 'More for Recorder group' }).click();
  await page.getByRole('menuitem', { name: 'Stop allowing' }).click();
  await expect(card).toContainText('no longer allowed');
  await page.getByLabel('Default look').selectOption({ label: 'Rock pool' });
  await expect(noticeOf(page, 'Rules for looks saved.')).toBeVisible();
  try {
    await openSession(page);
    await page.goto('/shelf');
    await addOne(page, 'What do limpets eat at night?');
    await expect(page.getByRole('heading', { name: 'Look: Rock pool' })).toBeVisible();
    await expect(page.getByText('the school’s', { exact: true })).toBeVisible();
    await openPart(page, 'look');
    await page.getByRole('button', { name: 'Choose a look' }).click();
    const choices = page.getByRole('dialog').getByRole('list', { name: 'Looks' });
    await expect(choices.getByRole('button', { name: /Warm bread/ })).toBeVisible();
    await expect(choices.getByRole('button', { name: /Recorder group/ })).toHaveCount(0);
  } finally {
    // All journeys share one school.
    await openSession(page, 'pell.arkwright@fernhollow.example');
    await page.goto('/school/looks');
    await page.getByLabel('Default look').selectOption({ label: 'Plain, black on white' });
    await expect(noticeOf(page, 'Rules for looks saved.')).toBeVisible();
    await card.getByRole('button', { name: 'More for Recorder group' }).click();
    await page.getByRole('menuitem', { name: 'Allow again' }).click();
    await expect(card).not.toContainText('no longer allowed');
  }
});
