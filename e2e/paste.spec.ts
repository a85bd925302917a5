import { expect, openSession, test } from './journey.js';
import type { Locator, Page } from '@playwright/test';

const field = (page: Page): Locator => page.getByLabel('What should students open?');
const review = (page: Page): Locator => page.getByRole('list', { name: 'What will be added' });

/** What a teacher pastes, and what the page says that it will add. */
const certain: readonly (readonly [string, string, readonly string[]])[] = [
  ['a slip in the scheme', 'htps://a.example/tides', ['https://a.example/tides']],
  ['a list mark', '• https://a.example/tides', ['https://a.example/tides']],
  ['a label', 'Worksheet: https://a.example/tides', ['Worksheet', 'https://a.example/tides']],
  ['markup', '[Tide tables](https://a.example/tides)', ['Tide tables', 'https://a.example/tides']],
  ['an e-mail address', 'Maren Dallow <maren@fernhollow.example>', ['Maren Dallow', 'maren@fernhollow.example']],
  ['a phone number', 'Office: +353 1 555 0123', ['Office', '+353 1 555 0123']],
  ['a file of one’s own', 'C:\\Users\\maren\\Tides.docx', ['Drop the file here instead.']],
  ['no host', 'https://•', ['This link is not complete.']],
  ['words with a dot', 'Node.js', ['the words are in the code']],
];

test('what was pasted is shown as what it will be, before it is added', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  for (const [what, pasted, shown] of certain)
    await test.step(what, async () => {
      await field(page).fill(pasted);
      await expect(review(page).getByRole('listitem')).toHaveCount(1);
      for (const text of shown) await expect(review(page)).toContainText(text);
    });
});

test('two links on a line become two materials, with their labels', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  await field(page).fill('Tables: https://a.example/1 Tally: https://a.example/2');
  await expect(review(page).getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'Add 2 materials' }).click();
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Tables Web page/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /^Tally Web page/ })).toBeVisible();
});

test('what may be two things is asked, by keyboard alone, and changed afterwards', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  await field(page).fill('Please open https://a.example/tides and read it');
  await expect(page.getByText('1 question to answer before you add')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add', exact: true })).toBeDisabled();
  await field(page).press('Enter');
  await expect(page.getByRole('button', { name: /^Link/ })).toBeFocused();
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  await expect(review(page)).toContainText('the words are in the code');
  await page.getByRole('button', { name: 'Choose again' }).click();
  await page.getByRole('button', { name: /^Link/ }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill('Tide tables of June');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Tide tables of June', level: 1 })).toBeVisible();
});

test('a message with a greeting gives its link, and the rest is left out', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  await field(page).fill('Hello Maren,\nhere is the worksheet:\nhttps://a.example/leaf/\nfield-guide');
  await expect(review(page).getByRole('listitem')).toHaveCount(2);
  await expect(review(page)).toContainText('https://a.example/leaf/field-guide');
  await review(page).getByRole('listitem').first().getByRole('button', { name: 'Remove' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'here is the worksheet', level: 1 })).toBeVisible();
});
