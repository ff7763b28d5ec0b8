import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { chanceSettled, expect, kept, measureBoothDeck, moveTo, openTicket, take, test } from './bench';
import { pick } from './pick';
import { hung } from './stocked';

const csv = (text: string, name = 'belts.csv') => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
const list = (page: Page) => page.getByLabel('Open a list');

/** Back to the ticket that is open, once its stations stand and hear their keys. */
const backToTicket = async (page: Page): Promise<void> => {
  await page.getByRole('navigation', { name: 'Main' }).getByRole('link', { name: 'Ticket' }).click();
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeVisible();
};

test('a kit comes in by CSV, comes apart, is asked first by Size, is fitted, fails, and is ordered again', async ({
  page,
}) => {
  test.slow();
  await page.goto('/drawer');
  await expect(page.getByText('Nothing hangs here yet')).toBeVisible();
  await list(page).setInputFiles(csv('size;pcs;price\n1.2x116;2;1,40\n1.2x112;1;1,40\n1.2x120;3;1,50\n'));
  await expect(page.getByText('3 sizes, 6 pieces.')).toBeVisible();
  await page.getByLabel('It is a kit, still together: its name').fill('little squares');
  await page.getByRole('button', { name: 'Keep it as a kit' }).click();
  await page.getByRole('button', { name: 'Take it apart' }).click();
  await expect(hung(page, '1.2 × 112.0, 1 in the drawer')).toBeVisible();
  await expect(page.getByText('none left, 3 sizes, 6 pieces')).toBeVisible();
  await kept(page);

  await openTicket(page, 'Duncarrow D3 booth deck');
  await measureBoothDeck(page);
  await take(page, 'Belt section', '1.2');
  await page.keyboard.press('Alt+6');
  await chanceSettled(page);
  const drawer = page.getByRole('region', { name: 'From the drawer' });
  await expect(drawer).toContainText(/1\.2 × 112\.0 is in the drawer: \d\d in 100/);
  await expect(drawer).toContainText('the last one');
  await drawer.getByRole('button', { name: 'Fit 1.2 × 112.0 from the drawer' }).click();
  await moveTo(page, '/drawer');
  await expect(hung(page, '1.2 × 112.0, none in the drawer')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Running low' })).toContainText('1.2 × 112.0');

  // Too loose: back it goes, by itself; undone, it is out again.
  await backToTicket(page);
  await page.keyboard.press('Alt+6');
  await page.getByRole('radiogroup', { name: 'Try 1 ran' }).getByText('too loose').click();
  await moveTo(page, '/drawer');
  await expect(hung(page, '1.2 × 112.0, 1 in the drawer')).toBeVisible();
  await backToTicket(page);
  await page.keyboard.press('Control+z');
  await moveTo(page, '/drawer');
  await expect(hung(page, '1.2 × 112.0, none in the drawer')).toBeVisible();

  // What runs low is put on the order, written to paper, ordered, and comes.
  await moveTo(page, '/orders');
  await expect(page.getByRole('listitem').filter({ hasText: '1 × 1.2 × 112.0' })).toContainText('runs low');
  await page.getByRole('button', { name: 'Put 1 size on the order' }).click();
  const order = page.getByRole('article', { name: 'List for a supplier' });
  await order.getByLabel('Supplier').fill('Corrie Belts');
  await expect(page.getByRole('article', { name: 'List for Corrie Belts' })).toContainText('1 piece, 1.45 together.');
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  expect(await readFile(await (await saved).path(), 'utf8')).toContain('square 1.2 mm');
  await page.getByRole('button', { name: 'It is ordered' }).click();
  await expect(page.getByRole('article', { name: 'Order with Corrie Belts' })).toContainText('50 in 100 by');
  await page.getByRole('button', { name: 'It came' }).click();
  await page.getByLabel('One of them, doubled flat, reads, mm').fill('58.4');
  await expect(page.getByText('112.0 mm inner length, as ordered.')).toBeVisible();
  await page.getByRole('button', { name: 'Into the drawer' }).click();
  await moveTo(page, '/drawer');
  await expect(hung(page, '1.2 × 112.0, 1 in the drawer')).toBeVisible();
  await page.reload();
  await expect(hung(page, '1.2 × 112.0, 1 in the drawer')).toBeVisible();
});

test('a list with mistakes is told by line, and nothing of it comes in; formulas are disarmed on the way out', async ({
  page,
}) => {
  await page.goto('/drawer');
  await list(page).setInputFiles(csv('size,quantity,label\n1.2x116,3,a\n1.2x4.5 in,1,a\n1.2x30,2,c\n9x116,1,d\n'));
  const told = page.getByRole('alert');
  await expect(told).toContainText('Nothing was imported. 3 lines cannot be read:');
  await expect(told).toContainText('line 3: the label “a” stands on line 2 already');
  await expect(told).toContainText('line 4: “1.2x30” may be an inner length or an inner diameter');
  await expect(told).toContainText('line 5: ');
  await expect(page.getByText('Nothing hangs here yet')).toBeVisible();
  // The columns may be said by hand.
  await list(page).setInputFiles(csv('a,b,c\n1.2,112,=1+1\n1.5,120,plain\n'));
  await pick(page.getByLabel('Column c holds'), 'label');
  await page.getByRole('button', { name: 'Put all of it in the drawer' }).click();
  await expect(hung(page, /1\.2 × 112\.0, 1 in the drawer, =1\+1/)).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the drawer as CSV' }).click();
  expect(await readFile(await (await saved).path(), 'utf8')).toContain("'=1+1");
  await list(page).setInputFiles(csv('size\n"1.2x116\n', 'open.csv'));
  await expect(page.getByText('“open.csv”, line 2: a quotation mark is opened and not closed.')).toBeVisible();
});

test('a list is looked at before it goes in: a ring given by a length is asked, “Number” is asked, odd lines are named', async ({
  page,
}) => {
  await page.goto('/drawer');
  await list(page).setInputFiles(
    csv('shape;section;length;Number;Shelf;Mood\nring;1,78;47,35;3;B1;good\nflat;0,6;208;2;B2;bad\n', 'shop.csv'),
  );
  const bring = page.getByRole('region', { name: 'A list as CSV' });
  await expect(bring).toContainText('line 3: a flat belt without a width');
  await expect(bring).toContainText('Left out: Mood.');
  const put = bring.getByRole('button', { name: 'Put all of it in the drawer' });
  await expect(put).toBeDisabled();
  await bring.getByRole('button', { name: 'Quantity', exact: true }).click();
  await expect(put).toBeDisabled();
  await bring.getByRole('radiogroup', { name: 'The rings’ figures are' }).getByText('inner diameters').click();
  await expect(bring.getByRole('listitem').filter({ hasText: '1.78 × 47.35' })).toContainText('3, in B1');
  await put.click();
  await expect(page.getByText('2 sizes from “shop.csv” put in the drawer.')).toBeInViewport();
  await expect(hung(page, /1\.78 × 47\.35, 3 in the drawer/)).toBeVisible();
  // What the drawer writes says just what hangs there.
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the drawer as CSV' }).click();
  const own = await readFile(await (await saved).path(), 'utf8');
  await list(page).setInputFiles(csv(own, 'own.csv'));
  await bring.getByRole('button', { name: 'Count the drawer by it' }).click();
  await expect(page.getByText('“own.csv” says just what hangs in the drawer: nothing was changed.')).toBeVisible();
  // One more of the flat belt was counted by hand, on the list.
  await list(page).setInputFiles(csv(own.replace(/(flat,0\.6,,208),2/, '$1,5'), 'own.csv'));
  await bring.getByRole('button', { name: 'Count the drawer by it' }).click();
  await expect(hung(page, /0\.6 × 208\.0, 5 in the drawer/)).toBeVisible();
});

test('a ticket that comes in moves no belt: the drawer asks once; one that is deleted gives its belts back or leaves them', async ({
  page,
}) => {
  test.slow();
  await page.goto('/drawer');
  await page.getByLabel(/^Put in:/).fill('2 of 1.2x112 in A4');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  await kept(page);
  await openTicket(page, 'Duncarrow D3 booth deck');
  await measureBoothDeck(page);
  await take(page, 'Belt section', '1.2');
  await page.keyboard.press('Alt+6');
  await page.getByLabel(/^Another belt tried:/).fill('1.2x112');
  await page.getByRole('button', { name: 'It is the one from the drawer, A4' }).click();
  await kept(page);
  await moveTo(page, '/drawer');
  await hung(page, '1.2 × 112.0, 1 in the drawer').click();
  const size = page.getByRole('region', { name: 'This size' });
  await expect(size.getByRole('region', { name: 'Out of the drawer' })).toContainText('Duncarrow D3 booth deck');
  // The bench book of before the fitting comes back: the ticket says one is out, and the count stays until it is asked.
  const exported = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the bench book' }).click();
  const book = JSON.parse(await readFile(await (await exported).path(), 'utf8')) as { version: number };
  expect(book.version).toBe(3);
  await page.evaluate(async () => {
    const open = indexedDB.open('loose-pulley');
    await new Promise((done) => (open.onsuccess = done));
    const store = open.result.transaction('settings', 'readwrite').objectStore('settings');
    const asked = store.get('bench-book');
    await new Promise((done) => (asked.onsuccess = done));
    const record = asked.result as {
      book: { takes: unknown[]; items: { quantity: number }[] };
      events: { type: string }[];
    };
    record.events = record.events.filter(({ type }) => type !== 'taken');
    record.book.takes = [];
    for (const item of record.book.items) item.quantity = 2;
    await new Promise((done) => (store.put(record, 'bench-book').onsuccess = done));
    open.result.close();
  });
  await page.reload();
  await expect(hung(page, '1.2 × 112.0, 2 in the drawer')).toBeVisible();
  await page.goto('/');
  await page
    .getByRole('link', { name: /Duncarrow D3 booth deck/ })
    .first()
    .click();
  const asks = page.getByRole('status', { name: 'The drawer asks' });
  await expect(asks).toContainText('has a 1.2 × 112.0 (A4) from the drawer, which the drawer has not counted out');
  await asks.getByRole('button', { name: 'Take one out' }).click();
  await expect(asks).toHaveCount(0);
  // Deleted, its belt goes back where that is said.
  await page.getByRole('link', { name: /its history/ }).click();
  await page.getByRole('button', { name: 'Delete this ticket' }).click();
  await expect(page.getByRole('region', { name: 'Delete' })).toContainText(
    'It has 1.2 × 112.0 (not tried yet) out of the drawer.',
  );
  await page.getByRole('button', { name: /^Leave it with the machine, and delete/ }).click();
  await moveTo(page, '/drawer');
  await hung(page, '1.2 × 112.0, 1 in the drawer').click();
  await size.getByRole('button', { name: 'It is gone' }).click();
  await expect(size.getByRole('region', { name: 'Out of the drawer' })).toHaveCount(0);
  await expect(hung(page, '1.2 × 112.0, 1 in the drawer')).toBeVisible();
});

test('the one in my hand finds its place, or says that the label lies; undo and redo; keys along the rails', async ({
  page,
}) => {
  await page.goto('/drawer');
  for (const line of ['3 of 1.2x108 in A4', '1.2x116', '1.2x120']) {
    await page.getByLabel(/^Put in:/).fill(line);
    await page.getByRole('button', { name: 'Put in', exact: true }).click();
    await expect(page.getByLabel(/^Put in:/)).toHaveValue('');
  }
  await page.getByRole('button', { name: 'Close' }).click();
  const hand = page.getByRole('region', { name: 'In my hand' });
  await hand.getByLabel(/doubled flat 56.4/).fill('doubled flat 56.4, section 1.2');
  await expect(hand).toContainText('It hangs with 1.2 × 108.0, A4 (3 here)');
  await hand.getByRole('button', { name: '1.2 × 108.0, A4 (3 here)' }).click();
  await expect(page.getByRole('region', { name: 'This size' })).toContainText('square 1.2 mm, 108.0 mm inner length');
  // Another one from the same bag is longer than it says.
  await hand.getByLabel(/doubled flat 56.4/).fill('60.4');
  await expect(hand).toContainText('The label lies: it says 108.0 mm.');
  await hand.getByRole('button', { name: 'Write down what it measures' }).click();
  await expect(page.getByRole('region', { name: 'This size' })).toContainText(
    'The label says 108.0 mm; it measures 116.0 mm inner length and is judged by that.',
  );
  await page.getByRole('button', { name: /^Undo: 1\.2 × 108\.0 relabelled/ }).click();
  await expect(page.getByRole('region', { name: 'This size' })).not.toContainText('The label says');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(page.getByRole('region', { name: 'This size' })).toContainText('The label says');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('region', { name: 'This size' })).not.toContainText('The label says');
  await hung(page, /× 116\.0, 1 in/).focus();
  await page.keyboard.press('ArrowRight');
  await expect(hung(page, /× 120\.0, 1 in/)).toBeFocused();
  // A size that cannot be is refused and stays in the field.
  await page.getByLabel(/^Put in:/).fill('1.2x1.1');
  await expect(page.getByText('no larger than the section itself')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Put in', exact: true })).toBeDisabled();
});
