// `npm run screenshots`: one picture of each main view, from fresh demo data, into docs/screenshots.
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { newPage, signIn, signInAs, withBrowser } from './browser.mjs';
import { build } from './build.mjs';
import { mariadbPackages } from './database.mjs';
import { requireModules, requirePackages } from './machine.mjs';
import { projectFolder, readSettings, runMain } from './settings.mjs';

const folder = join(projectFolder, 'docs/screenshots');
const work = join(projectFolder, 'test-output/screenshots');
const settings = readSettings({ HAPSET_PORT: '4500', HAPSET_NEIGHBOURS_PORT: '4510', HAPSET_DATA: join(work, 'data') });

await runMain(async () => {
  requirePackages({ ...mariadbPackages, chromium: 'chromium' });
  requireModules();
  build();
  rmSync(work, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  await withBrowser(settings, takeAll);
});

async function takeAll(browser) {
  const page = await newPage(browser, settings);
  const take = (name) => page.screenshot({ path: join(folder, `${name}.png`) });
  await signIn(page);
  await page.goto('/lessons');
  await page.getByRole('link', { name: /Life between the tides/ }).click();
  await settled(page);
  await makePoster(page, 'Tide-line tally');
  await makePoster(page, 'Photo bank, north cove');
  await page.mouse.move(640, 780);
  await take('lesson-bench');
  await page
    .getByLabel('Next station')
    .fill(
      [
        'Worksheet: htps://cofferlane.example/leaf/tide-tables',
        'Please open https://cofferlane.example/leaf/shells and read it',
        'Office: +353 1 555 0123',
      ].join('\n'),
    );
  await page.getByRole('list', { name: 'What will be added' }).waitFor();
  await page.getByLabel('Next station').scrollIntoViewIfNeeded();
  await page.mouse.wheel(0, 1000);
  await page.waitForTimeout(300);
  const intakeReview = await page.screenshot();
  await page.getByLabel('Next station').fill('');
  await page.getByRole('link', { name: 'Field guide to limpets' }).click();
  await page.getByRole('heading', { name: /^Reads from/ }).waitFor();
  await page.mouse.move(640, 780);
  await take('station');
  await takeOpens(browser);
  await page.goto('/');
  await page.getByRole('heading', { name: 'What changed' }).waitFor();
  await page
    .getByRole('link', { name: /Life between/ })
    .first()
    .waitFor();
  const start = await page.screenshot();
  await takeReviews(browser, page, intakeReview);
  await page.goto('/shelf');
  await page.getByRole('listitem').first().waitFor();
  await page.waitForTimeout(300);
  await sideBySide(browser, [start, await page.screenshot()], 'start', { width: 2632, height: 848 });
  await takeCarries(browser);
  await takeKept(browser);
  await takeLooks(browser);
  await takeRehearsal(browser);
  await takeSheets(browser);
  await takeStudents(browser);
  await takeInspection(browser);
  await takeServices(browser);
  await takePhones(browser);
  await takeDarkAndOutage(browser);
}

/** What is understood of a paste, a table and a message before it is added. */
async function takeReviews(browser, page, intakeReview) {
  await page.goto('/add');
  await page.getByRole('button', { name: 'Message', exact: true }).click();
  await page
    .getByLabel('Message', { exact: true })
    .fill('I have one foot and no shoe. I carry my house and never move out. Twice a day the sea looks for me and ');
  await page.waitForTimeout(300);
  const steps = await page.screenshot();
  await page
    .getByLabel('What should students open?')
    .fill(
      'Station\tLink\tTask\nTide tables\t“https://https://a.example/tides”\tFind the next low tide\nShells\thttps://a.example/shells\tSort ten shells\nRiddle\tWho carries its house?\tTalk about it',
    );
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.waitForTimeout(300);
  await sideBySide(browser, [intakeReview, await page.screenshot(), steps], 'reviews', {
    width: 1328,
    height: 2496,
    direction: 'column',
  });
}

/** The bench on a phone, and the phone's way to a material. */
async function takePhones(browser) {
  const phone = await newPage(browser, settings, { width: 390, height: 844 });
  await signIn(phone);
  await phone.goto('/lessons');
  await phone.getByRole('link', { name: /Life between the tides/ }).click();
  await phone.getByRole('table').waitFor();
  await phone.waitForTimeout(400);
  const pictures = [await phone.screenshot()];
  // The phone's way: what its share menu shared, checked, with the picture to hand on.
  await phone.goto(
    '/add?link=http%3A%2F%2Fcofferlane.localhost%3A4510%2Fleaf%2Fwhat-yeast-eats&title=What%20yeast%20eats',
  );
  await phone.getByRole('button', { name: 'Use that', exact: true }).click();
  await phone.getByRole('heading', { name: 'Opens for everyone' }).waitFor();
  await phone.waitForTimeout(600);
  pictures.push(await phone.screenshot());
  await phone.goto('/add');
  await phone
    .getByLabel('What should students open?')
    .fill(
      [
        'https://cofferlane.example/leaf/shells',
        'Tides: htps://cofferlane.example/leaf/tides',
        'Please open https://cofferlane.example/leaf/dunes and read it',
      ].join('\n'),
    );
  await phone.getByRole('list', { name: 'What will be added' }).waitFor();
  await phone.waitForTimeout(600);
  pictures.push(await phone.screenshot());
  await sideBySide(browser, pictures, 'phones');
}

/** The ladder of a long link; a short link that is tried, gets another target and is listed. */
async function takeCarries(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  const student = {
    'User-Agent': 'Mozilla/5.0 (Linux; Android 14; K) AppleWebKit/537.36 Chrome/129.0 Mobile Safari/537.36',
  };
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Our school library' }).click();
  await openPart(page, 'carries');
  await page.getByText('recommended').waitFor();
  await page.getByText('Error correction', { exact: true }).click();
  const ladder = await page.locator('#carries').screenshot();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'The school’s short link' })
    .getByRole('button', { name: 'Use this' })
    .click();
  await page.locator('#short-link').waitFor();
  const address = (await page.locator('aside p.font-mono').innerText()).trim();
  await openPart(page, 'reads');
  await page.getByRole('link', { name: 'Try a device' }).click();
  await page.getByText('Waiting.').waitFor();
  await page.waitForTimeout(1700);
  await fetch(address, { redirect: 'manual', headers: student });
  await page.getByText('A phone opened it').waitFor();
  await page.getByLabel('Which device was it').selectOption({ label: 'New phones' });
  await page.waitForTimeout(6000);
  const tried = await page.screenshot();
  await page.getByRole('link', { name: 'Done' }).click();
  await openPart(page, 'short-link');
  await page.getByRole('button', { name: 'Change target' }).click();
  await page
    .getByLabel('New target')
    .fill(`http://cofferlane.localhost:${settings.neighboursPort}/leaf/what-yeast-eats`);
  await page.getByRole('button', { name: 'Check it as a student' }).click();
  await page.getByRole('button', { name: 'Save target' }).waitFor();
  await page.waitForTimeout(300);
  const elsewhere = await page.getByRole('dialog').screenshot();
  await sideBySide(browser, [ladder, elsewhere], 'ladder', { width: 980, height: 1250, direction: 'column' });
  for (let opening = 0; opening < 26; opening += 1) await fetch(address, { redirect: 'manual', headers: student });
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Network for guests' }).waitFor();
  await page.waitForTimeout(1200);
  await page.goto('/shelf/short-links');
  await page.getByRole('list', { name: 'Short links' }).waitFor();
  await sideBySide(browser, [tried, await page.screenshot()], 'short-links', {
    width: 1328,
    height: 1672,
    direction: 'column',
  });
}

