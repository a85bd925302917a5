import { expect, signIn, test } from './journey.js';

// A service worker may take the page over meanwhile: then a request may pass what stands in for the network here.
test.use({ serviceWorkers: 'block' });

test('an address without a page says so and leads back', async ({ page }) => {
  await signIn(page);
  await page.goto('/no/such/page');
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await page.getByRole('link', { name: 'To the start page' }).click();
  await expect(page.getByRole('heading', { name: /Good to see you/ })).toBeVisible();
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

test('what was typed stays when sending fails', async ({ page }) => {
  await signIn(page);
  await page.route('**/api/materials', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  const intake = page.getByLabel('What should students open?');
  await intake.fill('A long thought that must not be lost');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('what you typed stays here');
  await expect(intake).toHaveValue('A long thought that must not be lost');
});

test('an empty shelf says what to do', async ({ page }) => {
  await signIn(page, 'pell.arkwright@fernhollow.example');
  await page.goto('/shelf');
  await expect(page.getByText('The shelf is empty')).toBeVisible();
  await page.goto('/lessons');
  await expect(page.getByText('No lessons yet')).toBeVisible();
});

test('`?` lists the keys', async ({ page }) => {
  await signIn(page);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Find a lesson, a station or a material');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('while the server can’t answer, pages say so, and go on by themselves afterwards', async ({ page }) => {
  await signIn(page);
  const away = (body: object) => ({ status: 503, contentType: 'application/json', body: JSON.stringify(body) });
  await page.route('**/api/**', (route) => route.fulfill(away({ reason: 'unavailable', message: 'x' })));
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(
    page.getByText('The server can’t answer just now. It tries again by itself.', { exact: false }).first(),
  ).toBeVisible();
  await page.unroute('**/api/**');
  await expect(page.getByRole('listitem').first()).toBeVisible();
  await expect(page.getByText('It tries again by itself.', { exact: false })).toHaveCount(0);

  await test.step('also a page that was opened meanwhile', async () => {
    await page.route('**/api/**', (route) => route.fulfill(away({ reason: 'unavailable', message: 'x' })));
    await page.goto('/lessons');
    await expect(page.getByRole('heading', { name: 'This page could not be shown' })).toBeVisible();
    await page.unroute('**/api/**');
    await expect(page.getByRole('heading', { name: 'Lessons', level: 1 })).toBeVisible();
  });
});
