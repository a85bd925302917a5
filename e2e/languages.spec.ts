import type { Page } from '@playwright/test';
import { add, expect, newLesson, openSession, settled, test } from './journey.js';

/** Made by scripts/pseudo-language.mjs: English with other letters, 40 % longer. */
const pseudoLanguage = 'qps';

/** As if the school had that language. */
async function speakPseudo(page: Page): Promise<void> {
  await page.route(
    (url) => !/^\/(?:api|assets|p|k|c)\//.test(url.pathname),
    async (route) => {
      if (route.request().resourceType() !== 'document') return route.fallback();
      const response = await route.fetch();
      const body = (await response.text()).replace(/<html lang="[^"]*">/, `<html lang="${pseudoLanguage}">`);
      await route.fulfill({ response, body });
    },
  );
}

/** What is wider than its place: the page itself, and each button, link, heading or label. */
async function overflowing(page: Page): Promise<readonly string[]> {
  return page.evaluate(async () => {
    for (let frame = 0; frame < 2; frame += 1) await new Promise((resolve) => requestAnimationFrame(resolve));
    const { documentElement: root } = document;
    const found = root.scrollWidth > root.clientWidth ? [`the page by ${root.scrollWidth - root.clientWidth} px`] : [];
    for (const element of document.querySelectorAll<HTMLElement>('button, a, h1, h2, h3, label, legend, th, dt')) {
      const { overflowX, display } = getComputedStyle(element);
      const isShown = element.offsetWidth > 1 && display !== 'inline';
      if (isShown && overflowX === 'visible' && element.scrollWidth > element.clientWidth + 1)
        found.push(`“${element.innerText.slice(0, 60)}” by ${element.scrollWidth - element.clientWidth} px`);
    }
    return found;
  });
}

// It would answer with the page it knows, in the school's own language.
test.use({ serviceWorkers: 'block' });

const pages = ['/', '/lessons', '/shelf', '/add', '/shelf/files', '/shelf/short-links', '/devices', '/inspect'];
const administratorPages = [
  '/school',
  '/school/students',
  '/school/students/import',
  '/school/templates',
  '/school/looks',
];

/** What is wider than its place on any of the pages, at both widths. */
async function overflowingOn(page: Page, paths: readonly string[]): Promise<readonly string[]> {
  const found: string[] = [];
  for (const path of paths)
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      if (path !== '/inspect') await expect(page.getByRole('navigation').first()).toContainText('Lëssöns');
      for (const each of await overflowing(page)) found.push(`${path} at ${width} px: ${each}`);
    }
  return found;
}

test('texts of a longer language fit at 1280 and 390 px', async ({ page }) => {
  await openSession(page);
  await newLesson(page, 'Longer words');
  await add(page, 'Rub the shell, then count its rings.\nhttps://a.example/rings');
  await settled(page);
  const lesson = new URL(page.url()).pathname;
  const opens = page.getByRole('link', { name: /^Opens/ }).first();
  const station = new URL((await opens.getAttribute('href')) ?? '', page.url()).pathname;
  await speakPseudo(page);
  const sheets = `/sheets?lesson=${lesson.split('/').at(-1)}`;
  expect(await overflowingOn(page, [...pages, lesson, station, sheets])).toEqual([]);
});

test('texts of a longer language fit on the pages of administrators', async ({ page }) => {
  await openSession(page, 'pell.arkwright@fernhollow.example');
  await speakPseudo(page);
  expect(await overflowingOn(page, administratorPages)).toEqual([]);
});
