import type { Page } from '@playwright/test';
import type { TicketRecord } from '@loose-pulley/core/record/ticket';
import { expect, kept, measureBoothDeck, openTicket, reading, stored, test, chanceSettled } from './bench';

/** Types as a caliper does: faster than fingers, Enter at the end. */
const caliper = async (page: Page, text: string): Promise<void> => {
  await page.evaluate((keys) => {
    const target = () => document.activeElement ?? document.body;
    for (const key of [...keys, 'Enter']) {
      const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
      if (!target().dispatchEvent(event)) continue;
      const field = target();
      if (field instanceof HTMLInputElement && key.length === 1) document.execCommand('insertText', false, key);
    }
  }, text);
};

test('a typing caliper walks the readings, one number and Enter each', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await reading(page, 'Motor pulley').focus();
  for (const number of ['6.00', '24.80', '38.20', '1.20', '66.40']) await caliper(page, number);
  for (const [label, text] of [
    ['Motor pulley', '6.0'],
    ['Driven pulley', '24.8'],
    ['Shafts', '38.2'],
    ['Belt section', '1.2'],
    ['Old belt', '66.4'],
  ] as const) {
    await expect(reading(page, label)).toHaveValue(text);
  }
  await expect(page.getByText('127.1').first()).toBeVisible();
});

test('a caliper that repeats is told from two things alike; one that babbles is said, and the walk goes on', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await reading(page, 'Motor pulley').focus();
  // At once, on however slow a machine: between the two the page's watch stands.
  await page.evaluate(() => {
    const at = performance.now();
    performance.now = () => at;
  });
  await caliper(page, '6.00');
  await caliper(page, '6.00');
  await page.evaluate(() => Reflect.deleteProperty(performance, 'now'));
  await expect(reading(page, 'Motor pulley')).toHaveValue('6.0');
  const readings = page.getByRole('complementary', { name: 'Readings' });
  await expect(readings.getByText('Read 6.00 twice at once. Does the caliper repeat?')).toBeVisible();
  await expect(reading(page, 'Driven pulley')).toHaveValue('6.00');
  // The next number takes the place of the one that was refused.
  await caliper(page, '24.80');
  await expect(reading(page, 'Driven pulley')).toHaveValue('24.8');
  await caliper(page, '0x7F#--');
  await expect(readings.getByText(/Read “0x7F#--”/)).toBeVisible();
  await expect(reading(page, 'Shafts')).toHaveValue('0x7F#--');
  await caliper(page, '38.20');
  await expect(reading(page, 'Shafts')).toHaveValue('38.2');
  // Two pulleys really alike are kept on purpose.
  await reading(page, 'Motor pulley').fill('38.2');
  await expect(page.getByText('127.1').first()).toBeVisible();
});

test('a burst with no field focused is a reading and never a shortcut', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await expect(reading(page, 'Motor pulley')).toBeVisible();
  await page.getByRole('heading', { level: 1 }).click();
  // An odd caliper: its letters would be F for fit, B for the Bench, were they pressed by a hand.
  await caliper(page, '+6.0mm');
  await expect(reading(page, 'Motor pulley')).toHaveValue('6.0');
  await page.getByRole('heading', { level: 1 }).click();
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await caliper(page, 'bfb');
  await expect(page).toHaveURL(/measure/);
  await expect(page.getByText(/Read “bfb”/)).toBeVisible();
  // Where no field takes a reading, that is said too.
  await page.keyboard.press('Alt+9');
  await expect(page.getByRole('button', { name: 'Hand it back' })).toBeVisible();
  await caliper(page, '7.77');
  await expect(page.getByText('Read “7.77”: no field here takes it.')).toBeVisible();
});

test('Enter never fits a belt nor hands a machine back; Space and the key do', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+6');
  const fit = page.getByRole('button', { name: 'Fit and log this try' });
  await fit.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByText('None yet.')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('region', { name: 'Belts tried' }).getByRole('listitem')).toHaveCount(1);
  await fit.blur();
  // The same belt, not judged yet, is the same try; another one is another.
  await page.keyboard.press('f');
  await expect(page.getByRole('region', { name: 'Belts tried' }).getByRole('listitem')).toHaveCount(1);
  // Two keys at once would be a caliper's.
  await page.waitForTimeout(60);
  await page.keyboard.press('k');
  await expect(page.getByText('the old belt, cleaned')).toBeVisible();
  await page.keyboard.press('Alt+9');
  await page.getByRole('button', { name: 'Hand it back' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Hand it back' })).toBeVisible();
});

