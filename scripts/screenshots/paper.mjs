// Paper and everything around it: students, sheets, the inspector, rehearsals, services.
import { join } from 'node:path';
import { newPage, signIn, signInAs } from '../browser.mjs';
import { folder, settings } from './places.mjs';
import { joined, settled, sideBySide } from './tools.mjs';

/** A roster with problems, a page of cards with names in many scripts, and a card that was read. */
export async function takeStudents(browser) {
  const page = await newPage(browser, settings);
  await signInAs(page, 'hesper.tolland@fernhollow.example');
  await page.goto('/school/students/import');
  const rows = [
    'Student no,Surname,First name,Class,Year',
    '00617,Lee,Ann,7 Kestrel,7',
    '00618,O’Connor-Smith,Mary Jane,6 Kestrel,6',
    ',,,,',
    '00700,,,6 Heron,6',
    '00701,Núñez,Begoña,6 Heron,6',
    '00701,Núñez,Begoña,6 Heron,6',
    '00703,Bell,Sam,6 Heron,6',
    '00704,Bell,Sam,6 Heron,6',
  ];
  // In Windows-1252, as an older program saves it.
  const buffer = Buffer.from(rows.join('\n').replaceAll('’', '\x92'), 'latin1');
  await page.getByLabel('Choose a file').setInputFiles({ name: 'Year 6, autumn.csv', mimeType: 'text/csv', buffer });
  await page.getByText('3 new').waitFor();
  await page.mouse.wheel(0, 1000);
  await page.waitForTimeout(300);
  const shared = await page.screenshot();
  await page.goto('/school/students/cards');
  await page.getByText(/^Every device reads a card/).waitFor();
  await page.getByRole('button', { name: 'Next page' }).click();
  await page.getByText('2 of 3').waitFor();
  await page.getByRole('button', { name: 'Next page' }).click();
  await page.getByText('3 of 3').waitFor();
  await page.locator('img.opacity-60').waitFor({ state: 'detached' });
  await page.waitForTimeout(800);
  const svg = decodeURIComponent(
    (await page.getByRole('img', { name: /^Page 3/ }).getAttribute('src')).replace(/^[^,]*,/, ''),
  );
  const { default: sharp } = await import('sharp');
  const cards = await sharp(Buffer.from(svg), { density: 68 }).png().toBuffer();
  await page.goto('/school/students/read');
  await page.getByLabel('Letters on the card').fill('00619');
  await page.getByRole('button', { name: 'Read', exact: true }).click();
  await page.getByLabel('Who it is').waitFor();
  await page.waitForTimeout(300);
  await sideBySide(
    browser,
    [cards, shared, await page.screenshot({ clip: { x: 0, y: 0, width: 1280, height: 320 } })],
    'students',
    { width: 1916, height: 1194, direction: 'row;flex-wrap:wrap' },
  );
}

/** The composer, and a page of every kind of sheet. */
export async function takeSheets(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  await page.goto('/lessons');
  await page.getByRole('link', { name: /Life between the tides/ }).click();
  await page.getByRole('button', { name: 'More for this lesson' }).click();
  await page.getByRole('menuitem', { name: 'Make sheets' }).click();
  const shown = page.getByRole('img', { name: /^Page \d+ of/ });
  const svgNow = async () => {
    // The page before stays in sight until the next one is there.
    await page.locator('img.opacity-60').waitFor({ state: 'detached' });
    await page.waitForTimeout(1200);
    return decodeURIComponent((await shown.getAttribute('src')).replace(/^[^,]*,/, ''));
  };
  const pages = [];
  await shown.waitFor();
  pages.push(await svgNow());
  await page.getByLabel('Orientation').selectOption('Landscape');
  pages.push(await svgNow());
  await page.getByLabel('Orientation').selectOption('Portrait');
  await page.getByText('Table cards', { exact: true }).click();
  pages.push(await svgNow());
  await page.getByText('Handout', { exact: true }).click();
  pages.push(await svgNow());
  await page.getByText('Labels', { exact: true }).click();
  pages.push(await svgNow());
  await page.getByText('Small cards', { exact: true }).click();
  await page.getByLabel('Print backs (both sides)').click();
  pages.push(await svgNow());
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.waitForTimeout(200);
  await page.screenshot({ path: join(folder, 'composer.png') });
  await page.getByRole('button', { name: 'Next page' }).click();
  pages.push(await svgNow());
  const { default: sharp } = await import('sharp');
  const drawn = await Promise.all(pages.map((svg) => sharp(Buffer.from(svg), { density: 60 }).png().toBuffer()));
  await sideBySide(browser, drawn, 'sheets', { width: 2128, height: 1500, direction: 'row;flex-wrap:wrap' });
}

