import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, kept, openTicket, test } from './bench';
import { pick } from './pick';

const station = (page: Page, number: number) => page.keyboard.press(`Alt+${number}`);
/** Counts by the keys alone, as a hand does: far slower than a caliper. */
const count = async (page: Page, keys: string): Promise<void> => {
  for (const key of keys) {
    // As long as a hand holds a key, and longer than a caliper's burst.
    await page.keyboard.press(key, { delay: 100 });
  }
};

test('a twin deck that fails empty and not loaded: counted blind, told apart, answered on the sheet', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await station(page, 1);
  await page.getByRole('button', { name: 'Write a complaint' }).click();
  await page.getByLabel('Complaint 1', { exact: true }).fill('sticks it sometimes');
  await page.getByRole('button', { name: 'Another complaint' }).click();
  await page.getByLabel('Complaint 2', { exact: true }).fill('clock is wrong');
  await pick(page.getByLabel('Complaint 2 is'), 'needs another specialist');
  await page.getByText('Sounds, before and after').first().click();
  await page.getByRole('button', { name: 'motor runs free' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText('sticks it sometimes');

  const log = page.getByRole('region', { name: 'Cycles counted before anything is done' });
  await log.getByLabel('Deck or slot').fill('deck 2');
  await log.getByRole('button', { name: 'cold' }).click();
  await page.getByRole('heading', { level: 1 }).click();
  // A tray that did not open is shut, and opens next.
  await count(page, 'xggxggxggxgg');
  await expect(log).toContainText('4 of 12 failed. As counted, it may truly fail 10 to 65 times in 100');
  await log.getByRole('radio', { name: 'junk disc' }).click();
  await page.getByRole('heading', { level: 1 }).click();
  await count(page, 'gggggggggggg');
  const open = log.getByRole('row', { name: /deck 2, open/ });
  await expect(open).toContainText('4 of 8');
  await expect(open).toContainText('0 of 6');
  await expect(open).toContainText('Chance alone would give so large a difference 1 time in 12.');

  // A mis-hit is taken back.
  await count(page, 'x');
  await expect(log).toContainText('5 of 25 failed');
  await page.keyboard.press('Control+z');
  await expect(log).toContainText('4 of 24 failed');

  // The watch: a press at eject, a press for the verdict.
  await count(page, 'e');
  await expect(log.getByRole('button', { name: /The watch runs/ })).toBeVisible();
  await count(page, 'g');
  await expect(log.getByRole('img', { name: 'Time of 1 cycle, in seconds' })).toBeVisible();

  await pick(page.getByLabel('Complaint 1 is'), 'cured');
  await station(page, 9);
  await expect(page.getByLabel('Complaint 2 is')).toHaveAttribute('data-chosen', 'anotherTrade');
  await page.getByRole('link', { name: 'Bench sheet, to print' }).click();
  const sheet = page.getByRole('article', { name: 'Bench sheet' });
  await expect(sheet).toContainText('“sticks it sometimes”: cured · heard: motor runs free');
  await expect(sheet).toContainText('Before: 4 of 25 failed');

  // The letter, and the letter as one page for somebody far away.
  await page.goBack();
  await page.getByRole('link', { name: 'Letter to the owner' }).click();
  const paper = page.getByRole('article', { name: 'Letter to the owner' });
  await expect(paper).toContainText('“sticks it sometimes”. This is cured.');
  await expect(paper).toContainText('As it came, opening it failed 4 times out of 8 (with no disc in, cold, deck 2).');
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as one page' }).click(),
  ]);
  expect(readFileSync(await file.path(), 'utf8')).toContain('“clock is wrong”. This needs another specialist');
});

test('a clean run counts only the movement that failed; it fails, and is redone only after a treatment', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await station(page, 1);
  await expect(page.getByRole('region', { name: 'Cycles counted before anything is done' })).toBeVisible();
  await count(page, 'xggxggxggxgggggggggg');
  await kept(page);
  await station(page, 8);
  const aside = page.getByRole('complementary', { name: 'How many it takes' });
  for (const figure of ['8', '12', '29']) await expect(aside.getByText(figure, { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Begin a clean run' }).click();
  await page.getByRole('heading', { level: 1 }).click();
  await count(page, 'ggggggggggggggg');
  await expect(aside.getByText('8 of 8 · shown')).toBeVisible();
  await expect(aside.getByText('7 clean cycles of other kinds beside: they prove nothing of these.')).toBeVisible();
  await count(page, 'x');
  await expect(page.getByText('Clean run 1: failed at cycle 16: not cured.')).toBeVisible();
  const begin = page.getByRole('button', { name: 'Begin a clean run' });
  await expect(begin).toBeDisabled();
  await aside.getByLabel(/A treatment/).fill('belt renewed, pulleys cleaned');
  await aside.getByRole('button', { name: 'Record the treatment' }).click();
  await begin.click();
  await page.getByRole('heading', { level: 1 }).click();
  await count(page, 'ggggggggggggggggggggggg');
  await expect(page.getByText('Clean run 2: 23 clean.')).toBeVisible();
  await expect(aside.getByText('12 of 12 · shown')).toBeVisible();
  await kept(page);
  await page.reload();
  await expect(page.getByText('Clean run 2: 23 clean.')).toBeVisible();
});

test('a fault never seen here is said to be unprovable', async ({ page }) => {
  await openTicket(page, 'Tarnbeck K3 data drive');
  await station(page, 8);
  await expect(page.getByText('It never failed here, so no count can prove it cured.')).toBeVisible();
});

test('checks follow the kind of loader, are shown, failed or not shown and why, and hold the gate', async ({
  page,
}) => {
  await openTicket(page, 'Tarnbeck K3 data drive');
  await station(page, 1);
  await pick(page.getByRole('combobox', { name: 'Kind of loader' }), 'disk drive, spindle belt');
  await station(page, 8);
  const checks = page.getByRole('region', { name: 'Shown, failed, or not shown and why' });
  await expect(checks.getByText('Spindle speed.')).toBeVisible();
  await expect(checks.getByText('A hand cannot stall it.')).toHaveCount(0);
  await checks
    .getByRole('group', { name: 'Spindle speed' })
    .or(checks.getByRole('radiogroup', { name: 'Spindle speed' }))
    .getByRole('radio', { name: 'failed' })
    .click();
  await checks.getByLabel('It turns at, rpm').fill('288');
  await checks.getByLabel('It should turn at, rpm').fill('300');
  await expect(checks.getByText('288 rpm, 4.0 % under 300')).toBeVisible();
  await checks.getByRole('button', { name: 'warm' }).click();
  await checks.getByLabel('What was felt or read').fill('strobe');
  await station(page, 9);
  await expect(page.getByText('Failed: Spindle speed.')).toBeVisible();
  await expect(page.getByText('4 of 5 checks not done.')).toBeVisible();
  await page.getByRole('link', { name: 'Bench sheet, to print' }).click();
  await expect(page.getByRole('article', { name: 'Bench sheet' })).toContainText(
    'Spindle speed: failed, 288 rpm, 4.0 % under 300, warm, strobe',
  );
});
