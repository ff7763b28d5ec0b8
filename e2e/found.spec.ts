import type { Page } from '@playwright/test';
import { expect, kept, measureBoothDeck, openTicket, test } from './bench';
import { say, strip } from './saying';

/* What was found is said once, at whatever station, and is known at the others and on paper. */

const oldBelt = (page: Page) => page.getByLabel('Old belt was');
const found = (page: Page) => page.getByRole('textbox', { name: 'What was found' });
const done = (page: Page) => page.getByRole('textbox', { name: 'What was done' });
const letterOf = async (page: Page): Promise<string> => {
  await page
    .getByRole('link', { name: /Letter to the owner/ })
    .first()
    .click();
  const letter = page.getByRole('article', { name: /Letter/ });
  await expect(letter).toBeVisible();
  return letter.innerText();
};

test('crumbs and sludge said at Strip: Find has heard, Measure and Clean show them, the letter says them once', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await say(page, '4 ph1 underside', 'lid', 'belt in crumbs | 1', 'sludge on the drive pulley');
  await page.keyboard.press('Alt+2');
  await expect(page.getByRole('main')).toContainText('number 3 at Strip');
  await page.keyboard.press('Alt+5');
  await expect(oldBelt(page)).toContainText('in crumbs');
  await page.keyboard.press('Alt+4');
  await expect(
    page.getByRole('group', { name: /^Map of the machine/ }).getByRole('button', { name: /drive pulley.*sludge/ }),
  ).toBeVisible();
  // Cleaned there, it is no longer dirty at Size or for Hand back; that it was found so stays said.
  const field = page.getByLabel(/^What was found or done, and where/);
  await field.fill('drive pulley alcohol, clean twice');
  await field.press('Enter');
  await expect(field).toHaveValue('');
  await expect(
    page.getByRole('group', { name: /^Map of the machine/ }).getByRole('button', { name: /drive pulley.*sludge/ }),
  ).toHaveCount(0);
  await kept(page);
  await page.keyboard.press('Alt+9');
  await expect(found(page)).toHaveValue(/belt had gone to crumbs\./);
  await expect(found(page)).toHaveValue(/Sludge on drive pulley\./);
  await expect(done(page)).toHaveValue(/Drive pulley cleaned\./);
  const letter = await letterOf(page);
  expect(letter.match(/crumbs/g)).toHaveLength(1);
  expect(letter).not.toContain('undefined');
});

test('two findings that cannot both be so stand side by side, and one key says which it is', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await say(page, 'belt in crumbs | 1', 'belt snapped | 1');
  const both = page.getByRole('status', { name: 'What was found does not fit together' });
  await expect(both).toContainText('belt dissolved (number 1 at Strip), and belt broken (number 2 at Strip)');
  await page.keyboard.press('Alt+5');
  await expect(both).toBeVisible();
  // Neither is believed until it is said.
  await expect(oldBelt(page)).toContainText('unknown');
  await page.keyboard.press('d');
  await expect(both).toHaveCount(0);
  await expect(oldBelt(page)).toContainText('broken');
  await page.keyboard.press('Control+z');
  await expect(both).toBeVisible();
  await expect(oldBelt(page)).toContainText('unknown');
});

test('a disc said to be inside is the disc that comes out; the bench’s own is nobody’s', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await page.keyboard.press('Alt+1');
  await page.getByRole('button', { name: 'A disc was found' }).click();
  await page.getByRole('textbox', { name: 'Whose', exact: true }).fill('Ms Tregear');
  await kept(page);
  await say(page, 'lid', 'test disc out', 'disc out, set aside');
  await page.keyboard.press('Alt+1');
  await expect(page.getByRole('textbox', { name: 'Whose', exact: true })).toHaveCount(1);
  await expect(page.getByRole('textbox', { name: 'Whose', exact: true })).toHaveValue('Ms Tregear');
});

test('a belt that was only kept is not called new, on screen or on paper', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 58.2, section 1.2');
  await page.keyboard.press('Alt+5');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+6');
  await expect(page.getByText('None yet.')).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.getByText('the old belt, cleaned')).toBeVisible();
  await page.keyboard.press('r');
  await kept(page);
  await page.keyboard.press('Alt+9');
  await expect(done(page)).toHaveValue(/The old belt kept\./);
  const letter = await letterOf(page);
  expect(letter).toContain('your old one');
  expect(letter).not.toMatch(/new belt/i);
});

test('while a line is typed each word says what it is taken for; what denies, corrects or slips is asked', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await page.keyboard.press('Alt+3');
  await strip(page).fill('4 ph1 screws frobnicator out');
  const words = page.getByRole('list', { name: 'What each word is taken for' }).getByRole('listitem');
  await expect(words).toHaveText(['4how many', 'ph1driver, size', 'screwswhat', 'frobnicator? not known', 'outdone']);
  for (const [line, asks, right] of [
    ['mains lead out, no, still in', 'Which is it?', 'It is unplugged now.'],
    ['3 or 4 screws rear', 'How many?', /^3 screws/],
    ['belt in crumbs', 'What was done?', /noted/i],
    ['mians lead out', 'Is this it?', 'It is unplugged now.'],
  ] as const) {
    await strip(page).fill(line);
    const question = page.getByRole('group', { name: asks });
    await expect(question, line).toBeVisible();
    await expect(question.getByRole('button', { name: right }).first(), line).toBeVisible();
    // Where nothing of it may be so, as typed is the last way out.
    if (asks === 'Is this it?' || asks === 'Which is it?')
      await expect(question.getByRole('button').last()).toContainText('kept as typed');
  }
  // What is put right in the same breath, denied or told of others is plain, and says so before it is done.
  for (const [line, right] of [
    ['2 clips, no, 3 clips', /3 clips\./],
    ['board not unscrewed', /left alone/],
    ['somebody glued the lid', /noted/],
  ] as const) {
    await strip(page).fill(line);
    await expect(page.getByRole('region', { name: 'A step' }), line).toContainText(right);
  }
});

test('what is cleaned is said at Strip, what comes off at Clean: each is known where it belongs, and on the letter', async ({
  page,
}) => {
  await openTicket(page, 'booth deck');
  await say(
    page,
    'lid off, limit switch cleaned with contact cleaner',
    'link hooked on again',
    'both pulleys wiped with alcohol',
    'grey plug off',
    'grey plug pushed home',
  );
  await page.keyboard.press('Alt+4');
  const line = page.getByLabel(/What was found or done/);
  await expect(page.getByText('3 places, 1 clean')).toBeVisible();
  await line.fill('mains plug pulled');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await expect(page.getByLabel('Mains')).toContainText('unplugged');
  await line.fill('2 ph1 underside');
  await line.press('Enter');
  await expect(line).toHaveValue('');
  await page.keyboard.press('Alt+3');
  await expect(page.getByText('2 screws').first()).toBeVisible();
  await page.keyboard.press('Alt+9');
  // The lid and the screws are off; the plug is home again, by the line that said so.
  await expect(page.getByText(/^Not back yet: numbers 1 and 8\.$/)).toBeVisible();
  await expect(page.getByText(/Limit switch cleaned|limit switch/).first()).toBeVisible();
  await expect(page.getByText(/link between the rollers put back on/i).first()).toBeVisible();
});
