import type { Locator, Page } from '@playwright/test';
import { expect, kept, measureBoothDeck, openTicket, test, waits, worksIn } from './bench';
import { pick } from './pick';

const field = (page: Page): Locator => page.getByLabel(/^What was found or done, and where/);
const spot = (page: Page, name: RegExp): Locator =>
  page.getByRole('group', { name: /^Map of the machine/ }).getByRole('button', { name });
const panel = (page: Page, name: string): Locator => page.getByRole('region', { name: `Place: ${name}` });
const beforeAfter = (page: Page): Locator => page.getByRole('region', { name: 'Before and after' });

/** Says lines at Clean, one after the other; each is done before the next. */
async function say(page: Page, ...lines: readonly string[]): Promise<void> {
  for (const line of lines) {
    await field(page).fill(line);
    await field(page).press('Enter');
    await expect(field(page), line).toHaveValue('');
  }
}
/** A new ticket at Clean. */
async function atClean(page: Page, machine = 'Pennerley T9 booth deck'): Promise<void> {
  await openTicket(page, machine);
  await page.keyboard.press('Alt+4');
  await expect(page.getByRole('heading', { name: 'Clean', exact: true })).toBeVisible();
}

test('oily belts of a carousel washed and kept, each held back before and after; Hand back says it', async ({
  page,
}) => {
  await openTicket(page, 'Oberquist C5 carousel');
  await page.keyboard.press('Alt+1');
  await page.getByLabel('Drive A: what it drives').fill('loading');
  await page.getByRole('button', { name: '+ drive' }).click();
  await page.getByLabel('Drive B: what it drives').fill('table');
  await page.keyboard.press('Alt+4');
  await say(page, 'belts oily', 'table belt slips', 'loading belt slips hard');
  await expect(spot(page, /belt A, loading, oily/)).toBeVisible();
  await field(page).fill('belts washed, clean');
  await field(page).press('Enter');
  // In what: one key says it.
  await expect(page.getByRole('group', { name: 'In what?' })).toBeVisible();
  await page.keyboard.press('1');
  await expect(field(page)).toHaveValue('');
  await say(page, 'table belt holds', 'loading belt holds');
  await expect(beforeAfter(page)).toContainText('Better.');
  await expect(page.getByRole('region', { name: 'Put right' })).toContainText(
    'Belt or pulley oily: it slipped before it was washed, and holds now',
  );
  await page.getByRole('button', { name: 'That was it, and it is cured' }).click();
  await page.keyboard.press('Alt+2');
  await expect(page.getByText(/Belt or pulley oily/).first()).toBeVisible();
  await page.keyboard.press('Alt+9');
  await expect(page.getByRole('textbox', { name: 'What was done' })).toHaveValue(
    /Loading belt and table belt cleaned\./,
  );
  await expect(page.getByRole('textbox', { name: 'What was found' })).toHaveValue(
    /Oil on loading belt and table belt\./,
  );
});

test('dried grease: the pull before and after on the same place, and Size’s answer moves with it', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+4');
  const pull = page.getByLabel('Pull of the tray by a scale, now');
  await pull.fill('3.1');
  await pull.press('Enter');
  await expect(beforeAfter(page)).toContainText('Before: 3.1 N');
  await page.keyboard.press('Alt+6');
  const stiff = await worksIn(page);
  await page.keyboard.press('Alt+4');
  await say(page, 'rods dried grease', 'rods old grease off, lithium, a film, run end to end', 'hands washed');
  await pull.fill('1.2');
  await pull.press('Enter');
  await expect(beforeAfter(page)).toContainText('3.1 N before, 1.2 N after: better by 1.9');
  await expect(page.getByRole('region', { name: 'Put right' })).toContainText('the pull went from 3.1 to 1.2 N');
  await page.keyboard.press('Alt+6');
  await expect(async () => expect(await worksIn(page)).toBeGreaterThan(stiff)).toPass();
  // Both stand at Measure, each as what it is.
  await page.keyboard.press('Alt+5');
  await expect(page.getByRole('textbox', { name: 'Tray pull, before it was treated' })).toHaveValue('3.1');
  await expect(page.getByRole('textbox', { name: 'Tray pull, 2, as it is now' })).toHaveValue('1.2');
});

test('warm to shrink: length before, timer, cool, length after, and Size keeps it at that', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-25T09:00:00Z') });
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+4');
  await page.getByText('Warm the old belt to shrink it').click();
  await expect(beforeAfter(page)).toContainText('Before: 128.0 mm inner length');
  await page.getByRole('button', { name: 'It is in the warmth: 3 minutes' }).click();
  await expect(waits(page)).toContainText(/belt warms: [23]:\d\d to go/);
  await page.getByRole('button', { name: 'It is out: 5 minutes to cool and dry' }).click();
  await expect(waits(page)).toContainText('belt cools');
  await page.getByLabel(/^Measured cold, doubled flat/).fill('63.8');
  await page.getByRole('button', { name: 'That is its length now' }).click();
  await expect(beforeAfter(page)).toContainText('Came to: 122.8 mm, from 128.0 mm');
  await page.keyboard.press('Alt+6');
  const instead = page.getByRole('region', { name: 'Instead of a new belt' });
  await expect(instead.getByRole('listitem').filter({ hasText: 'keep and clean' })).toContainText('in 100');
  await page.keyboard.press('Alt+5');
  await expect(page.getByRole('textbox', { name: 'Old belt, warmed' })).toHaveValue('63.8');
});

