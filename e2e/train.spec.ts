import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { expect, kept, measureBoothDeck, moveTo, openTicket, take, test } from './bench';
import { pick } from './pick';

const line = (page: Page) => page.getByRole('textbox', { name: /^From the motor on/ });
const member = (page: Page, name: RegExp) =>
  page.getByRole('group', { name: /^The train, / }).getByRole('button', { name });
/** The page of the train of the open ticket. */
async function toTrain(page: Page): Promise<void> {
  const id = /\/t\/([^/]+)/.exec(page.url())?.[1] ?? '';
  await moveTo(page, `/t/${id}/train`);
  await expect(page.getByRole('heading', { name: /^The train, motor to/ })).toBeVisible();
}
const panel = (page: Page, name: RegExp) => page.getByRole('region', { name });

test('a slot loader with its link off, unequal rollers: told, and Find hears of it; its own proof', async ({
  page,
}) => {
  await openTicket(page, 'Sallowfield S1 slot player');
  await page.keyboard.press('Alt+1');
  await pick(page.getByRole('combobox', { name: 'Kind of loader' }), 'slot, rollers');
  // Its own Measure: rollers first, no belt asked for.
  await page.keyboard.press('Alt+5');
  const rollers = page.getByRole('region', { name: 'Rollers' });
  await expect(page.getByText('A slot player may have no belt')).toBeVisible();
  await rollers.getByRole('button', { name: 'Measure the two rollers' }).click();
  for (const [name, text] of [
    ['driven roller', '8.0 8.05 8.0'],
    ['following roller', '7.7 7.8 7.75'],
  ] as const) {
    const field = rollers.getByRole('textbox', { name: new RegExp(`^${name}`, 'i') });
    await field.fill(text);
    await field.press('Enter');
  }
  await rollers.getByLabel(/^Where the disc is driven/).fill('46');
  await rollers.getByLabel(/^Way of the disc/).fill('72');
  await rollers.getByLabel(/^A disc pulled back/).fill('1.2');
  await expect(rollers).toContainText('Too little: lips and springs ask 1.5 to 3 N');
  await expect(rollers).toContainText(
    /The disc turns 3\.\d° on its way and is carried \d\.\d mm aside, towards the thinner roller/,
  );
  await expect(rollers).toContainText('the thinner one sleeved or renewed to 8.02 mm');
  await rollers.getByRole('radio', { name: 'it rattles' }).click();
  await expect(rollers).toContainText('The link is off, as it seems');
  await page.keyboard.press('Alt+2');
  await expect(page.getByText(/Roller link off/).first()).toBeVisible();
  await expect(page.getByText('the roller link on the train').first()).toBeVisible();
  await page.keyboard.press('Alt+8');
  await expect(page.getByText('Refuses a second one')).toBeVisible();
});

test('one tooth out, found by a trial: what a tooth does, the trial logged, the next one proposed', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await toTrain(page);
  await line(page).fill('motor 8T, gear 32/10, gear 28, rack 0.8');
  await line(page).press('Enter');
  await page.getByLabel(/^Travel, end to end/).fill('158');
  await expect(page.getByText(/s = 6\.28 mm a turn · 25\.1 turns end to end/)).toBeVisible();
  await member(page, /^3 gear 28/).click();
  const gear = panel(page, /^Member 3: gear 28/);
  await expect(gear).toContainText('One tooth on: tray 2.5 mm early. One back: 2.5 mm late.');
  await gear.getByLabel(/^Its reference/).fill('mark to mark, tray out');
  await expect(gear).toContainText('Looks right and is not: 28, 56 and 84 teeth out bring every mark back.');
  await gear.getByLabel(/^Teeth from its mark/).fill('1');
  await gear.getByLabel(/was early by/).fill('2.4');
  await gear.getByLabel('What it did').fill('slow, lift late');
  await gear.getByRole('button', { name: 'Not right: log the trial' }).click();
  await expect(gear).toContainText('1 tooth on: 2.4 mm early, slow, lift late');
  await expect(gear).toContainText('Try next: on its mark.');
  await gear.getByRole('button', { name: 'Set it' }).click();
  await gear.getByRole('button', { name: 'It is right so' }).click();
  await expect(gear).toContainText('on its mark: right');
  // A click twelve times over the travel: whose is it?
  await page.getByLabel(/^Clicks over the full travel/).fill('6');
  await expect(panel(page, /^A click/)).toContainText('double gear 32/10, which turns 6.3 times');
  await kept(page);
});

