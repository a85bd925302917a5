import { expect, newLesson, signIn, test } from './journey.js';
import { decodePng } from './decode.js';

test('an event becomes a code whose instants are right in summer and in winter', async ({ page }, info) => {
  await signIn(page);
  for (const [day, start] of [['2027-06-12', '20270612T083000Z'], ['2027-12-12', '20271212T093000Z']] as const) {
    await page.goto('/add');
    await page.getByRole('button', { name: 'Event' }).click();
    await page.getByLabel('What happens?').fill('Harbour walk');
    await page.getByLabel('Day').fill(day);
    await page.getByLabel('Begins at').fill('09:30');
    await page.getByLabel('Ends at').fill('08:00');
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('alert')).toHaveText('It ends before it begins.');
    await page.getByLabel('Ends at').fill('11:00');
    await expect(page.getByRole('img', { name: 'The code as it would be now' })).toBeVisible();
    await page.getByRole('button', { name: 'Add it' }).click();
    await expect(page.getByRole('heading', { name: 'Harbour walk', level: 1 })).toBeVisible();
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('link', { name: 'Save picture' }).click()]);
    const file = info.outputPath('event.png');
    await download.saveAs(file);
    expect(decodePng(file)).toContain(`DTSTART:${start}`);
  }
});

test('a network goes into the lesson it was added for, and can be changed', async ({ page }) => {
  await signIn(page);
  await newLesson(page, 'With a network');
  await page.getByRole('link', { name: 'Add a station' }).click();
  await expect(page.getByLabel('Goes to')).toHaveValue(/.+/);
  await page.getByRole('button', { name: 'Network' }).click();
  await expect(page.getByText('Whoever scans the code can read the password in it.')).toBeVisible();
  await page.getByLabel('Name of the network').fill('Fernhollow guests');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toHaveText('A WPA password has 8 to 63 characters.');
  await page.getByLabel('Password').fill('tide-at-the-pier');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText('WIFI:T:WPA;S:Fernhollow guests;P:tide-at-the-pier;;').first()).toBeVisible();
  await expect(page.getByText('› Station 1')).toBeVisible();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Change what the code says' }).click();
  await page.getByRole('dialog').getByLabel('Password').fill('ebb-and-flow-9');
  await page.getByRole('button', { name: 'Keep the change' }).click();
  await expect(page.getByText('P:ebb-and-flow-9', { exact: false }).first()).toBeVisible();
});

test('what a bookmark or a phone’s share menu brings survives signing in first', async ({ page }) => {
  await page.goto('/add?link=https%3A%2F%2Fa.example%2Ftide-tables&title=Tide%20tables');
  await expect(page).toHaveURL(/\/sign-in\?next=/);
  await page.getByRole('button', { name: 'Look around as Maren Dallow' }).click();
  await expect(page.getByLabel('What should students open?')).toHaveValue('https://a.example/tide-tables Tide tables');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Tide tables', level: 1 })).toBeVisible();
});

test('the application can be installed and stands in the share menu', async ({ page }) => {
  await page.goto('/sign-in');
  const manifest = await page.evaluate(async () => (await fetch(document.querySelector<HTMLLinkElement>('link[rel=manifest]')?.href ?? '')).json() as Promise<{ share_target: object; icons: { src: string }[] }>);
  expect(manifest.share_target).toEqual({ action: '/add', method: 'GET', params: { title: 'title', text: 'text', url: 'link' } });
  for (const { src } of manifest.icons) expect((await page.request.get(src)).status()).toBe(200);
  await expect.poll(() => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())?.active?.state)).toBe('activated');
});

test('the bookmark button holds a plain script', async ({ page, baseURL }) => {
  await signIn(page);
  await page.goto('/add');
  await expect(page.getByText('Bring this page', { exact: true })).toHaveAttribute('href', new RegExp(`^javascript:.*${baseURL ?? ''}/add\\?link=`));
});
