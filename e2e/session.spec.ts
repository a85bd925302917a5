import { expect, newLesson, openSession, signIn, signOut, test } from './journey.js';

test('a wrong password is said plainly, and the demo account is one click', async ({ page }) => {
  await page.goto('/lessons');
  await expect(page).toHaveURL(/\/sign-in\?next=%2Flessons/);
  await page.getByLabel('E-mail address').fill('maren.dallow@fernhollow.example');
  await page.getByLabel('Password').fill('high tide');
  await page.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('do not belong together');
  await page.getByRole('button', { name: 'Look around as Maren Dallow' }).click();
  await expect(page).toHaveURL(/\/lessons$/);
});

test('a session that ends loses nothing: sign in again over the page and go on', async ({ page, context }) => {
  await openSession(page);
  await newLesson(page, 'Long evening');
  await page.getByLabel('Next station').fill('Typed before the session ended');
  await context.clearCookies();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog', { name: 'Sign in again' });
  await expect(dialog).toBeVisible();
  await expect(dialog.getByLabel('E-mail address')).toHaveValue('maren.dallow@fernhollow.example');
  await dialog.getByLabel('Password').fill('low-tide-at-nine');
  await dialog.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Typed before the session ended' })).toBeVisible();
});

test('signing out closes the pages', async ({ page }) => {
  await signIn(page);
  await signOut(page);
  await expect(page).toHaveURL(/\/sign-in/);
  await page.goto('/shelf');
  await expect(page).toHaveURL(/\/sign-in\?next=%2Fshelf/);
});

test('another teacher’s lesson does not exist', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'Only mine');
  const address = page.url();
  await signOut(page);
  // Its answer takes the cookie away: also that of a sign-in that came before it.
  await expect(page).toHaveURL(/\/sign-in/);
  await openSession(page, 'tobiah.quill@fernhollow.example');
  await page.goto(address);
  await expect(page.getByRole('alert')).toContainText('no longer exists');
});
