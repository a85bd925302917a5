import type { Page } from '@playwright/test';
import { expect, isHttps, test } from './journey.js';
import { OwnSchool } from './own-school.js';

const password = 'a shell for every crab';
const phone = {
  viewport: { width: 390, height: 844 },
  userAgent:
    'Mozilla/5.0 (iPhone; CPU iPhone OS 17_5 like Mac OS X) AppleWebKit/605.1.15 (KHTML, like Gecko) Version/17.5 Mobile/15E148 Safari/604.1',
};

const school = new OwnSchool();
test.afterAll(() => school.stop());

async function fillPerson(page: Page, name: string, email: string, given: string): Promise<void> {
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('E-mail address').fill(email);
  await page.getByLabel('Password', { exact: true }).fill(given);
}

test('an empty server becomes a school: setup, checklist, a colleague, and a code that a student opens', async ({
  browser,
}) => {
  const setupLink = await school.startEmpty();
  const { address } = school;
  /** Somebody with a separate browser. */
  const somebody = async (more: object = {}): Promise<Page> =>
    (await browser.newContext({ baseURL: address, serviceWorkers: 'block', ...more })).newPage();
  const administrator = await somebody({ locale: 'en-IE', timezoneId: 'Europe/Dublin' });
  const teacher = await somebody();
  const student = await somebody(phone);
  let code = '';

  await test.step('the printed link asks for the school and its first administrator', async () => {
    await administrator.goto('/');
    await expect(administrator.getByText('This school is not set up yet')).toBeVisible();
    await administrator.goto(setupLink);
    await administrator.getByLabel('School’s name').fill('Samphire School');
    await expect(administrator.getByLabel('Time zone')).toHaveValue('Europe/Dublin');
    await fillPerson(administrator, 'Wenna Sloe', 'wenna.sloe@samphire.example', 'samphire2026');
    await administrator.getByRole('button', { name: 'Create school and account' }).click();
    await expect(administrator.getByText('This is easy to guess')).toBeVisible();
    await administrator.getByLabel('Password', { exact: true }).fill(password);
    await administrator.getByRole('button', { name: 'Create school and account' }).click();
    await expect(administrator.getByRole('heading', { name: 'Get your school ready' })).toBeVisible();
  });

  await test.step('a phone that scans the code ticks its step', async () => {
    await expect(administrator.getByText('0 of 6 steps done')).toBeVisible();
    const made = administrator.waitForResponse('**/api/arrivals');
    await administrator.getByRole('button', { name: 'Show the code' }).click();
    const { token } = (await (await made).json()) as { token: string };
    await expect(administrator.getByRole('img', { name: 'Code for a phone' })).toBeVisible();
    await student.goto(`/p/arrivals/${token}`);
    await expect(student.getByRole('heading', { name: 'This phone reached the school’s server' })).toBeVisible();
    // Over https, that is a step of its own.
    const [how, steps] = isHttps ? ['', 2] : [', without https', 1];
    await expect(administrator.getByText(`A phone reached this server at ${address}${how}`)).toBeVisible();
    await expect(administrator.getByText(`${steps} of 6 steps done`)).toBeVisible();
  });

  await test.step('a colleague is invited by a code', async () => {
    await administrator.getByRole('link', { name: 'Invite colleagues' }).click();
    await administrator.getByRole('button', { name: 'Invite a colleague' }).click();
    const dialog = administrator.getByRole('dialog');
    await dialog.getByLabel('For whom').fill('Ida, year 6');
    await dialog.getByRole('button', { name: 'Make invitation' }).click();
    code = (await dialog.getByText(/^(?:[A-Z0-9]{4}-){3}[A-Z0-9]{4}$/).textContent()) ?? '';
    await dialog.getByRole('button', { name: 'Done' }).click();
    await expect(administrator.getByText('Ida, year 6')).toBeVisible();
  });

  await test.step('who types it chooses name and password, and is in', async () => {
    await teacher.goto('/join');
    await teacher.getByLabel('Code').fill(code.toLowerCase().replaceAll('-', ' '));
    await teacher.getByRole('button', { name: 'Continue' }).click();
    await expect(teacher.getByRole('heading', { name: 'Join Samphire School' })).toBeVisible();
    await fillPerson(teacher, 'Ida Marsh', 'ida@samphire.example', 'tide pool lantern');
    await teacher.getByRole('button', { name: 'Create account' }).click();
    await expect(teacher.getByRole('heading', { name: /^Hello, / })).toBeVisible();
    await administrator.reload();
    await expect(administrator.getByText('ida@samphire.example')).toBeVisible();
    await expect(administrator.getByText('No pending invitations')).toBeVisible();
  });

  await test.step('what she writes opens for a student without an account', async () => {
    await teacher.goto('/add');
    await teacher.getByRole('button', { name: 'Write a page' }).click();
    await teacher.getByLabel('Title').fill('Low tide walk');
    await teacher.getByRole('textbox', { name: 'The page' }).fill('Meet at the slipway.');
    await expect(teacher.getByText('saved', { exact: true })).toBeVisible();
    await teacher.getByRole('link', { name: 'Done' }).click();
    const href = await teacher.getByRole('link', { name: 'View as a student' }).getAttribute('href');
    await student.goto(href ?? '');
    await expect(student.getByText('Meet at the slipway.')).toBeVisible();
  });

  await test.step('a backup that was made while it runs is restored into another folder, and the code still opens', async () => {
    const backup = school.backUp();
    await school.stop();
    await school.startRestored(backup);
    await student.reload();
    await expect(student.getByText('Meet at the slipway.')).toBeVisible();
    await administrator.goto('/school/staff');
    await expect(administrator.getByText('ida@samphire.example')).toBeVisible();
  });

  await test.step('the setup link is over', async () => {
    await student.goto(setupLink);
    await expect(student.getByRole('alert')).toContainText('has been used');
  });
});
