import type { BrowserContext, Page } from '@playwright/test';
import { expect, newLesson, openSession, settled, signIn, test } from './journey.js';
import { film, picture, tone } from './media.js';

// A service worker may take the page over meanwhile: then a request may pass what plays the network here.
test.use({ serviceWorkers: 'block' });

interface Chosen {
  readonly name: string;
  readonly mimeType: string;
  readonly buffer: Buffer;
}
const sound: Chosen = { name: 'shore-sounds.wav', mimeType: 'audio/wav', buffer: tone(3) };
const png = (name: string, colour: readonly [number, number, number]): Chosen => ({
  name,
  mimeType: 'image/png',
  buffer: picture(900, 600, colour),
});

async function choose(page: Page, ...files: Chosen[]): Promise<void> {
  await page.getByLabel('Files or photos').setInputFiles(files);
}

/** Adds one file to the shelf and opens its page. */
async function add(page: Page, file: Chosen, title: string): Promise<void> {
  await page.goto('/shelf');
  await choose(page, file);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
}

/** What somebody sees who has no account: a phone that scanned the code. */
async function asStudent(page: Page, context: BrowserContext): Promise<Page> {
  const href = await page.getByRole('link', { name: 'View as a student' }).getAttribute('href');
  const student = await context
    .browser()
    ?.newPage({ viewport: { width: 390, height: 844 }, baseURL: new URL(page.url()).origin });
  if (!student || href === null) throw new Error('there is no page for students');
  await student.goto(href);
  return student;
}

test('a sound is kept, opens for students, and plays on their page', async ({ page, context }) => {
  await openSession(page);
  await newLesson(page, 'With a sound of our own');
  await choose(page, sound);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await settled(page);
  await page.getByRole('table').getByRole('link', { name: 'Shore sounds' }).click();
  // It can be played, but the demo's own address is this computer's.
  await expect(page.getByRole('heading', { name: 'No phone can reach the school’s address' })).toBeVisible();
  await page.getByLabel('Transcript').fill('Listen to the waves.');
  await page.getByRole('button', { name: 'Save transcript' }).click();
  await expect(page.getByRole('button', { name: 'Save transcript' })).toHaveCount(0);
  const student = await asStudent(page, context);
  await expect(student.getByRole('heading', { name: 'Shore sounds' })).toBeVisible();
  await expect(student.getByText('Listen to the waves.')).toBeVisible();
  await expect
    .poll(() => student.locator('audio').evaluate((audio: HTMLAudioElement) => audio.duration))
    .toBeCloseTo(3, 1);
  await student.getByRole('button', { name: '1.5×' }).click();
  expect(await student.locator('audio').evaluate((audio: HTMLAudioElement) => audio.playbackRate)).toBe(1.5);
  expect(await student.context().cookies()).toEqual([]);
  await student.close();
});

test('a film is kept with its captions, and plays with them', async ({ page, context }) => {
  await signIn(page);
  await add(page, { name: 'limpet-film.webm', mimeType: 'video/webm', buffer: await film(page, 1.5) }, 'Limpet film');
  const captions = 'WEBVTT\n\n00:00.000 --> 00:01.000\nA limpet lets go.\n';
  await page
    .getByLabel('Add captions (WebVTT)')
    .setInputFiles({ name: 'limpet-film.vtt', mimeType: 'text/vtt', buffer: Buffer.from(captions) });
  await expect(page.getByText('Captions: limpet-film.vtt')).toBeVisible();
  const student = await asStudent(page, context);
  const shown = student.locator('video');
  await shown.evaluate(async (video: HTMLVideoElement) => {
    video.muted = true;
    await video.play();
  });
  await expect.poll(() => shown.evaluate((video: HTMLVideoElement) => video.currentTime)).toBeGreaterThan(0.2);
  expect(
    await shown.evaluate((video: HTMLVideoElement) => [
      video.videoWidth,
      [...(video.textTracks[0]?.cues ?? [])].map((cue) => (cue as VTTCue).text),
    ]),
  ).toEqual([160, ['A limpet lets go.']]);
  await student.close();
});

test('an upload that is interrupted goes on where it stopped', async ({ page, context }) => {
  await openSession(page);
  await page.goto('/shelf');
  const long: Chosen = { name: 'long.wav', mimeType: 'audio/wav', buffer: tone(600) };
  const offsets: number[] = [];
  let broken = false;
  await context.route('**/api/uploads/*', async (route, request) => {
    const offset = Number(request.headers()['upload-offset'] ?? Number.NaN);
    if (request.method() !== 'PATCH') return route.continue();
    offsets.push(offset);
    if (offset > 0 && !broken) {
      broken = true;
      return route.abort('connectionreset');
    }
    return route.continue();
  });
  await choose(page, long);
  await expect(page.getByRole('progressbar', { name: 'Uploading long.wav' })).toBeVisible();
  await expect(page.getByText('Uploaded, 9.6 MB')).toBeVisible({ timeout: 120_000 });
  expect(broken).toBe(true);
  // Nothing that was acknowledged is sent again.
  expect(offsets.filter((offset) => offset === 0)).toHaveLength(1);
  expect(offsets).toContain(4_000_000);
});