test('the whole path by keyboard: jump, measure, walk the ruler, undo', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
  // The field that starts the work has the focus.
  await expect(page.getByLabel(/As you would say it/)).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await expect(page.getByLabel('What is on the bench?')).toBeFocused();
  await page.keyboard.type('Sallowfield S1 slot player');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/takeIn/);
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
  await page.keyboard.press('Alt+5');
  await reading(page, 'Motor pulley').focus();
  for (const number of ['6', '24.8', '38.2', '1.2']) {
    await page.keyboard.type(number);
    await page.keyboard.press('Enter');
  }
  await kept(page);
  await page.keyboard.press('Control+k');
  // By what people call a page, too.
  await page.getByRole('combobox', { name: 'Jump to' }).fill('price');
  await expect(page.getByRole('option', { name: /^Size/ })).toBeVisible();
  await page.getByRole('combobox', { name: 'Jump to' }).fill('size');
  await page.keyboard.press('Enter');
  const ruler = page.getByRole('slider', { name: /Stretch ruler/ });
  await ruler.focus();
  await chanceSettled(page);
  const recommended = Number(/× (\d+)/.exec((await ruler.getAttribute('aria-valuetext')) ?? '')?.[1]);
  expect([112, 116]).toContain(recommended);
  await page.keyboard.press('ArrowLeft');
  await expect(ruler).toHaveAttribute('aria-valuetext', new RegExp(`× ${recommended - 4}\\.0`));
  await expect(page.getByText('Looked at')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Undone: belt section 1.2 mm, on Measure, drive A.')).toBeVisible();
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByText('Redone: belt section 1.2 mm, on Measure, drive A.')).toBeVisible();
  await page.getByRole('link', { name: /^Redone/ }).click();
  await expect(reading(page, 'Belt section')).toHaveValue('1.2');
});

test('the drawing is an input: pick a dimension, type', async ({ page }) => {
  await openTicket(page, 'Tarnbeck K3 data drive');
  for (const [label, text] of [
    [/Motor pulley diameter on the drawing/, '6'],
    [/Driven pulley diameter on the drawing/, '24.8'],
    [/Centre distance on the drawing/, '38.2'],
  ] as const) {
    await page.getByLabel(label).fill(text);
    await page.getByLabel(label).press('Enter');
  }
  await expect(reading(page, 'Shafts')).toHaveValue('38.2');
  await expect(page.getByRole('img', { name: /shafts apart 38.2 mm/ })).toBeVisible();
});

