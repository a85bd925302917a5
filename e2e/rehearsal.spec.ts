import { add, expect, newLesson, openPart, openSession, settled, test } from './journey.js';

test('what falls short is fixed in a click: nearer, larger, and back again', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'The far wall', '3');
  // More than A4 can make readable from so far.
  await add(page, 'I have one foot and no legs. My house never leaves my back, and the tide never moves me. Who am I?');
  await settled(page);
  await page
    .getByRole('link', { name: /^I have one foot/ })
    .first()
    .click();
  const advice = page.getByRole('list', { name: 'What helps' });
  await expect(advice).toContainText('has room for only');
  await expect(page.getByText(/From 3\.0 m, .+ can’t read it\. What helps:/)).toBeVisible();
  await advice.getByRole('button', { name: /^Set the distance to \d\.\d m$/ }).click();
  await expect(page.getByText(/^Viewing distance here: \d\.\d m\.$/)).toBeVisible();
  await expect(page.getByRole('heading', { name: /^Reads from \d\.\d m with every device$/ })).toBeVisible({
    timeout: 120_000,
  });
  await expect(page.getByText('This station has its own distance.')).toBeVisible();
  await expect(advice).toHaveCount(0);

  // Too small on purpose, and near enough for this paper.
  const stationId = /stations\/([^/#?]+)/.exec(page.url())?.[1] ?? '';
  const { station } = (await (await page.request.get(`/api/stations/${stationId}`)).json()) as {
    station: { version: number };
  };
  expect(
    (
      await page.request.patch(`/api/stations/${stationId}`, {
        data: { version: station.version, sizeMm: 60, viewingDistanceM: 1 },
      })
    ).ok(),
  ).toBe(true);
  await page.reload();
  const larger = advice.getByRole('button', { name: /^Print it at \d+ mm$/ });
  await expect(larger).toBeVisible({ timeout: 120_000 });
  await expect(advice).toContainText(/Printed \d+ mm larger it reads from there\./);
  await larger.click();
  await expect(page.getByRole('heading', { name: /^Reads from \d\.\d m with every device$/ })).toBeVisible({
    timeout: 120_000,
  });
  await page.getByRole('button', { name: 'Use the computed size' }).click();
  await expect(page.getByText('was set by hand')).toHaveCount(0);
});

test('what a camera sees is looked at while sliders move, and every reader says what it makes of it', async ({
  page,
}) => {
  await openSession(page);
  await newLesson(page, 'Looking through the camera', '1');
  await add(page, 'Which of them moves by day?');
  await settled(page);
  await page.getByRole('link', { name: 'Which of them moves by day?' }).first().click();
  await openPart(page, 'reads');
  await page.getByText('See what the camera sees').click();
  await expect(
    page.getByText(/^Shared tablets read it in (?:9|10) of 10 frames\. Expected from there: yes\.$/),
  ).toBeVisible({ timeout: 120_000 });
  const readings = page.getByRole('list', { name: 'Result of each reader for this frame' });
  await expect(readings.getByRole('listitem')).toHaveText([
    /Current phone, decides.*reads it exactly/,
    /Older scanner.*reads it exactly/,
    /Scanner on a web page/,
  ]);
  const distance = page.getByRole('slider', { name: 'Distance' });
  await distance.press('End');
  await expect(page.getByText(/^Shared tablets read it in 0 of 10 frames\. Expected from there: no\.$/)).toBeVisible();
  await expect(readings.getByRole('listitem').first()).toContainText('reads nothing');
  await distance.press('Home');
  await page.getByLabel('Surface').selectOption({ label: 'Laminated' });
  await page.getByLabel('Light').selectOption({ label: 'Dim' });
  await expect(
    page.getByText(/^Shared tablets read it in \d+ of 10 frames\. Expected from there: yes\.$/),
  ).toBeVisible();

  await page.getByText('Every reader on every device').click();
  const table = page.getByRole('table').filter({ hasText: 'Scanner on a web page' });
  await expect(table.getByRole('row')).toHaveCount(5);
  await expect(table.getByText('reading…')).toHaveCount(0, { timeout: 120_000 });
  await expect(table.getByRole('row').nth(1)).toContainText(/\d\.\d m/);
});

test('the administrator adds a device like a generic one, changes its figures, and removes it', async ({ page }) => {
  await openSession(page, 'pell.arkwright@fernhollow.example');
  await page.goto('/devices');
  await page.getByRole('button', { name: 'Add a device' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Add it' }).click();
  await expect(dialog.getByText('Enter a name.')).toBeVisible();
  await dialog.getByLabel('Similar to').selectOption({ label: 'Webcam without focus' });
  await dialog.getByLabel('Name').fill('Library desk');
  await dialog.getByLabel('How many').fill('2');
  await dialog.getByText('Details of the camera').click();
  await expect(dialog.getByLabel('In focus from (metres)')).toHaveValue('0.5');
  await dialog.getByLabel('Blur (pixels)').fill('9');
  await dialog.getByRole('button', { name: 'Add it' }).click();
  await expect(dialog.getByText('From 0 to 5.')).toBeVisible();
  await dialog.getByLabel('Blur (pixels)').fill('1,3');
  await dialog.getByRole('button', { name: 'Add it' }).click();
  await expect(dialog).toHaveCount(0);
  const row = page.getByRole('listitem').filter({ hasText: 'Library desk' });
  await expect(row).toContainText('2 in the school');
  await expect(row).toContainText('blur 1.3 px, noise 8 grey levels in evening light, compressed to 75%');
  await row.getByRole('button', { name: 'Change Library desk' }).click();
  await dialog.getByLabel('How many').fill('');
  await dialog.getByRole('button', { name: 'Save device' }).click();
  await expect(row).toContainText('students’ own');
  await row.getByRole('button', { name: 'Remove Library desk' }).click();
  await expect(dialog).toContainText('No class uses it.');
  await dialog.getByRole('button', { name: 'Remove device' }).click();
  await expect(row).toHaveCount(0);
  await expect(page.getByRole('listitem')).toHaveCount(4);
});
