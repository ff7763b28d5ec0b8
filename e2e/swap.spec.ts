import { expect, kept, chanceSettled, openTicket, take, test } from './bench';
import { pick } from './pick';

test('the five-minute swap on one page: three sizes into the drawing, the belt, fitted, right', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await page.keyboard.press('Alt+6');
  // From the old belt alone there is an answer already, and its honest chance.
  await chanceSettled(page);
  await expect(page.getByText('From the old belt alone')).toBeVisible();
  for (const [label, size] of [
    ['Motor pulley diameter', '6'],
    ['Driven pulley diameter', '24.8'],
    ['Centre distance', '38.2'],
  ] as const) {
    const field = page.getByRole('textbox', { name: new RegExp(`^${label} on the drawing`) });
    await field.fill(size);
    await field.press('Enter');
  }
  await chanceSettled(page);
  await page.getByRole('button', { name: 'Fit and log this try' }).click();
  const tries = page.getByRole('region', { name: 'Belts tried' });
  await expect(tries).toContainText(/In the hand, doubled flat, as the old one was: it should read (58|60)\.4/);
  await tries.getByRole('radio', { name: 'right' }).click();
  await kept(page);
  await expect(page).toHaveURL(/size/);
});

test('a parted belt: laid straight it still tells, and what it lost is not guessed', async ({ page }) => {
  await openTicket(page, 'Oberquist C5 carousel');
  await take(page, 'Belt section', '1.2');
  await pick(
    page.getByRole('complementary', { name: 'Readings' }).getByLabel('Old belt, how it is measured'),
    'laid straight',
  );
  await take(page, 'Old belt', '131.8');
  await expect(page.getByText('131.8 − π × 1.2 = 128.0').first()).toBeVisible();
  await page.getByRole('button', { name: 'Measure the old belt another way' }).click();
  await pick(
    page.getByRole('complementary', { name: 'Readings' }).getByLabel('Old belt, another way, how it is measured'),
    'in pieces',
  );
  await take(page, 'Old belt, another way', '120');
  await expect(page.getByText(/at least 120\.0 − π × 1\.2 = 116\.2/).first()).toBeVisible();
});

test('nothing left of the belt: pulleys alone give a belt, and what is not known is not claimed', async ({ page }) => {
  await openTicket(page, 'Sallowfield S1 slot player');
  await take(page, 'Motor pulley', '4');
  await take(page, 'Driven pulley', '18');
  await take(page, 'Shafts', '30');
  await page.keyboard.press('Alt+6');
  await chanceSettled(page);
  await expect(page.getByRole('complementary', { name: 'Recommended belt' })).toContainText('Recommended belt');
  await expect(page.getByText('Why not the old belt’s size?')).toHaveCount(0);
  const keep = page.getByRole('listitem').filter({ hasText: 'keep and clean' });
  await expect(keep.getByRole('button')).toBeDisabled();
  await expect(page.getByRole('row', { name: /a tenth off/ })).toContainText('Needs the old belt doubled flat.');
});
