import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { addOne, expect, moreForLesson, openPart, settled, signIn, test } from './journey.js';

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface AxeResult {
  readonly violations: readonly {
    readonly id: string;
    readonly impact: string;
    readonly nodes: readonly { readonly html: string }[];
  }[];
}

/** What axe finds that is serious or worse. */
async function seriousFindings(page: Page): Promise<readonly string[]> {
  await page.evaluate(axeSource);
  const { violations } = await page.evaluate(() =>
    (globalThis as unknown as { axe: { run: () => Promise<AxeResult> } }).axe.run(),
  );
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`);
}

async function wideness(page: Page): Promise<number> {
  return page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
}

const views = [
  ['start', '/', 'Good to see you'],
  ['lessons', '/lessons', 'Lessons'],
  ['shelf', '/shelf', 'Shelf'],
  ['add', '/add', 'Add something'],
  ['inspect', '/inspect', 'Inspect a code'],
  ['files', '/shelf/files', 'Files'],
  ['short links', '/shelf/short-links', 'Short links'],
  ['devices', '/devices', 'Devices'],
  ['school', '/school', 'Fernhollow School'],
  ['looks', '/school/looks', 'Looks'],
  ['a new look', '/school/looks/new', 'Design a look'],
  ['sheets that were made', '/sheets', 'Sheets'],
  ['templates of sheets', '/school/templates', 'Templates of sheets'],
  ['students', '/school/students', 'Students'],
  ['a roster', '/school/students/import', 'Import roster'],
  ['student cards', '/school/students/cards', 'Student cards'],
  ['reading cards', '/school/students/read', 'Read cards'],
  ['services', '/school/services', 'Services'],
  ['a service', '/school/services/askleaf', 'Askleaf'],
] as const;

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  test.describe(`at ${width} pixels`, () => {
    test.use({ viewport: { width, height } });

    for (const [name, path, heading] of views) {
      test(`${name} fits, and axe finds nothing serious`, async ({ page }) => {
        await signIn(page, path === '/school/students/import' ? 'hesper.tolland@fernhollow.example' : undefined);
        await page.goto(path);
        await expect(page.getByRole('heading', { name: heading, level: 1, exact: false })).toBeVisible();
        await expect(page.locator('.animate-pulse')).toHaveCount(0);
        expect(await wideness(page)).toBe(0);
        expect(await seriousFindings(page)).toEqual([]);
      });
    }

    test('sign-in fits, and axe finds nothing serious', async ({ page }) => {
      await page.goto('/sign-in');
      await expect(page.getByText('This is a demonstration.')).toBeVisible();
      expect(await wideness(page)).toBe(0);
      expect(await seriousFindings(page)).toEqual([]);
    });

    test('a short link and a tryout fit, and axe finds nothing serious', async ({ page }) => {
      await signIn(page);
      await page.goto('/shelf');
      await addOne(page, `https://a.example/views/${width}`);
      await openPart(page, 'carries');
      await page
        .getByRole('listitem')
        .filter({ hasText: 'The school’s short link' })
        .getByRole('button', { name: 'Carry this' })
        .click();
      await openPart(page, 'short-link');
      await page.getByText('Opening hours, openings and history').click();
      await expect(page.getByRole('heading', { name: 'Where it led before' })).toBeVisible();
      expect(await wideness(page)).toBe(0);
      expect(await seriousFindings(page)).toEqual([]);
      await openPart(page, 'reads');
      await page.getByRole('link', { name: 'Try a device' }).click();
      await expect(page.getByText('Waiting.', { exact: false })).toBeVisible();
      expect(await wideness(page)).toBe(0);
      expect(await seriousFindings(page)).toEqual([]);
    });

    test('a message that is being written fits, and axe finds nothing serious', async ({ page }) => {
      await signIn(page);
      await page.goto('/add');
      await page.getByRole('button', { name: 'Message', exact: true }).click();
      await page.getByLabel('Message', { exact: true }).fill('The sea takes the sand and brings it back. '.repeat(20));
      await expect(page.getByText(/Too fine in the hand/)).toBeVisible();
      expect(await wideness(page)).toBe(0);
      expect(await seriousFindings(page)).toEqual([]);
    });

    test('bench and material fit, and axe finds nothing serious', async ({ page }) => {
      await signIn(page);
      await page.getByRole('link', { name: /The bakery of tiny helpers/ }).click();
      await expect(page.getByRole('table')).toBeVisible();
      await settled(page);
      expect(await wideness(page)).toBe(0);
      expect(await seriousFindings(page)).toEqual([]);
      await page.getByRole('link', { name: 'Rising dough log' }).click();
      await expect(page.getByRole('heading', { name: 'It is closed' })).toBeVisible();
      expect(await wideness(page)).toBe(0);
      expect(await seriousFindings(page)).toEqual([]);
    });

    test('the composer fits, and axe finds nothing serious', async ({ page }) => {
      await signIn(page);
      await page.getByRole('link', { name: /The bakery of tiny helpers/ }).click();
      await moreForLesson(page, 'Make sheets');
      for (const kind of ['Posters', 'Table cards', 'Labels']) {
        await page.getByText(kind, { exact: true }).click();
        await expect(page.getByRole('img', { name: /^Page 1 of/ })).toBeVisible();
        expect(await wideness(page)).toBe(0);
        expect(await seriousFindings(page)).toEqual([]);
      }
      await page.getByRole('button', { name: 'New template' }).click();
      await expect(page.getByRole('dialog')).toBeVisible();
      expect(await seriousFindings(page)).toEqual([]);
    });

    test('the page editor and what students see fit, and axe finds nothing serious', async ({ page }) => {
      await signIn(page);
      for (const title of ['Before you go out', 'Rock pools we drew', 'Shore sounds']) {
        await page.goto('/shelf');
        // Other journeys leave more materials than one page of the shelf holds.
        await page.getByLabel('Find on the shelf').fill(title);
        await expect(page.getByRole('listitem').filter({ hasNotText: title })).toHaveCount(0);
        await page.getByRole('link', { name: title }).last().click();
        const link = page.getByRole('link', { name: 'See it as a student' });
        await expect(link).toBeVisible();
        expect(await wideness(page)).toBe(0);
        expect(await seriousFindings(page)).toEqual([]);
        const href = (await link.getAttribute('href')) ?? '';
        if (title === 'Before you go out') {
          await page.getByRole('link', { name: 'Write', exact: true }).click();
          await expect(page.getByRole('textbox', { name: 'The page' })).toContainText('What to bring');
          expect(await wideness(page)).toBe(0);
          expect(await seriousFindings(page)).toEqual([]);
        }
        await page.goto(href);
        await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
        expect(await wideness(page)).toBe(0);
        expect(await seriousFindings(page)).toEqual([]);
      }
      await page.goto('/p/abcdefghijkmnpqr');
      await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
      expect(await seriousFindings(page)).toEqual([]);
    });

    test('dialogs and the review fit, and axe finds nothing serious', async ({ page }) => {
      await signIn(page);
      await page.getByLabel('What should students open?').fill('“https://a.example/x”.\nftp://a.example');
      await expect(page.getByRole('list', { name: 'What will be added' })).toBeVisible();
      // While the shelf is asked, the button is greyed; colours are looked at when it is not.
      await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
      expect(await wideness(page)).toBe(0);
      expect(await seriousFindings(page)).toEqual([]);
      await page.getByRole('button', { name: 'New lesson' }).click();
      expect(await seriousFindings(page)).toEqual([]);
    });
  });
}
