import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { expect, measureBoothDeck, chanceSettled, openTicket, take, test } from './bench';

async function toSize(page: Page): Promise<void> {
  await openTicket(page, 'Duncarrow D3 disk drive');
  await measureBoothDeck(page);
  await take(page, 'Belt section', '1.2');
  await page.keyboard.press('Alt+6');
  await chanceSettled(page);
}

test('a data drive by rpm: what each belt would give, a strobe disc, and the pulses that were measured', async ({
  page,
}) => {
  await toSize(page);
  // Its name says that it is a disk drive, whose speed matters: nothing needs to be said.
  // Without revolutions a belt is held against the one the drive was made with.
  const made = page.getByRole('row', { name: /1\.2 × 1\d\d\.0/ }).filter({ hasText: /[+−]0\.\d %/ });
  await expect(made.first()).toContainText('within');
  await page.getByLabel('The motor turns, if known, rpm').fill('2400');
  await page.getByLabel('Wanted of the driven pulley, if known, rpm').fill('0');
  await expect(page.getByText('Read 0. Allowed: 1 to 100000 rpm.')).toBeVisible();
  // 2,400 rpm by 7.15/25.95 is about 660.
  await page.getByLabel('Wanted of the driven pulley, if known, rpm').fill('660');
  const row = page.getByRole('row').filter({ hasText: 'rpm' }).first();
  await expect(row).toContainText(/6[56]\d\.\d rpm/);
  await expect(row).toContainText('within');
  await chanceSettled(page);
  const within = Number(
    /(\d+) in 100/.exec(await page.getByRole('region', { name: 'Chance', exact: true }).innerText())?.[1],
  );
  await page.getByLabel('Wanted of the driven pulley, if known, rpm').fill('500');
  // All belts are judged anew before the table names one: on a busy machine that takes a while.
  await expect(row).toContainText('too fast');
  const chance = page.getByRole('region', { name: 'Chance', exact: true });
  await expect(chance).toHaveAttribute('aria-busy', 'false');
  await expect(chance).toContainText('under 1 in 100');
  await expect(chance).toContainText('most likely by turning at the wrong speed');
  expect(within).toBeGreaterThan(30);

  // Pulses: out of order and lacking one are refused, a good file is drawn.
  const pulses = page.getByLabel('Pulse file');
  const csv = (text: string) => ({ name: 'pulses.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  await pulses.setInputFiles(csv('time\n0\n0.12\n0.11\n0.36\n0.48\n'));
  await expect(page.getByText('Pulse 3 comes no later than pulse 2: the times are out of order.')).toBeVisible();
  const times = Array.from({ length: 400 }, (_, i) => (i * 0.12 + 0.0002 * Math.sin(i)).toFixed(6));
  await pulses.setInputFiles(csv(times.join('\n')));
  const found = page.getByRole('region', { name: 'Speed from index pulses' });
  await expect(found).toContainText('500.0');
  await expect(found).toContainText('Within what is wanted.');
  await expect(found.getByRole('img', { name: 'Speed of each turn over time' })).toBeVisible();

  await page.getByRole('link', { name: 'Strobe disc, to print' }).click();
  await expect(page.getByText('Outer ring, 50 Hz: 12 bars, still at 500.00 rpm')).toBeVisible();
  await expect(page.getByText(/Inner ring, 60 Hz: 14 bars, still at 514\.29 rpm, 2\.86 % off/)).toBeVisible();
  await page.getByLabel('Speed wanted, rpm').fill('6000');
  await expect(page.getByText(/too fast for a printed disc/)).toBeVisible();
  await page.getByLabel('Speed wanted, rpm').fill('33.333');
  await expect(page.getByRole('img', { name: /180 bars/ })).toBeVisible();
});

test('at 1 to 1: a bar whose printed length corrects the next print; SVG and DXF; a slip for the shop', async ({
  page,
}) => {
  await toSize(page);
  await page.getByRole('link', { name: 'At 1 to 1: print, SVG, DXF' }).click();
  const drawing = page.getByRole('img', { name: /at 1 to 1/ });
  const before = await drawing.evaluate((svg) => (svg as SVGSVGElement).width.baseVal.value);
  const view = await drawing.evaluate((svg) => (svg as SVGSVGElement).viewBox.baseVal.width);
  // CSS takes an inch as 96 px.
  expect(before).toBeCloseTo((view * 96) / 25.4, 1);
  await page.getByLabel('The bar of 100 mm printed as, mm').fill('9');
  await expect(page.getByText('Read 9. Allowed: 50 to 200 mm.')).toBeVisible();
  await page.getByLabel('The bar of 100 mm printed as, mm').fill('96');
  await expect(page.getByText('Prints are drawn 104.2 % of their size')).toBeVisible();
  const after = await drawing.evaluate((svg) => (svg as SVGSVGElement).width.baseVal.value);
  expect(after / before).toBeCloseTo(100 / 96, 3);
  await page.reload();
  await expect(page.getByText('Prints are drawn 104.2 % of their size')).toBeVisible();

  await page.getByRole('radio', { name: 'the drive' }).click();
  const [dxf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As DXF' }).click(),
  ]);
  expect(await readFile(await dxf.path(), 'latin1')).toMatch(/ARC[\s\S]*EOF/);
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'As SVG' }).click(),
  ]);
  expect(await readFile(await svg.path(), 'utf8')).toMatch(/^<svg [\s\S]*width="[\d.]+mm"/);
  expect(svg.suggestedFilename()).toMatch(/^0001-drive-a.*drive\.svg$/);

  await page.goBack();
  await page.getByRole('link', { name: 'Slip for the shop' }).click();
  const slip = page.getByRole('article', { name: 'Slip' });
  const sizes = slip.getByRole('table', { name: 'Sizes of that section that will do' });
  await expect(
    sizes.getByRole('row', { name: /1\.2 mm across 11[26]\.0 mm Ø 3[567]\.\d mm 9\d in 100/ }).first(),
  ).toBeVisible();
});

test('why measure: every way of choosing, played from a seed', async ({ page }) => {
  // Twenty drives by sixteen ways are seconds on a fast machine and most of a minute on a slow one.
  const seed = page.getByLabel('Seed, the same gives the same');
  const table = page.getByRole('table', { name: 'As numbers' });
  const played = async (before: string): Promise<string> => {
    await expect.poll(() => table.innerText()).not.toBe(before);
    await expect(page.getByText(/of 20 played…/)).toBeHidden();
    return table.innerText();
  };
  await page.goto('/why');
  await page.getByLabel('Drives, drawn').fill('20');
  await page.getByLabel('Drives, drawn').blur();
  await expect(page.getByRole('img', { name: /How often the first belt bought is right/ })).toBeVisible();
  const first = await played('');
  await seed.fill('7');
  await seed.blur();
  const other = await played(first);
  await seed.fill('20261125');
  await seed.blur();
  const again = await played(other);
  expect(again).toBe(first);
});