/** The Opens part in four verdicts, one under another; and a film that its owner hides meanwhile, for the news. */
async function takeOpens(browser) {
  const page = await newPage(browser, settings, { width: 1280, height: 1600 });
  await signIn(page);
  const at = (name, path) => `http://${name}.localhost:${settings.neighboursPort}${path}`;
  const links = [
    at('hushtone', '/tone/waves-at-the-pier'),
    at('cofferlane', '/leaf/seven-faults-open-to-change'),
    at('glimreel', '/reel/gulls-at-night'),
    at('nipaway', '/n/foghorn'),
    at('cofferlane', '/leaf/tide-diary'),
  ];
  const pictures = [];
  for (const link of links) {
    await page.goto('/shelf');
    await page.getByLabel('Next material').fill(link);
    await page.keyboard.press('Enter');
    await page.getByText(/^checked /).waitFor();
    await viewed(page);
    pictures.push(await page.locator('#opens').screenshot());
    await page.getByRole('button', { name: 'Change' }).waitFor();
  }
  await sideBySide(browser, pictures, 'opens', { width: 980, height: 2000, direction: 'column' });
  const owner = await newPage(browser, settings);
  await owner.goto(at('glimreel', '/reel/a-limpet-walks/desk'));
  await owner.getByLabel('Name').fill('Maren Dallow');
  await owner.getByLabel('Key').fill('oyster');
  await owner.getByRole('button', { name: 'Sign in' }).click();
  await owner.getByLabel('Kept in the dark').check();
  await owner.getByRole('button', { name: 'Keep' }).click();
  await page.goto('/lessons');
  await page.getByRole('link', { name: /Life between the tides/ }).click();
  await page.getByRole('button', { name: 'Check all again' }).click();
  await page.getByText('Chosen people only').waitFor();
}