test('an upload that is stopped leaves nothing, and one that is refused says why', async ({ page, context }) => {
  await openSession(page);
  await page.goto('/shelf');
  await context.route('**/api/uploads/*', (route, request) =>
    request.method() === 'PATCH' ? undefined : route.continue(),
  );
  await choose(page, sound);
  await page.getByRole('button', { name: 'Stop shore-sounds.wav' }).click();
  await expect(page.getByRole('list', { name: 'Uploads' }).getByRole('listitem')).toHaveCount(0);
  await context.unroute('**/api/uploads/*');
  await page.getByRole('button', { name: 'Discard' }).click();
  await choose(page, { name: 'torn.png', mimeType: 'image/png', buffer: png('x', [1, 2, 3]).buffer.subarray(0, 200) });
  await expect(page.getByRole('alert')).toHaveText(
    'This picture can’t be read. Save it as JPEG or PNG and upload it again.',
  );
});

test('pictures become one set, in the order and with the words that were given', async ({ page, context }) => {
  await openSession(page);
  await page.goto('/shelf');
  await choose(page, png('rock_pool.png', [60, 125, 107]), png('shore_crab.png', [168, 85, 62]));
  await page.getByRole('button', { name: 'Add as one picture set' }).click();
  await expect(page.getByRole('heading', { name: 'Rock pool', level: 1 })).toBeVisible();
  await page.getByLabel('Caption').nth(1).fill('A crab under its stone');
  await page.getByLabel('Description for screen readers').nth(1).fill('A brown crab');
  await page.getByRole('button', { name: 'Picture 2: move' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText(/^Picture 2 (?:is picked up|would be picture 2)/)).toBeAttached();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Picture 2 would be picture 1.')).toBeAttached();
  await page.keyboard.press('Space');
  await expect(page.getByLabel('Caption').first()).toHaveValue('A crab under its stone');
  await page.getByRole('button', { name: 'Save pictures' }).click();
  await expect(page.getByRole('button', { name: 'Save pictures' })).toHaveCount(0);
  const student = await asStudent(page, context);
  await expect(student.locator('figure').first()).toContainText('A crab under its stone');
  await expect(student.getByRole('img', { name: 'A brown crab' })).toBeVisible();
  expect(
    await student.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth),
  ).toBe(0);
  await student.close();
});

test('files arrive by drop and by paste', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  const intake = page.getByLabel('Next material');
  const give = (how: 'drop' | 'paste', name: string, base64: string): Promise<void> =>
    intake.evaluate(
      (field, given) => {
        const data = new DataTransfer();
        data.items.add(
          new File([Uint8Array.from(atob(given.base64), (character) => character.charCodeAt(0))], given.name),
        );
        field.dispatchEvent(
          given.how === 'drop'
            ? new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true })
            : new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
        );
      },
      { how, name, base64 },
    );
  await give('drop', 'dropped-drawing.png', picture(300, 200, [60, 125, 107]).toString('base64'));
  await expect(page.getByText('dropped-drawing.png')).toBeVisible();
  await give('paste', 'pasted-sound.wav', tone(1).toString('base64'));
  await expect(page.getByText('pasted-sound.wav')).toBeVisible();
  await page.getByRole('button', { name: 'Add 2 materials' }).click();
  for (const title of ['Dropped drawing', 'Pasted sound'])
    await expect(page.getByRole('link', { name: title })).toBeVisible();
});

test('a page is written, keeps itself, and is read as a student sees it', async ({ page, context }) => {
  await openSession(page);
  await page.goto('/add');
  await page.getByRole('button', { name: 'Write a page' }).click();
  await page.getByLabel('Title').fill('Before the trip');
  const body = page.getByRole('textbox', { name: 'The page' });
  await body.click();
  await page.getByLabel('Paragraph').selectOption('Heading');
  await page.keyboard.type('What to bring');
  await page.keyboard.press('Enter');
  await page.keyboard.type('Look at the table first');
  await page.keyboard.press('Shift+Home');
  await page.getByRole('button', { name: 'Link' }).click();
  await page.getByLabel('Address').fill('“https://https://tides.example/table”');
  await page.getByRole('dialog').getByRole('button', { name: 'Save link' }).click();
  await page.getByLabel('Colour').selectOption('Blue');
  await expect(body).toBeFocused();
  // The editor takes the focus back with what was selected: only then is the end of the line gone to.
  await expect(async () => {
    await page.keyboard.press('End');
    expect(await page.evaluate(() => getSelection()?.isCollapsed)).toBe(true);
    await page.evaluate(() => new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve))));
    expect(await page.evaluate(() => getSelection()?.isCollapsed)).toBe(true);
  }).toPass();
  await page.keyboard.press('Enter');
  await page.getByLabel('Add a file').setInputFiles([png('rock_pool.png', [60, 125, 107])]);
  await expect(body.locator('img')).toBeVisible();
  await page.getByLabel('Description for screen readers').fill('A rock pool');
  await page.getByLabel('Add a file').setInputFiles([sound]);
  await expect(body.locator('audio')).toBeVisible();
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Done' }).click();
  await expect(page.getByRole('heading', { name: 'Before the trip', level: 1 })).toBeVisible();
  await expect(page.getByText('1 link, 2 files')).toBeVisible();
  const student = await asStudent(page, context);
  await expect(student.getByRole('heading', { name: 'What to bring', level: 3 })).toBeVisible();
  const link = student.getByRole('link', { name: 'Look at the table first' });
  await expect(link).toHaveAttribute('href', 'https://tides.example/table');
  await expect(student.locator('.colour-blue')).toHaveCSS('color', 'rgb(31, 90, 150)');
  await expect(student.getByRole('img', { name: 'A rock pool' })).toBeVisible();
  await expect
    .poll(() => student.locator('audio').evaluate((audio: HTMLAudioElement) => audio.duration))
    .toBeCloseTo(3, 1);
  await student.close();
});

