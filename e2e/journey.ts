/** What every journey begins with: a browser that may reach the application and the stand-ins only, and a teacher. */
import { expect, test as base, type Locator, type Page } from '@playwright/test';

/** Each worker has a stack of its own; scripts/test.mjs counts the same way. */
export const stackPort =
  Number(process.env.HAPSET_TEST_PORT ?? '4400') + 20 * Number(process.env.TEST_PARALLEL_INDEX ?? '0');
/** Where browsers reach it: over https where a proxy is in front (scripts/https-test.mjs). */
export const isHttps = process.env.HAPSET_TEST_KEY_HASH !== undefined;
export const stackAddress = isHttps ? `https://127.0.0.1:${stackPort + 1}` : `http://127.0.0.1:${stackPort}`;
export const neighboursPort = String(stackPort + 10);
export const cofferlane = `http://cofferlane.localhost:${neighboursPort}`;
export const askleaf = `http://askleaf.localhost:${neighboursPort}`;
export const glimreel = `http://glimreel.localhost:${neighboursPort}`;
export const hushtone = `http://hushtone.localhost:${neighboursPort}`;

const demoPassword = 'low-tide-at-nine';

/** Fails a journey that asks any other host for anything, or that breaks on the page. */
export const test = base.extend<{ watched: undefined }>({
  baseURL: stackAddress,
  watched: [
    async ({ context, baseURL }, use) => {
      const strangers: string[] = [];
      const breakdowns: string[] = [];
      context.on('request', (request) => {
        const url = new URL(request.url());
        const known =
          url.origin === new URL(baseURL ?? '').origin ||
          url.host.endsWith(`.localhost:${neighboursPort}`) ||
          ['data:', 'blob:'].includes(url.protocol);
        if (!known) strangers.push(request.url());
      });
      context.on('weberror', (error) => breakdowns.push(error.error().message));
      await use(undefined);
      expect(strangers, 'requests to strangers').toEqual([]);
      expect(breakdowns, 'errors on the page').toEqual([]);
    },
    { auto: true },
  ],
});
export { expect };

/** Signs in without the form (session.spec.ts drives that one), for journeys that begin on a page of their own. */
export async function openSession(page: Page, email = 'maren.dallow@fernhollow.example'): Promise<void> {
  const response = await page.request.post('/api/session', { data: { email, password: demoPassword } });
  expect(response.status()).toBe(201);
}

/** The same, and stands on the start page. */
export async function signIn(page: Page, email?: string): Promise<void> {
  await openSession(page, email);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: /^Hello, / })).toBeVisible();
}

export async function signOut(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Account of / }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
}

/** Makes a lesson without its dialog (drafts.spec.ts and others drive that one), and stands on its bench. */
export async function newLesson(page: Page, name: string, distanceM = '1.5'): Promise<void> {
  const classes = (await (await page.request.get('/api/classes')).json()) as { id: string; name: string }[];
  const classId = classes.find((each) => each.name === '6 Kestrel')?.id ?? null;
  const data = {
    name,
    classId,
    date: null,
    startsAt: null,
    place: 'Biology room',
    viewingDistanceM: Number(distanceM),
  };
  const made = await page.request.post('/api/lessons', { data });
  expect(made.status()).toBe(201);
  await page.goto(`/lessons/${((await made.json()) as { id: string }).id}`);
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

/** Makes a lesson as a teacher does. */
export async function makeLesson(page: Page, name: string, distanceM: string): Promise<void> {
  await page.goto('/lessons');
  await page.getByRole('button', { name: 'New lesson' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill(name);
  await dialog.getByLabel('Class').selectOption({ label: '6 Kestrel' });
  await dialog.getByLabel('Place').fill('Biology room');
  await dialog.getByLabel('Viewing distance').fill(distanceM);
  await dialog.getByRole('button', { name: 'Create lesson' }).click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

/** Types into the intake and adds what was understood, though it may be on the shelf already: each journey has things of its own. */
export async function add(page: Page, text: string): Promise<void> {
  const intake = page.getByLabel(/^Next (?:station|material)$/);
  await intake.fill(text);
  await addAnyway(page);
  await page.getByRole('button', { name: /^Add\b/ }).click();
  await expect(intake).toHaveValue('');
}

/** Adds one thing on the shelf, which leads to its page. */
export async function addOne(page: Page, text: string): Promise<void> {
  await page.getByLabel('Next material').fill(text);
  await addAnyway(page);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await page.waitForURL(/\/shelf\/./);
}

/** Adds again what is on the shelf already, once that is known. */
export async function addAnyway(page: Page): Promise<void> {
  const review = page.getByRole('list', { name: 'What will be added' });
  await expect(review).toBeVisible();
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
  for (const box of await review.getByRole('checkbox').all()) await box.check();
}

export function bench(page: Page): Locator {
  return page.getByRole('table', { name: 'Stations' });
}

/** What is done with a whole lesson is in the menu beside its next step. */
export async function moreForLesson(page: Page, entry: string): Promise<void> {
  await page.getByRole('button', { name: 'More for this lesson' }).click();
  await page.getByRole('menuitem', { name: entry }).click();
}

/** Names of the stations in their order. */
export async function stationNames(page: Page): Promise<readonly string[]> {
  return bench(page).locator('[role=row] a.block').allInnerTexts();
}

/** Waits until nothing is opened or rehearsed any more. */
export async function settled(page: Page): Promise<void> {
  await expect(page.getByText(/^(?:Opening|Rehearsing) \d+ of \d+/)).toHaveCount(0, { timeout: 150_000 });
}

/** On a material's page: its code carries the school's short link from now on. */
export async function carryShortLink(page: Page): Promise<void> {
  await openPart(page, 'carries');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'The school’s short link' })
    .getByRole('button', { name: 'Use this' })
    .click();
}

/** Unfolds a part of a material's page, as a link to it does. */
export async function openPart(
  page: Page,
  id: 'opens' | 'carries' | 'short-link' | 'look' | 'reads' | 'paper',
): Promise<void> {
  await page.locator(`#${id}`).waitFor();
  await page.evaluate((part) => {
    location.hash = part;
  }, id);
  await page
    .locator(`#${id}`)
    .getByRole('button', { name: /^Hide / })
    .waitFor();
}
