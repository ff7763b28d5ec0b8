import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, kept, moveTo, openTicket, test, waits } from './bench';

// A Monday morning, on the browser's clock; its zone is UTC.
const NOW = new Date('2026-11-23T09:00:00Z');

const block = (page: Page, words: RegExp) => page.getByRole('button', { name: words }).first();
const planned = (page: Page) => expect(page.getByText(/^planned \d\d:\d\d, again at every change$/)).toBeVisible();
async function promise(page: Page, at: string): Promise<void> {
  await page.getByLabel('Promised by', { exact: true }).fill(at);
  await kept(page);
}

test('five tickets, one of which soaks; a rush job comes in between, goes first, and nothing is lost', async ({
  page,
}) => {
  test.slow();
  await page.clock.setFixedTime(NOW);
  for (const name of ['one', 'two', 'three', 'four']) await openTicket(page, `Duncarrow D3 deck ${name}`);
  await openTicket(page, 'Duncarrow D3 deck soaking');
  await page.keyboard.press('Alt+4');
  await page.getByLabel(/^What was found or done, and where/).fill('keys soapy water soak overnight');
  await page.keyboard.press('Enter');
  await expect(waits(page)).toHaveText(/keys/);
  await moveTo(page, '/day');
  await planned(page);
  const rows = page.getByRole('group', { name: /^000\d / });
  await expect(rows).toHaveCount(5);
  await expect(block(page, /^0001, take in, find, 09:00/)).toBeVisible();
  const before = await block(page, /^0002, take in, find/).getAttribute('aria-label');

  await openTicket(page, 'Duncarrow D3 deck rush');
  await page.keyboard.press('Alt+1');
  await promise(page, '2026-11-23T11:00');
  await moveTo(page, '/day');
  await expect(block(page, /^0006, take in, find, 09:00/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Promised' })).toContainText(/\d\d in 100/);
  // The others are there still, later than before; the soak goes on.
  expect(await block(page, /^0002, take in, find/).getAttribute('aria-label')).not.toBe(before);
  await expect(page.getByRole('group', { name: /^000\d / })).toHaveCount(6);
  await expect(waits(page)).toHaveText(/^1 timer/);
});

test('a step is set by hand and stays; left to the plan it goes back; a promise in the past is said; out as a calendar', async ({
  page,
}) => {
  await page.clock.setFixedTime(NOW);
  await openTicket(page, 'Duncarrow D3 deck');
  await page.keyboard.press('Alt+1');
  await promise(page, '2026-11-20T12:00');
  await expect(page.getByText('That is past. Say a new time, or take the promise back.')).toBeVisible();
  await moveTo(page, '/day');
  await expect(page.getByRole('region', { name: 'Promised' })).toContainText('Overdue: set a new time');
  const first = block(page, /^0001, take in, find/);
  await first.focus();
  await page.keyboard.press('ArrowRight');
  const set = page.getByRole('region', { name: 'Set by hand' });
  await expect(set).toContainText('0001 take in, find, 09:15');
  await first.hover();
  const box = await block(page, /^0001, take in, find/)
    .locator('rect')
    .boundingBox();
  if (!box) throw new Error('not drawn');
  await page.mouse.move(box.x + 5, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 205, box.y + 12, { steps: 4 });
  await page.mouse.up();
  await expect(set).toContainText(/0001 take in, find, 1[01]:\d\d/);
  await page.reload();
  await expect(set).toContainText(/0001 take in, find, 1[01]:\d\d/);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the plan as a calendar' }).click();
  expect(await readFile(await (await saved).path(), 'utf8')).toMatch(
    /^BEGIN:VCALENDAR[\s\S]*SUMMARY:0001 take in\\, find[\s\S]*END:VCALENDAR/,
  );
  await set.getByRole('button', { name: 'Leave it to the plan' }).click();
  await expect(block(page, /^0001, take in, find, 09:00/)).toBeVisible();
});

test('hours and minutes are put right, and refused in words', async ({ page }) => {
  await page.clock.setFixedTime(NOW);
  await openTicket(page, 'Duncarrow D3 deck');
  await moveTo(page, '/day');
  await page.getByText('Opening hours, benches and drying places').click();
  const monday = page.getByLabel('Monday');
  await monday.fill('18-9');
  await monday.blur();
  await expect(page.getByText('Read “18-9”. Write the hours as 9-12:30, 13-17:30')).toBeVisible();
  await monday.fill('10-12, 13-15:30');
  await monday.blur();
  await expect(block(page, /^0001, take in, find, 10:00/)).toBeVisible();
  await page.getByText('How long things take').click();
  await page.getByLabel('Take in takes, min').first().fill('40');
  await expect(block(page, /^0001, take in, find, 10:00, about 5\d minutes/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo: 40 minutes for a step' }).click();
  await expect(block(page, /^0001, take in, find, 10:00, about 2\d minutes/)).toBeVisible();
});

test('nothing open: the day says so; a clock set back a day plans on from there', async ({ page }) => {
  await page.clock.setFixedTime(NOW);
  await page.goto('/day');
  await expect(page.getByText('No ticket is open, so there is nothing to plan.')).toBeVisible();
  await openTicket(page, 'Duncarrow D3 deck');
  await page.clock.setFixedTime(new Date('2026-11-22T09:00:00Z'));
  await page.goto('/day');
  // A Sunday: closed. The next day open is shown.
  await expect(page.getByRole('heading', { name: 'Next day open' })).toBeVisible();
  await expect(block(page, /^0001, take in, find, 09:00/)).toBeVisible();
});
