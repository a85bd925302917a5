import type { Browser, Page } from '@playwright/test';
import { expect, openSession, test } from './journey.js';

const pell = 'pell.arkwright@fernhollow.example';
const password = 'tide pool lantern';

/** A colleague of this journey alone, in a separate browser. */
async function join(page: Page, browser: Browser, name: string, email: string): Promise<Page> {
  const made = await page.request.post('/api/staff/invitations', { data: { role: 'teacher', note: name } });
  const { token } = (await made.json()) as { token: string };
  const context = await browser.newContext({ baseURL: new URL(page.url()).origin, serviceWorkers: 'block' });
  const other = await context.newPage();
  await other.goto(`/join#${token}`);
  await other.getByLabel('Your name').fill(name);
  await other.getByLabel('E-mail address').fill(email);
  await other.getByLabel('Password', { exact: true }).fill(password);
  await other.getByRole('button', { name: 'Create account' }).click();
  await expect(other.getByRole('heading', { name: /^Hello, / })).toBeVisible();
  return other;
}

const choose = async (page: Page, name: string, entry: string): Promise<void> => {
  await page.getByRole('button', { name: `More for ${name}` }).click();
  await page.getByRole('menuitem', { name: entry }).click();
};

test('an administrator changes a role, hands things over and closes an account', async ({ page, browser }) => {
  await openSession(page, pell);
  await page.goto('/school/staff');
  await expect(page.getByRole('heading', { name: 'Staff', exact: true })).toBeVisible();
  const colleague = await join(page, browser, 'Bryn Cove', 'bryn.cove@fernhollow.example');
  await join(page, browser, 'Wren Ledge', 'wren.ledge@fernhollow.example');
  await colleague.request.post('/api/materials', {
    data: { items: [{ words: 'Bryn’s words', pasted: 'Bryn’s words', repairs: [] }] },
  });
  await page.reload();
  const row = page.getByRole('listitem').filter({ hasText: 'bryn.cove@fernhollow.example' });
  await expect(row).toContainText('Teacher');
  await expect(row).toContainText('1 material');

  await test.step('what takes hold of accounts asks for the password again', async () => {
    await page.route('**/api/staff/*', (route) => route.fulfill({ status: 403, json: { reason: 'password-needed' } }), {
      times: 1,
    });
    await choose(page, 'Bryn Cove', 'Change role…');
    await page.getByLabel('Office', { exact: true }).check();
    await page.getByRole('button', { name: 'Save role' }).click();
    const asked = page.getByRole('dialog', { name: 'Enter your password' });
    await asked.getByLabel('Password').fill('high tide');
    await asked.getByRole('button', { name: 'Continue' }).click();
    await expect(asked.getByText('This is not your password.')).toBeVisible();
    await asked.getByLabel('Password').fill('low-tide-at-nine');
    await asked.getByRole('button', { name: 'Continue' }).click();
    await expect(row).toContainText('Office');
  });

  await test.step('without the password nothing is changed', async () => {
    await page.route('**/api/staff/*', (route) => route.fulfill({ status: 403, json: { reason: 'password-needed' } }), {
      times: 1,
    });
    await choose(page, 'Bryn Cove', 'Deactivate…');
    await page.getByRole('button', { name: 'Deactivate', exact: true }).click();
    await page.getByRole('dialog', { name: 'Enter your password' }).getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByRole('alert')).toContainText('Enter your password again first.');
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(row).toContainText('Office');
  });

  await test.step('lessons and materials go to a colleague', async () => {
    await choose(page, 'Bryn Cove', 'Hand over lessons and materials…');
    await page.getByLabel('To', { exact: true }).selectOption({ label: 'Wren Ledge' });
    await page.getByRole('button', { name: 'Hand over' }).click();
    await expect(page.getByText('Wren Ledge now has 0 lessons and 1 material.', { exact: true })).toBeVisible();
    await expect(row).toContainText('0 materials');
  });

  await test.step('a closed account is signed out at once', async () => {
    await choose(page, 'Bryn Cove', 'Deactivate…');
    await page.getByRole('button', { name: 'Deactivate', exact: true }).click();
    await expect(row).toContainText('Deactivated');
    await colleague.goto('/shelf');
    await expect(colleague).toHaveURL(/\/sign-in/);
    await colleague.getByLabel('E-mail address').fill('bryn.cove@fernhollow.example');
    await colleague.getByLabel('Password', { exact: true }).fill(password);
    await colleague.getByRole('button', { name: 'Sign in', exact: true }).click();
    await expect(colleague.getByRole('alert')).toContainText('has been deactivated');
  });

  await test.step('all of it is in the activity log', async () => {
    await page.goto('/school/activity');
    await page.getByLabel('What').selectOption({ label: 'Deactivated an account' });
    await expect(page.getByRole('list', { name: 'Activity log' })).toContainText('Bryn Cove');
    await page.getByLabel('What').selectOption({ label: 'Everything' });
    await expect(page.getByText('Bryn Cove: teacher → office')).toBeVisible();
    const file = page.waitForEvent('download');
    await page.getByRole('link', { name: 'Save as CSV' }).click();
    expect((await file).suggestedFilename()).toBe('Activity.csv');
  });
});

