import { add, addOne, askleaf, bench, cofferlane, expect, newLesson, openSession, settled, test } from './journey.js';

test('where the check can’t tell, a person tries it and says so, with name and date', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, 'Tide gauge: https://gauge.example/harbour');
  await expect(page.getByRole('heading', { name: 'The service did not answer' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Check it yourself' })).toBeVisible();
  await expect(page.getByRole('img', { name: 'Code of Tide gauge, to scan' })).toBeVisible();
  await page.getByRole('button', { name: 'It opens', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Opens, tried by a person' })).toBeVisible();
  await expect(page.getByText(/Maren Dallow tried it on .*: it opens\./)).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'Show how it opens' }).click();
  await page.getByRole('button', { name: 'Remove this answer' }).click();
  await expect(page.getByRole('heading', { name: 'The service did not answer' })).toBeVisible();
});

test('the main button of a lesson is its next step: fix, then print, and paper says what changed since', async ({
  page,
}) => {
  await openSession(page);
  await newLesson(page, 'What comes next', '0.8');
  await add(page, `${askleaf}/ask/tide-line-tally\n${cofferlane}/leaf/staff-minutes`);
  const lesson = page.url();
  await expect(page.getByText('1 locked')).toBeVisible();
  await page.getByRole('link', { name: 'Station 2: fix the sharing' }).click();
  await expect(page.getByRole('heading', { name: 'Opens for chosen people only' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Fix the sharing' })).toBeVisible();

  await page.goto(lesson);
  await page.getByRole('button', { name: /^More for Staff minutes/ }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
  await settled(page);
  await expect(page.getByRole('link', { name: 'Make sheets' })).toBeVisible();
  await bench(page).getByRole('link', { name: 'Tide-line tally' }).click();
  await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('region', { name: 'Steps' }).getByRole('button', { name: 'Make poster' }).click(),
  ]);
  await expect(page.getByRole('link', { name: 'Try it in the room' })).toBeVisible();

  await page.goto(lesson);
  await page.getByRole('button', { name: /^More for Tide-line tally/ }).click();
  await page.getByRole('menuitem', { name: 'Rename' }).click();
  await expect(page.getByLabel('Name of the station')).toBeFocused();
  await page.getByLabel('Name of the station').fill('Count at the tide line');
  await page.keyboard.press('Enter');
  await expect(bench(page).getByText('changed: title')).toBeVisible();
});
