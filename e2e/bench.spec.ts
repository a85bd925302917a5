import {
  add,
  addAnyway,
  askleaf,
  bench,
  cofferlane,
  expect,
  moreForLesson,
  newLesson,
  openSession,
  settled,
  stationNames,
  test,
} from './journey.js';

test.describe('the bench', () => {
  test('takes many lines at once, shows each correction and lets it be changed', async ({ page }) => {
    await openSession(page);
    await newLesson(page, 'Messy paste');
    await add(page, `${askleaf}/ask/tide-line-tally`);
    await page
      .getByLabel('Next station')
      .fill(
        [
          `“http://http://cofferlane.localhost/leaf/a.”`,
          `${askleaf}/ask/tide-line-tally`,
          'ftp://files.example/x',
          'What lives under the seaweed?',
        ].join('\n'),
      );
    const review = page.getByRole('list', { name: 'What will be added' });
    await expect(review.getByRole('listitem').filter({ hasText: 'cofferlane.localhost/leaf/a' }).first()).toContainText(
      'removed a second http://',
    );
    await expect(review).toContainText('Already here');
    await expect(review).toContainText('Phones only open links that start with http or https.');
    await expect(review).toContainText('the words are in the code');
    await expect(page.getByRole('button', { name: 'Add 2 stations' })).toBeVisible();

    const first = review.getByRole('listitem').first();
    await first.getByRole('button', { name: 'Change' }).click();
    await first.getByRole('textbox', { name: 'Link' }).fill('http://cofferlane.localhost/leaf/b');
    await first.getByRole('button', { name: 'Save' }).click();
    await expect(first).toContainText('http://cofferlane.localhost/leaf/b');

    await review.getByLabel('Add anyway').check();
    await page.getByRole('button', { name: 'Add 3 stations' }).click();
    await expect(bench(page).getByRole('row')).toHaveCount(5);
    expect(await stationNames(page)).toEqual([
      'Tide-line tally',
      'cofferlane.localhost',
      expect.stringMatching(/^Tide-line tally$|^Tide line tally$/),
      'What lives under the seaweed?',
    ]);
  });

  test('moves stations by keyboard, by mouse and by menu', async ({ page }) => {
    await openSession(page);
    await newLesson(page, 'In another order');
    await add(page, 'first\nsecond\nthird');
    await settled(page);
    await page.getByRole('button', { name: 'Station 3, third: move' }).focus();
    // What a screen reader hears tells that a key has had its effect.
    await page.keyboard.press('Space');
    await expect(page.getByText(/^third (?:is picked up|would be station 3)/)).toBeAttached();
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('third would be station 2.')).toBeAttached();
    await page.keyboard.press('ArrowUp');
    await expect(page.getByText('third would be station 1.')).toBeAttached();
    await page.keyboard.press('Space');
    await expect.poll(() => stationNames(page)).toEqual(['third', 'first', 'second']);

    const from = await page.getByRole('button', { name: 'Station 1, third: move' }).boundingBox();
    const to = await page.getByRole('button', { name: 'Station 2, first: move' }).boundingBox();
    if (!from || !to) throw new Error('the handles are not on the page');
    await page.mouse.move(from.x + 10, from.y + 10);
    await page.mouse.down();
    await page.mouse.move(to.x + 10, to.y + 20, { steps: 12 });
    await expect(page.getByText('third would be station 2.')).toBeAttached();
    await page.mouse.up();
    await expect.poll(() => stationNames(page)).toEqual(['first', 'third', 'second']);

    await page.getByRole('button', { name: 'More for second' }).click();
    await page.getByRole('menuitem', { name: 'Move up' }).click();
    await expect.poll(() => stationNames(page)).toEqual(['first', 'second', 'third']);
    await page.reload();
    await expect.poll(() => stationNames(page)).toEqual(['first', 'second', 'third']);
  });

  test('renames, removes and restores', async ({ page }) => {
    await openSession(page);
    await newLesson(page, 'Names');
    await add(page, 'first\nsecond');
    await page.getByRole('button', { name: 'More for first' }).click();
    await page.getByRole('menuitem', { name: 'Rename' }).click();
    await page.getByLabel('Name of the station').fill('By the window');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('link', { name: 'By the window' })).toBeVisible();

    await page.getByRole('button', { name: 'More for second' }).click();
    await page.getByRole('menuitem', { name: 'Remove' }).click();
    await expect.poll(() => stationNames(page)).toEqual(['By the window']);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(() => stationNames(page)).toEqual(['By the window', 'second']);
  });

  test('takes what is pasted anywhere on it', async ({ page }) => {
    await openSession(page);
    await newLesson(page, 'Pasted');
    await page.getByRole('heading', { name: 'Pasted' }).click();
    await page.evaluate((text) => {
      const data = new DataTransfer();
      data.setData('text/plain', text);
      document.body.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
      );
    }, `${cofferlane}/leaf/what-yeast-eats`);
    await expect(page.getByLabel('Next station')).toHaveValue(`${cofferlane}/leaf/what-yeast-eats`);
    await addAnyway(page);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('link', { name: 'What yeast eats' })).toBeVisible();
  });

  test('rehearses in a worker, can be stopped and goes on', async ({ page }) => {
    await openSession(page);
    await newLesson(page, 'Rehearsed', '2.5');
    await add(
      page,
      'one thing\nanother thing that is longer than the first\nand a third thing that is longer than both of the others together',
    );
    await expect(page.getByText(/^Rehearsing \d of 3$/)).toBeVisible();
    // The words stand there before the worker's code is loaded.
    await expect.poll(() => page.workers().some((worker) => worker.url().includes('reader.worker'))).toBe(true);
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByText('Rehearsal stopped')).toBeVisible();
    await expect(page.getByText('Not rehearsed').first()).toBeVisible();
    await page.getByRole('button', { name: 'Continue' }).click();
    await settled(page);
    await expect(bench(page).getByText(/^\d\.\d m$/)).toHaveCount(3);
    await page.reload();
    await expect(bench(page).getByText(/^\d\.\d m$/)).toHaveCount(3);
  });

  test('says what was changed in another window and keeps what was typed', async ({ page, context }) => {
    await openSession(page);
    await newLesson(page, 'Two people');
    await moreForLesson(page, 'Change lesson');
    await page.getByRole('dialog').getByLabel('Place').fill('Typed here');
    const other = await context.newPage();
    await other.goto(page.url());
    await moreForLesson(other, 'Change lesson');
    await other.getByRole('dialog').getByLabel('Place').fill('Changed there');
    await other.getByRole('button', { name: 'Save changes' }).click();
    await expect(other.getByText('Changed there', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Save changes' }).click();
    await expect(page.getByRole('alert')).toContainText('changed in another window or by somebody else');
    await expect(page.getByRole('dialog').getByLabel('Place')).toHaveValue('Typed here');
    await page.getByRole('button', { name: 'Save changes' }).click();
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByText('Typed here', { exact: false })).toBeVisible();
  });

  test('restores a removed lesson by undo', async ({ page }) => {
    await openSession(page);
    await newLesson(page, 'Removed by mistake');
    await moreForLesson(page, 'Change lesson');
    await page.getByRole('button', { name: 'Remove lesson' }).click();
    await expect(page.getByRole('heading', { name: 'Lessons', level: 1 })).toBeVisible();
    await expect(page.getByRole('link', { name: /Removed by mistake/ })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('link', { name: /Removed by mistake/ })).toBeVisible();
  });
});
