import { add, expect, neighboursPort, newLesson, openSession, settled, signIn, test } from './journey.js';
import { photograph, toPng } from './scene.js';

const nipped = `http://nipaway.localhost:${neighboursPort}/n/foghorn`;

test('a photographed table with three codes is inspected: one is a station, one has a stranger in between and is adopted', async ({
  page,
}) => {
  await openSession(page);
  await newLesson(page, 'Codes on a table', '0.8');
  await add(page, 'Who leaves two rows of dots in the sand?');
  await settled(page);
  await page.goto('/shelf');
  await page.getByRole('link', { name: 'Inspect a code' }).click();
  const scene = photograph([
    { payload: nipped, tiltDeg: 18, rollDeg: 9 },
    { payload: 'Who leaves two rows of dots in the sand?', tiltDeg: 6, rollDeg: -95 },
    { payload: 'WIFI:T:WPA;S:Pier;P:tide\u200bpool;;', tiltDeg: 12, rollDeg: 30 },
  ]);
  await page
    .getByLabel('Choose a picture')
    .setInputFiles({ name: 'table.png', mimeType: 'image/png', buffer: toPng(scene) });
  const codes = page.getByRole('list', { name: 'Codes that were read' }).locator('> li');
  await expect(codes).toHaveCount(3);
  await expect(page.getByRole('status').getByText('3 codes read')).toBeVisible();

  const own = codes.filter({ hasText: 'two rows of dots' });
  await expect(own.getByRole('link', { name: 'station 1 of “Codes on a table”' })).toBeVisible();
  const network = codes.filter({ hasText: 'A network' });
  await expect(network.getByText('A phone offers to join the network “Pier”.')).toBeVisible();
  await expect(network.locator('mark')).toHaveText('U+200B');
  await expect(network).toContainText('error correction level');

  const link = codes.filter({ hasText: 'A link' });
  await expect(link).toContainText('It is not one of your materials.');
  await link.getByRole('button', { name: 'Follow it as a student' }).click();
  await expect(link.getByRole('list', { name: 'The way' }).getByRole('listitem')).toHaveCount(3, { timeout: 120_000 });
  await expect(link).toContainText('sending visitors on');
  await link.getByRole('button', { name: 'Put its target on the shelf' }).click();
  await page.waitForURL(/\/shelf\/./);
  await expect(page.locator('aside p.font-mono')).not.toContainText('nipaway');
  await expect(page.locator('aside p.font-mono')).toContainText('http');
});

test('the text of a code can be pasted; what is no picture, and a picture without a code, are said plainly', async ({
  page,
}) => {
  await openSession(page);
  await page.goto('/inspect');
  await expect(page.getByRole('heading', { name: 'Inspect a code' })).toBeVisible();
  const paste = (text: string) =>
    page.evaluate((pasted) => {
      const data = new DataTransfer();
      data.setData('text/plain', pasted);
      document.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
    }, text);
  await paste('https://p\u0430ypond.example/x');
  await expect(page.locator('mark')).toHaveText('\u0430 U+0430');
  await expect(page.getByText('Marked: a lookalike letter of another script.')).toBeVisible();
  await paste('intent://scan#x;end');
  await expect(page.getByRole('heading', { name: 'An address that opens no page' })).toBeVisible();
  const choose = page.getByLabel('Choose a picture');
  await choose.setInputFiles({
    name: 'wall.png',
    mimeType: 'image/png',
    buffer: toPng({ widthPx: 90, heightPx: 60, grey: new Uint8Array(5400).fill(170) }),
  });
  await expect(page.getByText('No code was found.', { exact: false })).toBeVisible();
  await choose.setInputFiles({ name: 'words.png', mimeType: 'image/png', buffer: Buffer.from('no picture at all') });
  await expect(page.getByText('This file can’t be read as a picture.', { exact: false })).toBeVisible();
});

test('without a camera it says so, and what else can be done', async ({ page }) => {
  await openSession(page);
  await page.goto('/inspect');
  await page.getByRole('button', { name: 'Use the camera' }).click();
  await expect(page.getByRole('alert')).toContainText(/below/);
  await expect(page.getByLabel('Choose a picture')).toBeAttached();
});

test('the students’ reader shows a link’s host in plain sight and opens nothing by itself', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/read');
  const choose = page.getByLabel('Take or choose a picture');
  await choose.setInputFiles({
    name: 'link.png',
    mimeType: 'image/png',
    buffer: toPng(photograph([{ payload: 'https://a.example/leaf/rock-pools', tiltDeg: 8, rollDeg: 5 }])),
  });
  const open = page.getByRole('link', { name: 'Open a.example' });
  await expect(open).toHaveAttribute('href', 'https://a.example/leaf/rock-pools');
  await expect(open).toHaveAttribute('rel', 'noreferrer');
  await page.getByRole('button', { name: 'Read another' }).click();
  // All of a picture, and not whichever was found first.
  await choose.setInputFiles({
    name: 'three.png',
    mimeType: 'image/png',
    buffer: toPng(
      photograph([
        { payload: 'https://a.example/leaf/rock-pools', tiltDeg: 18, rollDeg: 9 },
        { payload: 'Who leaves two rows of dots in the sand?', tiltDeg: 6, rollDeg: -95 },
        { payload: 'https://b.example/song', tiltDeg: 12, rollDeg: 30 },
      ]),
    ),
  });
  await expect(page.getByText('Codes found: 3')).toBeVisible();
  await expect(page.getByRole('region', { name: /^What code \d of 3 says$/ })).toHaveCount(3);
  await expect(page.getByRole('link', { name: 'Open b.example' })).toBeVisible();
  await page.getByRole('button', { name: 'Read another' }).click();
  await choose.setInputFiles({
    name: 'odd.png',
    mimeType: 'image/png',
    buffer: toPng(photograph([{ payload: 'intent://scan#x;end', tiltDeg: 8, rollDeg: 5 }])),
  });
  await expect(page.getByText('Ask your teacher before you use it.', { exact: false })).toBeVisible();
  await expect(page.getByRole('region').getByRole('link')).toHaveCount(0);
});

