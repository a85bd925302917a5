import type { Locator, Page } from '@playwright/test';
import { add, bench, expect, newLesson, openPart, openSession, test } from './journey.js';

const administrator = 'pell.arkwright@fernhollow.example';
const office = 'hesper.tolland@fernhollow.example';

/** What opens a dialog: a button, or an entry of the menu behind it. */
interface Opener {
  readonly button: string | RegExp;
  readonly entry?: string;
}

/** A page with dialogs, whoever sees all of them, and the ways to them. */
interface PageWithDialogs {
  readonly who?: string;
  readonly go: (page: Page) => Promise<unknown>;
  readonly openers: readonly Opener[];
  readonly after?: (page: Page) => Promise<unknown>;
}

const at =
  (path: string) =>
  (page: Page): Promise<unknown> =>
    page.goto(path);

/** The first page of a material that is found on the shelf. */
const material =
  (title: string) =>
  async (page: Page): Promise<void> => {
    await page.goto(`/shelf?find=${encodeURIComponent(title)}`);
    await page.getByRole('link', { name: title }).first().click();
    await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
  };

const pages: Readonly<Record<string, PageWithDialogs>> = {
  'all pages': { go: at('/'), openers: [{ button: 'Find /' }] },
  lessons: { go: at('/lessons'), openers: [{ button: 'New lesson' }] },
  'the bench': {
    go: (page) => newLesson(page, 'Dialogs by keyboard').then(() => add(page, 'https://a.example/dialogs')),
    openers: [
      { button: 'From the shelf' },
      { button: 'More for this lesson', entry: 'Change lesson' },
      { button: 'More for this lesson', entry: 'Design all codes' },
    ],
  },
  'the shelf': {
    go: async (page) => {
      await page.goto('/shelf');
      await page
        .getByRole('checkbox', { name: /^Select / })
        .first()
        .check();
    },
    openers: [{ button: 'Add to a lesson' }, { button: 'Tag' }],
  },
  'a material': {
    go: async (page) => {
      await material('Tide-line tally')(page);
      await openPart(page, 'look');
    },
    openers: [{ button: 'Change' }, { button: 'More formats' }, { button: 'Choose a look' }],
  },
  'a written page': {
    go: async (page) => {
      await material('Before you go out')(page);
      await page.getByRole('link', { name: 'Write', exact: true }).click();
    },
    openers: [{ button: 'Earlier versions' }, { button: 'Link' }],
  },
  templates: { go: at('/school/templates'), openers: [{ button: /^New/ }] },
  devices: {
    who: administrator,
    go: at('/devices'),
    openers: [{ button: 'Add a device' }, { button: /^Change Shared tablets/ }, { button: /^Remove Shared tablets/ }],
  },
  services: { who: administrator, go: at('/school/services'), openers: [{ button: 'Import' }] },
  school: {
    who: administrator,
    go: async (page) => {
      await page.goto('/school');
      await expect(page.getByRole('heading', { name: 'Who sees which students' })).toBeVisible();
    },
    openers: [{ button: 'Change' }, { button: 'New class' }],
  },
  students: {
    who: office,
    go: async (page) => {
      const ann = { schoolId: 'k1', prefix: '', given: 'Ann', middle: '', family: 'Keys', className: 'Keys', year: '' };
      const compared = await page.request.post('/api/roster-comparisons', { data: { students: [ann] } });
      const { id: rosterComparisonId } = (await compared.json()) as { id: string };
      const data = { rosterComparisonId, leave: false, fileName: 'keys.csv' };
      expect((await page.request.post('/api/roster-imports', { data })).status()).toBe(201);
      await page.goto('/school/students');
    },
    openers: [
      { button: /^More about /, entry: 'Change' },
      { button: /^More about /, entry: 'Erase with all traces' },
    ],
    // Other journeys count all students of the school.
    after: (page) => page.request.post('/api/student-erasures', { data: { className: 'Keys' } }),
  },
};

async function open(page: Page, { button, entry }: Opener): Promise<Locator> {
  const opener = page.getByRole('button', { name: button, exact: typeof button === 'string' }).first();
  await expect(opener).toBeEnabled();
  await opener.focus();
  await page.keyboard.press('Enter');
  if (entry !== undefined) {
    await page.getByRole('menuitem', { name: entry }).focus();
    await page.keyboard.press('Enter');
  }
  return opener;
}

for (const [name, { who, go, openers, after }] of Object.entries(pages))
  test(`dialogs of ${name} are opened, walked through and left by keyboard`, async ({ page }) => {
    await openSession(page, who);
    await go(page);
    for (const opener of openers)
      await test.step(String(opener.entry ?? opener.button), async () => {
        const from = await open(page, opener);
        const dialog = page.getByRole('dialog');
        await expect(dialog).toBeVisible();
        for (let tab = 0; tab < 12; tab += 1) {
          await expect.poll(() => dialog.evaluate((each) => each.contains(document.activeElement))).toBe(true);
          await page.keyboard.press('Tab');
        }
        await page.keyboard.press('Escape');
        await expect(dialog).toHaveCount(0);
        await expect(from).toBeFocused();
      });
    await after?.(page);
  });

test('the focus stays where the work is: a station is renamed, moved and removed, and Ctrl+Z takes it back', async ({
  page,
}) => {
  await openSession(page);
  await newLesson(page, 'By keyboard');
  for (const text of ['A riddle of the sea', 'A riddle of the shore', 'A riddle of the dunes']) await add(page, text);
  const names = (): Promise<readonly string[]> => bench(page).locator('[role=row] a.block').allInnerTexts();
  const choose = async (station: string, entry: string): Promise<void> => {
    await page.getByRole('button', { name: `More for ${station}` }).focus();
    await page.keyboard.press('Enter');
    await page.getByRole('menuitem', { name: entry }).focus();
    await page.keyboard.press('Enter');
  };
  await choose('A riddle of the sea', 'Rename');
  await expect(page.getByLabel('Name of the station')).toBeFocused();
  await page.keyboard.type('The first');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'The first' })).toBeFocused();
  await choose('The first', 'Move down');
  await expect.poll(names).toEqual(['A riddle of the shore', 'The first', 'A riddle of the dunes']);
  await choose('The first', 'Remove');
  await expect(page.getByRole('button', { name: 'More for A riddle of the dunes' })).toBeFocused();
  await page.keyboard.press('Control+z');
  await expect.poll(names).toEqual(['A riddle of the shore', 'The first', 'A riddle of the dunes']);
  await expect(page.getByText('Undone: “The first” was removed.', { exact: false }).first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect.poll(names).toEqual(['The first', 'A riddle of the shore', 'A riddle of the dunes']);
  await page.keyboard.press('Control+z');
  await expect.poll(names).toEqual(['A riddle of the sea', 'A riddle of the shore', 'A riddle of the dunes']);
});
