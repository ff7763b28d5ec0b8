import type { Locator, Page } from '@playwright/test';
import { expect, kept, openTicket, test, waits } from './bench';
import { pick } from './pick';

/** A ticket at Take in, at nine in the morning. @returns what stands there first of all */
async function takeInAtNine(page: Page): Promise<Locator> {
  await page.clock.install({ time: new Date('2026-11-25T09:00:00Z') });
  await openTicket(page, 'Pennerley T9 booth deck');
  await page.keyboard.press('Alt+1');
  return page.getByRole('region', { name: 'First of all' });
}

test('unplugged for a few minutes: the timer outlives the page, says how late it is, and is seen to', async ({
  page,
}) => {
  const first = await takeInAtNine(page);
  await first.getByLabel('minutes').fill('-3');
  await expect(first.getByRole('alert')).toContainText('Read -3 minutes. Allowed');
  await expect(first.getByRole('button', { name: 'Start the timer' })).toBeDisabled();
  await first.getByLabel('minutes').fill('5');
  await first.getByRole('button', { name: 'Start the timer' }).click();
  await expect(page.getByLabel('Mains')).toHaveAttribute('data-chosen', 'unplugged');
  const timers = page.getByRole('list', { name: 'Timers' });
  await expect(waits(page)).toHaveText(/^unplugged: [45]:\d\d to go/);
  await page.clock.runFor(120_000);
  await expect(waits(page)).toHaveText(/^unplugged: [23]:\d\d to go/);
  await kept(page);

  // Closed and opened again, later than it ran.
  await page.goto('about:blank');
  await page.clock.setSystemTime(new Date('2026-11-25T09:17:00Z'));
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'On the clock' })).toContainText('unplugged: time is up, 12 min ago');
  // Of another ticket it is a number; opened, it leads there.
  await expect(waits(page)).toHaveText(/^1 timer due/);
  await waits(page).click();
  await timers.getByRole('link', { name: /0001 unplugged/ }).click();
  await expect(waits(page)).toHaveText(/^unplugged: time is up/);
  await waits(page).click();
  await timers.getByRole('button', { name: 'Done' }).click();
  await expect(waits(page)).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(waits(page)).toHaveText(/time is up/);
});

test('a clock set back is said: on the running timer, and on a ticket that was written later than now', async ({
  page,
}) => {
  const first = await takeInAtNine(page);
  await first.getByLabel('minutes').fill('30');
  await first.getByRole('button', { name: 'Start the timer' }).click();
  const timers = page.getByRole('list', { name: 'Timers' });
  await page.clock.runFor(600_000);
  await expect(waits(page)).toHaveText(/unplugged: (20:00|19:5\d) to go/);
  await page.clock.setSystemTime(new Date('2026-11-25T09:05:00Z'));
  await page.clock.runFor(2000);
  await expect(waits(page)).toHaveText(/clock set back/);
  await waits(page).click();
  await expect(timers).toContainText('The clock was set back by 5 min: timers end that much late.');
  await page.keyboard.press('Escape');
  await kept(page);

  await page.clock.setSystemTime(new Date('2026-11-25T06:00:00Z'));
  await page.reload();
  await expect(page.getByText('This computer’s clock is 3 h behind the last entry of this ticket.')).toBeVisible();
  await expect(waits(page)).toHaveText(/the clock was set back; wait 30:00 by another/);
});

test('plugged in, hand-turning is cautioned wherever it is asked for', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  const caution = page
    .getByRole('alert')
    .filter({ hasText: 'Pull the plug before you open it or turn anything by hand' });
  await expect(caution).toHaveCount(0);
  await pick(page.getByLabel('Mains'), 'plugged in');
  await expect(caution).toBeVisible();
  await page.keyboard.press('Alt+3');
  await expect(caution).toBeVisible();
  await pick(page.getByLabel('Mains'), 'unplugged');
  await expect(caution).toHaveCount(0);
});

test('something provisional comes back on the Bench when its day has come; a disc in custody holds the gate', async ({
  page,
}) => {
  await takeInAtNine(page);
  await page.getByRole('button', { name: 'A disc was found' }).click();
  await page.getByLabel('Whose', { exact: true }).fill('the reading room');
  await page.keyboard.press('Alt+9');
  await page.getByLabel('Provisional: what will not last').fill('a band is in');
  await page.getByLabel('Look at it again by').fill('2026-11-01');
  await expect(page.getByText('That day is past: it stands on the Bench as due already.')).toBeVisible();
  await page.getByLabel('Look at it again by').fill('2026-12-24');
  await expect(page.getByText('A disc is not accounted for: the reading room.')).toBeVisible();
  await page.getByLabel(/Hand back anyway, because/).fill('wanted at once');
  await page.getByRole('button', { name: 'Hand it back' }).click();
  await kept(page);
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
  await expect(page.getByText('Follow-ups due')).toHaveCount(0);
  await page.clock.setSystemTime(new Date('2026-12-24T09:00:00Z'));
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Follow-ups due' })).toContainText('a band is in');
  // Another of its name comes: whether it came back is asked, and said once.
  await openTicket(page, 'Pennerley T9 booth deck');
  await page.keyboard.press('Alt+1');
  const asked = page.getByRole('region', { name: 'Was it here before' });
  await expect(asked).toContainText('Is this the same one?');
  await asked.getByRole('button', { name: 'The same: it came back' }).click();
  await expect(asked).toHaveCount(0);
  await expect(page.getByRole('button', { name: /^Undo: said to have been here before/ })).toBeVisible();
});
