import { expect, moreForLesson, newLesson, openSession, signIn, test } from './journey.js';

// A service worker may take the page over meanwhile: then a request may pass what plays the network here.
test.use({ serviceWorkers: 'block' });

test('an address without a page says so and leads back', async ({ page }) => {
  await openSession(page);
  await page.goto('/no/such/page');
  await expect(page.getByRole('heading', { name: 'Page not found' })).toBeVisible();
  await page.getByRole('link', { name: 'To the start page' }).click();
  await expect(page.getByRole('heading', { name: /^Hello, / })).toBeVisible();
});

test('a server that can’t be reached is said, and trying again goes on', async ({ page }) => {
  await signIn(page);
  await page.route('**/api/materials*', (route) => route.abort());
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('alert')).toContainText('The server can’t be reached.');
  await page.unroute('**/api/materials*');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByText(/^\d+ materials$/)).toBeVisible();
});

test('what is sent while the server is away waits, is sent in order when it answers, and is made once', async ({
  page,
}) => {
  await signIn(page);
  let replyIsLost = true;
  await page.route('**/api/materials', async (route) => {
    if (route.request().method() !== 'POST' || !replyIsLost) return route.continue();
    // The server makes it, and nobody hears of it.
    replyIsLost = false;
    await route.fetch();
    return route.abort();
  });
  const line = page.getByText(/^The server can’t be reached\./);
  await page.route('**/api/ready', (route) => route.abort());
  const intake = page.getByLabel('What should students open?');
  await intake.fill('A long thought that must not be lost');
  await page.keyboard.press('Enter');
  await expect(line).toContainText('Your change is saved as soon as it answers.');
  await expect(intake).toHaveValue('A long thought that must not be lost');
  await page.unroute('**/api/ready');
  await page.waitForURL(/\/shelf\/./);
  await expect(line).toHaveCount(0);
  await page.goto('/shelf?find=long+thought');
  await expect(page.getByRole('link', { name: /A long thought that must not be lost/ })).toHaveCount(1);
});

test('a dialog that waits for the server can be closed, and what it was refused for is said on any page', async ({
  page,
}) => {
  await openSession(page);
  await newLesson(page, 'A lesson that waits');
  const rename = async (name: string): Promise<void> => {
    await moreForLesson(page, 'Change lesson');
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Name').fill(name);
    await dialog.getByRole('button', { name: 'Save changes' }).click();
    await expect(dialog.getByText(/This is saved as soon as it answers\./)).toBeVisible();
    await dialog.getByRole('button', { name: 'Close' }).click();
    await expect(dialog).toHaveCount(0);
  };
  const lessonAt = page.url().split('/').at(-1) ?? '';
  const goAway = () => page.route('**/api/**', (route) => route.abort());
  await goAway();
  await rename('A lesson that waited');
  await page.unroute('**/api/**');
  await expect(page.getByRole('heading', { name: 'A lesson that waited', level: 1 })).toBeVisible();
  await goAway();
  await rename('Too late');
  const found = (await (await page.request.get(`/api/lessons/${lessonAt}`)).json()) as { lesson: { version: number } };
  const data = {
    name: 'Somebody was faster',
    classId: null,
    date: null,
    startsAt: null,
    place: '',
    viewingDistanceM: 1.5,
    version: found.lesson.version,
  };
  expect((await page.request.patch(`/api/lessons/${lessonAt}`, { data })).status()).toBe(200);
  await page.unroute('**/api/**');
  await expect(page.getByText(/^A change that waited was not saved\./)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Somebody was faster', level: 1 })).toBeVisible();
  await moreForLesson(page, 'Change lesson');
  await page.getByRole('dialog').getByRole('button', { name: 'Use draft' }).click();
  await expect(page.getByRole('dialog').getByLabel('Name')).toHaveValue('Too late');
});

test('an empty shelf says what to do', async ({ page }) => {
  await openSession(page, 'pell.arkwright@fernhollow.example');
  await page.goto('/shelf');
  await expect(page.getByText('The shelf is empty')).toBeVisible();
  await page.goto('/lessons');
  await expect(page.getByText('No lessons yet')).toBeVisible();
});

test('`?` lists the keys', async ({ page }) => {
  await signIn(page);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toContainText(
    'Find a lesson, a station or a material',
  );
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('while the server can’t answer, pages say so, and go on by themselves afterwards', async ({ page }) => {
  await signIn(page);
  const away = (body: object) => ({ status: 503, contentType: 'application/json', body: JSON.stringify(body) });
  await page.route('**/api/**', (route) => route.fulfill(away({ reason: 'unavailable', message: 'x' })));
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(page.getByText(/^The server can’t be reached\. What you see is from \d\d:\d\d\./)).toBeVisible();
  await page.unroute('**/api/**');
  await expect(page.getByRole('listitem').first()).toBeVisible();
  await expect(page.getByText(/tries again by itself/)).toHaveCount(0);

  await test.step('also a page that was opened meanwhile', async () => {
    await page.route('**/api/**', (route) => route.fulfill(away({ reason: 'unavailable', message: 'x' })));
    await page.goto('/lessons');
    await expect(page.getByRole('heading', { name: 'This page can’t be shown' })).toBeVisible();
    await page.unroute('**/api/**');
    await expect(page.getByRole('heading', { name: 'Lessons', level: 1 })).toBeVisible();
  });
});

test('a dialog that was never open opens without the server, and a page whose part is missing comes by itself', async ({
  page,
  context,
}) => {
  await openSession(page);
  const partsCame = page.waitForResponse((response) => /\/assets\/keys-help/.test(response.url()));
  await page.goto('/lessons');
  await partsCame;
  await context.setOffline(true);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');
  await context.setOffline(false);
  await page.route('**/assets/devices-page*', (route) => route.abort());
  await page.getByRole('link', { name: 'Devices', exact: true }).click();
  await expect(page.getByText('Part of the page did not load', { exact: false })).toBeVisible();
  await page.unroute('**/assets/devices-page*');
  await page.getByRole('button', { name: 'Load again' }).click();
  await expect(page.getByRole('heading', { name: 'Devices', level: 1 })).toBeVisible();
});
