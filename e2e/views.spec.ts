import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import {
  addOne,
  carryShortLink,
  expect,
  moreForLesson,
  openPart,
  openSession,
  settled,
  signIn,
  test,
} from './journey.js';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface AxeResult {
  readonly violations: readonly {
    readonly id: string;
    readonly impact: string;
    readonly nodes: readonly { readonly html: string }[];
  }[];
}

/** What axe finds, best practices included. @param rules all of them unless given */
async function findings(page: Page, rules: readonly string[] | null = null): Promise<readonly string[]> {
  await page.evaluate(axeSource);
  const { violations } = await page.evaluate(
    (only) =>
      (globalThis as unknown as { axe: { run: (options: object) => Promise<AxeResult> } }).axe.run(
        only ? { runOnly: only } : { rules: { 'target-size': { enabled: true } } },
      ),
    rules,
  );
  return violations.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html.slice(0, 300)}`));
}

/** Pixels by which it scrolls sideways, once it is laid out for its new size. */
async function wideness(page: Page): Promise<number> {
  return page.evaluate(async () => {
    for (let frame = 0; frame < 2; frame += 1) await new Promise((resolve) => requestAnimationFrame(resolve));
    return document.documentElement.scrollWidth - document.documentElement.clientWidth;
  });
}

/** A desk, a phone, and a desk whose pages are shown at 400 %. */
const widths = [1280, 390, 320];

/** Fits at every width, and axe finds nothing, light and dark. */
async function expectRight(page: Page): Promise<void> {
  const found: string[] = [];
  for (const width of widths) {
    const note = (what: string): number => found.push(`${width} px: ${what}`);
    await page.setViewportSize({ width, height: 800 });
    const wide = await wideness(page);
    if (wide > 0) note(`scrolls sideways by ${wide} px`);
    if (width < 390) continue;
    (await findings(page)).forEach(note);
    await page.emulateMedia({ colorScheme: 'dark' });
    // Students' pages have no script for it.
    await page.waitForFunction(() => document.documentElement.dataset.theme !== 'light');
    for (const each of await findings(page, ['color-contrast'])) note(`dark, ${each}`);
    await page.emulateMedia({ colorScheme: 'light' });
    await page.waitForFunction(() => document.documentElement.dataset.theme !== 'dark');
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  expect(found).toEqual([]);
}

const views = [
  ['start', '/', 'Hello'],
  ['lessons', '/lessons', 'Lessons'],
  ['shelf', '/shelf', 'Shelf'],
  ['add', '/add', 'Add something'],
  ['inspect', '/inspect', 'Inspect a code'],
  ['files', '/shelf/files', 'Files'],
  ['short links', '/shelf/short-links', 'Short links'],
  ['devices', '/devices', 'Devices'],
  ['school', '/school', 'Fernhollow School'],
  ['your account', '/account', 'Your account'],
  ['staff', '/school/staff', 'Staff'],
  ['the activity log', '/school/activity', 'Activity log'],
  ['how long records are kept', '/school/retention', 'How long records are kept'],
  ['the setup', '/school/setup', 'Get your school ready'],
  ['the server’s condition', '/school/condition', 'Condition of the server'],
  ['looks', '/school/looks', 'Looks'],
  ['a new look', '/school/looks/new', 'Design a look'],
  ['sheets that were made', '/sheets', 'Sheets'],
  ['templates of sheets', '/school/templates', 'Sheet templates'],
  ['students', '/school/students', 'Students'],
  ['a roster', '/school/students/import', 'Import roster'],
  ['the next school year', '/school/students/next-year', 'Next school year'],
  ['photos', '/school/students/photos', 'Photos'],
  ['student cards', '/school/students/cards', 'Student cards'],
  ['reading cards', '/school/students/read', 'Read cards'],
  ['services', '/school/services', 'Services'],
  ['a service', '/school/services/askleaf', 'Askleaf'],
] as const;

/** Some pages are for the office or the administrator. */
function whoOpens(path: string): string | undefined {
  if (/^\/school\/students\/(?:import|next-year|photos)$/.test(path)) return 'hesper.tolland@fernhollow.example';
  return /^\/school\/(?:staff|activity|retention|setup|condition)$/.test(path)
    ? 'pell.arkwright@fernhollow.example'
    : undefined;
}

for (const [name, path, heading] of views) {
  test(`${name} at every width, light and dark`, async ({ page }) => {
    await openSession(page, whoOpens(path));
    await page.goto(path);
    await expect(page.getByRole('heading', { name: heading, level: 1, exact: false })).toBeVisible();
    await expect(page.locator('.animate-pulse')).toHaveCount(0);
    await expectRight(page);
  });
}

test('sign-in at every width, light and dark', async ({ page }) => {
  await page.goto('/sign-in');
  await expect(page.getByText('This is a demonstration.')).toBeVisible();
  await expectRight(page);
});

test('a short link and a tryout at every width, light and dark', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, 'https://a.example/views');
  await carryShortLink(page);
  await openPart(page, 'short-link');
  await page.getByText('Opening hours, scans and history').click();
  await expect(page.getByRole('heading', { name: 'Earlier targets' })).toBeVisible();
  await expectRight(page);
  await openPart(page, 'reads');
  await page.getByRole('link', { name: 'Try a device' }).click();
  await expect(page.getByText('Waiting.', { exact: false })).toBeVisible();
  await expectRight(page);
});

test('a message that is being written at every width, light and dark', async ({ page }) => {
  await openSession(page);
  await page.goto('/add');
  await page.getByRole('button', { name: 'Message', exact: true }).click();
  await page.getByLabel('Message', { exact: true }).fill('The sea takes the sand and brings it back. '.repeat(20));
  await expect(page.getByText(/Too fine for cards/)).toBeVisible();
  await expectRight(page);
});

test('bench and material at every width, light and dark', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: /The bakery of tiny helpers/ }).click();
  await expect(page.getByRole('table')).toBeVisible();
  await settled(page);
  await expectRight(page);
  await page.getByRole('link', { name: 'Rising dough log' }).click();
  await expect(page.getByRole('heading', { name: 'It is closed' })).toBeVisible();
  await expectRight(page);
});

test('the composer at every width, light and dark', async ({ page }) => {
  await signIn(page);
  await page.getByRole('link', { name: /The bakery of tiny helpers/ }).click();
  await moreForLesson(page, 'Make sheets');
  for (const kind of ['Posters', 'Table cards', 'Labels']) {
    await page.getByText(kind, { exact: true }).click();
    await expect(page.getByRole('img', { name: /^Page 1 of/ })).toBeVisible();
    await expectRight(page);
  }
  await page.getByRole('button', { name: 'New template' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await expectRight(page);
});

test('the page editor and what students see at every width, light and dark', async ({ page }) => {
  await signIn(page);
  for (const title of ['Before you go out', 'Rock pools we drew', 'Shore sounds']) {
    await page.goto('/shelf');
    // Other journeys leave more materials than one page of the shelf holds.
    await page.getByLabel('Find on the shelf').fill(title);
    await expect(page.getByRole('listitem').filter({ hasNotText: title })).toHaveCount(0);
    await page.getByRole('link', { name: title }).last().click();
    const link = page.getByRole('link', { name: 'View as a student' });
    await expect(link).toBeVisible();
    await expectRight(page);
    const href = (await link.getAttribute('href')) ?? '';
    if (title === 'Before you go out') {
      await page.getByRole('link', { name: 'Write', exact: true }).click();
      await expect(page.getByRole('textbox', { name: 'The page' })).toContainText('What to bring');
      await expectRight(page);
    }
    await page.goto(href);
    await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
    await expectRight(page);
  }
  await page.goto('/p/abcdefghijkmnpqr');
  await expect(page.getByRole('heading', { name: 'There is no page at this address' })).toBeVisible();
  await expectRight(page);
});

test('dialogs and the review at every width, light and dark', async ({ page }) => {
  await signIn(page);
  await page.getByLabel('What should students open?').fill('“https://a.example/x”.\nftp://a.example');
  await expect(page.getByRole('list', { name: 'What will be added' })).toBeVisible();
  // While the shelf is asked, the button is greyed; colours are looked at when it is not.
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
  await expectRight(page);
  await page.getByRole('button', { name: 'New lesson' }).click();
  await expectRight(page);
});
