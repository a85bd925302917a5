import { add, bench, expect, newLesson, openSession, signOut, test } from './journey.js';

// A service worker may take the page over meanwhile: then a request may pass what plays the network here.
test.use({ serviceWorkers: 'block' });

test('what was typed and not saved is offered again, and goes when it is saved, discarded or at the sign-out', async ({
  page,
}) => {
  await openSession(page);
  await newLesson(page, 'Drafts');
  const intake = page.getByLabel('Next station');
  const offer = page.getByText(/^You have an unsaved draft from /);

  await test.step('in the intake, after a reload', async () => {
    await intake.fill('A riddle that is not finished');
    await page.reload();
    await expect(offer).toBeVisible();
    await page.getByRole('button', { name: 'Use draft' }).click();
    await expect(intake).toHaveValue('A riddle that is not finished');
    await page.getByRole('button', { name: /^Add\b/ }).click();
    await expect(intake).toHaveValue('');
    await page.reload();
    await expect(bench(page).getByText('A riddle that is not finished')).toBeVisible();
    await expect(offer).toHaveCount(0);
  });

  await test.step('in a dialog, after Escape', async () => {
    await page.goto('/lessons');
    const button = page.getByRole('button', { name: 'New lesson' });
    await button.click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Name').fill('Half a lesson');
    await page.keyboard.press('Escape');
    await expect(dialog.getByRole('button', { name: 'Keep editing' })).toBeFocused();
    await page.keyboard.press('Escape');
    await expect(button).toBeFocused();
    await button.click();
    await dialog.getByRole('button', { name: 'Use draft' }).click();
    await expect(dialog.getByLabel('Name')).toHaveValue('Half a lesson');
    await dialog.getByRole('button', { name: 'Cancel' }).click();
    await button.click();
    await expect(dialog).toBeVisible();
    await expect(offer).toHaveCount(0);
    await dialog.getByLabel('Name').fill('Another half');
    await page.reload();
  });

  await test.step('until somebody signs out, who is asked', async () => {
    await signOut(page);
    await expect(page.getByRole('dialog')).toContainText('You typed 1 text on this device and did not save it.');
    await page.getByRole('button', { name: 'Stay signed in' }).click();
    await signOut(page);
    await page.getByRole('dialog').getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
    await openSession(page);
    await page.goto('/lessons');
    await page.getByRole('button', { name: 'New lesson' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
    await expect(offer).toHaveCount(0);
  });
});

test('a written page that the server could not take is there after a reload', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  await page.getByRole('button', { name: 'Write a page' }).click();
  const editor = page.getByRole('textbox', { name: 'The page' });
  await editor.waitFor();
  await page.route('**/api/**', (route) => (route.request().method() === 'GET' ? route.continue() : route.abort()));
  await editor.pressSequentially('Nobody may lose this');
  await expect(page.getByText(/not (?:kept|saved)/i).first()).toBeVisible();
  page.on('dialog', (dialog) => void dialog.accept());
  await page.reload();
  await page.unroute('**/api/**');
  await page.getByRole('button', { name: 'Use draft' }).click();
  await expect(editor).toContainText('Nobody may lose this');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
});

test('a bench that was loaded stays while the server is away, with what is typed on it', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'While the server is away');
  await add(page, 'A riddle that was there before');
  const intake = page.getByLabel('Next station');
  await intake.fill('A thought that must not be lost');
  await page.route('**/api/**', (route) => route.abort());
  // As when somebody comes back to the page, which then looks again.
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  await expect(page.getByText(/^The server can’t be reached\./).first()).toBeVisible();
  await expect(bench(page).getByRole('link', { name: 'A riddle that was there before' })).toBeVisible();
  await expect(intake).toHaveValue('A thought that must not be lost');
  await page.unroute('**/api/**');
  await expect(page.getByText(/^The server can’t be reached\./)).toHaveCount(0);
  await expect(intake).toHaveValue('A thought that must not be lost');
});

test('a page with something unsaved asks once before it is left by a link or by going back', async ({ page }) => {
  await openSession(page);
  await page.goto('/lessons');
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  const intake = page.getByLabel('Next material');
  await intake.fill('Not added yet');
  const asked = page.getByRole('dialog', { name: 'You have not saved this' });
  await page.getByRole('link', { name: 'Devices', exact: true }).click();
  await expect(asked.getByRole('button', { name: 'Keep editing' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(asked).toHaveCount(0);
  await expect(intake).toHaveValue('Not added yet');
  await page.goBack();
  await asked.getByRole('button', { name: 'Leave, keep draft' }).click();
  await expect(page.getByRole('heading', { name: 'Lessons', level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await page.getByRole('button', { name: 'Use draft' }).click();
  await expect(intake).toHaveValue('Not added yet');
  await page.getByRole('link', { name: 'Devices', exact: true }).click();
  await asked.getByRole('button', { name: 'Discard draft' }).click();
  await expect(page.getByRole('heading', { name: 'Devices', level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'Shelf', exact: true }).click();
  await expect(intake).toBeVisible();
  await expect(page.getByText(/^You have an unsaved draft from /)).toHaveCount(0);
});
