import { pick } from './pick';
import type { Page } from '@playwright/test';
import { expect, kept, measureBoothDeck, openTicket, take, test } from './bench';
import { say } from './saying';

/* Six whole jobs, each ended by comparing every sentence of both papers with what was done. */

async function cleaned(page: Page, ...lines: readonly string[]): Promise<void> {
  await page.keyboard.press('Alt+4');
  const field = page.getByLabel(/^What was found or done, and where/);
  for (const line of lines) {
    await field.fill(line);
    await field.press('Enter');
    await expect(field, line).toHaveValue('');
  }
  await field.blur();
}
async function complains(page: Page, words: string): Promise<void> {
  await page.keyboard.press('Alt+1');
  await page.getByRole('button', { name: 'Write a complaint' }).click();
  await page.getByLabel('Complaint 1', { exact: true }).fill(words);
  await page.getByLabel('Complaint 1', { exact: true }).blur();
}
/** Counted at Prove after a treatment, each press as long as a hand holds a key. */
async function proved(page: Page): Promise<void> {
  await page.keyboard.press('Alt+8');
  await page.getByRole('button', { name: 'Begin a clean run' }).click();
  for (let cycle = 0; cycle < 3; cycle++) await page.keyboard.press('g', { delay: 100 });
  await kept(page);
}

type Paper = Readonly<Record<string, readonly string[]>>;
/** What stands under each heading of a paper. */
const underHeadings = (page: Page, name: string): Promise<Paper> =>
  page.getByRole('article', { name }).evaluate((article) =>
    Object.fromEntries(
      [...article.querySelectorAll('section')].map((section) => [
        section.querySelector('h3')?.textContent ?? '',
        // A sentence opens to what it rests on; its sign of that is no word.
        [...section.querySelectorAll('p, button > span:first-child')].map((line) => (line.textContent ?? '').trim()),
      ]),
    ),
  );
async function letter(page: Page): Promise<Paper> {
  await page.keyboard.press('Alt+9');
  await page.getByRole('link', { name: 'Letter to the owner' }).click();
  await expect(page.getByRole('article', { name: 'Letter to the owner' })).toBeVisible();
  return underHeadings(page, 'Letter to the owner');
}
/** Found, done and left, as the bench sheet has them. */
async function sheet(page: Page): Promise<Paper> {
  await page.keyboard.press('Alt+9');
  await page.getByRole('link', { name: 'Bench sheet, to print' }).click();
  await expect(page.getByRole('article', { name: 'Bench sheet' })).toBeVisible();
  const all = await underHeadings(page, 'Bench sheet');
  return Object.fromEntries(Object.entries(all).filter(([heading]) => /^(?:Found|Done|Noticed)/.test(heading)));
}

test('a kept belt', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 58.2, section 1.2');
  await complains(page, 'will not open');
  await say(page, '4 ph1 underside', 'lid', 'drive pulley oily');
  await page.keyboard.press('Alt+5');
  await measureBoothDeck(page);
  await cleaned(page, 'both pulleys alcohol, clean twice');
  await page.keyboard.press('Alt+6');
  await expect(page.getByText('None yet.')).toBeVisible();
  // A belt goes on dry pulleys only: it asks first.
  await page.keyboard.press('k', { delay: 100 });
  const wet = page.getByRole('button', { name: 'It is dry already' });
  await expect(wet).toHaveCount(2);
  await expect(async () => {
    if ((await wet.count()) > 0) await wet.first().click();
    await expect(wet).toHaveCount(0, { timeout: 1000 });
  }).toPass();
  await page.getByRole('button', { name: 'The belt is on' }).click();
  await expect(page.getByText('the old belt, cleaned')).toBeVisible();
  await page.keyboard.press('r', { delay: 100 });
  await proved(page);
  expect(await letter(page)).toEqual({
    'What you told us': ['“will not open”. This is not settled yet.'],
    'What we found': ['Oil on drive pulley.'],
    'What we did': ['The old belt kept.', 'Motor pulley and drive pulley cleaned.'],
    'What is in it now': ['The belt: square 1.2 mm, 111.6 mm inner length, your old one.'],
    'What we saw it do': ['Since the repair it ran 3 times without failing.'],
  });
  expect(await sheet(page)).toEqual({
    Found: ['Oil on drive pulley.'],
    Done: ['The old belt kept.', 'Motor pulley and drive pulley cleaned.'],
  });
  // Each sentence opens to what it rests on.
  await page.getByRole('button', { name: 'The old belt kept.' }).click();
  await expect(page.getByRole('link', { name: 'Size', exact: true })).toBeVisible();
  await expect(page.getByText(/try 1, judged right/)).toBeVisible();
});

