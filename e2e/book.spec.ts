import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, kept, moveTo, test } from './bench';
import { hung, listed } from './stocked';

test('two tabs write one drawer: nothing is lost, both show it', async ({ page, context }) => {
  await page.goto('/drawer');
  await page.getByLabel(/^Put in:/).fill('10 of 1.2x116');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  const here = page.getByRole('region', { name: 'This size' });
  await expect(here).toBeVisible();
  const other = await context.newPage();
  await other.goto(page.url());
  const there = other.getByRole('region', { name: 'This size' });
  await expect(there).toBeVisible();
  await Promise.all([
    (async () => {
      for (let n = 0; n < 5; n += 1) await here.getByRole('button', { name: 'One more' }).click();
    })(),
    (async () => {
      for (let n = 0; n < 3; n += 1) await there.getByRole('button', { name: 'One fewer' }).click();
    })(),
  ]);
  for (const one of [here, there]) await expect(one.getByLabel('In the drawer, pieces')).toHaveValue('12');
  await page.reload();
  await expect(here.getByLabel('In the drawer, pieces')).toHaveValue('12');
});

test('undo of what another tab did is asked; what no keyboard has is not taken into a field', async ({
  page,
  context,
}) => {
  await page.goto('/drawer');
  await page.getByLabel(/^Put in:/).fill('10 of 1.2x116');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  const here = page.getByRole('region', { name: 'This size' });
  await here.getByLabel('Place').fill('A\u0000\u00074');
  await expect(here.getByLabel('Place')).toHaveValue('A4');
  await kept(page);
  const other = await context.newPage();
  await other.goto(page.url());
  const there = other.getByRole('region', { name: 'This size' });
  await there.getByRole('button', { name: 'One more' }).click();
  await expect(here.getByLabel('In the drawer, pieces')).toHaveValue('11');
  await page.getByRole('button', { name: 'Undo: 1 more of 1.2 × 116.0' }).click();
  const asked = page.getByRole('alert').filter({ hasText: 'Another tab did this: 1 more of 1.2 × 116.0.' });
  await asked.getByRole('button', { name: 'Leave it' }).click();
  await expect(asked).toHaveCount(0);
  await expect(here.getByLabel('In the drawer, pieces')).toHaveValue('11');
  await page.getByRole('button', { name: 'Undo: 1 more of 1.2 × 116.0' }).click();
  await asked.getByRole('button', { name: 'Undo it anyway' }).click();
  for (const one of [here, there]) await expect(one.getByLabel('In the drawer, pieces')).toHaveValue('10');
});

test('the bench book goes out and comes in whole; a broken one changes nothing', async ({ page }) => {
  await page.goto('/drawer');
  await page.getByLabel(/^Put in:/).fill('4 of 1.2x116');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  await expect(hung(page, /1\.2 × 116\.0, 4/)).toBeVisible();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the bench book' }).click();
  const file = await readFile(await (await saved).path(), 'utf8');
  await page.getByRole('button', { name: 'Remove this size' }).click();
  await expect(page.getByText('Nothing hangs here yet')).toBeVisible();
  const book = page.getByLabel('Import a bench book');
  await book.setInputFiles({
    name: 'b.json',
    mimeType: 'application/json',
    buffer: Buffer.from(file.replace('"quantity":4', '"quantity":5')),
  });
  await expect(page.getByText(/“b.json” was changed by hand/)).toBeVisible();
  await book.setInputFiles({ name: 'b.json', mimeType: 'application/json', buffer: Buffer.from(file) });
  const keeping = page.getByRole('region', { name: 'Bench book' });
  await expect(keeping).toContainText('It takes the place of what is here: 0 sizes (0 pieces), 0 orders');
  await page.getByRole('button', { name: 'Put it in place of mine' }).click();
  await expect(hung(page, /1\.2 × 116\.0, 4/)).toBeVisible();
  await keeping.getByRole('button', { name: 'Take it back, and keep this one beside it' }).click();
  await expect(page.getByText('Nothing hangs here yet')).toBeVisible();
  await keeping.getByRole('button', { name: 'Take it back, and keep this one beside it' }).click();
  await expect(hung(page, /1\.2 × 116\.0, 4/)).toBeVisible();
});