/** A code with a stranger in between, inspected; and a students' reader that reads it. */
export async function takeInspection(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  const picture = (text) =>
    page.evaluate(
      async (payload) =>
        (
          await (
            await fetch('/api/symbols/preview', {
              method: 'POST',
              headers: { 'Content-Type': 'application/json' },
              body: JSON.stringify({ payload }),
            })
          ).json()
        ).svg,
      text,
    );
  const svg = await picture(`http://nipaway.localhost:${settings.neighboursPort}/n/foghorn`);
  const png = Buffer.from(
    await page.evaluate(async (drawn) => {
      const image = new Image();
      image.src = `data:image/svg+xml,${encodeURIComponent(drawn)}`;
      await image.decode();
      const canvas = Object.assign(document.createElement('canvas'), { width: 420, height: 420 });
      canvas.getContext('2d').drawImage(image, 0, 0, 420, 420);
      return canvas.toDataURL('image/png').split(',')[1];
    }, svg),
    'base64',
  );
  const file = { name: 'code.png', mimeType: 'image/png', buffer: png };
  await page.goto('/inspect');
  await page.getByLabel('Choose a picture').setInputFiles(file);
  await page.getByRole('button', { name: 'Follow it as a student' }).click();
  await page.getByText('Make your own code with the target address').waitFor();
  const phone = await newPage(browser, settings, { width: 390, height: 800 });
  await phone.goto('/read');
  await phone.getByLabel('Take or choose a picture').setInputFiles(file);
  await phone.getByRole('button', { name: 'Read another' }).waitFor();
  await page.setViewportSize({ width: 1280, height: 1000 });
  await sideBySide(browser, [await page.screenshot(), await phone.screenshot()], 'inspect', {
    width: 1742,
    height: 1048,
  });
}

/** A code that falls short, what helps, what a camera sees of it; and a device that is added. */
export async function takeRehearsal(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  await page.goto('/lessons');
  await page.getByRole('link', { name: /Life between the tides/ }).click();
  await settled(page);
  await page.getByRole('link', { name: 'Harbour walk, 12 June' }).click();
  await page.getByRole('list', { name: 'What helps' }).waitFor();
  await page.getByText('See what the camera sees').click();
  const slider = page.getByRole('slider', { name: 'Distance' });
  for (let press = 0; press < 12; press += 1) await slider.press('ArrowLeft');
  await page.getByText(/^Shared tablets read it in [1-9]\d? of 10 frames/).waitFor({ timeout: 60_000 });
  const reads = await page.locator('#reads').screenshot();
  const owner = await newPage(browser, settings);
  await owner.request.post('/api/session', {
    data: { email: 'pell.arkwright@fernhollow.example', password: 'low-tide-at-nine' },
  });
  await owner.goto('/devices');
  await owner.getByRole('button', { name: 'Add a device' }).click();
  await owner.getByText('Details of the camera').click();
  await sideBySide(browser, [reads, await owner.screenshot()], 'rehearsal', { width: 2278, height: 1130 });
}

/** As the administrator: the school, one description tried on an editor's link, how long records are kept, setup, staff, condition. */
export async function takeServices(browser) {
  const page = await newPage(browser, settings);
  await page.request.post('/api/session', {
    data: { email: 'pell.arkwright@fernhollow.example', password: 'low-tide-at-nine' },
  });
  await page.goto('/school/services');
  await page.getByRole('link', { name: 'Cofferlane' }).click();
  await page
    .getByLabel('Link', { exact: true })
    .fill('http://cofferlane.localhost:4510/leaf/what-yeast-eats/write?lane=7');
  await page.getByRole('button', { name: 'Try it' }).click();
  await page.getByText('For a student').waitFor();
  const service = await page.screenshot();
  await page.goto('/school');
  await page.getByRole('listitem').first().waitFor();
  await page.waitForTimeout(300);
  const school = await page.screenshot();
  await page.goto('/school/retention');
  await page.getByRole('heading', { name: 'Last deletion' }).waitFor();
  const left = await joined(browser, [school, service, await page.screenshot()], 1304, 2472, 'column');
  const right = await joined(browser, await moveIn(page), 1304, 2472, 'column');
  await sideBySide(browser, [left, right], 'school', { width: 2680, height: 2520 });
}

/** What a school does before its teachers come. */
async function moveIn(page) {
  await page.goto('/school/setup');
  await page.getByRole('button', { name: 'Show the code' }).click();
  await page.getByLabel('Address to try').waitFor();
  const pictures = [await page.screenshot()];
  const invitation = { data: { role: 'teacher', note: 'Ida, year 6' } };
  await page.request.post('/api/staff/invitations', invitation);
  for (const address of ['/school/staff', '/school/condition']) {
    await page.goto(address);
    await page.getByRole('listitem').first().waitFor();
    await page.waitForTimeout(300);
    pictures.push(await page.screenshot());
  }
  return pictures;
}
