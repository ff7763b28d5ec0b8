import type { Page } from '@playwright/test';
import { expect, kept, openTicket, take, test } from './bench';
import { pick } from './pick';

const line = (page: Page) => page.getByLabel('What came off, or what was done with it');
const station = (page: Page, number: number) => page.keyboard.press(`Alt+${number}`);
async function toStrip(page: Page): Promise<void> {
  await openTicket(page, 'Pennerley T9 booth deck');
  await station(page, 3);
  await expect(page.getByRole('heading', { name: 'Strip', exact: true })).toBeVisible();
}
async function type(page: Page, ...lines: string[]): Promise<void> {
  for (const text of lines) {
    await line(page).fill(text);
    await line(page).press('Enter');
    await expect(line(page)).toHaveValue('');
  }
}
const row = (page: Page, name: RegExp) => page.getByRole('button', { name });
const undo = (page: Page) => page.getByRole('button', { name: /^Undo/ });

test('a line in doubt is asked about and answered by one key; undo takes both of its steps back', async ({ page }) => {
  await toStrip(page);
  await line(page).fill('lid 4 screws');
  await expect(page.getByText('One thing, or two?')).toBeVisible();
  await line(page).press('Enter');
  // Nothing is guessed: the line stays until a key says which.
  await expect(line(page)).toHaveValue('lid 4 screws');
  await page.keyboard.press('1');
  await expect(line(page)).toHaveValue('');
  await expect(row(page, /^1 4 screws/)).toBeVisible();
  await expect(row(page, /^2 lid/)).toBeVisible();
  await expect(page.getByLabel('Lid', { exact: true })).toHaveAttribute('data-chosen', 'off');
  await undo(page).click();
  await expect(page.getByText('4 screws out')).toHaveCount(0);
  await expect(page.getByLabel('Lid', { exact: true })).toHaveAttribute('data-chosen', 'unknown');
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('4 screws out')).toBeVisible();
});

