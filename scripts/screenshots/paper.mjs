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
  await page.waitForTimeout(300);
  const shared = await page.screenshot();
  const cards = await takeCards(browser);
  await page.goto('/school/students/read');
  await page.getByLabel('Letters on the card').fill('00619');
  await page.getByRole('button', { name: 'Read', exact: true }).click();
  await page.getByLabel('Who it is').waitFor();
  await page.waitForTimeout(300);
  await sideBySide(
    browser,
    [...cards, shared, await page.screenshot({ clip: { x: 0, y: 0, width: 1280, height: 420 } })],
    'students',
    { width: 1916, height: 1840, direction: 'row;flex-wrap:wrap' },
  );
}

const skins = ['#f1c9a5', '#8d5524', '#e0ac69', '#c68642', '#ffdbac'];
const hairs = ['#b5651d', '#1b1b1b', '#5a3825', '#2c1b10', '#8a3324'];

/** A portrait that is drawn, as base64. */
async function drawPortrait(number) {
  const { default: sharp } = await import('sharp');
  const [skin, hair] = [skins[number % skins.length], hairs[(number * 3) % hairs.length]];
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="480" height="600" viewBox="0 0 60 75"><rect width="60" height="75" fill="#e8eef2"/><ellipse cx="30" cy="76" rx="25" ry="22" fill="#3d5a80"/><rect x="25" y="40" width="10" height="14" fill="${skin}"/><ellipse cx="30" cy="30" rx="13" ry="16" fill="${skin}"/><path d="M16 30Q16 10 30 10Q44 10 44 30Q40 20 30 20Q20 20 16 30" fill="${hair}"/><circle cx="25" cy="30" r="1.4"/><circle cx="35" cy="30" r="1.4"/><path d="M25 38Q30 42 35 38" stroke="#7a3b2e" fill="none"/></svg>`;
  return (await sharp(Buffer.from(svg)).jpeg().toBuffer()).toString('base64');
}

/** Cards in three designs with drawn portraits, and their backs. */
async function takeCards(browser) {
  const page = await newPage(browser, settings);
  await signInAs(page, 'pell.arkwright@fernhollow.example');
  await page.goto('/school');
  const portraits = await Promise.all(Array.from({ length: 10 }, (_, number) => drawPortrait(number)));
  const pages = await page.evaluate(async (pictures) => {
    const send = async (method, path, body) => {
      const answer = await fetch(path, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(body && { body: JSON.stringify(body) }),
      });
      return answer.json();
    };
    const school = await send('GET', '/api/school');
    const cardReturnTo = '3 Mill Lane, Springcote, 01632 960001';
    await send('PATCH', '/api/school', { ...school, studentPhotos: true, cardReturnTo });
    const { rows } = await send('GET', '/api/students');
    for (const [index, picture] of pictures.entries())
      await send('PUT', `/api/students/${rows[index].id}/photo`, { picture });
    const request = {
      ...{ classNames: [], studentIds: rows.slice(0, 10).map(({ id }) => id), onlyNew: false, code: 'token' },
      ...{ band: 'class', perPage: 10, paper: 'A4', newPagePerClass: true, schoolYear: '2026/27', validUntil: null },
      ...{ fields: ['class', 'id', 'school', 'photo'], symbol: null, backs: true, templateId: null },
    };
    const svgs = [];
    for (const [design, number] of [
      ['band', 0],
      ['big-code', 0],
      ['upright', 0],
      ['band', 1],
    ])
      svgs.push(
        (await send('POST', '/api/student-card-previews', { request: { ...request, design }, page: number })).svg,
      );
    return svgs;
  }, portraits);
  const { default: sharp } = await import('sharp');
  return Promise.all(pages.map((svg) => sharp(Buffer.from(svg), { density: 48 }).png().toBuffer()));
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
  const choose = (name) => page.getByRole('radio', { name, exact: true }).check({ force: true });
  await shown.waitFor();
  for (const design of ['Big number', 'Picture first', 'Task first', 'Two languages', 'Little ink']) {
    await choose(design);
    if (design === 'Two languages') await page.getByLabel('Second language').selectOption({ label: 'العربية' });
    pages.push(await svgNow());
  }
  await page.getByLabel('Second language').selectOption({ label: 'None' });
  await choose('Big number');
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.waitForTimeout(200);
  await svgNow();
  await page.screenshot({ path: join(folder, 'composer.png') });
  await page.getByLabel('Orientation').selectOption('Landscape');
  pages.push(await svgNow());
  await page.getByLabel('Orientation').selectOption('Portrait');
  for (const kind of ['Table cards', 'Handout', 'Labels', 'Small cards']) {
    await choose(kind);
    if (kind === 'Small cards') await page.getByLabel('Print backs (both sides)').click();
    pages.push(await svgNow());
  }
  await page.getByRole('button', { name: 'Next page' }).click();
  pages.push(await svgNow());
  const { default: sharp } = await import('sharp');
  const drawn = await Promise.all(pages.map((svg) => sharp(Buffer.from(svg), { density: 60 }).png().toBuffer()));
  await sideBySide(browser, drawn, 'sheets', { width: 2128, height: 1850, direction: 'row;flex-wrap:wrap' });
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