/** Uploads, the editor, the list of files, and what students see of four kinds, side by side. */
async function takeKept(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  const addresses = [];
  let writing = null;
  for (const title of ['Before you go out', 'Rock pools we drew', 'Shore sounds']) {
    await page.goto('/shelf');
    await page.getByRole('link', { name: title }).click();
    addresses.push(await page.getByRole('link', { name: 'View as a student' }).getAttribute('href'));
    if (title !== 'Before you go out') continue;
    await page.getByRole('link', { name: 'Write', exact: true }).click();
    await page.locator('.written-page img').waitFor();
    await page.waitForTimeout(500);
    writing = await page.screenshot();
  }
  await page.goto('/shelf/files');
  await page.getByLabel('Name of weed.png').waitFor();
  await page.waitForTimeout(300);
  const files = await page.screenshot();
  await page.goto('/shelf');
  const guide = {
    name: 'field-guide.pdf',
    mimeType: 'application/pdf',
    buffer: readFileSync(join(work, 'poster.pdf')),
  };
  await page.getByLabel('Files or photos').setInputFiles([guide]);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  addresses.push(await page.getByRole('link', { name: 'View as a student' }).getAttribute('href'));
  // The second part of the large file never arrives, so that the picture shows it half way.
  await page
    .context()
    .route('**/api/uploads/*', (route, request) =>
      Number(request.headers()['upload-offset']) >= 8_000_000 ? undefined : route.continue(),
    );
  await page.goto('/shelf');
  await page
    .getByLabel('Files or photos')
    .setInputFiles([guide, { name: 'limpet-film.mp4', mimeType: 'video/mp4', buffer: Buffer.alloc(14_000_000) }]);
  await page.getByText('8 MB of 14 MB').waitFor();
  await page.getByText('Uploaded,').waitFor();
  await sideBySide(browser, [await page.screenshot(), files, writing], 'kept', {
    width: 1328,
    height: 2496,
    direction: 'column',
  });
  await takeStudentPages(browser, addresses);
}

/** What students see, in four languages; and below it a bench in the made-up language that is 40 % longer. */
async function takeStudentPages(browser, [written, pictures, sound, pdf]) {
  const phones = [];
  for (const address of [
    written,
    `${pictures}?lang=uk`,
    `${sound}?lang=ar`,
    `${pdf}?lang=pl`,
    '/K/ABCDE?lang=ar',
    '/read?lang=uk',
  ]) {
    const phone = await newPage(browser, settings, { width: 390, height: 844 });
    await phone.goto(address);
    await phone.waitForTimeout(1800);
    phones.push(await phone.screenshot());
  }
  // A service worker would answer with the page that it knows.
  const page = await newPage(browser, settings, { serviceWorkers: 'block' });
  await signIn(page);
  await page.route(
    (url) => !/^\/(?:api|assets|p|k|c)\//.test(url.pathname),
    async (route) => {
      if (route.request().resourceType() !== 'document') return route.fallback();
      const response = await route.fetch();
      const body = (await response.text()).replace(/<html lang="[^"]*">/, '<html lang="qps">');
      await route.fulfill({ response, body });
    },
  );
  await page.goto('/lessons');
  await page.getByRole('link', { name: /bakery/ }).click();
  await page.getByRole('table').waitFor();
  await page.waitForTimeout(8000);
  const bench = await page.screenshot();
  const row = await joined(browser, phones, 24 + phones.length * 414, 892);
  await sideBySide(browser, [row, bench], 'student-pages', { width: 2556, height: 1764, direction: 'column' });
}

