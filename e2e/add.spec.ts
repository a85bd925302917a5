import { addAnyway, cofferlane, expect, newLesson, openSession, signIn, test } from './journey.js';
import { decodePng } from './decode.js';

test('an event becomes a code whose instants are right in summer and in winter', async ({ page }, info) => {
  await signIn(page);
  for (const [day, start] of [
    ['2027-06-12', '20270612T083000Z'],
    ['2027-12-12', '20271212T093000Z'],
  ] as const) {
    await page.goto('/add');
    await page.getByRole('button', { name: 'Event' }).click();
    await page.getByLabel('Event name').fill('Harbour walk');
    await page.getByLabel('Day').fill(day);
    await page.getByLabel('Begins at').fill('09:30');
    await page.getByLabel('Ends at').fill('08:00');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('alert')).toHaveText('The end is before the start.');
    await page.getByLabel('Ends at').fill('11:00');
    await expect(page.getByRole('img', { name: 'Preview of the code' })).toBeVisible();
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('heading', { name: 'Harbour walk', level: 1 })).toBeVisible();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Save picture' }).click(),
    ]);
    const file = info.outputPath('event.png');
    await download.saveAs(file);
    expect(decodePng(file)).toContain(`DTSTART:${start}`);
  }
});

test('a network goes into the lesson it was added for, and can be changed', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'With a network');
  await page.getByRole('link', { name: 'Add a station' }).click();
  await expect(page.getByLabel('Add to')).toHaveValue(/.+/);
  await page.getByRole('button', { name: 'Network' }).click();
  await expect(page.getByText('Anyone who scans the code can read the password.')).toBeVisible();
  await page.getByLabel('Name of the network').fill('Fernhollow guests');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toHaveText('A WPA password has 8 to 63 characters.');
  await page.getByLabel('Password').fill('tide-at-the-pier');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText('WIFI:T:WPA;S:Fernhollow guests;P:tide-at-the-pier;;').first()).toBeVisible();
  await expect(page.getByText('› Station 1')).toBeVisible();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Change the code’s content' }).click();
  await page.getByRole('dialog').getByLabel('Password').fill('ebb-and-flow-9');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByText('P:ebb-and-flow-9', { exact: false }).first()).toBeVisible();
});

test('what a bookmark or a phone’s share menu sends survives signing in first', async ({ page }) => {
  await page.goto('/add?link=https%3A%2F%2Fa.example%2Ftide-tables&title=Tide%20tables');
  await expect(page).toHaveURL(/\/sign-in\?next=/);
  await page.getByRole('button', { name: 'Look around as Maren Dallow' }).click();
  await expect(page.getByLabel('What should students open?')).toHaveValue('https://a.example/tide-tables\tTide tables');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Tide tables', level: 1 })).toBeVisible();
});

test('the application can be installed and stands in the share menu', async ({ page }) => {
  await page.goto('/sign-in');
  const manifest = await page.evaluate(
    async () =>
      (await fetch(document.querySelector<HTMLLinkElement>('link[rel=manifest]')?.href ?? '')).json() as Promise<{
        share_target: object;
        icons: { src: string }[];
      }>,
  );
  expect(manifest.share_target).toEqual({
    action: '/add',
    method: 'GET',
    params: { title: 'title', text: 'text', url: 'link' },
  });
  for (const { src } of manifest.icons) expect((await page.request.get(src)).status()).toBe(200);
  await expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state))
    .toBe('activated');
});

test('the bookmark button holds a plain script', async ({ page, baseURL }) => {
  await openSession(page);
  await page.goto('/add');
  await expect(page.getByText('Add this page', { exact: true })).toHaveAttribute(
    'href',
    new RegExp(`^javascript:.*${baseURL ?? ''}/add\\?link=`),
  );
});

