import { copyFileSync, readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import type { Page } from '@playwright/test';
import { expect, kept, measureBoothDeck, openTicket, reading, test } from './bench';
import { pick } from './pick';

const station = (page: Page, number: number) => page.keyboard.press(`Alt+${number}`);

test('a second machine of the kind starts from what the first one knows', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await measureBoothDeck(page);
  await station(page, 1);
  await page.getByLabel('Drive A: its mechanism').fill('T9 loader');
  await page.getByLabel('What is normal for').fill('says “no disc” when empty');
  await page.getByLabel('Its error codes').fill('E3 tray not home');
  await expect(page.getByRole('button', { name: /^Undo: drive A, error codes/ })).toBeVisible();
  await kept(page);
  await openTicket(page, 'Pennerley T9 booth deck');
  await station(page, 1);
  const known = page.getByRole('region', { name: 'Known from before' });
  await expect(known).toContainText('mechanism T9 loader, pulleys and shafts, what is normal, 1 error code');
  await known.getByRole('button', { name: /Carry over what/ }).click();
  await expect(page.getByLabel('Its error codes')).toHaveValue('E3 tray not home');
  await expect(known.getByRole('button', { name: /Carry over what/ })).toHaveCount(0);
  await station(page, 5);
  await expect(reading(page, 'Motor pulley')).toHaveValue('6.0');
  await expect(page.getByText(/Carried over from 0001/).first()).toBeVisible();
});

test('how it arrived, tried again, timed, offered: on the sheet, which opens by itself elsewhere', async ({
  page,
  browser,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await station(page, 1);
  await page.getByLabel('What happened before it failed').fill('Fell off a shelf.');
  await page.getByRole('group', { name: 'Evidence on arrival' }).getByRole('button', { name: 'tabs broken' }).click();
  await page.getByLabel('Where, and what of it').fill('front panel, left');
  await page.getByRole('radio', { name: 'just the same' }).click();
  const timed = page.getByRole('region', { name: /Timed tests/ });
  await timed.getByLabel('It took, s').fill('9,24');
  await timed.getByLabel('Tried again, times').fill('-3');
  await expect(timed.getByRole('alert')).toHaveText('Read -3. Allowed: 0 to 999 times.');
  await timed.getByLabel('Tried again, times').fill('2');
  await timed.getByRole('button', { name: 'Write it down' }).click();
  await expect(timed.getByRole('row', { name: /time to load/ })).toContainText('9.2 s after 2 retries');
  await timed.getByLabel('It took, s').fill('1e9');
  await expect(timed.getByRole('alert')).toBeVisible();
  await expect(timed.getByRole('button', { name: 'Write it down' })).toBeDisabled();

  await station(page, 9);
  await page.getByRole('button', { name: 'Something was offered' }).click();
  await page.getByLabel('What', { exact: true }).fill('both decks at once');
  await page.getByLabel('Who decided, and why').fill('the archive, one is enough');
  await page.getByRole('radio', { name: 'declined' }).click();
  await page.getByLabel('Bench time, minutes').fill('45');
  await page.getByRole('link', { name: 'Bench sheet, to print' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as one page' }).click(),
  ]);
  const path = `${await file.path()}.html`;
  copyFileSync(await file.path(), path);
  expect(readFileSync(path, 'utf8')).not.toMatch(/url\(|<script|https?:\/\/(?!www\.w3\.org)/);
  const elsewhere = await browser.newContext();
  const lone = await elsewhere.newPage();
  await lone.goto(pathToFileURL(path).href);
  const sheet = lone.getByRole('article', { name: 'Bench sheet' });
  await expect(sheet).toContainText('tabs broken, front panel, left');
  await expect(sheet).toContainText('Tried again after some minutes unplugged: just the same.');
  await expect(sheet).toContainText('time to load: before 9.2 s after 2 retries, after not timed.');
  await expect(sheet).toContainText('both decks at once: declined, the archive, one is enough');
  await expect(sheet).toContainText('Bench time 45 minutes.');
  await elsewhere.close();
});

test('an owner far away answers alone: the page goes out, its answers and a picture come back', async ({
  page,
  browser,
}) => {
  await openTicket(page, 'Sallowfield S1 slot player');
  await station(page, 1);
  await pick(page.getByRole('combobox', { name: 'Kind of loader' }), 'slot, rollers');
  await page.getByText('The owner is far away').click();
  await page.getByLabel('Another question').fill('Is the <blue> lamp lit?');
  await page.getByRole('button', { name: 'Ask it too' }).click();
  await page.getByLabel(/Does it do better after/).uncheck();
  const [out] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /questions as a page/ }).click(),
  ]);
  expect(out.suggestedFilename()).toBe('0001-sallowfield-s1-slot-player-questions.html');
  const path = `${await out.path()}.html`;
  copyFileSync(await out.path(), path);

  // The owner's own machine: no app, no network.
  const home = await browser.newContext({ offline: true, acceptDownloads: true });
  const owner = await home.newPage();
  await owner.goto(pathToFileURL(path).href);
  await expect(owner.getByText('Please do not open it')).toBeVisible();
  await expect(owner.getByText(/Does it do better after/)).toHaveCount(0);
  await owner.getByRole('listitem').filter({ hasText: 'Is the <blue> lamp lit?' }).getByLabel('Your answer').fill('no');
  const picture = await owner.evaluate(() => {
    const canvas = document.createElement('canvas');
    canvas.width = 2000;
    canvas.height = 1000;
    canvas.getContext('2d')?.fillRect(0, 0, 900, 900);
    return canvas.toDataURL('image/jpeg').split(',')[1] ?? '';
  });
  await owner
    .locator('input[type=file]')
    .first()
    .setInputFiles({ name: 'front.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(picture, 'base64') });
  await expect(owner.getByRole('img', { name: 'front.jpg' })).toBeVisible();
  const [back] = await Promise.all([
    owner.waitForEvent('download'),
    owner.getByRole('button', { name: 'Save my answers' }).click(),
  ]);
  const answers = readFileSync(await back.path());
  await home.close();

  const take = page.getByLabel('Import answers');
  await take.setInputFiles({ name: 'cut.json', mimeType: 'application/json', buffer: answers.subarray(0, 90) });
  await expect(page.getByText('“cut.json” is broken or cut short.')).toBeVisible();
  await take.setInputFiles({ name: 'answers-0001.json', mimeType: 'application/json', buffer: answers });
  await expect(page.getByText('2 answers imported.')).toBeVisible();
  const taken = page.getByRole('region', { name: 'The owner’s answers' });
  await expect(taken).toContainText('Is the <blue> lamp lit? no');
  await expect(taken).toContainText('no words (picture 1)');
  await expect(page.getByRole('img', { name: /^From the owner: Take a picture of the front/ })).toBeVisible();
  // Another ticket never asked.
  await kept(page);
  await openTicket(page, 'Tarnbeck K3 data drive');
  await station(page, 1);
  await page.getByText('The owner is far away').click();
  await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: /questions as a page/ }).click()]);
  await page
    .getByLabel('Import answers')
    .setInputFiles({ name: 'answers-0001.json', mimeType: 'application/json', buffer: answers });
  await expect(page.getByText(/answers questions of ticket 0001/)).toBeVisible();
});

