import { languages } from '@hapset/student-texts';
import type { Page, Response } from '@playwright/test';
import { add, bench, expect, newLesson, openSession, test } from './journey.js';

/** The page of a material of the demo, as students reach it. */
async function pageOf(page: Page, title: string): Promise<string> {
  await openSession(page);
  // Other journeys leave more materials than one page of the shelf holds.
  await page.goto(`/shelf?find=${encodeURIComponent(title)}`);
  await expect(page.getByRole('listitem').filter({ hasNotText: title })).toHaveCount(0);
  await page.getByRole('link', { name: title }).last().click();
  const href = await page.getByRole('link', { name: 'View as a student' }).getAttribute('href');
  await page.context().clearCookies();
  return href ?? '';
}

/** Bytes that came: the page itself, its style within, and its fonts. */
async function weightOf(page: Page, address: string): Promise<number> {
  const answers: Response[] = [];
  page.on('response', (response) => answers.push(response));
  await page.goto(address);
  await page.evaluate(() => document.fonts.ready);
  const counted = answers.filter((response) =>
    ['document', 'font', 'stylesheet'].includes(response.request().resourceType()),
  );
  const sizes = await Promise.all(counted.map(async (response) => (await response.body()).length));
  return sizes.reduce((total, size) => total + size, 0);
}

test.describe('on a phone in Arabic', () => {
  test.use({ locale: 'ar-EG', viewport: { width: 390, height: 844 } });

  test('a page that is kept here is in Arabic from right to left, and can be had in other languages', async ({
    page,
  }) => {
    const address = await pageOf(page, 'Shore sounds');
    expect(await weightOf(page, address)).toBeLessThan(120_000);
    const root = page.locator('html');
    await expect(root).toHaveAttribute('lang', 'ar');
    await expect(root).toHaveAttribute('dir', 'rtl');
    await expect(page.getByText('نص التسجيل')).toBeVisible();
    await expect(page.getByRole('group', { name: 'السرعة' })).toBeVisible();
    const loaded = await page.evaluate(() =>
      [...document.fonts].filter(({ status }) => status === 'loaded').map(({ family }) => family),
    );
    expect(loaded.some((family) => family.includes('Hapset Script'))).toBe(true);
    await page.getByRole('navigation', { name: 'اللغة' }).getByRole('link', { name: 'Українська' }).click();
    await expect(root).toHaveAttribute('lang', 'uk');
    await expect(root).toHaveAttribute('dir', 'ltr');
    await expect(page.getByText('Текст запису')).toBeVisible();
    expect(await page.context().cookies()).toEqual([]);
  });

  test('a mistyped address keeps the language that was chosen', async ({ page }) => {
    await page.goto('/K/ZZZZZ?lang=tr');
    await expect(page.getByRole('heading', { name: 'Bu adreste bir sayfa yok' })).toBeVisible();
    await page.getByLabel('Adresin son bölümü').fill('zzz zy');
    await page.getByRole('button', { name: 'Aç' }).click();
    await expect(page).toHaveURL(/\/K\/zzz%20zy\?lang=tr$/i);
    await expect(page.locator('html')).toHaveAttribute('lang', 'tr');
    await page.goto('/p/abcdefghijkmnpqr');
    await expect(page.getByRole('heading', { name: 'لا توجد صفحة في هذا العنوان' })).toBeVisible();
  });

  test('the reader is in Arabic, and in Polish where that is chosen', async ({ page }) => {
    await page.goto('/read');
    await expect(page.getByRole('button', { name: 'استخدام الكاميرا' })).toBeVisible();
    await expect(page.locator('html')).toHaveAttribute('dir', 'rtl');
    await page.getByRole('link', { name: 'Polski' }).click();
    await expect(page.getByRole('button', { name: 'Użyj aparatu' })).toBeVisible();
    await expect(page.locator('html')).toHaveAttribute('dir', 'ltr');
    const [chosen] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByText('Zrób lub wybierz zdjęcie').click(),
    ]);
    await chosen.setFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
    await expect(page.getByRole('status')).toHaveText('Tego pliku nie można odczytać jako zdjęcia. Wybierz inny.');
  });
});

test('students’ pages fit a small phone in every language', async ({ page }) => {
  const address = await pageOf(page, 'Shore sounds');
  await page.setViewportSize({ width: 320, height: 640 });
  const wide: string[] = [];
  for (const { tag, direction } of languages)
    for (const path of [address, '/p/abcdefghijkmnpqr', '/K/ZZZZZ', '/read']) {
      await page.goto(`${path}?lang=${tag}`);
      await expect(page.locator('html')).toHaveAttribute('lang', tag);
      await expect(page.locator('html')).toHaveAttribute('dir', direction);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      const over = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
      );
      if (over > 0) wide.push(`${path} in ${tag} by ${over} px`);
    }
  expect(wide).toEqual([]);
});

test('the school’s language decides how dates and numbers are written, and `?` opens the guide', async ({
  page,
  browser,
}) => {
  await openSession(page);
  await newLesson(page, 'Guided');
  await add(page, 'Low tide at nine.');
  await expect(bench(page).getByText('needs no network')).toBeVisible();
  // The demo's school is Irish.
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-IE');
  const [guide] = await Promise.all([
    page.waitForEvent('popup'),
    page.getByRole('link', { name: 'How this page works (new tab)' }).click(),
  ]);
  await expect(guide.getByRole('heading', { name: 'A lesson with stations', level: 1 })).toBeVisible();
  await guide.getByRole('link', { name: 'All tasks' }).click();
  await guide.getByRole('link', { name: 'print sheets' }).click();
  await expect(guide.getByRole('heading', { name: 'Print sheets', level: 1 })).toBeVisible();
  await guide.goto('/guide/nothing');
  await expect(guide.getByRole('heading', { level: 1 })).not.toHaveText('Print sheets');
  const stranger = await browser.newPage();
  await stranger.goto(new URL('/guide/sheets', page.url()).href);
  await expect(stranger).toHaveURL(/\/sign-in\?next=/);
  await stranger.close();
});
