import { add, bench, cofferlane, expect, newLesson, openPart, openSession, test } from './journey.js';

test('the ladder shows what a shorter link gains, and the bench follows', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'Up the ladder');
  await add(
    page,
    `${cofferlane}/leaf/what-yeast-eats?lane=7&utm_source=mail&utm_medium=newsletter&utm_campaign=bakery`,
  );
  await expect(bench(page).getByText('Very fine · 45 × 45')).toBeVisible();
  const lesson = page.url();
  await page.getByRole('link', { name: 'What yeast eats' }).click();
  await openPart(page, 'carries');
  const ladder = page.getByRole('list', { name: 'What the code can carry' });
  await expect(ladder.getByRole('listitem')).toHaveCount(3);
  await expect(ladder.getByRole('listitem').first()).toContainText('used now');
  const shorter = ladder.getByRole('listitem').filter({ hasText: 'recommended' });
  await expect(shorter).toContainText('33 × 33 · 53 characters');
  await expect(shorter).toContainText(/about \d\.\d m/);
  await expect(page.getByText('It leads to the same page, and its code is coarser.')).toBeVisible();
  await expect(
    page.getByText(/characters fewer make the code one step coarser; removing less changes nothing/),
  ).toBeVisible();
  await shorter.getByRole('button', { name: 'Use this' }).click();
  await expect(shorter).toContainText('used now');
  await page.goto(lesson);
  await expect(bench(page).getByText('Shorter link')).toBeVisible();
  await expect(bench(page).getByText('Medium · 33 × 33')).toBeVisible();

  await page.getByRole('link', { name: 'What yeast eats' }).click();
  await openPart(page, 'carries');
  await ladder.getByRole('listitem').first().getByRole('button', { name: 'Use this' }).click();
  await expect(ladder.getByRole('listitem').first()).toContainText('used now');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(shorter).toContainText('used now');
});

test('a teacher shortens a message to the next step, watching the steps, and the bench follows', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'One step less');
  const lesson = page.url();
  await page.goto(`/add?lesson=${lesson.split('/').pop() ?? ''}`);
  await page.getByRole('button', { name: 'Message', exact: true }).click();
  const message = page.getByLabel('Message', { exact: true });
  const now = page.getByRole('list', { name: 'Steps of the code' }).locator('[aria-current=step]');
  await message.fill('I have one foot and no shoe, I carry my house, and I never move out.');
  await expect(now).toContainText('37 × 37');
  await expect(page.getByText('16 more characters fit; 6 fewer make it coarser.')).toBeVisible();
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('heading', { name: /^I have one foot/, level: 1 })).toBeVisible();
  await page.goto(lesson);
  await expect(bench(page).getByText('Fine · 37 × 37')).toBeVisible();

  await page.getByRole('link', { name: /^I have one foot/ }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  const words = page.getByLabel('Words in the code');
  await words.focus();
  await page.keyboard.press('ControlOrMeta+End');
  for (let character = 0; character < 5; character += 1) await page.keyboard.press('Backspace');
  // Five fewer change nothing; the sixth is a step.
  await expect(now).toContainText('37 × 37');
  await page.keyboard.press('Backspace');
  await expect(now).toContainText('33 × 33');
  await expect(page.getByText('One more character makes the code finer; 20 fewer make it coarser.')).toBeVisible();
  await page.getByRole('button', { name: 'Save changes' }).click();
  await openPart(page, 'carries');
  await expect(page.getByRole('list', { name: 'What the code can carry' })).toContainText('33 × 33 · 62 characters');
  await page.goto(lesson);
  await expect(bench(page).getByText('Medium · 33 × 33')).toBeVisible();
});

test('what no device reads in the hand moves to a page in one click, and a level is chosen by hand', async ({
  page,
}) => {
  await openSession(page);
  await newLesson(page, 'Too much to carry');
  await page.goto(`/add?lesson=${page.url().split('/').pop() ?? ''}`);
  await page.getByRole('button', { name: 'Message', exact: true }).click();
  await page.getByLabel('Message', { exact: true }).fill('The sea takes the sand and brings it back. '.repeat(30));
  await expect(page.getByText(/Too fine for cards: .*Clamshell laptops/)).toBeVisible();
  await page.getByRole('button', { name: 'Add it' }).click();
  const carries = page.locator('#carries');
  await expect(carries.getByText('Very fine')).toBeVisible();
  await carries.getByRole('button', { name: 'Put it on a page' }).click();
  await expect(carries.locator('li').first()).toContainText('The link, as it is');
  await expect(page.getByRole('button', { name: 'Put it on a page' })).toHaveCount(0);
  await carries.getByText('Error correction', { exact: true }).click();
  const modules = (await page.locator('#carries li').first().innerText()).match(/(\d+) × \1/)?.[1];
  await carries.getByLabel(/^Level H, 30%/).check();
  await expect(carries.getByText('level H, set by hand')).toBeVisible();
  await expect(carries.locator('li').first()).not.toContainText(`${modules ?? ''} × ${modules ?? ''} ·`);
  await carries.getByLabel(/^Automatic/).check();
  await expect(carries.locator('li').first()).toContainText(`${modules ?? ''} × ${modules ?? ''} ·`);
});

test('a kind that a device of the class ignores is said while it is filled in', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'Who calls');
  await page.goto(`/add?lesson=${page.url().split('/').pop() ?? ''}`);
  await page.getByRole('button', { name: 'Phone number' }).click();
  await page.getByLabel('Number').fill('+353 1 555 0101');
  await expect(
    page.getByText('Shared tablets and Clamshell laptops show the number as text and don’t call it.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.locator('#carries').getByText(/don’t call it. The poster says what to do/)).toBeVisible();
});

test('words that no code holds become a page before they are added', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'A long story');
  await page.getByLabel('Next station').fill('The sea takes the sand and brings it back. '.repeat(60));
  await expect(page.getByText('Too long for any code.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Add', exact: true })).toBeDisabled();
  await page.getByRole('button', { name: 'Put it on a page' }).click();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(bench(page).getByText('Link itself')).toBeVisible();
  await expect(bench(page).getByText('Medium · 29 × 29')).toBeVisible();
});
