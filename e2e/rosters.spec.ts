import { zipSync } from 'fflate';
import { PNG } from 'pngjs';
import { expect, openSession, test } from './journey.js';

/** As a file that a browser is given. */
const asFile = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });

test('rosters as schools have them are understood at once, and put right with one click', async ({ page }) => {
  await openSession(page, 'hesper.tolland@fernhollow.example');
  await page.goto('/school/students/import');
  const open = async (name: string, text: string): Promise<void> => {
    await page.getByLabel('Choose a file').setInputFiles(asFile(name, text));
    await expect(page.getByRole('heading', { name })).toBeVisible();
  };
  const roles = async (): Promise<readonly string[]> =>
    page.getByLabel(/^Column \d+$/).evaluateAll((selects) => selects.map((one) => (one as HTMLSelectElement).value));
  const added = page.locator('section').filter({ hasText: 'What would change' });

  await test.step('titles, classes between blocks, family names first, a total', async () => {
    await open(
      'blocks.csv',
      'Fernhollow School;;\n\nAdm No;NOM Prénom;Date of birth\nClass 5 Wren;;\n96001;LEFÈVRE Léa;01/02/2015\n96002;NAGY Zsófia;02/02/2015\n\n5 Robin;;\n96003;ÅKESSON Björn;03/02/2015\nTotal;3;\n',
    );
    expect(await roles()).toEqual(['id', 'familyFirst', 'none']);
    await expect(page.getByText('3 students', { exact: true })).toBeVisible();
    await expect(added).toContainText('Léa LEFÈVRE, 5 Wren');
    await expect(added).toContainText('Björn ÅKESSON, 5 Robin');
  });

  await test.step('one click leaves a row or a column out, and another takes it back', async () => {
    const row = page.getByRole('button', { name: 'Leave out row 5' });
    await row.click();
    await expect(row).toHaveAttribute('aria-pressed', 'true');
    await expect(page.getByText('2 students', { exact: true })).toBeVisible();
    await row.click();
    await expect(page.getByText('3 students', { exact: true })).toBeVisible();
    const column = page.getByRole('button', { name: 'Leave out column 1' });
    await column.click();
    expect(await roles()).toEqual(['none', 'familyFirst', 'none']);
    await column.click();
    expect(await roles()).toEqual(['id', 'familyFirst', 'none']);
  });

  await test.step('one click makes a row the head', async () => {
    await open('odd.csv', 'x;y;z\nRoll No;Legal Surname;Forename\n96011;Reed;Una\n96012;Sedge;Ivo\n96013;Marsh;Ada\n');
    expect(await roles()).toEqual(['id', 'family', 'given']);
    await page.getByRole('button', { name: 'Use row 2 as header' }).click();
    await expect(page.getByRole('button', { name: 'Use row 2 as header' })).toHaveAttribute('aria-pressed', 'false');
    await page.getByRole('button', { name: 'Use row 2 as header' }).click();
    expect(await roles()).toEqual(['id', 'family', 'given']);
    await expect(page.getByText('3 students', { exact: true })).toBeVisible();
    await expect(page.getByText('Sure').first()).toBeVisible();
  });

  await test.step('without heads, and with e-mail addresses for ids', async () => {
    await open(
      'plain.csv',
      'Ashdown,Freya,7a,f.ashdown@students.example\nBarker,Noah,7a,n.barker@students.example\nColdwell,Emma,7b,e.coldwell@students.example\nDrayton,Leo,7b,l.drayton@students.example\n',
    );
    expect(await roles()).toEqual(['family', 'given', 'class', 'id']);
    await expect(added).toContainText('Freya Ashdown, 7a');
  });

  await test.step('a Japanese and a Czech head row', async () => {
    await open('jp.csv', '学籍番号,氏名,学年,組\n96031,佐藤蓮,6年,1組\n96032,鈴木葵,6年,2組\n');
    expect(await roles()).toEqual(['id', 'name', 'year', 'class']);
    await open('cz.csv', 'Poř. č.;Příjmení;Jméno;Třída\n1;Dvořák;Ondřej;6.A\n2;Novák;Jiří;6.A\n3;Černá;Eliška;6.B\n');
    expect(await roles()).toEqual(['none', 'family', 'given', 'class']);
  });
});

test('photos are switched on, added from a ZIP file, and printed', async ({ page }) => {
  const switchTo = async (isOn: boolean): Promise<void> => {
    await openSession(page, 'pell.arkwright@fernhollow.example');
    await page.goto('/school');
    await page.getByRole('checkbox', { name: 'Keep photos of students for their cards' }).setChecked(isOn);
    await page.getByRole('button', { name: 'Save settings' }).click();
    await expect(page.getByText('Settings saved.', { exact: true })).toBeVisible();
    await openSession(page, 'hesper.tolland@fernhollow.example');
  };
  await openSession(page, 'hesper.tolland@fernhollow.example');
  await page.goto('/school/students/import');
  await page
    .getByLabel('Choose a file')
    .setInputFiles(asFile('p.csv', 'Id,Surname,Forename,Class\n97001,Teal,Ida,8y\n97002,Vane,Ulf,8y\n'));
  await page.getByRole('button', { name: 'Import 2 students' }).click();
  await expect(page.getByText('2 added, 0 changed', { exact: false })).toBeVisible();
  await page.goto('/school/students/photos');
  await expect(page.getByText('Photos are turned off')).toBeVisible();
  await switchTo(true);
  await page.goto('/school/students');
  await page.getByRole('link', { name: 'Photos', exact: true }).click();
  const picture = PNG.sync.write(new PNG({ width: 300, height: 500, fill: true }));
  const zip = Buffer.from(zipSync({ '8y/97001.png': picture, 'IMG_7.png': picture }));
  await page
    .getByLabel('Choose pictures or a ZIP file')
    .setInputFiles({ name: 'photos.zip', mimeType: 'application/zip', buffer: zip });
  const photos = page.getByRole('list', { name: 'Photos' }).getByRole('listitem');
  await expect(photos.filter({ hasText: '97001.png' })).toContainText('Ida Teal');
  await page.getByLabel('Whose photo is IMG_7.png?').fill('Ulf');
  await page.getByRole('button', { name: 'Ulf Vane, 8y' }).click();
  await page.getByRole('button', { name: 'Add 2 photos' }).click();
  await expect(page.getByText('2 photos added.', { exact: true })).toBeVisible();
  await page.goto('/school/students/cards?class=8y');
  await page.getByRole('checkbox', { name: 'Photo' }).check();
  const sheet = page.getByRole('img', { name: /page/i }).first();
  await expect(sheet).toBeVisible();
  await switchTo(false);
  await page.goto('/school/students/photos');
  await expect(page.getByText('Photos are turned off')).toBeVisible();
  // Other journeys count all students of the school.
  expect((await page.request.post('/api/student-erasures', { data: { className: '8y' } })).ok()).toBe(true);
});
