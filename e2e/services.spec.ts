import { readFileSync } from 'node:fs';
import {
  addAnyway,
  addOne,
  askleaf,
  cofferlane,
  expect,
  newLesson,
  openPart,
  openSession,
  settled,
  signIn,
  test,
} from './journey.js';

const administrator = 'pell.arkwright@fernhollow.example';

test('an editor’s link is recognised when it is pasted, and the student’s taken in its place', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'With an editor’s link');
  const intake = page.getByLabel('Next station');
  await intake.fill(`${askleaf}/ask/tide-line-tally/build`);
  await expect(page.getByText('This is the editor’s page')).toBeVisible();
  await page.getByRole('button', { name: 'Use the student’s link' }).click();
  await expect(page.getByText('Student’s link instead of')).toBeVisible();
  await addAnyway(page);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(intake).toHaveValue('');
  await settled(page);
  await page.getByRole('table').getByRole('link', { name: 'Tide-line tally' }).click();
  await expect(page.getByText(`${askleaf}/ask/tide-line-tally`, { exact: true }).first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Opens for everyone' })).toBeVisible();
});

test('an editor’s link that is there already says so, changes into the student’s, and back', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, `${cofferlane}/leaf/what-yeast-eats/write`);
  await expect(page.getByText('This is the editor’s page: students would be asked to sign in')).toBeVisible();
  await page.getByRole('button', { name: 'Use the student’s link' }).click();
  await expect(page.getByText('The code has the student’s link now.', { exact: true })).toBeVisible();
  await expect(page.getByText('This is the editor’s page')).toHaveCount(0);
  await expect(page.getByRole('heading', { name: 'Opens for everyone' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('This is the editor’s page')).toBeVisible();
});

test('a kind is chosen by hand in the review', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await page.getByLabel('Next material').fill('https://a.example/reef-walk\nhttps://a.example/reef-song');
  const kind = page.getByLabel('Kind of https://a.example/reef-walk');
  await kind.focus();
  await kind.selectOption('Film');
  await page.getByRole('button', { name: 'Add 2 materials' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Reef walk' })).toContainText('Film');
  await expect(page.getByRole('listitem').filter({ hasText: 'Reef song' })).toContainText('Web page');
});

test('a link with counting parameters is shortened only after both were opened', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, `${cofferlane}/leaf/what-yeast-eats?lane=7&utm_source=mail`);
  await openPart(page, 'carries');
  await expect(page.getByText('without lane, utm_source; both links lead to the same page')).toBeVisible();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'without lane' })
    .getByRole('button', { name: 'Use this' })
    .click();
  await expect(page.getByText(`${cofferlane}/leaf/what-yeast-eats`, { exact: true }).first()).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'without lane' })).toContainText('used now');
});

test('the administrator describes a service, tries it out, keeps it and removes it', async ({ page, browser }) => {
  await openSession(page, administrator);
  await page.goto('/school');
  await page.getByRole('link', { name: 'All services' }).click();
  await page.getByRole('link', { name: 'Describe a service' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Our gate');
  await expect(page.getByLabel('Id', { exact: true })).toHaveValue('our-gate');
  await page.getByLabel('Hosts').fill('https://gatepost.localhost');
  await page.getByRole('button', { name: 'Add an address' }).click();
  await page.getByLabel('This is').selectOption('the editor’s page');
  await page.getByLabel('Path').fill('/come-in');
  await page.getByLabel('The student’s link').fill('/{place}');
  await page.getByRole('button', { name: 'Save service', exact: true }).click();
  await expect(page.getByText('“https://gatepost.localhost” is not a host name.')).toBeVisible();
  await expect(page.getByText('Neither the path nor the regular expression has a part named “place”.')).toBeVisible();
  await page.getByLabel('Hosts').fill('gatepost.localhost');
  await page.getByLabel('The student’s link').fill('/');
  await page.getByLabel('Link', { exact: true }).fill(`${cofferlane.replace('cofferlane', 'gatepost')}/come-in`);
  await page.getByRole('button', { name: 'Try it' }).click();
  await expect(page.getByText('Document: the editor’s page.')).toBeVisible();
  await page.getByRole('button', { name: 'Save service', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Our gate' })).toBeVisible();

  const teacher = await (await browser.newContext()).newPage();
  await signIn(teacher);
  await teacher.goto('/school/services/our-gate');
  await expect(teacher.getByLabel('Name', { exact: true })).toBeDisabled();
  await expect(teacher.getByRole('button', { name: 'Save service', exact: true })).toHaveCount(0);

  await page.getByRole('button', { name: 'Remove Our gate' }).click();
  await expect(page.getByRole('link', { name: 'Our gate' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Our gate' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Our gate' }).click();
  await expect(page.getByRole('link', { name: 'Our gate' })).toHaveCount(0);
});

test('services are exported and imported again; one that can’t be used says where its problem is', async ({
  page,
}, info) => {
  await openSession(page, administrator);
  await page.goto('/school/services');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export all' }).click(),
  ]);
  const file = info.outputPath('services.json');
  await download.saveAs(file);
  const exported = JSON.parse(readFileSync(file, 'utf8')) as { id: string }[];
  expect(exported.map(({ id }) => id)).toEqual(['askleaf', 'cofferlane', 'glimreel', 'hushtone']);
  const imported = [
    { ...exported[0], id: 'askleaf-two', name: 'Askleaf two', hosts: ['two.example'] },
    { ...exported[1], id: 'odd', name: 'Odd', walls: [{ verdict: 'closed', pattern: '(' }] },
  ];
  await page.getByRole('button', { name: 'Import' }).click();
  const chooser = page.locator('input[type=file]');
  await chooser.setInputFiles({ name: 'notes.json', mimeType: 'application/json', buffer: Buffer.from('not json') });
  await expect(page.getByRole('alert')).toHaveText(
    'This is not a JSON file. Choose a file that was exported from Services.',
  );
  await chooser.setInputFiles({
    name: 'services.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(imported)),
  });
  await page.getByRole('button', { name: 'Import 2 services' }).click();
  await expect(page.getByRole('img', { name: 'Saved', exact: true })).toBeVisible();
  await expect(page.getByText(/walls\.0\.pattern: The regular expression is not valid/)).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await page.getByRole('button', { name: 'Remove Askleaf two' }).click();
  await expect(page.getByRole('link', { name: 'Askleaf two' })).toHaveCount(0);
});