test('a shrunk belt', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-25T09:00:00Z') });
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+4');
  await page.getByText('Warm the old belt to shrink it').click();
  await page.getByRole('button', { name: 'It is in the warmth: 3 minutes' }).click();
  await page.getByRole('button', { name: 'It is out: 5 minutes to cool and dry' }).click();
  await page.getByLabel(/^Measured cold, doubled flat/).fill('63.8');
  await page.getByRole('button', { name: 'That is its length now' }).click();
  await page.keyboard.press('Alt+6');
  const shrunk = page.getByRole('region', { name: 'Instead of a new belt' });
  await shrunk
    .getByRole('listitem')
    .filter({ hasText: 'warm to shrink' })
    .getByRole('button', { name: /Log as provisional/ })
    .click();
  await page.keyboard.press('r', { delay: 100 });
  await kept(page);
  const did = [
    'The old belt put on again, warmed to shrink.',
    'Old belt warmed: 128.0 mm long before, 122.8 mm after.',
  ];
  expect(await letter(page)).toEqual({
    'What we did': did,
    'What is in it now': ['The belt: square 1.2 mm, 122.8 mm inner length, your old one, warmed to shrink.'],
    'What will not last': ['The belt is your old one, shrunk by warmth.', 'Please bring it back by 25 February 2027.'],
  });
  expect(await sheet(page)).toEqual({ Done: did });
  // A right belt, later, ends what was provisional, and its day.
  await page.keyboard.press('Alt+6');
  await page.getByRole('textbox', { name: /^Another belt tried/ }).fill('1.2x116');
  await page.getByRole('button', { name: 'Log it' }).click();
  const tries = page.getByRole('region', { name: 'Belts tried' }).getByRole('listitem');
  await tries.nth(1).getByRole('radio', { name: 'right' }).click();
  await kept(page);
  expect(Object.keys(await letter(page))).not.toContain('What will not last');
});

test('a stopgap replaced', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await say(page, 'lid, 4 ph1', 'belt is a stopgap, a rubber band | 1');
  await page.keyboard.press('Alt+5');
  await measureBoothDeck(page);
  await take(page, 'Path by string', '129.8');
  await page.keyboard.press('Alt+6');
  await page.getByRole('button', { name: 'Fit and log this try' }).click();
  await page.keyboard.press('r', { delay: 100 });
  await kept(page);
  expect(await letter(page)).toEqual({
    'What we found': ['The belt was a stopgap.'],
    'What we did': ['New belt fitted.'],
    'What is in it now': [
      expect.stringMatching(/^The belt: square \d\.\d mm, \d+\.\d mm inner length, square assortment\.$/),
    ],
  });
  expect(await sheet(page)).toEqual({ Found: ['The belt was a stopgap.'], Done: ['New belt fitted.'] });
});

test('a disc returned', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await page.keyboard.press('Alt+1');
  await page.getByRole('button', { name: 'A disc was found' }).click();
  await page.getByRole('textbox', { name: 'Whose', exact: true }).fill('Ms Tregear');
  await kept(page);
  await say(page, 'lid, 4 ph1', 'disc out, set aside');
  await page.keyboard.press('Alt+1');
  await page.getByRole('button', { name: 'Not returned yet' }).click();
  await kept(page);
  const found = ['A disc was in it.'];
  const did = ['The disc of Ms Tregear given back.'];
  expect(await letter(page)).toEqual({ 'What we found': found, 'What we did': did });
  expect(await sheet(page)).toEqual({ Found: found, Done: did });
});

test('a twin deck', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await page.getByRole('button', { name: '+ drive' }).click();
  await expect(page).toHaveURL(/drive=B/);
  await page.getByRole('link', { name: /^1 Take in/ }).click();
  await page.getByLabel('Drive B: what it drives').fill('lower deck');
  await page.getByLabel('Drive B: what it drives').blur();
  await say(page, 'lid, 4 ph1', 'lower deck belt crumbled | 1');
  await page.keyboard.press('Alt+9');
  const told = ['The lower deck belt had gone to crumbs.'];
  expect(await letter(page)).toEqual({ 'What we found': told });
  expect(await sheet(page)).toEqual({ Found: told });
});

test('a slot player’s link', async ({ page }) => {
  await openTicket(page, 'Sallowfield S1 slot player');
  await page.keyboard.press('Alt+1');
  await pick(page.getByRole('combobox', { name: 'Kind of loader' }), 'slot, rollers');
  await say(page, 'lid, 4 ph1', 'link had come off its pin');
  await cleaned(page, 'rollers alcohol tacky');
  await page.keyboard.press('Alt+8');
  await page.getByLabel(/A treatment/).fill('roller link put back on its pin');
  await page.getByRole('button', { name: 'Record the treatment' }).click();
  await kept(page);
  const found = ['The link between the rollers had come off.'];
  const did = ['Driven roller and following roller cleaned.', 'Roller link put back on its pin.'];
  expect(await letter(page)).toEqual({ 'What we found': found, 'What we did': did });
  expect(await sheet(page)).toEqual({ Found: found, Done: did });
});
