import type { Page } from '@playwright/test';
import {
  expect,
  kept,
  measureBoothDeck,
  chance,
  chanceSettled,
  openTicket,
  reading,
  take,
  test,
  worksIn,
} from './bench';
import { pick } from './pick';

const HELD = 'Tray held back';
const readings = (page: Page) => page.getByRole('complementary', { name: 'Readings' });

test('the tray held while the motor drives: in grams, never in mm; by a slipping belt it is only the least', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.getByText('Tray: travel and pull').click();
  await expect(readings(page).getByText(/fingers out of tray and gears/)).toBeVisible();
  await take(page, 'Tray pull', '2.4');
  await take(page, HELD, '40 mm');
  await expect(readings(page).getByRole('alert')).toContainText('40 mm');
  await expect(reading(page, HELD)).toHaveValue('40 mm');
  await take(page, HELD, '10 g');
  await expect(reading(page, HELD)).toHaveValue('0.1');
  await page.keyboard.press('Alt+6');
  // A motor that a hand can stop at 0.1 N has next to nothing left: every belt that grips stops it.
  const weak = await worksIn(page);
  expect(weak).toBeLessThan(75);
  await expect(chance(page)).toContainText('overloading the motor');
  await page.keyboard.press('Alt+5');
  await pick(page.getByLabel(`${HELD}, how it is measured`), 'held, the belt slips');
  await expect(readings(page).getByText('the motor has at least 0.10 N: the belt slipped first')).toBeVisible();
  await page.keyboard.press('Alt+6');
  await expect(async () => expect(await worksIn(page)).toBeGreaterThan(weak)).toPass();
  await kept(page);
  await page.reload();
  await chanceSettled(page);
  await page.keyboard.press('Alt+5');
  await expect(reading(page, HELD)).toHaveValue('0.1');
});

test('a string round a crossed drive: what its thickness adds is worked out from the pulleys', async ({ page }) => {
  await openTicket(page, 'Sallowfield S1 slot player', 'string 131.6');
  await expect(readings(page).getByText(/^131\.6 − π × 0\.8 = 129\.1/)).toBeVisible();
  await page.getByText('Belt shape, grooves, surfaces').click();
  await page.getByRole('radio', { name: 'crossed' }).click();
  // Before the pulleys are measured by what such drives are like; then by their own wraps.
  await expect(readings(page).getByText(/^131\.6 − 3\.84 × 0\.8 = 128\.5/)).toBeVisible();
  await measureBoothDeck(page);
  await expect(readings(page).getByText(/^131\.6 − 3\.9\d × 0\.8 = 128\.\d/)).toBeVisible();
});

test('an idler that drives something may be oily by itself, and the chance say so', async ({ page }) => {
  await openTicket(page, 'Orrismere L12 lift player', 'doubled flat 80, section 1.2');
  await measureBoothDeck(page);
  await page.getByText('More than two pulleys').click();
  await page.getByRole('button', { name: 'Add an idler' }).click();
  await page.getByLabel('Up, from the motor, mm').fill('24');
  await expect(page.getByLabel('Surface of pulley 1')).toHaveCount(0);
  await page.getByRole('radio', { name: 'drives something' }).click();
  await expect(page.getByLabel('Surface of pulley 1')).toHaveAttribute('data-chosen', '');
  const best = async (): Promise<number> => {
    await page.keyboard.press('Alt+6');
    const works = await worksIn(page);
    await page.keyboard.press('Alt+5');
    return works;
  };
  const clean = await best();
  await pick(page.getByLabel('Surface of pulley 1'), 'oily');
  await expect(async () => expect(await best()).toBeLessThan(clean - 10)).toPass();
});

test('on a disk drive there is no tray: its need is a torque, and nothing asks for a tray', async ({ page }) => {
  await openTicket(page, 'Tarnbeck K3 data drive');
  await page.keyboard.press('Alt+1');
  await pick(page.getByRole('combobox', { name: 'Kind of loader' }), 'disk drive, spindle belt');
  await page.keyboard.press('Alt+5');
  await measureBoothDeck(page);
  await expect(page.getByText('never force the spindle')).toBeVisible();
  await expect(page.getByText(/travel and pull/)).toHaveCount(0);
  await page.keyboard.press('Alt+6');
  const answer = page.getByRole('complementary', { name: 'Recommended belt' });
  await expect(answer).toContainText(
    /Torque at the motor shaft: the belt carries\s*needed, assumed\s*[\d.]+ N·mm of 0\.55/,
  );
  await expect(answer).toContainText(
    /Torque at the spindle: the belt carries\s*needed, assumed\s*[\d.]+ N·mm of [12]\.\d/,
  );
  await worksIn(page);
  await expect(answer).not.toContainText(/tray/i);
  // A carousel's drawer is called so, and its pull is read in newtons.
  await page.keyboard.press('Alt+1');
  await pick(page.getByRole('combobox', { name: 'Kind of loader' }), 'carousel');
  await page.keyboard.press('Alt+5');
  await page.getByText('Drawer: travel and pull').click();
  await take(page, 'Drawer pull', '2.2');
  await page.keyboard.press('Alt+6');
  await expect(answer).toContainText(/Pull at the drawer: needed measured\s*2\.2 N/);
});
