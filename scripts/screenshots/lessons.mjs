// Lessons: reviews of a paste, checks, phones, the dark and an outage.
import { newPage, signIn } from '../browser.mjs';
import { settings } from './places.mjs';
import { joined, settled, sideBySide, viewed } from './tools.mjs';

/** What is understood of a paste, a table and a message before it is added. */
export async function takeReviews(browser, page, intakeReview) {
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
export async function takePhones(browser) {
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

/** A dark bench and station, what waits while the server is away, and a draft that is offered. */
export async function takeDarkAndOutage(browser) {
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

/** The Opens part in four verdicts, one under another; and a film that its owner hides meanwhile, for the news. */
export async function takeOpens(browser) {
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