test('an administrator chooses how long records are kept', async ({ page }) => {
  await openSession(page, pell);
  await page.goto('/school');
  await page.getByRole('link', { name: 'How long records are kept' }).click();
  const readings = page.getByLabel('Cards read (days)');
  await readings.fill('0');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Enter a whole number from 1 to 3650.')).toBeVisible();
  await readings.fill('30');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved. It applies from the next deletion.', { exact: true })).toBeVisible();
  await page.reload();
  await expect(readings).toHaveValue('30');
  await readings.fill('90');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved. It applies from the next deletion.', { exact: true })).toBeVisible();
});

test('people change their own accounts, and a forgotten password is set by a link', async ({ page, browser }) => {
  await openSession(page, pell);
  await page.goto('/school/staff');
  const colleague = await join(page, browser, 'Linnet Marsh', 'linnet.marsh@fernhollow.example');

  await test.step('name and address', async () => {
    await colleague.getByRole('button', { name: /^Account of / }).click();
    await colleague.getByRole('menuitem', { name: 'Your account' }).click();
    await colleague.getByLabel('Your name').fill('Linnet M.');
    await colleague.getByRole('button', { name: 'Save' }).first().click();
    await expect(colleague.getByRole('button', { name: 'Account of Linnet M.' })).toBeVisible();
    await colleague.getByLabel('Your e-mail address').fill(pell);
    await colleague.getByRole('button', { name: 'Save' }).nth(1).click();
    await expect(colleague.getByText('There is already an account with this address.')).toBeVisible();
  });

  await test.step('a new password signs other devices out', async () => {
    await colleague.request.post('/api/session', { data: { email: 'linnet.marsh@fernhollow.example', password } });
    await colleague.reload();
    await expect(colleague.getByText('This device')).toHaveCount(1);
    await expect(colleague.getByRole('button', { name: /^Sign out of / })).toHaveCount(1);
    await colleague.getByLabel('Current password').fill(password);
    await colleague.getByLabel('New password').fill('a lamp for every ledge');
    await colleague.getByRole('button', { name: 'Save' }).last().click();
    await expect(colleague.getByText('Password saved. Other devices are signed out.', { exact: true })).toBeVisible();
    await expect(colleague.getByRole('button', { name: /^Sign out of / })).toHaveCount(0);
  });

  await test.step('a link from the administrator sets a forgotten one', async () => {
    await page.reload();
    await choose(page, 'Linnet M.', 'New password…');
    const made = page.waitForResponse('**/reset-link');
    await page.getByRole('button', { name: 'Make link' }).click();
    const { address } = (await (await made).json()) as { address: string };
    await colleague.goto(new URL(address).pathname + new URL(address).hash);
    await expect(colleague.getByText('For linnet.marsh@fernhollow.example.')).toBeVisible();
    await colleague.getByLabel('New password').fill('lanterns over the mudflat');
    await colleague.getByRole('button', { name: 'Set password' }).click();
    await expect(colleague.getByRole('heading', { name: /^Hello, / })).toBeVisible();
  });
});
