import type { Page } from '@playwright/test';
import {
  add,
  askleaf,
  bench,
  cofferlane,
  expect,
  glimreel,
  neighboursPort,
  newLesson,
  openSession,
  settled,
  test,
} from './journey.js';

const links = [
  `${askleaf}/ask/tide-line-tally`,
  `${cofferlane}/leaf/what-yeast-eats`,
  `${cofferlane}/crate/photo-bank-north-cove`,
  `${glimreel}/reel/a-limpet-walks`,
  `${cofferlane}/leaf/tide-diary`,
  `${glimreel}/reel/the-lamp-at-night`,
];

/** The stand-ins send pages that scripts draw, or plain ones. */
async function switchPages(page: Page, pages: 'drawn' | 'plain'): Promise<void> {
  const hosts = ['cofferlane', 'askleaf', 'glimreel', 'hushtone'];
  const response = await page.request.post(`http://127.0.0.1:${neighboursPort}/`, {
    headers: { Host: `switchboard.localhost:${neighboursPort}` },
    form: Object.fromEntries(hosts.map((host) => [`pages ${host}.localhost`, pages])),
    maxRedirects: 0,
  });
  expect(response.status()).toBe(302);
}

/** As the owner, at the service. */
async function unlock(page: Page, address: string, choices: readonly string[]): Promise<void> {
  await page.goto(address);
  const name = page.getByLabel('Name');
  await name
    .or(page.getByRole('button', { name: 'Keep' }))
    .first()
    .waitFor();
  if (await name.isVisible()) {
    await name.fill('Maren Dallow');
    await page.getByLabel('Key').fill('oyster');
    await page.getByRole('button', { name: 'Sign in' }).click();
  }
  await page.getByRole('button', { name: 'Keep' }).waitFor();
  for (const choice of choices) for (const radio of await page.getByLabel(choice).all()) await radio.check();
  await page.getByRole('button', { name: 'Keep' }).click();
  for (const choice of choices) await expect(page.getByLabel(choice).first()).toBeChecked();
}

test.afterEach(({ page }) => switchPages(page, 'plain'));

test('a lesson whose services draw their pages by scripts becomes ready, and nothing locked is ever called open', async ({
  page,
  context,
}) => {
  await switchPages(page, 'drawn');
  await openSession(page);
  await newLesson(page, 'Drawn by scripts', '1');
  const lesson = page.url();
  await add(page, links.join('\n'));
  const row = (position: number): ReturnType<Page['locator']> => bench(page).getByRole('row').nth(position);

  await test.step('what no list of words knows is not called open', async () => {
    await settled(page);
    for (const position of [1, 2, 4]) await expect(row(position)).toContainText('without signing in');
    await expect(row(3)).toContainText('Partly locked');
    for (const position of [5, 6]) await expect(row(position)).toContainText('Something covers it');
    await expect(page.getByText('without signing in')).toHaveCount(3);
  });

  await test.step('pointing at the answer, or standing on it, shows what a student sees', async () => {
    await row(5)
      .getByRole('link', { name: /^Opens/ })
      .focus();
    const picture = page.getByRole('img', { name: /^What a student sees at / });
    await expect(picture).toBeVisible();
    await expect.poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(390);
  });

  await test.step('its page shows the picture, and asks a person', async () => {
    await row(5)
      .getByRole('link', { name: /^Opens/ })
      .click();
    await expect(page.getByRole('heading', { name: 'Something covers the page' })).toBeVisible();
    await expect(page.getByRole('img', { name: /Deník patří oddílu Racek/ })).toBeVisible();
    await page.getByRole('button', { name: 'Enlarge the picture' }).click();
    await expect(page.getByRole('dialog', { name: 'What a student sees' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.getByRole('button', { name: 'Enlarge the picture' })).toBeFocused();
    await expect(page.getByRole('button', { name: 'It opens', exact: true })).toBeVisible();
    await expect(page.getByRole('button', { name: 'It doesn’t open', exact: true })).toBeVisible();
  });

  await test.step('opened for everybody at the services, all of it opens', async () => {
    const owner = await context.newPage();
    await unlock(owner, `${cofferlane}/leaf/tide-diary/who`, ['No sign-in needed']);
    await unlock(owner, `${cofferlane}/crate/photo-bank-north-cove/who`, ['No sign-in needed']);
    await unlock(owner, `${glimreel}/reel/the-lamp-at-night/desk`, ['To whoever has the link']);
    await owner.close();
    await page.goto(lesson);
    await page.getByRole('button', { name: 'Check all again' }).click();
    await expect(page.getByText('without signing in')).toHaveCount(6, { timeout: 120_000 });
    await settled(page);
    await expect(page.getByText(/^0 of 6 stations ready/)).toBeVisible();
  });

  await test.step('with its posters made, it is ready', async () => {
    await page.getByRole('link', { name: 'Make sheets' }).click();
    await page.getByRole('button', { name: 'Make the sheets' }).click();
    await expect(page.getByRole('link', { name: /^Save/ }).first()).toBeVisible({ timeout: 120_000 });
    await page.goto(lesson);
    await expect(page.getByText('6 of 6 stations ready')).toBeVisible({ timeout: 120_000 });
  });
});