test('a trapped disc by the ladder: the turns by hand, power by the rung, custody, and Find hears of it', async ({
  page,
}) => {
  await openTicket(page, 'Sallowfield S1 slot player');
  await page.keyboard.press('Alt+1');
  await pick(page.getByRole('combobox', { name: 'Kind of loader' }), 'slot, rollers');
  await page.keyboard.press('Alt+4');
  await page.getByRole('button', { name: 'Something is in the way' }).click();
  const way = page.getByRole('region', { name: 'The way out' });
  await way.getByLabel('What is in the way').fill('a disc, half way in');
  const now = way.locator('[aria-current=step]');
  await expect(now).toContainText('Look in with a lamp');
  await now.getByRole('button', { name: 'nothing moved' }).click();
  await expect(now).toContainText('Reset');
  await now.getByRole('button', { name: 'It is plugged in now' }).click();
  await expect(page.getByLabel('Mains')).toHaveAttribute('data-chosen', 'plugged');
  await now.getByRole('button', { name: 'nothing moved' }).click();
  await expect(now).toContainText('Eject by its own motor');
  await now.getByRole('button', { name: 'stopped: resistance' }).click();
  await expect(now).toContainText('Turn the rollers’ pulley by hand');
  await expect(now.getByRole('alert')).toContainText('Unplugged for this');
  await now.getByRole('button', { name: 'It is unplugged now' }).click();
  await expect(now.getByRole('alert')).toHaveCount(0);
  await way.getByLabel(/^Travel that is left for the disc/).fill('72');
  await expect(way).toContainText(/turns of the motor pulley, between .* by an assumed travel per turn/);
  await way.getByText('anticlockwise', { exact: true }).click();
  await way.getByText('from the pulley’s face', { exact: true }).click();
  await expect(way).toContainText(
    'anticlockwise, viewed from the pulley’s face; the driven pulley turns anticlockwise too',
  );
  await now.getByRole('button', { name: 'it is out' }).click();
  await expect(way).toContainText('It is out. Say where it lay');
  await expect(way.getByLabel('Out at what step')).toHaveValue('Turn the rollers’ pulley by hand');
  await way.getByLabel('Whose', { exact: true }).fill('the reading room');
  await page.keyboard.press('Alt+9');
  await expect(page.getByText('A disc is not accounted for: the reading room.')).toBeVisible();
});

test('keys soak overnight: the timer outlives the page, stands on the Bench, and holds back the power', async ({
  page,
}) => {
  await page.clock.install({ time: new Date('2026-11-25T17:00:00Z') });
  await atClean(page, 'Tarnbeck K3 data drive');
  await say(page, 'keys sticky', 'keys soaked overnight in soapy water');
  await expect(spot(page, /keys, soak 12:00:00|keys, soak 11:59/)).toBeVisible();
  await kept(page);
  await page.goto('about:blank');
  await page.clock.setSystemTime(new Date('2026-11-25T20:00:00Z'));
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'On the clock' })).toContainText(/keys soak: (9:00|8:59)/);
  await page
    .getByRole('link', { name: /Tarnbeck K3/ })
    .first()
    .click();
  await page.keyboard.press('Alt+4');
  await pick(page.getByLabel('Mains'), 'plugged');
  const asked = page.getByRole('alert').filter({ hasText: 'Power, while this is still wet' });
  await expect(asked).toContainText(/the keys soak another (9:00|8:59)/);
  await asked.getByRole('button', { name: 'Not yet' }).click();
  await expect(page.getByLabel('Mains')).toHaveAttribute('data-chosen', 'unknown');
  // In the morning it is over, whatever the page did meanwhile.
  await page.clock.setSystemTime(new Date('2026-11-26T08:00:00Z'));
  await page.clock.runFor(1500);
  await page.clock.resume();
  await pick(page.getByLabel('Mains'), 'plugged');
  await expect(page.getByLabel('Mains')).toHaveAttribute('data-chosen', 'plugged');
});