test('verbs count: left alone, marked, dirt and a caution take nothing off; unread has a number and can be changed', async ({
  page,
}) => {
  await toStrip(page);
  await type(
    page,
    'lens cover, 2 screws',
    'leave the gold screws',
    'gear marked',
    'sludge in the groove',
    'mind the switch',
  );
  await expect(page.getByText('2 screws out')).toBeVisible();
  await expect(row(page, /gold screws, left alone/)).toBeVisible();
  await expect(page.getByText('sludge in the groove · dirt, no home')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Left over' })).toHaveCount(0);
  await line(page).fill('blue thing by the left');
  await expect(page.getByText('Not read: kept as typed, with a number')).toBeVisible();
  await line(page).press('Enter');
  await row(page, /^6 blue thing/).click();
  await pick(page.getByLabel('Kind'), 'springs');
  await page.getByLabel('There should be, of them').fill('2');
  await page.getByLabel('There should be, of them').blur();
  await expect(page.getByText('2 springs', { exact: false }).first()).toBeVisible();
  await pick(page.getByRole('combobox', { name: /^What was done/ }), 'left alone');
  await expect(page.getByText(/· 2 springs/)).toHaveCount(0);
  await station(page, 7);
  await expect(page.getByRole('list', { name: 'Rebuild order' }).getByRole('listitem')).toHaveCount(3);
});

test('half a line survives leaving the page; a line too long, right-to-left and a thousand screws lose nothing', async ({
  page,
}) => {
  await toStrip(page);
  await line(page).fill('4 ph1 und');
  await station(page, 5);
  await station(page, 3);
  await expect(line(page)).toHaveValue('4 ph1 und');
  await line(page).fill('4 ph1 '.repeat(1700));
  await line(page).press('Enter');
  await expect(page.getByText(/A line has 400 letters at most, and this has 10199/)).toBeVisible();
  await expect(line(page)).toHaveValue(/^4 ph1 4 ph1/);
  await type(page, 'غطاء أمامي');
  await expect(row(page, /^1 غطاء أمامي/)).toBeVisible();
  await line(page).fill('1000 screws');
  await line(page).press('Enter');
  await expect(page.getByRole('group', { name: 'What was done?' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(line(page)).toBeFocused();
  await expect(line(page)).toHaveValue('1000 screws');
});

test('a left-over screw is carried through a second opening until it is placed', async ({ page }) => {
  await toStrip(page);
  await type(page, '4 ph1 underside', 'lid');
  await station(page, 7);
  await page.getByRole('button', { name: 'Number 2 back' }).click();
  await expect(page.getByLabel('Lid', { exact: true })).toHaveAttribute('data-chosen', 'on');
  await page.getByRole('button', { name: 'fewer' }).click();
  await page.getByLabel('Of number 1 went back, of 4').fill('3');
  await page.getByRole('button', { name: 'So many back' }).click();
  const over = page.getByRole('region', { name: 'Left over' });
  await expect(over).toContainText('Of number 1, screws, 1 is left over.');
  await station(page, 3);
  await page.getByRole('button', { name: 'Open the machine again' }).click();
  await type(page, 'again 2', 'again 1');
  await expect(page.getByLabel('Lid', { exact: true })).toHaveAttribute('data-chosen', 'off');
  await expect(over).toContainText('1 is left over');
  await station(page, 7);
  await page.getByRole('button', { name: /^All of this layer back/ }).click();
  await expect(over).toContainText('1 is left over');
  await station(page, 9);
  await expect(page.getByText('Of number 1, screws, 1 is left over.')).toBeVisible();
  await station(page, 7);
  await over.getByRole('button', { name: 'It is placed now' }).click();
  await expect(over).toHaveCount(0);
});

test('temporary changes that contradict each other are named, and pads under a mechanism stop there', async ({
  page,
}) => {
  await toStrip(page);
  await type(page, 'lid', 'mechanism out', 'laser pads bridged', 'stop pin out', 'switch levers off');
  await expect(page.getByText(/before number 2, mechanism, covers it/).first()).toBeVisible();
  const levers = page.getByRole('listitem').filter({ hasText: 'put the levers back' });
  await levers.getByText('Reverse it in an order').click();
  await pick(levers.getByLabel('Only after'), 'stop pin out');
  await expect(page.getByRole('alert').filter({ hasText: 'must end before power' })).toContainText(
    'can end only after power. Say another order, or another limit.',
  );
  await pick(levers.getByLabel('Only after'), 'nothing else');
  await station(page, 7);
  await expect(page.getByRole('list', { name: 'Rebuild order' }).getByRole('listitem').first()).toContainText(
    /laser pads bridged|switch levers off/,
  );
});

test('a cycle cannot be counted unplugged; with a plug out it is a trial, and counts for nothing', async ({ page }) => {
  await toStrip(page);
  await type(page, 'motor plug pulled', 'mains unplugged');
  await station(page, 1);
  const log = page.getByRole('region', { name: 'Cycles counted before anything is done' });
  await log.getByRole('button', { name: /^Bad/ }).click();
  await expect(log.getByRole('alert')).toContainText('it is unplugged, so nothing can have run');
  await log.getByRole('button', { name: /^It is plugged in/ }).click();
  await log.getByRole('button', { name: /^Bad/ }).click();
  await expect(log.getByRole('alert')).toContainText('number 1, motor plug, is out');
  await log.getByRole('button', { name: /^Keep it as a trial/ }).click();
  await expect(log).toContainText('1 more as a trial: they count for nothing.');
  await station(page, 8);
  await expect(page.getByText('Before: Nothing counted yet.')).toBeVisible();
});

test('parked with a belt awaited stands under what waits for parts', async ({ page }) => {
  await toStrip(page);
  await type(page, 'lid', 'belt off');
  await page.getByLabel('Where its parts lie').fill('shelf B');
  await page.getByLabel('What is awaited, from whom').fill('belt 116, by post');
  await page.getByRole('button', { name: 'Park it' }).click();
  await kept(page);
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Waiting for parts' })).toContainText('belt 116, by post');
});

test('the owner’s words are confirmed by a key, and Find says “open it” when no question would change that', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByLabel('What is on the bench?').fill('deck, motor hums and the drawer is dead');
  await page.getByRole('button', { name: 'Start a full repair' }).click();
  await expect(page.getByRole('heading', { name: 'Take in', exact: true })).toBeVisible();
  await station(page, 2);
  const said = page.getByRole('region', { name: 'What the owner said' });
  // In the order in which it was said.
  await expect(said).toContainText('motor runs free');
  await page.keyboard.press('y');
  await expect(said).toContainText('does nothing');
  await page.keyboard.press('y');
  await expect(said).toHaveCount(0);
  const next = page.getByRole('status').filter({ hasText: 'Open it.' });
  await expect(next).toContainText(/Whatever the answers were|What is inside says more/);
  await expect(page.getByRole('group', { name: 'What it shows' })).toHaveCount(0);
  await page.keyboard.press('q');
  await expect(page.getByRole('group', { name: 'What it shows' })).toBeVisible();
  await next.getByRole('link', { name: 'On to Strip' }).click();
  await type(page, 'lid');
  await station(page, 2);
  await expect(page.getByText(/lid stays on/)).toHaveCount(0);
});

test('the history says what changed from what to what', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await take(page, 'Motor pulley', '6.0');
  await take(page, 'Motor pulley', '6.2');
  await page.getByRole('link', { name: /its history/ }).click();
  await expect(page.getByText(/6 → 6\.2/).first()).toBeVisible();
});

test('a handed-back ticket: sheet, letter and Hand back tell one story', async ({ page }) => {
  await page.goto('/');
  await page.getByLabel('What is on the bench?').fill('deck, will not open');
  await page.getByRole('button', { name: 'Swap the belt' }).click();
  await take(page, 'Old belt', '66.4');
  await take(page, 'Belt section', '1.2');
  await page.getByRole('button', { name: 'Fit and log this try' }).click();
  await page.getByRole('region', { name: 'Belts tried' }).getByRole('radio', { name: 'right' }).click();
  const log = page.getByRole('region', { name: 'Cycles counted for this clean run' });
  for (let i = 0; i < 3; i++) await log.getByRole('button', { name: /^Good/ }).click();
  await page.getByRole('button', { name: /^Cured/ }).click();
  const done = page.getByLabel(/^What was done/);
  await expect(done).toHaveValue('New belt fitted.');
  const belt = /1\.2 mm, (\d+\.\d) mm inner length/;
  await page.getByRole('link', { name: 'Letter to the owner' }).click();
  const letter = page.getByRole('article', { name: 'Letter to the owner' });
  await expect(letter).toContainText('“will not open”. This is cured.');
  await expect(letter).toContainText('Since the repair it ran 3 times without failing.');
  const inLetter = belt.exec(await letter.innerText())?.[1];
  expect(inLetter).toBeDefined();
  // No bench words in a letter.
  await expect(letter).not.toContainText(/clean run|in 100|confidence|stretch|not done/i);
  await station(page, 9);
  await page.getByRole('button', { name: 'Hand it back' }).click();
  await expect(page.getByRole('region', { name: 'Handed back' })).toBeVisible();
  await page.getByRole('link', { name: 'Bench sheet, to print' }).click();
  const sheet = page.getByRole('article', { name: 'Bench sheet' });
  await expect(sheet).toContainText('New belt fitted.');
  await expect(sheet).toContainText(`${inLetter}`);
  await expect(sheet).toContainText('“will not open”: cured');
  // The ticket is a whole one: what was measured on one page stands at its station.
  await station(page, 5);
  await expect(
    page.getByRole('complementary', { name: 'Readings' }).getByLabel('Old belt', { exact: true }),
  ).toHaveValue(/66\.4/);
});
