// What a phone must load before a student's page is usable: the page with its style, font and picture of the first sight.
import { join } from 'node:path';
import { newPage, signIn, withBrowser } from '../browser.mjs';
import { projectFolder, readSettings } from '../settings.mjs';

const viewer = /pdf-viewer|pdf\.worker|player/;
const media = /^\/k\//;

export function bench() {
  const settings = readSettings({
    HAPSET_PORT: '4600',
    HAPSET_NEIGHBOURS_PORT: '4610',
    HAPSET_DATA: join(projectFolder, 'test-output/bench'),
  });
  return withBrowser(settings, async (browser) => {
    const staff = await newPage(browser, settings);
    await signIn(staff);
    const rows = [];
    for (const title of ['Before you go out', 'Rock pools we drew', 'Shore sounds']) {
      await staff.goto('/shelf');
      await staff.getByRole('link', { name: title }).click();
      const href = await staff.getByRole('link', { name: 'View as a student' }).getAttribute('href');
      rows.push(...(await weigh(browser, settings, title, href)));
    }
    return rows;
  });
}

async function weigh(browser, settings, title, href) {
  const page = await newPage(browser, settings, { width: 390, height: 844 });
  const loaded = [];
  page.on('response', async (response) =>
    loaded.push({
      path: new URL(response.url()).pathname,
      bytes: (await response.body().catch(() => Buffer.alloc(0))).length,
    }),
  );
  await page.goto(href);
  await page.waitForLoadState('networkidle');
  await page.context().close();
  const own = loaded.filter(({ path }) => !viewer.test(path) && !media.test(path));
  const kilobytes = (list) => `${(list.reduce((sum, { bytes }) => sum + bytes, 0) / 1024).toFixed(1)} KB`;
  return [
    { what: `${title}: page, style and font`, value: kilobytes(own), target: 'under 120 KB before viewer and media' },
    {
      what: `${title}: pictures, sounds and scripts after it`,
      value: kilobytes(loaded.filter((each) => !own.includes(each))),
      target: '',
    },
  ];
}