test('an unknown gear, from outside, span and mate to an outline that meshes, as SVG and DXF', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await toTrain(page);
  await line(page).fill('motor 12T m0.5, gear 24');
  await line(page).press('Enter');
  await member(page, /^2 gear 24/).click();
  const gear = panel(page, /^Member 2: gear 24/);
  await gear.getByText('What gear is it?').click();
  await gear.getByLabel(/^Outside diameter/).fill('13.4');
  await expect(gear).toContainText('What would tell them apart: the span over');
  await gear.getByLabel('Span, mm').fill('5.46');
  await gear.getByLabel(/^over so many teeth/).fill('4');
  await expect(gear.getByRole('listitem').first()).toContainText(/module 0\.5, 9\d in 100/i);
  await gear.getByRole('button', { name: 'It is this' }).first().click();
  await expect(gear.getByLabel('Module, mm')).toHaveValue('0.5');
  await gear.getByText('A replacement', { exact: true }).click();
  await expect(gear).toContainText(/through a whole pitch: no interference/);
  await gear.getByLabel('Bore, mm').fill('2');
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    gear.getByRole('button', { name: 'As SVG' }).click(),
  ]);
  const text = readFileSync(await svg.path(), 'utf8');
  expect(text).toContain('<svg');
  expect(text).toContain('this bar is 50 mm long');
  const [dxf] = await Promise.all([
    page.waitForEvent('download'),
    gear.getByRole('button', { name: 'As DXF' }).click(),
  ]);
  expect(readFileSync(await dxf.path(), 'utf8')).toContain('LWPOLYLINE');
  await gear.getByRole('link', { name: 'Print at 1 to 1' }).click();
  await expect(page.getByText('this bar is 50 mm long').first()).toBeVisible();
});

test('a mode gear homed by hand with a disc in custody; not home, it is named at Hand back', async ({ page }) => {
  await openTicket(page, 'Sallowfield S1 slot player');
  await page.keyboard.press('Alt+1');
  await pick(page.getByRole('combobox', { name: 'Kind of loader' }), 'slot, rollers');
  await page.getByRole('button', { name: 'A disc was found' }).click();
  await toTrain(page);
  await page.getByText('Mode gear: where the mechanism believes it is').click();
  await page.getByRole('button', { name: /^It has one/ }).click();
  const states = page.getByRole('list', { name: 'States' }).getByRole('listitem');
  for (const [index, turns] of ['7', '22', '5', '24'].entries())
    await states
      .nth(index)
      .getByLabel(/^Turns to the next/)
      .fill(turns);
  await states.nth(0).getByRole('button', { name: 'Home is here' }).click();
  await states.nth(2).getByRole('button', { name: 'Does it stand here?' }).click();
  await expect(page.getByText(/^Home by hand: 29 turns of the motor pulley, by giving out, empty/)).toBeVisible();
  await page.keyboard.press('Alt+9');
  await expect(page.getByText('The mode gear is not home.')).toBeVisible();
  await toTrain(page);
  await page.getByRole('button', { name: 'It is home now' }).click();
  await expect(page.getByText('It is home.', { exact: true })).toBeVisible();
  // Before the lid it is asked where it stands.
  await pick(page.getByLabel('Lid'), 'on');
  const asked = page.getByRole('alert').filter({ hasText: 'where does the mode gear stand?' });
  await asked.getByRole('button', { name: 'loaded' }).click();
  await expect(asked).toContainText('It should be at “empty”.');
  await asked.getByRole('button', { name: 'empty' }).click();
  await asked.getByRole('button', { name: 'The lid is on' }).click();
  await expect(page.getByLabel('Lid')).toHaveAttribute('data-chosen', 'on');
});

test('a train against ten counted turns: a tooth miscounted is named; what cannot turn is said at its member', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await measureBoothDeck(page);
  await page.getByText('Tray: travel and pull').click();
  await take(page, 'Tray travel', '70.7');
  await toTrain(page);
  await line(page).fill('motor 8T, gear 32/10, gear 28, rack 0.8');
  await line(page).press('Enter');
  await expect(
    page.getByText(/The bench counts\. What would explain it: motor, 8 teeth counted 8, and it has 9/),
  ).toBeVisible();
  await line(page).fill('motor 2T, gear 30');
  await line(page).press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'a gear has 4 teeth or more; read 2' })).toBeVisible();
  await line(page).fill('motor 8T, gear 28 m0.01');
  await expect(page.getByText('Read module 0.01')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Draw it' })).toBeDisabled();
});

test('turned by hand it stands where the ratio says; a phone holds it', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openTicket(page, 'Pennerley T9 booth deck');
  await toTrain(page);
  await line(page).fill('motor 10T, gear 20, rack 0.8');
  await line(page).press('Enter');
  const hand = page.getByRole('slider', { name: 'Turn by hand' });
  const wheel = member(page, /^2 gear 20/)
    .locator('g[transform^="rotate"]')
    .first();
  const before = await wheel.getAttribute('transform');
  await hand.focus();
  await page.keyboard.press('End');
  await expect(wheel).not.toHaveAttribute('transform', before ?? '');
  await expect(hand).toHaveAttribute('aria-valuetext', '10.0 turns of the motor');
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth))
    .toBe(0);
});
