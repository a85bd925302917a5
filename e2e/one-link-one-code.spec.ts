import { addAnyway, cofferlane, expect, openSession, signIn, test } from './journey.js';
import { decodePng } from './decode.js';

test('one link pasted on the start page is a finished code two clicks later', async ({ page }, info) => {
  const link = `${cofferlane}/leaf/what-yeast-eats`;
  await signIn(page);
  await page.getByLabel('What should students open?').fill(link);
  await addAnyway(page);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('img', { name: /^Code of/ })).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save picture' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^What yeast eats\.png$/);
  const file = info.outputPath('code.png');
  await download.saveAs(file);
  expect(decodePng(file)).toBe(link);
  await expect(page.getByRole('heading', { name: 'Opens for everyone' })).toBeVisible();
});

test('words become a code that needs no network', async ({ page }) => {
  await signIn(page);
  await page.getByLabel('What should students open?').fill('Which animal carries its house and never moves out?');
  await page.keyboard.press('Enter');
  await expect(page.getByText('the words are in the code; no network or account needed')).toBeVisible();
  await expect(page.getByText('the paper lasts.', { exact: false })).toBeVisible();
});

test('the shelf finds as one types', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  const find = page.getByRole('searchbox', { name: 'Find on the shelf' });
  await find.pressSequentially('photo cove');
  await expect(page.getByText('1 material found')).toBeVisible();
  await find.fill('no such thing at all');
  await expect(page.getByText('Nothing found for “no such thing at all”')).toBeVisible();
  await find.fill('riddle who');
  await page.getByRole('link', { name: /Riddle: who am I/ }).click();
  await expect(page.getByRole('heading', { name: 'Riddle: who am I?' })).toBeVisible();
});

test('a material leaves the shelf and comes back by undo', async ({ page }) => {
  await signIn(page);
  await page.getByLabel('What should students open?').fill('A passing thought');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/shelf\/./);
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Remove from shelf' }).click();
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible();
  await expect(page.getByRole('link', { name: /A passing thought/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: /A passing thought/ })).toBeVisible();
});

test('a link that is on the shelf already leads there, and nobody asks whether to save it', async ({ page }) => {
  await signIn(page);
  await page.getByLabel('What should students open?').fill(`${cofferlane}/leaf/what-yeast-eats`);
  await page.getByRole('button', { name: 'Use that' }).click();
  await page.waitForURL(/\/shelf\/./);
  await expect(page.getByRole('heading', { name: 'What yeast eats', level: 1 })).toBeVisible();
});
