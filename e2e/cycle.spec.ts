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