test('single keys can be bound anew and switched off', async ({ page }) => {
  const ready = () => expect(page.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
  await page.goto('/');
  await ready();
  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'Keys' });
  // A letter typed with the sheet just open binds nothing. Before it is open, two keys at once would be a caliper's burst.
  await expect(sheet).toBeVisible();
  await page.keyboard.press('z');
  await expect(sheet.getByLabel('Key for: Jump')).toHaveText('/');
  await sheet.getByLabel('Key for: Jump').click();
  // A key that another has is not taken from it, and that is said.
  await page.keyboard.press('b');
  await expect(sheet.getByRole('status')).toHaveText('“b” is taken: Bench.');
  await page.keyboard.press('j');
  await expect(sheet.getByLabel('Key for: Jump')).toHaveText('j');
  await sheet.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('j');
  await expect(page.getByRole('combobox', { name: 'Jump to' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('?');
  await sheet.getByRole('button', { name: 'Switch single keys off' }).click();
  await sheet.getByRole('button', { name: 'Close' }).click();
  // What a single key does is settled before the next key that always works.
  const silent = async () => {
    await page.keyboard.press('j');
    await page.keyboard.press('Control+k');
    await expect(page.getByRole('combobox', { name: 'Jump to' })).toBeVisible();
    await expect(page.getByRole('combobox', { name: 'Jump to' })).toHaveValue('');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('combobox', { name: 'Jump to' })).toHaveCount(0);
  };
  await silent();
  await page.reload();
  await ready();
  await silent();
});

test('a busy page loses no key: each that a hand presses is heard, however late', async ({ page }) => {
  await openTicket(page, 'Duncarrow D3 deck');
  await page.keyboard.press('Alt+1');
  await expect(page.getByRole('heading', { name: 'Cycles counted before anything is done' })).toBeVisible();
  await page.evaluate(() => {
    (document.activeElement as HTMLElement | null)?.blur();
    // After each key the page is busy for longer than a hand waits.
    addEventListener('keydown', () =>
      setTimeout(() => {
        const until = performance.now() + 160;
        while (performance.now() < until);
      }, 5),
    );
  });
  for (const key of 'gggxg') {
    await page.keyboard.press(key);
    await new Promise((done) => setTimeout(done, 60));
  }
  await expect
    .poll(async () => ((await stored(page, 'tickets')) as TicketRecord[])[0]?.ticket.cycles.map(({ result }) => result))
    .toEqual(['good', 'good', 'good', 'bad', 'good']);
});

/** The gap that ends a burst. */
const PAUSE_MS = 35;
test('a figure typed by hand without focus loses no character, at whatever pace', async ({ page }) => {
  await page.goto('/');
  const line = page.getByLabel(/As you would say it/);
  for (const delay of [0, 20, 50, 90]) {
    await expect(line).toBeVisible();
    // A busy machine may send a burst with a pause in it, which is two bursts and no test of one: it is sent again.
    for (let pausedMs = Infinity; pausedMs > Math.max(PAUSE_MS, 3 * delay);) {
      await line.fill('');
      await page.evaluate(() => {
        (document.activeElement as HTMLElement | null)?.blur();
        const at: number[] = [];
        addEventListener('keydown', ({ timeStamp }) => at.push(timeStamp), true);
        Object.assign(window, { keysAt: at });
      });
      await page.keyboard.type('66.4 square 1.2', { delay });
      pausedMs = await page.evaluate(() => {
        const at = (window as unknown as { keysAt: number[] }).keysAt;
        return Math.max(...at.slice(1).map((ms, n) => ms - (at[n] ?? 0)));
      });
    }
    await expect(line, `${delay} ms apart`).toHaveValue('66.4 square 1.2');
    await line.fill('');
  }
  // One figure is enough: the belt stands beside it, and the length that was worked out is no size to buy.
  await line.fill('66.4 square 1.2');
  const belt = page.getByRole('region', { name: 'The belt by this' });
  await expect(belt).toContainText(/The belt to buy.*1\.2 × 116\.0.*Works in \d\d in 100/s);
  await expect(belt).toContainText('From the old belt alone');
  await expect(page.getByText(/inner length, no size to buy/)).toBeVisible();
});

/** In one go of all tests a few; `EARLY_TIMES=100` is the whole of it. */
const TIMES = Number(process.env['EARLY_TIMES'] ?? 12);
test('from the first paint no letter is lost, on a slow processor, time and again', async ({ browser }) => {
  test.setTimeout(180_000);
  const typed = '66.4 1.2';
  const lane = async (times: number): Promise<readonly string[]> => {
    const context = await browser.newContext();
    const page = await context.newPage();
    const session = await context.newCDPSession(page);
    await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    const read: string[] = [];
    for (let time = 0; time < times; time += 1) {
      await page.goto('/', { waitUntil: 'commit' });
      await page.waitForFunction(() => performance.getEntriesByName('first-paint').length > 0 || document.body);
      await page.keyboard.type(typed, { delay: 50 });
      const line = page.locator('#line');
      await expect(line)
        .toHaveValue(typed)
        .catch(() => undefined);
      read.push(await line.inputValue());
    }
    await context.close();
    return read;
  };
  const all = await Promise.all([lane(TIMES / 2), lane(TIMES / 2)]);
  expect(all.flat().filter((text) => text !== typed)).toEqual([]);
});
