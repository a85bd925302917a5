/** Each page of docs/guide, followed word for word: what it prints in bold is on the screen, in that order or nearly so. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Locator, Page } from '@playwright/test';
import { addOne, askleaf, cofferlane, expect, newLesson, openSession, settled, test } from './journey.js';

const office = 'hesper.tolland@fernhollow.example';
const administrator = 'pell.arkwright@fernhollow.example';

/** Words in bold of a page, and those of them that were followed. */
class Guide {
  private readonly bold: ReadonlySet<string>;
  private readonly followed = new Set<string>();

  constructor(name: string) {
    const text = readFileSync(join(import.meta.dirname, `../docs/guide/${name}.md`), 'utf8');
    this.bold = new Set([...text.matchAll(/\*\*([^*]+)\*\*/g)].map(([, words]) => words ?? ''));
  }

  /** As the page says it; "…" stands for what differs. */
  say(words: string): RegExp {
    expect(this.bold).toContain(words);
    this.followed.add(words);
    const literal = (part: string): string => part.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
    return new RegExp(`^${words.split('…').map(literal).join('.+')}`);
  }

  /** Nothing that the page speaks of was left out. */
  end(): void {
    expect([...this.bold].filter((words) => !this.followed.has(words))).toEqual([]);
  }
}

const button = (page: Page | Locator, name: RegExp): Locator => page.getByRole('button', { name }).first();
const link = (page: Page | Locator, name: RegExp): Locator => page.getByRole('link', { name }).first();
/** A row of a bench or of a material answers each question with a link. */
const answer = (page: Page, name: RegExp): Locator => page.getByRole('link', { name }).first();

test('the guide: your first code', async ({ page }) => {
  const guide = new Guide('first-code');
  await openSession(page);
  await page.goto('/');
  await page.getByLabel(guide.say('What should students open?')).fill(`${cofferlane}/leaf/what-yeast-eats?guide=1`);
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
  await button(page, guide.say('Add')).click();
  await page.waitForURL(/\/shelf\/./);
  await expect(page.getByText('Opens for everyone').first()).toBeVisible();
  await expect(page.getByText(guide.say('Save picture')).first()).toBeVisible();
  await expect(button(page, guide.say('Make poster'))).toBeVisible();
  guide.end();
});

test('the guide: a lesson with stations, and its sheets', async ({ page }) => {
  const lesson = new Guide('lesson');
  await openSession(page);
  await page.goto('/');
  await link(page, lesson.say('Lessons')).click();
  // The start page has a button of the same name.
  await expect(page.getByRole('heading', { name: 'Lessons', level: 1 })).toBeVisible();
  await button(page, lesson.say('New lesson')).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(lesson.say('Name')).fill('By the guide');
  await dialog.getByLabel(lesson.say('Class')).selectOption({ label: '6 Kestrel' });
  await dialog.getByLabel(lesson.say('Viewing distance (m)')).fill('0.8');
  await button(dialog, lesson.say('Create lesson')).click();
  await page.getByLabel(lesson.say('Next station')).fill('Low tide at nine.\nBring boots.');
  await button(page, lesson.say('Add')).click();
  for (const column of ['Opens', 'Code', 'Reads', 'On paper'])
    await expect(page.getByRole('columnheader', { name: lesson.say(column) })).toBeVisible();
  await settled(page);
  lesson.end();

  const sheets = new Guide('sheets');
  const more = page.getByRole('button', { name: 'More for this lesson' });
  await expect(more).toHaveText(sheets.say('More'));
  await more.click();
  await page.getByRole('menuitem', { name: sheets.say('Make sheets') }).click();
  await expect(page.getByRole('group', { name: sheets.say('Kind') })).toBeVisible();
  await page
    .getByRole('group', { name: sheets.say('Design') })
    .getByRole('radio', { name: 'Task first' })
    .check({ force: true });
  await page.getByLabel(sheets.say('Phrases in')).selectOption({ label: 'Français' });
  await expect(page.getByRole('img', { name: /^Page 1 of/ })).toBeVisible();
  await button(page, sheets.say('Make the sheets')).click();
  const made = page.getByRole('list', { name: 'Just made' });
  const anyway = button(page, sheets.say('Print anyway'));
  await expect(made.or(anyway).first()).toBeVisible();
  if (await anyway.isVisible()) await anyway.click();
  await expect(link(made, sheets.say('Save PDF'))).toBeVisible();
  await expect(made.getByText(sheets.say('Print')).first()).toBeVisible();
  sheets.end();
});

test('the guide: a link that students can’t open', async ({ page }) => {
  const guide = new Guide('fix-a-link');
  await openSession(page);
  await newLesson(page, 'To be fixed');
  await page
    .getByLabel('Next station')
    .fill(`${cofferlane}/leaf/field-guide-to-limpets?guide=1\n${askleaf}/ask/nothing-there`);
  await button(page, /^Add/).click();
  await settled(page);
  await answer(page, guide.say('Opens')).click();
  await expect(link(page, guide.say('Go there in …'))).toBeVisible();
  await button(page, guide.say('Check again')).click();
  await page.goBack();
  await newLesson(page, 'Not sure');
  await page.getByLabel('Next station').fill('https://a.example/guide');
  await button(page, /^Add/).click();
  await settled(page);
  await answer(page, /^Opens/).click();
  await expect(button(page, guide.say('It opens'))).toBeVisible();
  await expect(button(page, guide.say('It doesn’t open'))).toBeVisible();
  guide.end();
});

