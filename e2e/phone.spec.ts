import type { Page } from '@playwright/test';
import { expect, kept, measureBoothDeck, chanceSettled, openTicket, take, test } from './bench';

test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

/** Nothing of the page may stand out to the side. */
const fits = (page: Page) =>
  expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth))
    .toBe(0);

test('by touch on a phone: a reading, both pulleys, the belt, fitted and right, the slip', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await fits(page);
  await measureBoothDeck(page);
  await page.getByText('Tray: travel and pull').tap();
  await take(page, 'Tray held back', '2.4');
  await fits(page);
  await page.getByRole('link', { name: /^On to Size/ }).tap();
  await chanceSettled(page);
  await fits(page);
  // A finger on the ruler chooses the belt that lies nearest.
  const ruler = page.getByRole('slider', { name: /Stretch ruler/ });
  await ruler.scrollIntoViewIfNeeded();
  const before = await ruler.getAttribute('aria-valuetext');
  const box = await ruler.boundingBox();
  if (!box) throw new Error('no ruler');
  await page.touchscreen.tap(box.x + box.width * 0.8, box.y + box.height / 2);
  await expect(ruler).not.toHaveAttribute('aria-valuetext', before ?? '');
  await page.getByRole('button', { name: 'Back to the recommended belt' }).tap();
  await page.getByRole('button', { name: 'Fit and log this try' }).tap();
  const tries = page.getByRole('region', { name: 'Belts tried' });
  await tries.getByRole('radio', { name: 'right' }).tap();
  await kept(page);
  await fits(page);
  await page.getByRole('link', { name: 'Slip for the shop' }).tap();
  await expect(page.getByRole('heading', { name: 'Wanted: one drive belt' })).toBeVisible();
  await fits(page);
});

test('the strip along the bottom leaves most of a phone to the work', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await kept(page);
  const foot = await page.getByRole('contentinfo').boundingBox();
  expect(foot?.height).toBeLessThan(110);
  // What it says stays whole for a screen reader, though a phone shows one word of it.
  await expect(page.getByRole('status').filter({ hasText: 'Saved on this computer' })).toBeVisible();
});
