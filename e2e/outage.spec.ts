import type { Locator, Page } from '@playwright/test';
import { expect, moreForLesson, newLesson, openSession, test } from './journey.js';

// A service worker may take the page over meanwhile: then a request may pass what plays the network here.
test.use({ serviceWorkers: 'block' });

/** Something that is edited: how it is reached, also once more after a reload, and what is typed where. */
interface Editing {
  readonly who?: string;
  /** Makes what is needed and opens the page. */
  readonly go: (page: Page) => Promise<unknown>;
  /** Opens the form on it. */
  readonly open?: (page: Page) => Promise<unknown>;
  readonly field: (page: Page) => Locator;
  readonly text?: string;
}

const text = 'Look for limpets between the tide marks';
const dialogField = (label: string) => (page: Page) => page.getByRole('dialog').getByLabel(label);

async function openMaterial(page: Page, title: string): Promise<void> {
  await page.goto(`/shelf?find=${encodeURIComponent(title)}`);
  await page.getByRole('link', { name: title }).first().click();
  await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
}

const forms: Readonly<Record<string, Editing>> = {
  'the intake of the shelf': { go: (page) => page.goto('/shelf'), field: (page) => page.getByLabel('Next material') },
  'the intake of a bench': {
    go: (page) => newLesson(page, 'An outage'),
    field: (page) => page.getByLabel('Next station'),
  },
  'a message': {
    go: (page) => page.goto('/add'),
    open: (page) => page.getByRole('button', { name: 'Message', exact: true }).click(),
    field: (page) => page.getByLabel('Message', { exact: true }),
  },
  'an event': {
    go: (page) => page.goto('/add'),
    open: (page) => page.getByRole('button', { name: 'Event', exact: true }).click(),
    field: (page) => page.getByLabel('Event name'),
  },
  'a new lesson': {
    go: (page) => page.goto('/lessons'),
    open: (page) => page.getByRole('button', { name: 'New lesson' }).click(),
    field: dialogField('Name'),
  },
  'a lesson': {
    go: (page) => newLesson(page, 'An outage'),
    open: (page) => moreForLesson(page, 'Change lesson'),
    field: dialogField('Place'),
  },
  'a material with its instruction': {
    go: (page) => openMaterial(page, 'Tide-line tally'),
    open: (page) => page.getByRole('button', { name: 'Change', exact: true }).click(),
    field: dialogField('What students should do'),
  },
  'a look': { go: (page) => page.goto('/school/looks/new'), field: (page) => page.getByLabel('Name of the look') },
  'a service': {
    who: 'pell.arkwright@fernhollow.example',
    go: (page) => page.goto('/school/services/new'),
    field: (page) => page.getByLabel('Name', { exact: true }).first(),
  },
  sheets: {
    go: async (page) => {
      await page.goto('/');
      await page.getByRole('link', { name: /The bakery of tiny helpers/ }).click();
      await moreForLesson(page, 'Make sheets');
      await page.getByText('Labels', { exact: true }).click();
    },
    field: (page) => page.getByLabel('Copies of each'),
    text: '7',
  },
};

for (const [name, { who, go, open, field, text: typed = text }] of Object.entries(forms))
  test(`what is typed into ${name} outlives an outage and a reload`, async ({ page }) => {
    await openSession(page, who);
    await go(page);
    await open?.(page);
    await field(page).fill(typed);

    await test.step('an outage, as it is met when somebody comes back to the page', async () => {
      await page.route('**/api/**', (route) => route.abort());
      await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
      await expect(page.getByText(/^The server can’t be reached\./).first()).toBeAttached();
      await expect(field(page)).toHaveValue(typed);
      await page.unroute('**/api/**');
      await expect(page.getByText(/^The server can’t be reached\./)).toHaveCount(0);
      await expect(field(page)).toHaveValue(typed);
    });

    await test.step('a reload', async () => {
      page.on('dialog', (dialog) => void dialog.accept());
      await page.reload();
      await open?.(page);
      await page.getByRole('button', { name: 'Use draft' }).click();
      await expect(field(page)).toHaveValue(typed);
    });
  });

test('how the columns of a roster were named is offered for the next list with such columns, and no name is kept', async ({
  page,
}) => {
  await openSession(page, 'hesper.tolland@fernhollow.example');
  const list = { name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from('A;B;C\nAlder;Quill;6\nBryony;Fenn;7\n') };
  const choose = async (): Promise<void> => {
    await page.goto('/school/students/import');
    await page.getByLabel('Choose a file').setInputFiles(list);
  };
  await choose();
  const first = page.getByLabel('Column 1', { exact: true });
  await first.selectOption({ label: 'Given name' });
  await expect.poll(() => page.evaluate(() => JSON.stringify(localStorage))).toContain('roster columns');
  expect(await page.evaluate(() => JSON.stringify(localStorage))).not.toMatch(/Alder|Quill|Bryony/);
  await choose();
  await expect(first).not.toHaveValue('given');
  await page.getByRole('button', { name: 'Use draft' }).click();
  await expect(first).toHaveValue('given');
});