/** A dark bench and station, what waits while the server is away, and a draft that is offered. */
async function takeDarkAndOutage(browser) {
  const page = await newPage(browser, settings);
  await page.emulateMedia({ colorScheme: 'dark' });
  await signIn(page);
  await page.goto('/lessons');
  await page.getByRole('link', { name: /Life between the tides/ }).click();
  await settled(page);
  const pictures = [await page.screenshot()];
  await page.getByRole('link', { name: 'Field guide to limpets' }).click();
  await page.getByRole('heading', { name: /^Reads from/ }).waitFor();
  pictures.push(await page.screenshot());
  await page.emulateMedia({ colorScheme: 'light' });
  await page.goto('/lessons');
  await page.getByRole('button', { name: 'New lesson' }).click();
  await page.getByLabel('Name').fill('Shells and sand');
  await page.route('**/api/**', (route) => route.abort());
  await page.getByRole('button', { name: 'Create lesson' }).click();
  await page.getByText(/This is saved as soon as it answers/).waitFor();
  pictures.push(await page.screenshot());
  await page.unrouteAll();
  await page.goto('about:blank');
  await page.goto('/lessons');
  await page.getByRole('button', { name: 'New lesson' }).click();
  await page.getByRole('button', { name: 'Use draft' }).waitFor();
  pictures.push(await page.screenshot());
  const pairs = [];
  for (const pair of [pictures.slice(0, 2), pictures.slice(2)]) pairs.push(await joined(browser, pair, 2632, 848));
  await sideBySide(browser, pairs, 'dark-and-outage', { width: 2680, height: 1768, direction: 'column' });
}

/** One picture out of several. */
async function sideBySide(
  browser,
  pictures,
  name,
  { width = 24 + pictures.length * 414, height = 892, direction = 'row' } = {},
) {
  writeFileSync(join(folder, `${name}.png`), await joined(browser, pictures, width, height, direction));
}

async function joined(browser, pictures, width, height, direction = 'row') {
  const page = await newPage(browser, settings, { width, height });
  await page.setContent(
    `<body style="margin:24px;display:flex;flex-direction:${direction};align-items:flex-start;gap:24px;background:#e9e3d6">${pictures.map((picture) => `<img style="border-radius:12px" src="data:image/png;base64,${picture.toString('base64')}">`).join('')}</body>`,
  );
  await page.waitForTimeout(300);
  return page.screenshot();
}

