import { add, bench, cofferlane, expect, newLesson, signIn, test } from './journey.js';

test('the ladder shows what a shorter link gains, and the bench follows', async ({ page }) => {
  await signIn(page);
  await newLesson(page, 'Up the ladder');
  await add(page, `${cofferlane}/leaf/what-yeast-eats?lane=7&utm_source=mail&utm_medium=newsletter&utm_campaign=bakery`);
  await expect(bench(page).getByText('Very fine · 45 × 45')).toBeVisible();
  const lesson = page.url();
  await page.getByRole('link', { name: 'What yeast eats' }).click();
  const ladder = page.getByRole('list', { name: 'What the code could carry' });
  await expect(ladder.getByRole('listitem')).toHaveCount(2);
  await expect(ladder.getByRole('listitem').first()).toContainText('carried now');
  const shorter = ladder.getByRole('listitem').filter({ hasText: 'recommended' });
  await expect(shorter).toContainText('33 × 33 · 53 characters');
  await expect(shorter).toContainText(/about \d\.\d m/);
  await expect(page.getByText('It leads to the same page, and its code is coarser.')).toBeVisible();
  await expect(page.getByText(/characters fewer make the code one step coarser; removing less changes nothing/)).toBeVisible();
  await shorter.getByRole('button', { name: 'Use the shorter link' }).click();
  await expect(ladder.getByRole('listitem')).toHaveCount(1);
  await page.goto(lesson);
  await expect(bench(page).getByText('Medium · 33 × 33')).toBeVisible();
});
