import { readFile } from 'node:fs/promises';
import { DEMO_URL } from './browser';
import { expect, moveTo, test } from './bench';

test.use({ baseURL: DEMO_URL });

test('a cycle runs as it would: what happens, machines that fit, what would do most, one thing changed', async ({
  page,
}) => {
  await page.goto('/t/demo-0147/size');
  await page.getByRole('link', { name: 'A cycle, as it would run' }).click();
  await expect(page.getByRole('heading', { name: 'Goes cleanly' })).toBeVisible();
  const events = page.getByRole('list', { name: 'What happens' });
  await expect(events.getByRole('button', { name: /The tray starts/ })).toBeVisible();

  // The drawing stands still at what is pressed, and says so.
  await events.getByRole('button', { name: /The switch says enough/ }).press('Enter');
  await expect(
    page.getByRole('img', { name: /^The cycle at 1\.\d\d s\. The switch says enough at 120 mm/ }),
  ).toBeVisible();
  const moment = page.getByRole('slider', { name: 'Moment' });
  await moment.press('Home');
  await moment.press('ArrowRight');
  await expect(moment).toHaveAttribute('aria-valuetext', '0.01 s');

  const fitting = page.getByRole('region', { name: 'Machines that fit all that is known' });
  await expect(fitting).toContainText(/\d+ machines that run with what ran on the bench, of 300\./);
  const would = page.getByRole('region', { name: 'What would do most' });
  await expect(would.getByRole('listitem')).toHaveCount(4);
  await expect(would.getByRole('link', { name: 'Oil on the guides' })).toHaveAttribute('href', /clean$/);

  // A longer belt slips: before stands beside after, and nothing of it is kept.
  const length = page.getByRole('slider', { name: 'Belt, inner length' });
  await length.press('End');
  await expect(page.getByRole('heading', { name: /^Stands/ })).toBeVisible();
  await expect(fitting).toContainText('was ');
  await page.getByRole('button', { name: 'As it is again' }).click();
  await expect(page.getByRole('heading', { name: 'Goes cleanly' })).toBeVisible();
  await expect(would.getByRole('listitem')).toHaveCount(4);

  // Its owner speaks of cold mornings: one press runs it on one.
  await page.getByRole('button', { name: 'In the cold, of which its owner speaks' }).click();
  await expect(page.getByText(/by the best figures, in the cold\./)).toBeVisible();

  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the trace as CSV' }).click(),
  ]);
  expect(await readFile(await csv.path(), 'utf8')).toContain('belt 1 pull N');
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the drawing as SVG' }).click(),
  ]);
  expect(await readFile(await svg.path(), 'utf8')).toMatch(/^<svg[^>]+xmlns/);
});

test('Size says what it does in the cold and in the bench’s warmth; Prove holds the watch against it', async ({
  page,
}) => {
  await page.goto('/t/demo-0147/size');
  await expect(
    page.getByText(
      /^Its owner speaks of the cold: moving, \d\d in 100 go well at 8 °C, and \d\d in 100 in the bench’s own warmth\.$/,
    ),
  ).toBeVisible();
  await moveTo(page, '/t/demo-0147/prove');
  await expect(page.getByText(/^By the watch: \d\.\d s; machines like this take \d\.\d to \d\.\d s/)).toBeVisible();
});

test('where nothing is measured it says what to measure; a spindle comes to speed', async ({ page }) => {
  await page.goto('/t/demo-0150/cycle');
  await expect(page.getByRole('heading', { name: 'A cycle, as it would run' })).toBeVisible();
  await page.goto('/t/demo-0149/cycle');
  await expect(
    page.getByRole('heading', { name: /^(Comes to speed|Turns, and slips at speed|Never comes to speed)$/ }),
  ).toBeVisible();
});

test('a place told at Strip binds in the cycle; clicks heard name their member; the sheet has a cycle for who wants it', async ({
  page,
}) => {
  await page.goto('/t/demo-0137/strip');
  const line = page.getByLabel('What came off, or what was done with it');
  await line.fill('tray binds at 74 mm');
  await line.press('Enter');
  await moveTo(page, '/t/demo-0137/train');
  const at = page.getByRole('textbox', { name: 'at, mm' });
  await page.getByRole('radio', { name: 'clicks' }).click();
  for (const mm of ['14', '42']) {
    await at.fill(mm);
    await page.getByRole('button', { name: 'Put it there' }).click();
    await expect(page.getByText(`clicks at ${mm} mm`, { exact: true })).toBeVisible();
  }
  await expect(page.getByText(/That fits the double gear 32\/11, 27\.6 mm a turn/)).toBeVisible();

  await page.getByRole('link', { name: 'A cycle, as it would run' }).click();
  const events = page.getByRole('list', { name: 'What happens' });
  await expect(events.getByRole('button', { name: /It binds at 70 mm/ })).toBeVisible();
  await expect(events.getByRole('button', { name: /The click at 42 mm/ })).toBeVisible();

  await moveTo(page, '/t/demo-0137/sheet');
  await page.getByRole('checkbox', { name: 'With a cycle, as it would run' }).click();
  await expect(
    page.getByRole('heading', { name: /^A cycle of the tray by drive A, as it would run with/ }),
  ).toBeVisible();
  await expect(page.getByRole('article')).toContainText('Clicks at 42 mm.');
});

test('found to fail in the cold, its belt is chosen for the cold, and the sheet says so', async ({ page }) => {
  await page.goto('/t/demo-0147/size');
  const chance = page.getByRole('region', { name: 'Chance', exact: true });
  await expect(chance).toHaveAttribute('aria-busy', 'false');
  await expect(chance).not.toContainText('°C');
  await moveTo(page, '/t/demo-0147/find');
  const search = page.getByRole('searchbox', { name: /^Search tests/ });
  await search.fill('cold against');
  await search.press('Enter');
  await page
    .getByRole('group', { name: 'What it shows' })
    .getByRole('button', { name: /better warm/ })
    .click();
  await expect(page.getByRole('button', { name: /^Take back: Cold against warm/ })).toBeVisible();
  await moveTo(page, '/t/demo-0147/size');
  await expect(chance).toContainText('Chance it works at 8 °C');
  await expect(chance).toContainText(/In the bench’s own warmth \d\d in 100\./);
  await expect(page.getByText(/^It fails in the cold: moving, \d\d in 100 go well at 8 °C/)).toBeVisible();
  await moveTo(page, '/t/demo-0147/sheet');
  await expect(page.getByText(/chance it works \d\d in 100 at 8 °C, where it was found to fail/)).toBeVisible();
});
