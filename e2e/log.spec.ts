import { readFile } from 'node:fs/promises';
import { DEMO_URL } from './browser';
import { expect, moveTo, test } from './bench';
import { pick } from './pick';
import { hung } from './stocked';

test.use({ baseURL: DEMO_URL });

test('the log is narrowed, counted, put in columns and saved', async ({ page }) => {
  await page.goto('/log');
  await expect(page.getByText(/^37 of 37 tickets$/)).toBeVisible();
  await page.getByText('Filter').click();
  await pick(page.getByLabel('Put right by'), 'cleaned');
  await expect(page.getByText(/^1\d of 37 tickets$/)).toBeVisible();
  await page.getByText('Totals').click();
  await expect(page.getByText(/of 1\d handed back came again within a year/)).toBeVisible();
  await page.getByText('Table and CSV').click();
  const columns = page.getByRole('group', { name: 'Columns' });
  await columns.getByLabel('serial').check();
  await columns.getByLabel('found').uncheck();
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save these as CSV' }).click();
  const [head = '', ...rows] = (await readFile(await (await saved).path(), 'utf8')).trim().split('\r\n');
  expect(head).toBe('number,opened,machine,serial,put right by,minutes');
  expect(rows.length).toBeGreaterThan(9);
  for (const row of rows) expect(row).toContain('cleaned, old belt kept');
});

test('how long remedies last is drawn with what is still out, and proposes a day at Size', async ({ page }) => {
  await page.goto('/log');
  await page.getByText('How long remedies last').click();
  await page
    .getByRole('radiogroup', { name: 'Remedy', exact: true })
    .getByText(/cleaned, old belt kept/)
    .click();
  await expect(
    page.getByRole('img', { name: /Share of “cleaned, old belt kept” that has not come again/ }),
  ).toBeVisible();
  const words = await page.getByText(/One in five was back after \d+ months/).innerText();
  const months = /after (\d+) months: that/.exec(words)?.[1];
  await page.goto('/t/demo-0147/size');
  await expect(
    page.getByRole('button', { name: `Log as provisional, due in ${months} months: keep and clean` }),
  ).toBeVisible();
});

test('what to stock for a sum, with what one more would add, goes on the order', async ({ page }) => {
  const stock = page.getByRole('button', { name: 'What to stock', exact: true }).last();
  const askedFor = async (sum: string): Promise<void> => {
    await moveTo(page, '/log');
    // Once opened by hand it is open again.
    const fold = page.getByRole('button', { name: 'What to stock', exact: true }).first();
    if ((await fold.getAttribute('aria-expanded')) !== 'true') await fold.click();
    await page.getByLabel('To spend, own money').fill(sum);
    await stock.click();
  };
  // The drawer holds what this bench meets: nothing is bought for its own sake.
  await page.goto('/drawer');
  await askedFor('10');
  await expect(page.getByText('For that sum nothing more would serve.')).toBeVisible();

  // Without the last of one of them, it is worth its money.
  await moveTo(page, '/drawer');
  await hung(page, '1.5 × 152.0, 4 in the drawer').click();
  await page.getByLabel('In the drawer, pieces').fill('0');
  await expect(hung(page, '1.5 × 152.0, none in the drawer')).toBeVisible();
  await askedFor('0');
  await expect(page.getByText('For that sum nothing more would serve.')).toBeVisible();
  await expect(page.getByText(/^One more, .* would add .* jobs a year for/)).toBeVisible();
  await page.getByLabel('To spend, own money').fill('10');
  await stock.click();
  await page.getByRole('button', { name: /^Put \d belts? on the order$/ }).click();
  await expect(page.getByText('On the list, under Orders.')).toBeVisible();
});
