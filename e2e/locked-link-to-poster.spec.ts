import { add, cofferlane, expect, makeLesson, openSession, settled, test } from './journey.js';
import { decodePdf, textOfPdf } from './decode.js';

test('a link that asks to sign in is fixed step by step and leaves as a poster that decodes', async ({
  page,
  context,
}, info) => {
  const link = `${cofferlane}/leaf/field-guide-to-limpets`;
  await openSession(page);
  await makeLesson(page, 'Limpets at low tide', '1.5');

  await test.step('paste it and see that it is locked', async () => {
    await add(page, link);
    await expect(page.getByText('Asks to sign in')).toBeVisible();
    await expect(page.getByText('0 of 1 station ready')).toBeVisible();
    await page.getByRole('link', { name: 'Field guide to limpets' }).click();
  });

  await test.step('see the steps that fix it', async () => {
    await expect(page.getByRole('heading', { name: 'Asks students to sign in' })).toBeVisible();
    await expect(page.getByText('It leads to the sign-in at gatepost.localhost.')).toBeVisible();
    await expect(page.getByRole('listitem').filter({ hasText: 'Who may look' })).toContainText('No sign-in needed');
  });

  await test.step('printing it warns first', async () => {
    await page.locator('#paper').getByRole('button', { name: 'Make poster' }).click();
    await expect(page.getByRole('dialog')).toContainText('It asks students to sign in');
    await expect(page.getByRole('button', { name: 'Fix it first' })).toBeFocused();
    await page.getByRole('button', { name: 'Fix it first' }).click();
  });

  await test.step('change the sharing there, as its owner', async () => {
    const [owner] = await Promise.all([
      context.waitForEvent('page'),
      page.getByRole('link', { name: 'Go there in Cofferlane' }).click(),
    ]);
    await owner.getByLabel('Name').fill('Maren Dallow');
    await owner.getByLabel('Key').fill('oyster');
    await owner.getByRole('button', { name: 'Sign in' }).click();
    await owner.getByLabel('No sign-in needed').check();
    await owner.getByRole('button', { name: 'Keep' }).click();
    await expect(owner.getByLabel('No sign-in needed')).toBeChecked();
    await owner.close();
  });

  await test.step('come back and see it open, without pressing anything', async () => {
    await page.bringToFront();
    // Headless pages keep the focus; what the browser tells a page on return is told here.
    await page.evaluate(() => window.dispatchEvent(new Event('blur')));
    // Shorter absences don't count as a journey elsewhere. All timers keep running as they do for teachers.
    await page.evaluate(() => {
      const now = Date.now;
      Date.now = () => now() + 2100;
    });
    await page.evaluate(() => window.dispatchEvent(new Event('focus')));
    await expect(page.getByRole('heading', { name: 'Opens for everyone' })).toBeVisible();
    await expect(page.getByText('Look for a low cone stuck to bare rock.', { exact: false })).toBeVisible();
  });

  await test.step('see the rehearsal', async () => {
    await expect(page.getByRole('heading', { name: /^Reads from \d\.\d m with every device$/ })).toBeVisible({
      timeout: 120_000,
    });
    await expect(page.getByRole('img', { name: /^Clamshell laptops: reads to \d/ })).toBeVisible();
    await expect(page.getByText('All 3 readers agree, letter by letter.')).toBeVisible({ timeout: 120_000 });
  });

  await test.step('make the poster and decode it', async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('region', { name: 'Steps' }).getByRole('button', { name: 'Make poster' }).click(),
    ]);
    expect(download.suggestedFilename()).toBe('01 Field guide to limpets, poster.pdf');
    const file = info.outputPath('poster.pdf');
    await download.saveAs(file);
    expect(decodePdf(file)).toBe(link);
    expect(textOfPdf(file)).toContain('Field guide to limpets');
  });

  await test.step('the bench shows all of it after a reload', async () => {
    await page.getByRole('link', { name: 'Limpets at low tide' }).click();
    await page.reload();
    await settled(page);
    await expect(page.getByText('1 of 1 station ready')).toBeVisible();
  });

  await test.step('a later change makes the paper old', async () => {
    await page.getByRole('link', { name: 'Field guide to limpets' }).click();
    await page.getByRole('button', { name: 'Change', exact: true }).click();
    await page.getByRole('dialog').getByLabel('Link').fill(`${cofferlane}/leaf/what-yeast-eats`);
    await page.getByRole('button', { name: 'Save changes' }).click();
    await expect(page.getByRole('heading', { name: 'Out of date' })).toBeVisible();
  });
});