/** A roster with problems, a page of cards with names in many scripts, and a card that was read. */
async function takeStudents(browser) {
  const page = await newPage(browser, settings);
  await signInAs(page, 'hesper.tolland@fernhollow.example');
  await page.goto('/school/students/import');
  const rows = [
    'Student no,Surname,First name,Class,Year',
    '00617,Lee,Ann,7 Kestrel,7',
    '00618,O’Connor-Smith,Mary Jane,6 Kestrel,6',
    ',,,,',
    '00700,,,6 Heron,6',
    '00701,Finch,Olga,6 Heron,6',
    '00701,Finch,Olga,6 Heron,6',
    '00703,Bell,Sam,6 Heron,6',
    '00704,Bell,Sam,6 Heron,6',
  ];
  await page
    .getByLabel('Choose a file')
    .setInputFiles({ name: 'Year 6, autumn.csv', mimeType: 'text/csv', buffer: Buffer.from(rows.join('\n')) });
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
async function takeSheets(browser) {
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

/** A look that fails and the same fixed; a lesson that gets one in a click; and the pictures of a code by use. */
async function takeLooks(browser) {
  const page = await newPage(browser, settings);
  await signIn(page);
  await page.goto('/shelf');
  await page
    .getByLabel('Next material')
    .fill('Find the smallest snail on the rock and count the turns of its house. Then draw it.');
  await page.keyboard.press('Enter');
  await openPart(page, 'look');
  await page.getByRole('link', { name: 'Design a look' }).click();
  await page.getByText('Worn', { exact: true }).first().click();
  await page.getByLabel('Code, as a number').fill('#ffe27a');
  await page.getByRole('button', { name: 'snail', exact: true }).click();
  await page.getByText('Tide', { exact: true }).click();
  await page.getByLabel('Words', { exact: true }).selectOption({ label: 'The same text on every code' });
  await page.evaluate(() => window.scrollTo(0, 0));
  const rehearsed = () =>
    page
      .getByRole('status', { name: 'How well this look scans' })
      .getByText(/^(?:Reads from|Not read)/)
      .waitFor({ timeout: 60_000 });
  await rehearsed();
  const failing = await page.screenshot();
  await page.getByRole('button', { name: 'Use the nearest colours that work' }).click();
  await page.getByLabel('Code, as a number').fill('#8a4b00');
  await page.waitForTimeout(600);
  await rehearsed();
  await sideBySide(browser, [failing, await page.screenshot()], 'look', {
    width: 1328,
    height: 1672,
    direction: 'column',
  });
  await page.goto('/lessons');
  await page.getByRole('link', { name: /The bakery of tiny helpers/ }).click();
  await page.getByRole('button', { name: 'More for this lesson' }).click();
  await page.getByRole('menuitem', { name: 'Design all codes' }).click();
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /Warm bread/ })
    .waitFor();
  const chosen = await page.screenshot();
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'What yeast eats' }).click();
  await page.getByRole('button', { name: 'More formats' }).click();
  await page.getByRole('button', { name: 'Create address' }).click();
  await page.getByLabel('HTML code').waitFor();
  await sideBySide(browser, [chosen, await page.screenshot()], 'pictures', {
    width: 1328,
    height: 1672,
    direction: 'column',
  });
}

/** A code with a stranger in between, inspected; and a students' reader that reads it. */
async function takeInspection(browser) {
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
async function takeRehearsal(browser) {
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

/** As the administrator: the school, and one description tried on an editor's link. */
async function takeServices(browser) {
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
  await sideBySide(browser, [await page.screenshot(), service], 'school', {
    width: 1328,
    height: 1672,
    direction: 'column',
  });
}

/** Unfolds a part of a material's page, as a link to it does. */
async function openPart(page, id) {
  await page.locator(`#${id}`).waitFor();
  await page.evaluate((part) => (location.hash = part), id);
  await page
    .locator(`#${id}`)
    .getByRole('button', { name: /^Hide / })
    .waitFor();
}

/** The page was opened in a browser, and its picture is shown. */
async function viewed(page) {
  await page.waitForTimeout(500);
  await page.getByRole('heading', { name: 'Checking in a browser…' }).waitFor({ state: 'detached' });
  await page.waitForTimeout(1200);
}

async function settled(page) {
  await page.getByRole('table').waitFor();
  await page.waitForTimeout(1500);
  const isQuiet = () => !/(?:Rehearsing|Opening) \d/.test(document.body.innerText);
  await page.waitForFunction(isQuiet, null, { timeout: 120_000 });
}

/** A demo's address is reached by no phone, and more may be named: it is printed on purpose. */
async function printAnyway(page) {
  await page.locator('#paper').getByRole('button', { name: 'Make poster' }).click();
  const dialog = page.getByRole('dialog').getByRole('button', { name: 'Print anyway' });
  const made = page.getByText(/^Poster saved: /).first();
  await dialog.or(made).first().waitFor();
  if (await dialog.isVisible()) await dialog.click();
}

/** Makes a station's poster. */
async function makePoster(page, name) {
  const bench = page.url();
  await page.getByRole('link', { name, exact: true }).click();
  const [download] = await Promise.all([page.waitForEvent('download'), printAnyway(page)]);
  const file = join(work, 'poster.pdf');
  await download.saveAs(file);
  // Loaded again rather than gone back to, so that no notice lies over the next picture.
  await page.goto(bench);
  await page.getByRole('table').waitFor();
}