test('two people who write one page are told, and lose nothing', async ({ page, context }) => {
  await openSession(page);
  await page.goto('/add');
  await page.getByRole('button', { name: 'Write a page' }).click();
  await expect(page.getByRole('textbox', { name: 'The page' })).toBeVisible();
  const second = await context.newPage();
  await second.goto(page.url());
  await second.getByRole('textbox', { name: 'The page' }).click();
  await second.keyboard.type('From the laptop');
  await expect(second.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('textbox', { name: 'The page' }).click();
  await page.keyboard.type('From the phone');
  await expect(page.getByRole('alert')).toContainText('changed in another window or by somebody else');
  await page.getByRole('button', { name: 'Keep this version' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.getByRole('button', { name: 'Earlier versions' }).click();
  await expect(page.getByRole('dialog')).toContainText('From the laptop');
  await page.getByRole('button', { name: 'Use this version' }).first().click();
  await expect(page.getByRole('textbox', { name: 'The page' })).toHaveText('From the laptop');
  await expect(page.getByText('saved', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Earlier versions' }).click();
  await expect(page.getByRole('dialog')).toContainText('From the phone');
});

test('a hostile drawing is opened without effect', async ({ page, context }) => {
  const hostile =
    '<svg xmlns="http://www.w3.org/2000/svg" onload="document.title=\'taken over\';fetch(\'/api/session\')"><script>document.title="taken over"; fetch("/api/session")</script></svg>';
  await signIn(page);
  await add(page, { name: 'drawing.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(hostile) }, 'Drawing');
  const address = await page.evaluate(async () => {
    const files = (await (await fetch('/api/files')).json()) as { rows: { address: string }[] };
    return files.rows[0]?.address ?? '';
  });
  const asked: string[] = [];
  const victim = await context.newPage();
  victim.on('request', (request) => asked.push(new URL(request.url()).pathname));
  // Saved, never shown: the browser leaves the page where it was.
  const download = victim.waitForEvent('download');
  await victim.goto(address).catch(() => undefined);
  expect((await download).suggestedFilename()).toBe('drawing.svg');
  // And shown within a page of the attacker's making it runs nothing either.
  await victim.goto('/sign-in');
  await victim.evaluate((source) => {
    for (const tag of ['img', 'embed', 'object', 'iframe']) {
      const element = document.createElement(tag);
      element.setAttribute(tag === 'object' ? 'data' : 'src', source);
      document.body.append(element);
    }
  }, address);
  await victim.waitForLoadState('networkidle');
  expect(await victim.title()).not.toBe('taken over');
  expect(asked.filter((path) => path === '/api/session')).toHaveLength(0);
});

test('files are found again, renamed, and go only when nothing shows them', async ({ page }) => {
  await signIn(page);
  await add(
    page,
    { name: 'for-the-list.txt', mimeType: 'text/plain', buffer: Buffer.from('words for the list') },
    'For the list',
  );
  await page.goto('/shelf/files');
  const row = page.getByRole('listitem').filter({ has: page.getByLabel('Name of for-the-list.txt') });
  await expect(row.getByRole('link', { name: 'For the list' })).toBeVisible();
  await expect(row.getByRole('button', { name: 'Remove for-the-list.txt' })).toBeDisabled();
  await row.getByLabel('Name of for-the-list.txt').fill('renamed.txt');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Name of renamed.txt')).toBeVisible();
  await page.getByRole('link', { name: 'For the list' }).click();
  await page.getByRole('button', { name: 'Change', exact: true }).click();
  await page.getByRole('button', { name: 'Remove from shelf' }).click();
  await page.goto('/shelf/files');
  await page.getByRole('button', { name: 'Remove renamed.txt' }).click();
  await expect(page.getByLabel('Name of renamed.txt')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Name of renamed.txt')).toBeVisible();
});
