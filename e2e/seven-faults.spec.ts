import type { BrowserContext, Page } from '@playwright/test';
import {
  add,
  addOne,
  askleaf,
  cofferlane,
  expect,
  glimreel,
  hushtone,
  newLesson,
  openSession,
  test,
} from './journey.js';

/** Goes where the application says, signs in there once, does what the step says, and comes back. */
async function fixThere(
  page: Page,
  context: BrowserContext,
  service: string,
  step: RegExp,
  change: (there: Page) => Promise<void>,
): Promise<void> {
  await expect(page.getByRole('listitem').filter({ hasText: step })).toBeVisible();
  const [there] = await Promise.all([
    context.waitForEvent('page'),
    page.getByRole('link', { name: `Go there in ${service}` }).click(),
  ]);
  if (await there.getByLabel('Key').isVisible()) {
    await there.getByLabel('Name').fill('Maren Dallow');
    await there.getByLabel('Key').fill('oyster');
    await there.getByRole('button', { name: 'Sign in' }).click();
  }
  await change(there);
  await there.waitForLoadState();
  await there.close();
  await page.bringToFront();
  await page.getByRole('button', { name: 'Check again' }).click();
  await expect(page.getByRole('heading', { name: 'Opens for everyone', exact: true })).toBeVisible();
}

test('a lesson of seven stations with seven faults is brought to ready by the steps that are shown', async ({
  page,
  context,
}) => {
  test.setTimeout(240_000);
  await openSession(page);
  await newLesson(page, 'Seven faults');
  const links = [
    `${cofferlane}/leaf/seven-faults-locked`,
    `${cofferlane}/crate/seven-faults-box`,
    `${cofferlane}/leaf/seven-faults-open-to-change`,
    `${askleaf}/ask/seven-faults-full`,
    `${glimreel}/reel/seven-faults-dark`,
    `${hushtone}/tone/seven-faults-over`,
    `${hushtone}/tone/seven-faults-school`,
  ];
  await add(page, links.join('\n'));
  const opens = page.getByRole('table');
  for (const words of [
    'Asks to sign in',
    'Partly locked',
    'Anyone can change it',
    'Closed',
    'Chosen people only',
    'School accounts only',
  ])
    await expect(opens.getByText(words, { exact: true }).first()).toBeVisible();
  await expect(opens.getByText('Closed', { exact: true })).toHaveCount(2);
  const bench = page.url();
  const station = async (name: string): Promise<void> => {
    await page.goto(bench);
    await opens.getByRole('link', { name, exact: true }).click();
    await expect(page.getByRole('button', { name: 'Check again' })).toBeEnabled();
  };
  const keep = (there: Page): Promise<void> => there.getByRole('button', { name: 'Keep' }).click();

  await test.step('a document that asks to sign in', async () => {
    await station('Seven faults locked');
    await fixThere(page, context, 'Cofferlane', /Who may look.*No sign-in needed/, async (there) => {
      await there.getByLabel('No sign-in needed').check();
      await keep(there);
    });
  });
  await test.step('a folder with a locked thing in it', async () => {
    await station('Box of faults');
    await expect(page.getByRole('list', { name: 'What does not open inside it' })).toContainText(
      'fault-02asks to sign in',
    );
    await fixThere(page, context, 'Cofferlane', /for each locked item/, async (there) => {
      await there.getByRole('group', { name: 'fault-02' }).getByLabel('No sign-in needed').check();
      await keep(there);
    });
  });
  await test.step('a document that students could change', async () => {
    await station('Open to change');
    await fixThere(page, context, 'Cofferlane', /take the tick off/, async (there) => {
      await there.getByLabel('Whoever looks may change it').uncheck();
      await keep(there);
    });
    await expect(page.getByText('Students can look.')).toBeVisible();
  });
  await test.step('a form that has all its answers', async () => {
    await station('Seven faults full');
    await fixThere(page, context, 'Askleaf', /its number of answers/, async (there) => {
      await there.getByLabel('So many answers').fill('');
      await keep(there);
    });
    await expect(page.getByText('Students can look and answer once.')).toBeVisible();
  });
  await test.step('a film that is shown to nobody', async () => {
    await station('Seven faults dark');
    await fixThere(page, context, 'Glimreel', /To whoever has the link/, async (there) => {
      await there.getByLabel('To whoever has the link').check();
      await keep(there);
    });
  });
  await test.step('a sound whose link is over', async () => {
    await station('Seven faults over');
    await fixThere(page, context, 'Hushtone', /Lasts until/, async (there) => {
      await there.getByLabel('Lasts until').fill('');
      await keep(there);
    });
  });
  await test.step('a sound for the school’s own people', async () => {
    await station('Seven faults school');
    await fixThere(page, context, 'Hushtone', /No sign-in needed/, async (there) => {
      await there.getByLabel('No sign-in needed').check();
      await keep(there);
    });
  });
  await page.goto(bench);
  await expect(opens.getByText('without signing in')).toHaveCount(7);
});

test('a short link of somebody else is pointed out, with every host on the way', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, `${hushtone.replace('hushtone', 'nipaway')}/n/foghorn`);
  await expect(page.getByRole('heading', { name: 'Opens for everyone', exact: true })).toBeVisible();
  for (const host of ['nipaway.localhost', 'tally.nipaway.localhost'])
    await expect(
      page.getByText(`The link goes through ${host}, which could stop working or change its target one day.`).first(),
    ).toBeVisible();
  await expect(page.getByText('Students can look and save it.')).toBeVisible();
  await page.getByText('Steps of the check').click();
  await expect(page.getByText('Tablets may be on another network')).toBeVisible();
  await page.getByText('Earlier checks').click();
  await expect(page.locator('#opens').getByText('Anyone', { exact: true })).toBeVisible();
});

test('what stopped opening is told on the start page, and leads to its station', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'News of the pier');
  await add(page, `${hushtone}/tone/news-of-the-pier`);
  await expect(page.getByText('without signing in')).toBeVisible();
  const lesson = page.url();
  await page.goto(`${hushtone}/tone/news-of-the-pier/desk`);
  await page.getByLabel('Name').fill('Maren Dallow');
  await page.getByLabel('Key').fill('oyster');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.getByLabel('Our school').check();
  await page.getByRole('button', { name: 'Keep' }).click();
  await expect(page.getByLabel('Our school')).toBeChecked();
  await page.goto(lesson);
  await page.getByRole('button', { name: 'Check all again' }).click();
  await expect(page.getByText('School accounts only')).toBeVisible();
  await page.goto('/');
  const news = page.getByRole('region', { name: 'What changed' });
  await expect(news).toContainText('News of the pier: opens only with a school account');
  await news.getByRole('link', { name: /News of the pier/ }).click();
  await expect(page.getByRole('heading', { name: 'Opens only with a school account' })).toBeVisible();
});