test('what may harm is asked first, by any spelling: what it is of, then a spot test; black means stop', async ({
  page,
}) => {
  await atClean(page);
  await say(page, 'drive pulley residue');
  await field(page).fill('drive pulley nail polish remover swab clean');
  await field(page).press('Enter');
  await expect(page.getByRole('group', { name: 'What is the drive pulley of?' })).toBeVisible();
  // The likely materials in order: acetal, ABS.
  await page.keyboard.press('2');
  const spotTest = page.getByRole('group', { name: 'acetone on the drive pulley' });
  await expect(spotTest).toContainText('dissolves it and leaves it dull and sticky');
  await page.keyboard.press('1');
  await expect(field(page)).toHaveValue('');
  await spot(page, /drive pulley, .*clean/).click();
  await expect(panel(page, 'drive pulley')).toContainText('clean, by your word');
  await expect(panel(page, 'drive pulley')).toContainText('spot test, acetone');
  await expect(panel(page, 'drive pulley').getByLabel('It is of')).toHaveAttribute('data-chosen', 'abs');
  // Said in one breath, taken back in one.
  await page.keyboard.press('Control+z');
  await expect(panel(page, 'drive pulley')).not.toContainText('spot test, acetone');
  await field(page).fill('spot test drive pulley acetone black');
  await field(page).press('Enter');
  await field(page).fill('drive pulley acetone');
  await field(page).press('Enter');
  await expect(page.getByRole('group', { name: 'acetone on the drive pulley' }).first()).toContainText(
    'took colour: stop',
  );
  // What was typed is still there.
  await page.keyboard.press('Escape');
  await expect(field(page)).toHaveValue('drive pulley acetone');
});

test('a wet pulley holds back the belt, to the second; dry by word, it goes on', async ({ page }) => {
  await page.clock.install({ time: new Date('2026-11-25T09:00:00Z') });
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+4');
  await say(page, 'drive pulley ipa, clean twice', 'motor bushing one drop of fine oil');
  await page.keyboard.press('Alt+6');
  await worksIn(page);
  await page.getByRole('button', { name: 'Fit and log this try' }).click();
  const held = page.getByRole('alert').filter({ hasText: 'Before the belt goes on' });
  await expect(held).toContainText(/the drive pulley dries another [12]:\d\d/);
  await expect(held).toContainText('wipe the excess, the belt is within reach');
  await held.getByRole('button', { name: 'It is dry already' }).click();
  await held.getByRole('button', { name: 'The excess is wiped' }).click();
  await held.getByRole('button', { name: 'My hands are clean' }).click();
  await page.getByRole('button', { name: 'The belt is on' }).click();
  await expect(page.getByRole('region', { name: 'Belts tried' })).toContainText('1.');
});

test('by touch on a phone: a place, what is on it, what takes it off, swab by swab', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await atClean(page);
  await spot(page, /drive pulley/).click();
  const place = panel(page, 'drive pulley');
  await pick(place.getByLabel('It is of'), 'acetal');
  await place.getByRole('button', { name: 'sludge' }).click();
  await expect(place.getByRole('button', { name: 'sludge' })).toHaveAttribute('aria-pressed', 'true');
  // The gentlest that does it stands first.
  await expect(place.getByRole('listitem').first()).toContainText('isopropyl alcohol');
  await place.getByRole('button', { name: 'Use isopropyl alcohol on the drive pulley' }).click();
  for (const swab of ['black', 'clean', 'clean']) await place.getByRole('button', { name: swab, exact: true }).click();
  await expect(place).toContainText('clean, 2 swabs running');
  await expect(place).toContainText('drive pulley dries');
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth))
    .toBe(0);
  // The same fact at Measure.
  await page.getByRole('link', { name: /^5 Measure/ }).click();
  await page.getByText('Belt shape, grooves, surfaces').click();
  await expect(page.getByRole('combobox', { name: 'Driven pulley’s surface' })).toHaveAttribute('data-chosen', 'clean');
});

test('what may touch what is this bench’s to change, and goes out and comes in as a file', async ({ page }) => {
  await page.goto('/compatibility');
  await expect(page.getByText('The app’s defaults')).toBeVisible();
  await pick(page.getByRole('combobox', { name: 'acetone on ABS' }), 'brief');
  await expect(page.getByText('Saved as this bench’s own.')).toBeVisible();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export it as a file' }).click();
  const path = await (await download).path();
  await page.getByRole('button', { name: 'Restore defaults' }).click();
  await expect(page.getByRole('combobox', { name: 'acetone on ABS' })).toHaveAttribute('data-chosen', 'no');
  await page
    .getByLabel('Import a file')
    .setInputFiles({ name: 'broken.json', mimeType: 'application/json', buffer: Buffer.from('{') });
  await expect(page.getByRole('alert')).toContainText('broken or cut short');
  await page.getByLabel('Import a file').setInputFiles(path);
  await expect(page.getByRole('combobox', { name: 'acetone on ABS' })).toHaveAttribute('data-chosen', 'brief');
});

test('the map prints on the bench sheet, with what was found and done at each number', async ({ page }) => {
  await atClean(page);
  await say(page, 'rods dried grease', 'rods old grease off, lithium', 'lens left alone');
  await page.getByRole('link', { name: /^9 Hand back/ }).click();
  await page.getByRole('link', { name: 'Bench sheet' }).first().click();
  const sheet = page.getByRole('article', { name: 'Bench sheet' });
  await expect(sheet).toContainText('Cleaned and cleared');
  await expect(sheet).toContainText('1 rods; found hardened grease; old grease off; lubricated, lithium grease.');
  await expect(sheet).toContainText('2 lens; left: left alone.');
  await expect(sheet.getByRole('group', { name: 'Map of the machine, 2 places' })).toBeVisible();
});
