import { expect, openSession, test } from './journey.js';

test('the administrator changes the settings, with wrong fields named', async ({ page }) => {
  await openSession(page, 'pell.arkwright@fernhollow.example');
  await page.goto('/school');
  await page.getByLabel('Time zone').fill('Middle/Earth');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByText('Unknown time zone.', { exact: false })).toBeVisible();
  await page.getByLabel('Time zone').fill('Europe/Dublin');
  await page.getByLabel('Short-link host').fill('k.fernhollow.example');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByText('Settings saved.', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Short-link host')).toHaveValue('k.fernhollow.example');
  await page.getByLabel('Public address').fill('https://hapset.fernhollow.example');
  await expect(
    page.getByText(/on paper carr(?:y|ies) the present address|No printed sheet uses the current address/),
  ).toBeVisible();
  await page.reload();
  await page.getByLabel('Short-link host').fill('');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByText('Settings saved.', { exact: true })).toBeVisible();
});

test('a teacher reads the settings and keeps the classes', async ({ page }) => {
  await openSession(page);
  await page.goto('/school');
  await expect(page.getByText('Only the school’s administrator can change these.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Save settings' })).toHaveCount(0);
  await page.getByRole('button', { name: 'New class' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Save class' }).click();
  await expect(dialog.getByRole('alert')).toHaveText('A class needs a name.');
  await dialog.getByLabel('Name', { exact: true }).fill('4 Tern');
  await dialog.getByLabel(/Clamshell laptops/).uncheck();
  await dialog.getByRole('button', { name: 'Save class' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: '4 Tern' })).toContainText(
    'Shared tablets, Small old phones, New phones',
  );
});

test('the devices of the school are listed with what their cameras see', async ({ page }) => {
  await openSession(page);
  await page.goto('/devices');
  await expect(page.getByRole('listitem')).toHaveCount(4);
  await expect(page.getByText('Set what its scanner opens')).toHaveCount(0);
  await expect(page.getByRole('listitem').filter({ hasText: 'Clamshell laptops' })).toContainText('28 in the school');
});

test('the administrator says what a scanner does, and forms know it', async ({ page }) => {
  await openSession(page, 'pell.arkwright@fernhollow.example');
  await page.goto('/devices');
  const tablets = page.getByRole('listitem').filter({ hasText: 'Shared tablets' });
  await tablets.getByText('Set what its scanner opens').click();
  await tablets.getByLabel('Shared tablets joins networks').click();
  await expect(tablets).not.toContainText('starts e-mails, joins networks');
  await page.goto('/add');
  await page.getByRole('button', { name: 'Network' }).click();
  await page.getByLabel('Name', { exact: false }).first().fill('Guests');
  await page.getByLabel('Password').fill('tide-at-the-pier');
  await expect(page.getByText(/Shared tablets and Small old phones show the network as text/)).toBeVisible();
  await page.goto('/devices');
  await tablets.getByText('Set what its scanner opens').click();
  await tablets.getByLabel('Shared tablets joins networks').click();
  await expect(tablets.getByLabel('Shared tablets joins networks')).toBeChecked();
  await expect(tablets.getByLabel('Shared tablets joins networks')).toBeEnabled();
});