test('a stored book that cannot be read is set aside: saved raw, tried again, begun anew', async ({ page }) => {
  await page.goto('/drawer');
  await page.getByLabel(/^Put in:/).fill('4 of 1.2x116');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  await kept(page);
  await page.evaluate(async () => {
    const open = indexedDB.open('loose-pulley');
    await new Promise((done) => (open.onsuccess = done));
    const store = open.result.transaction('settings', 'readwrite').objectStore('settings');
    const put = store.put(
      { format: 'loose-pulley/bench-book', version: 3, book: { items: 7 }, events: [] },
      'bench-book',
    );
    await new Promise((done) => (put.onsuccess = done));
    open.result.close();
  });
  for (const path of ['/drawer', '/orders', '/day']) {
    await page.goto(path);
    const aside = page.getByRole('alert', { name: 'Set aside' });
    await expect(aside).toContainText('what it holds is not shaped like a bench book. It is left as it is');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  }
  const raw = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it raw' }).click();
  expect(await readFile(await (await raw).path(), 'utf8')).toContain('"items": 7');
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await page.getByRole('button', { name: 'Begin anew with an empty book' }).click();
  await moveTo(page, '/drawer');
  await page.getByLabel(/^Put in:/).fill('1.2x120');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  await expect(hung(page, '1.2 × 120.0, 1 in the drawer')).toBeVisible();
});

test('a full disk is said, and what was put in stays on the screen', async ({ page }) => {
  await page.goto('/drawer');
  await expect(page.getByText('Nothing hangs here yet')).toBeVisible();
  await page.evaluate(() => {
    IDBObjectStore.prototype.put = () => {
      throw new DOMException('The quota is used up.', 'QuotaExceededError');
    };
  });
  await page.getByLabel(/^Put in:/).fill('1.2x116');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  await expect(page.getByText('Not saved')).toBeVisible();
  await expect(hung(page, /1\.2 × 116\.0, 1/)).toBeVisible();
});

test('a field of the book: what was undone does not come back when it is left, nor goes over another tab’s word', async ({
  page,
  context,
}) => {
  await page.goto('/drawer');
  await page.getByLabel(/^Put in:/).fill('1.2x116');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  const label = page.getByRole('region', { name: 'This size' }).getByLabel('Label', { exact: true });
  await label.fill('blue bag');
  const foot = page.getByRole('contentinfo');
  await expect(foot.getByRole('status')).toContainText('Saved');
  // Undone by key, with the cursor still in another field.
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(label).toHaveValue('');
  await page.getByRole('region', { name: 'This size' }).getByLabel('Supplier', { exact: true }).focus();
  await label.focus();
  await label.blur();
  await expect(label).toHaveValue('');
  // What is typed here and kept, and changed there since, stays as it was changed there.
  await label.fill('here');
  await expect(foot.getByRole('status')).toContainText('Saved');
  const other = await context.newPage();
  await other.goto(page.url());
  const there = other.getByRole('region', { name: 'This size' }).getByLabel('Label', { exact: true });
  await expect(there).toHaveValue('here');
  await there.fill('there');
  await there.blur();
  await expect(other.getByRole('contentinfo').getByRole('status')).toContainText('Saved');
  await label.blur();
  await expect(label).toHaveValue('there');
  await page.reload();
  await expect(label).toHaveValue('there');
});

test('two tabs change two lines of one list: both are heard; two lists of one supplier become one', async ({
  page,
  context,
}) => {
  await listed(page, '1.2x116');
  await listed(page, '1.2x120');
  const counts = (one: Page) => one.getByLabel('How many, pieces');
  await expect(counts(page)).toHaveCount(2);
  const other = await context.newPage();
  await other.goto('/orders');
  await expect(counts(other)).toHaveCount(2);
  await Promise.all([counts(page).nth(0).fill('12'), counts(other).nth(1).fill('13')]);
  for (const one of [page, other]) {
    await expect(counts(one).nth(0)).toHaveValue('12');
    await expect(counts(one).nth(1)).toHaveValue('13');
  }
  await page.getByLabel('Supplier', { exact: true }).fill('Mallow');
  await page.getByLabel(/^Note to them/).fill('no later than Friday');
  await kept(page);
  // Another list, for the same one spelt otherwise, begun by its own size.
  await page.goto('/drawer');
  await page.getByLabel(/^Put in:/).fill('1.2x104');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  const size = page.getByRole('region', { name: 'This size' });
  await size.getByRole('button', { name: 'Put it on the order' }).click();
  await expect(size).toContainText('1 on the order.');
  await moveTo(page, '/orders');
  const lists = page.getByRole('article', { name: /^List for/ });
  await expect(lists).toHaveCount(2);
  await lists.nth(1).getByLabel('Supplier', { exact: true }).fill('mallow ');
  await page.getByRole('button', { name: 'Make them one' }).first().click();
  await expect(lists).toHaveCount(1);
  await expect(counts(page)).toHaveCount(3);
});