test('the guide: short links', async ({ page }) => {
  const links = new Guide('short-links');
  await openSession(page);
  await page.goto('/shelf');
  await page.getByLabel('Next material').fill(`${cofferlane}/leaf/what-yeast-eats?guide=2`);
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0);
  await button(page, /^Add$/).click();
  await page.waitForURL(/\/shelf\/./);
  await answer(page, links.say('Code')).click();
  const rung = page.getByRole('listitem').filter({ hasText: 'The school’s short link' });
  await expect(rung.getByText(links.say('The school’s short link'))).toBeVisible();
  await button(rung, links.say('Use this')).click();
  await page
    .getByRole('heading', { name: links.say('Short link') })
    .first()
    .click();
  await button(page, links.say('Change target')).click();
  await page.getByLabel(links.say('New target')).fill(`${askleaf}/ask/tide-line-tally`);
  await button(page, links.say('Check it as a student')).click();
  await button(page, links.say('Save target')).click();
  await expect(page.getByText(/^The short link leads there now\./)).toBeVisible();

  await link(page, links.say('Shelf')).click();
  await link(page, links.say('Short links')).click();
  await expect(page.getByText('What yeast eats').first()).toBeVisible();
  links.end();
});

test('the guide: a real device', async ({ page }) => {
  await openSession(page);
  await page.goto('/shelf');
  await addOne(page, 'Look under the wet stones.');
  const devices = new Guide('try-devices');
  await answer(page, devices.say('Reads')).click();
  await link(page, devices.say('Try a device')).click();
  await button(page, devices.say('Measure this screen')).click();
  await button(page, devices.say('They match')).click();
  await expect(page.getByText(devices.say('What did it show?')).first()).toBeVisible();
  devices.end();
});

// The roster is that of other journeys: students.spec.ts imports one, makes the cards and saves them, and loses one.
test('the guide: student cards, up to what changes the roster', async ({ page }) => {
  const guide = new Guide('cards');
  await openSession(page, office);
  await page.goto('/');
  await link(page, guide.say('School')).click();
  await link(page, guide.say('All students')).click();
  await link(page, guide.say('Import roster')).click();
  await page.getByLabel('Choose a file').setInputFiles({
    name: 'two.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'Student no,Surname,First name,Class\n90001,Marlin,Ida,6 Kestrel\n90002,Lefèvre,Oto,6 Kestrel\n',
    ),
  });
  await expect(page.getByLabel(guide.say('Text encoding'))).toBeVisible();
  await expect(page.getByRole('region', { name: 'Are these names right?' })).toContainText('Oto Lefèvre');
  await expect(button(page, guide.say('Import … students'))).toBeVisible();
  await page.goto('/school/students');
  await expect(page.getByRole('heading', { name: guide.say('Students'), level: 1 })).toBeVisible();
  await expect(link(page, guide.say('Read cards'))).toBeVisible();
  await button(page, guide.say('More about …')).click();
  const entries = await page.getByRole('menuitem').allInnerTexts();
  expect(entries.length).toBeGreaterThan(0);
  await page.keyboard.press('Escape');
  await link(page, guide.say('Make cards')).click();
  await expect(page.getByText(guide.say('Only students without a card'))).toBeVisible();
  await expect(button(page, guide.say('Make the cards'))).toBeVisible();
  await page.goto('/school/students');
  await link(page, guide.say('Next school year')).click();
  await expect(button(page, guide.say('Move classes'))).toBeVisible();
  for (const words of ['Save PDF', 'Card lost', 'Mark as lost', 'Make a new card']) guide.say(words);
  guide.end();
});

test('the guide: devices, classes and services of an administrator', async ({ page }) => {
  const guide = new Guide('administrator');
  await openSession(page, administrator);
  await page.goto('/');
  await link(page, guide.say('Devices')).click();
  await button(page, guide.say('Add a device')).click();
  await expect(page.getByLabel(guide.say('Similar to'))).toBeVisible();
  await expect(button(page, guide.say('Add it'))).toBeVisible();
  await page.keyboard.press('Escape');
  await link(page, guide.say('School')).click();
  await expect(page.getByLabel(guide.say('Public address'))).toBeVisible();
  await expect(link(page, guide.say('Activity log'))).toBeVisible();
  await expect(link(page, guide.say('How long records are kept'))).toBeVisible();
  await expect(link(page, guide.say('Condition'))).toBeVisible();
  await link(page, guide.say('All staff')).click();
  await button(page, guide.say('Invite a colleague')).click();
  await expect(button(page, guide.say('Make invitation'))).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(button(page, guide.say('More'))).toBeVisible();
  await page.goBack();
  await button(page, guide.say('New class')).click();
  await expect(button(page, guide.say('Save class'))).toBeVisible();
  await page.keyboard.press('Escape');
  await link(page, guide.say('All services')).click();
  await expect(link(page, guide.say('Describe a service'))).toBeVisible();
  await expect(page.getByText(guide.say('Import')).first()).toBeVisible();
  guide.end();
});