test('a clean run stands under what it failed under, the lid is said, and every other belt is proposed again', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await page.getByRole('button', { name: '+ drive' }).click();
  await station(page, 1);
  const log = page.getByRole('region', { name: 'Cycles counted before anything is done' });
  await log.getByRole('button', { name: 'cold' }).click();
  await log.getByRole('radio', { name: 'owner’s disc' }).click();
  await expect(log.getByText('No worthless disc has run clean since the last treatment.')).toBeVisible();
  await log.getByRole('radio', { name: 'empty' }).click();
  for (const verdict of ['Bad', 'Bad', 'Good'])
    await log.getByRole('button', { name: new RegExp(`^${verdict}`) }).click();
  await station(page, 8);
  await page.getByLabel(/A treatment/).fill('belt A renewed');
  await page.getByRole('button', { name: 'Record the treatment' }).click();
  const again = page.getByRole('region', { name: /Look again, after/ });
  await expect(again.getByText('Drive B: the same test of its belt.')).toBeVisible();
  await page.getByRole('button', { name: 'Begin a clean run' }).click();
  const cleanRun = page.getByRole('region', { name: 'Cycles counted for this clean run' });
  // It begins under what it failed under.
  await expect(cleanRun.getByRole('button', { name: 'cold' })).toHaveAttribute('aria-pressed', 'true');
  await cleanRun.getByRole('button', { name: 'cold' }).click();
  await cleanRun.getByRole('button', { name: 'warm' }).click();
  await cleanRun.getByRole('button', { name: /^Good/ }).click();
  const under = page.getByRole('region', { name: 'Under which it failed' });
  await expect(under).toContainText('opening, empty, cold: failed 2 · no clean cycle so far');
  await pick(page.getByLabel('Lid', { exact: true }), 'on');
  await station(page, 9);
  await expect(
    page.getByText('Not proved: it failed opening, empty, cold, and of that 0 of 3 clean cycles are there'),
  ).toBeVisible();
  await expect(page.getByText('Not powered since the lid went on: no cycle was counted.')).toBeVisible();
  await page.getByRole('link', { name: /Not looked at after the last treatment. Drive B/ }).click();
  await again
    .getByRole('radiogroup', { name: /Drive B/ })
    .or(again.getByRole('group', { name: /Drive B/ }))
    .getByRole('radio', { name: 'looked at: fine' })
    .click();
  await cleanRun.getByRole('button', { name: 'warm' }).click();
  await cleanRun.getByRole('button', { name: 'cold' }).click();
  // The closing that follows the opening proves nothing of it.
  await cleanRun.getByRole('button', { name: /^Good/ }).click();
  await cleanRun.getByRole('button', { name: /^Good/ }).click();
  await station(page, 9);
  await expect(page.getByText(/0 of 3 clean|Not powered since|Drive B: the same test/)).toHaveCount(0);
});

test('two runs at once in two tabs: the second sees them live, and none is counted twice', async ({
  page,
  context,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await station(page, 1);
  const log = page.getByRole('region', { name: 'Cycles counted before anything is done' });
  await log.getByRole('button', { name: /^Good/ }).click();
  await kept(page);
  const second = await context.newPage();
  await second.goto(page.url());
  const its = second.getByRole('region', { name: 'Cycles counted before anything is done' });
  await expect(its.getByRole('button', { name: /^Good/ })).toBeDisabled();
  await second.getByRole('heading', { level: 1 }).click();
  await second.keyboard.press('x');
  await log.getByRole('button', { name: /^Bad/ }).click();
  await expect(its.getByText('1 of 2 failed')).toBeVisible();
  await second.getByRole('button', { name: /Take it over/ }).click();
  await expect(its.getByRole('button', { name: /^Good/ })).toBeEnabled();
  await its.getByRole('button', { name: /^Good/ }).click();
  await expect(log.getByText('1 of 3 failed')).toBeVisible();
  await expect(log.getByRole('button', { name: /^Good/ })).toBeDisabled();
});