test('twenty mixed pasted lines become the right materials', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'Twenty at once');
  const lines = [
    ...Array.from({ length: 6 }, (_, index) => `“https://https://a.example/leaf/page-${index}”.`),
    ...Array.from({ length: 4 }, (_, index) => `<http://askleaf.example/ask/tally-${index}>`),
    'https://a.example/leaf/with-a-title - Tide tables',
    'www.fernhollow.example/library',
    'https://a.example/waves.mp3',
    'https://a.example/very/',
    'long-address',
    'Who carries its house?',
    'What lives under the seaweed?',
    'Look up, then down.',
    'https://cofferlane.example/crate/photos',
    'https://a.example/guide.pdf,',
  ];
  await page.getByLabel('Next station').fill(lines.join('\n'));
  await page.getByRole('button', { name: 'Add 19 stations' }).click();
  const table = page.getByRole('table', { name: 'Stations' });
  await expect(table.getByRole('row')).toHaveCount(20);
  const kinds = async (kind: string): Promise<number> => table.getByText(new RegExp(`^\\s*${kind}`)).count();
  expect([
    await kinds('Web page'),
    await kinds('Form'),
    await kinds('Message'),
    await kinds('Sound'),
    await kinds('Folder'),
    await kinds('Document'),
  ]).toEqual([9, 4, 3, 1, 1, 1]);
  await expect(table.getByRole('link', { name: 'Tide tables' })).toBeVisible();
});

test('a list out of a spreadsheet is mapped, tagged and gathered as a collection', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  const list = 'What;Name;Hint\nhttps://a.example/gulls;Gulls;Count them\nWho shouts loudest?;Riddle;Listen\n';
  await page
    .getByLabel('Import a list')
    .setInputFiles({ name: 'stations.csv', mimeType: 'text/csv', buffer: Buffer.from(list) });
  await expect(page.getByText('List from “stations.csv”')).toBeVisible();
  await expect(page.getByLabel('Column 2')).toHaveValue('title');
  await page.getByLabel('Column 3').selectOption('instruction');
  const review = page.getByRole('list', { name: 'What will be added' });
  await expect(review.getByRole('listitem').first()).toContainText('Count them');
  await page.getByLabel('Tags for all of them').fill('Sea birds, spring');
  await page.getByRole('button', { name: 'Add 2 materials' }).click();
  await expect(page.getByRole('heading', { name: 'Shelf', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Sea birds 2' }).click();
  await expect(page.getByText('2 materials in “Sea birds”')).toBeVisible();
  await page.getByRole('button', { name: 'Check all again' }).click();
  await page.getByRole('link', { name: /Gulls/ }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await expect(page.getByRole('dialog').getByLabel('What students should do')).toHaveValue('Count them');
  await page.getByRole('dialog').getByLabel('Tags').fill('spring');
  await page.getByRole('button', { name: 'Save changes' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await page.goto('/shelf');
  await expect(page.getByRole('button', { name: 'Sea birds 1' })).toBeVisible();
});

test('a file that is no list says so', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  await page
    .getByLabel('Import a list')
    .setInputFiles({ name: 'photo.csv', mimeType: 'text/csv', buffer: Buffer.from([1, 0, 2, 0, 3]) });
  await expect(page.getByRole('alert')).toContainText('This file can’t be read as a list.');
});

test('2,000 pasted lines are reviewed, and only those in sight are drawn', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  await page
    .getByLabel('What should students open?')
    .fill(Array.from({ length: 2000 }, (_, index) => `https://a.example/long/page-${index}.`).join('\n'));
  await expect(page.getByRole('button', { name: 'Add 2000 materials' })).toBeEnabled();
  await expect(page.getByText('2000 lines pasted')).toBeVisible();
  expect(await page.getByRole('list', { name: 'What will be added' }).getByRole('listitem').count()).toBeLessThan(60);
  // Rows get their real height when they are drawn, so that the end moves while one scrolls there.
  await expect(async () => {
    await page
      .getByRole('region', { name: /What will be added/ })
      .evaluate((region) => region.scrollTo(0, region.scrollHeight));
    await expect(page.getByText('https://a.example/long/page-1999', { exact: true })).toBeVisible({ timeout: 1000 });
  }).toPass({ timeout: 120_000 });
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

  test('what was shared is checked and leaves by the share sheet', async ({ page }) => {
    await page.addInitScript(() => {
      const shared: string[] = [];
      Object.assign(globalThis, { shared });
      navigator.canShare = () => true;
      navigator.share = (data) => {
        shared.push(...(data?.files ?? []).map((file) => `${file.name} ${file.type} ${file.size > 500}`));
        return Promise.resolve();
      };
    });
    await openSession(page);
    await page.goto(`/add?title=What%20yeast%20eats&text=${encodeURIComponent(`${cofferlane}/leaf/what-yeast-eats`)}`);
    await addAnyway(page);
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Opens for everyone' })).toBeVisible();
    await page.getByRole('button', { name: 'Share picture' }).click();
    await expect
      .poll(() => page.evaluate(() => (globalThis as unknown as { shared: string[] }).shared))
      .toEqual(['What yeast eats.png image/png true']);
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  });
});