test('where the school lets its network, a code is inspected without signing in; elsewhere one signs in', async ({
  page,
  browser,
}) => {
  const visitor = await (await browser.newContext()).newPage();
  await visitor.goto('/inspect');
  await expect(visitor.getByRole('button', { name: 'Sign in' })).toBeVisible();

  await openSession(page, 'pell.arkwright@fernhollow.example');
  await page.goto('/school');
  const networks = page.getByLabel('Networks where anyone may inspect codes');
  await networks.fill('the library');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByText('Write each network as an address and a prefix length', { exact: false })).toBeVisible();
  await networks.fill('127.0.0.0/8');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(page.getByText('Settings saved.', { exact: true })).toBeVisible();

  await visitor.goto('/inspect');
  await expect(visitor.getByRole('heading', { name: 'Inspect a code' })).toBeVisible();
  await expect(visitor.getByRole('navigation')).toHaveCount(0);
  const scene = photograph([{ payload: nipped, tiltDeg: 10, rollDeg: 4 }]);
  await visitor
    .getByLabel('Choose a picture')
    .setInputFiles({ name: 'wall.png', mimeType: 'image/png', buffer: toPng(scene) });
  await visitor.getByRole('button', { name: 'Follow it as a student' }).click();
  await expect(visitor.getByRole('list', { name: 'The way' }).getByRole('listitem')).toHaveCount(3, {
    timeout: 120_000,
  });
  await expect(visitor.getByRole('button', { name: /shelf/ })).toHaveCount(0);
  await visitor.context().close();

  await networks.fill('');
  await page.getByRole('button', { name: 'Save settings' }).click();
  await expect(networks).toHaveValue('');
});

test('the students’ reader plays a sound, and reads words aloud with a voice of the device alone', async ({ page }) => {
  await page.addInitScript(() => {
    const spoken: { text: string; voice: string }[] = [];
    class Utterance {
      voice: { name: string } | null = null;
      constructor(readonly text: string) {}
    }
    const voices = [
      { name: 'far', lang: 'en-GB', localService: false },
      { name: 'own', lang: 'en-IE', localService: true },
    ];
    const speech = {
      getVoices: () => voices,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
      cancel: () => undefined,
      speak: ({ text, voice }: Utterance) => spoken.push({ text, voice: voice?.name ?? '' }),
    };
    Object.assign(window, { SpeechSynthesisUtterance: Utterance, spoken });
    Object.defineProperty(window, 'speechSynthesis', { value: speech });
  });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto('/read');
  const choose = page.getByLabel('Take or choose a picture');
  await choose.setInputFiles({
    name: 'sound.png',
    mimeType: 'image/png',
    buffer: toPng(photograph([{ payload: 'https://a.example/foghorn.mp3', tiltDeg: 8, rollDeg: 5 }])),
  });
  await expect(page.getByRole('link', { name: 'Play it at a.example' })).toBeVisible();
  await page.getByRole('button', { name: 'Read another' }).click();
  await choose.setInputFiles({
    name: 'words.png',
    mimeType: 'image/png',
    buffer: toPng(photograph([{ payload: 'Look under the wet stones', tiltDeg: 8, rollDeg: 5 }])),
  });
  await page.getByRole('button', { name: 'Read aloud' }).click();
  await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible();
  expect(await page.evaluate(() => (window as unknown as { spoken: unknown }).spoken)).toEqual([
    { text: 'Look under the wet stones', voice: 'own' },
  ]);
});

test('without a network the page still reads what it is given, and says that nothing can be followed', async ({
  page,
  context,
}) => {
  await signIn(page);
  const picture = {
    name: 'wall.png',
    mimeType: 'image/png',
    buffer: toPng(photograph([{ payload: 'https://a.example/leaf/kelp', tiltDeg: 8, rollDeg: 5 }])),
  };
  const read = async (): Promise<void> => {
    await page.getByLabel('Choose a picture').setInputFiles(picture);
    await expect(page.getByLabel('What it says, letter by letter')).toHaveText('https://a.example/leaf/kelp');
  };
  await page.goto('/inspect');
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.reload();
  await read();
  await context.setOffline(true);
  await page.reload();
  await read();
  await page.getByRole('button', { name: 'Follow it as a student' }).click();
  await expect(page.getByText('The server can’t be reached.', { exact: false })).toBeVisible();
  await context.setOffline(false);
});
