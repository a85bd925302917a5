import {
  add,
  addAnyway,
  addOne,
  bench,
  expect,
  newLesson,
  openSession,
  signIn,
  stationNames,
  test,
} from './journey.js';
import { picture } from './media.js';

test('a link that is on the shelf already is used in a lesson, and its page says where', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, 'Crab watch: https://a.example/crab-watch');
  await newLesson(page, 'Crabs once');
  await page.getByLabel('Next station').fill('https://A.example/crab-watch');
  await expect(page.getByText('Already on your shelf as')).toBeVisible();
  await page.getByRole('button', { name: 'Use that' }).click();
  await expect.poll(() => stationNames(page)).toEqual(['Crab watch']);
  await newLesson(page, 'Crabs twice');
  await page.getByLabel('Next station').fill('https://a.example/crab-watch\nhttps://a.example/crab-shells');
  await expect(page.getByText('Already on your shelf as')).toBeVisible();
  await page.getByRole('button', { name: 'Add 2 stations' }).click();
  await expect(bench(page).getByRole('row')).toHaveCount(3);
  await bench(page).getByRole('link', { name: 'Crab watch' }).click();
  await expect(page.getByRole('link', { name: 'Crabs once' })).toBeVisible();
});

test('materials of the shelf become stations, from the shelf and from the bench', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await add(page, 'Kelp forest: https://a.example/kelp\nEel grass: https://a.example/eel');
  await newLesson(page, 'Under water');
  await page.goto('/shelf');
  await page.getByLabel('Select Kelp forest').check();
  await page.getByLabel('Select Eel grass').check();
  await page.getByRole('button', { name: 'Add to a lesson' }).click();
  await page.getByRole('dialog').getByLabel('Under water').check();
  await page.getByRole('button', { name: 'Add to lesson' }).click();
  await expect(page.getByRole('heading', { name: 'Under water', level: 1 })).toBeVisible();
  await expect(bench(page).getByRole('row')).toHaveCount(3);
  await newLesson(page, 'Above water');
  await page.getByRole('button', { name: 'From the shelf' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('searchbox').fill('eel grass');
  await expect(dialog.getByRole('listitem')).toHaveCount(1);
  await dialog.getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Add 1 station' }).click();
  await expect.poll(() => stationNames(page)).toEqual(['Eel grass']);
});

test('several materials are tagged and deleted at once, each with undo', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await add(page, 'Gull one: https://a.example/gull-1\nGull two: https://a.example/gull-2');
  const gulls = page.getByRole('listitem').filter({ hasText: /^Gull (?:one|two)/ });
  for (const box of ['Gull one', 'Gull two']) await page.getByLabel(`Select ${box}`).check();
  await page.getByRole('button', { name: 'Tag', exact: true }).click();
  await page.getByLabel('Tag to add').fill('Gulls');
  await page.getByRole('button', { name: 'Add tag' }).click();
  await expect(page.getByRole('button', { name: 'Gulls 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Gulls 2' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Delete' }).click();
  await expect(page.getByText('2 materials deleted.', { exact: true })).toBeVisible();
  await expect(gulls).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(gulls).toHaveCount(2);
});

test('the shelf is sorted, and the address keeps how', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await add(page, 'Sorted b: https://a.example/sorted-1\nSorted a: https://a.example/sorted-2');
  await page.getByRole('searchbox', { name: 'Find on the shelf' }).fill('sorted');
  const rows = page.getByRole('listitem').filter({ hasText: 'Sorted' });
  const shown = () => rows.evaluateAll((items) => items.map((item) => /Sorted [ab]/.exec(item.textContent)?.[0]));
  await page.getByLabel('Sort the shelf').selectOption('By title');
  await expect(page).toHaveURL(/order=title/);
  await expect.poll(shown).toEqual(['Sorted a', 'Sorted b']);
  await page.getByLabel('Sort the shelf').selectOption('Oldest first');
  await expect.poll(shown).toEqual(['Sorted b', 'Sorted a']);
  await page.reload();
  await expect(page.getByLabel('Sort the shelf')).toHaveValue('oldest');
  await page.getByLabel('Sort the shelf').selectOption('Problems first');
  await expect(page.getByRole('listitem').first()).toContainText('No answer');
});

test('`/` finds lessons, stations and materials from anywhere, with a letter wrong, by keyboard', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: 'Devices' }).click();
  await expect(page.getByRole('heading', { name: 'Devices' })).toBeVisible();
  await page.keyboard.press('/');
  await expect(page.getByRole('searchbox', { name: 'Lesson, station or material' })).toBeFocused();
  await page.keyboard.type('betwen tides');
  const lessons = page.getByRole('dialog').getByRole('region', { name: 'Lessons' });
  await expect(lessons.getByRole('link')).toHaveCount(1);
  await page.keyboard.press('ArrowDown');
  await expect(lessons.getByRole('link')).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Life between the tides', level: 1 })).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.keyboard.press('/');
  await expect(page.getByRole('searchbox', { name: 'Lesson, station or material' })).toBeFocused();
  await page.keyboard.type('zzzz');
  await expect(page.getByText('Nothing found for “zzzz”')).toBeVisible();
});

test('a page is written at once, and Done leads back to the lesson it is for', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'With a page');
  await page.getByRole('link', { name: 'Add a station' }).click();
  await page.getByRole('button', { name: 'Write a page' }).click();
  await page.getByRole('textbox', { name: 'The page' }).click();
  await page.keyboard.type('Bring boots.');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Done' }).click();
  await expect(page.getByRole('heading', { name: 'With a page', level: 1 })).toBeVisible();
  await expect(bench(page).getByRole('row')).toHaveCount(2);
});

test('files that were sent and become nothing are deleted, or kept under Files', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await page
    .getByLabel('Files or photos')
    .setInputFiles([{ name: 'left_over.png', mimeType: 'image/png', buffer: picture(120, 80, [60, 125, 107]) }]);
  await expect(page.getByText('1 file uploaded.')).toBeVisible();
  await page.getByRole('button', { name: 'Discard' }).click();
  await expect(page.getByRole('button', { name: 'Keep in Files' })).toBeFocused();
  await page.getByRole('button', { name: 'Delete 1 file' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.goto('/shelf/files');
  await expect(page.getByRole('heading', { name: 'Files', level: 1 })).toBeVisible();
  await expect(page.getByText('left_over.png')).toHaveCount(0);
});

test('what is copied out of a page keeps its links with their labels', async ({ page }) => {
  await signIn(page);
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData(
      'text/html',
      '<ul><li><a href="https://a.example/r1">Tides</a></li><li><a href="https://a.example/r2">Shells</a></li></ul>',
    );
    data.setData('text/plain', 'Tides Shells');
    (document.activeElement as HTMLElement | null)?.blur();
    document.body.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  const review = page.getByRole('list', { name: 'What will be added' });
  await expect(review.getByRole('listitem')).toHaveCount(2);
  await expect(review.getByRole('listitem').first()).toContainText('Tides');
  await expect(review.getByRole('listitem').first()).toContainText('https://a.example/r1');
  await addAnyway(page);
  await page.getByRole('button', { name: 'Add 2 materials' }).click();
  await expect(page.getByRole('link', { name: /^Tides Web page/ })).toBeVisible();
});
