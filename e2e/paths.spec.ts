import { chanceSettled, expect, kept, measureBoothDeck, openTicket, reading, take, test, stored } from './bench';
import { pick } from './pick';

test('three drives on a carousel keep their readings, tries and belts apart', async ({ page }) => {
  await openTicket(page, 'Oberquist C5 carousel');
  await measureBoothDeck(page);
  for (const letter of ['B', 'C']) {
    await page.getByRole('button', { name: '+ drive' }).click();
    await expect(page).toHaveURL(new RegExp(`drive=${letter}`));
    await expect(reading(page, 'Motor pulley')).toHaveValue('');
  }
  await take(page, 'Motor pulley', '7.4');
  await page.getByRole('link', { name: 'Drive A' }).click();
  await expect(reading(page, 'Motor pulley')).toHaveValue('6.0');
  await page.getByRole('link', { name: 'Drive B' }).click();
  await page.getByRole('button', { name: '− drive B' }).click();
  await expect(page.getByRole('link', { name: 'Drive B' })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('link', { name: 'Drive B' })).toBeVisible();
  await page.getByRole('link', { name: 'Drive C' }).click();
  await expect(reading(page, 'Motor pulley')).toHaveValue('7.4');
});

test('other ways of measuring: pins, outside less groove, gap; the drawing shows what they come to', async ({
  page,
}) => {
  await openTicket(page, 'Orrismere L12 lift player');
  await pick(page.getByLabel('Motor pulley, how it is measured'), 'over two pins');
  await page.getByLabel('pin Ø, mm').fill('2');
  await page.getByLabel('pin Ø, mm').press('Enter');
  await take(page, 'Motor pulley', '13.6');
  await expect(page.getByText('13.6 − 2 × 2.0 = 9.6')).toBeVisible();
  await pick(page.getByLabel('Driven pulley, how it is measured'), 'outside less groove');
  await take(page, 'Driven pulley', '42.4');
  await expect(page.getByText('Type the groove depth too')).toBeVisible();
  await page.getByLabel('groove depth, mm').fill('1.6');
  await page.getByLabel('groove depth, mm').press('Enter');
  await pick(page.getByLabel('Shafts, how it is measured'), 'gap between');
  await page.getByLabel('motor pulley outside Ø, mm').fill('12.4');
  await page.getByLabel('motor pulley outside Ø, mm').press('Enter');
  await page.getByLabel('driven pulley outside Ø, mm').fill('42.4');
  await page.getByLabel('driven pulley outside Ø, mm').press('Enter');
  await take(page, 'Shafts', '6.2');
  for (const [label, value] of [
    [/Motor pulley diameter on the drawing/, '9.6'],
    [/Driven pulley diameter on the drawing/, '39.2'],
    [/Centre distance on the drawing/, '33.6'],
  ] as const)
    await expect(page.getByLabel(label)).toHaveValue(value);
  // Typed into the drawing, the number is the dimension itself.
  await page.getByLabel(/Centre distance on the drawing/).fill('34');
  await page.getByLabel(/Centre distance on the drawing/).press('Enter');
  await expect(page.getByLabel('Shafts, how it is measured')).toHaveAttribute('data-chosen', 'shaftToShaft');
  await expect(reading(page, 'Shafts')).toHaveValue('34.0');
});

test('crossed, vee and oily: what is seen changes what is chosen', async ({ page }) => {
  await openTicket(page, 'Sallowfield S1 slot player', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.getByText('Belt shape, grooves, surfaces').click();
  await page.getByRole('radio', { name: 'crossed' }).click();
  // By hand: β = asin(15.4/38.2), 2·38.2·cos β + 15.4·(π + 2β) = 131.1.
  await expect(page.getByText('131.1').first()).toBeVisible();
  await page.getByRole('radio', { name: 'open', exact: true }).first().click();
  await pick(page.getByLabel('Motor pulley’s surface'), 'oily');
  await kept(page);
  await page.keyboard.press('Alt+6');
  const answer = page.getByRole('complementary', { name: 'Recommended belt' });
  // Unfolded by itself where nothing fits, by hand where something does.
  await chanceSettled(page);
  const reasons = answer.getByRole('button', { name: 'The reasons' });
  if ((await reasons.getAttribute('aria-expanded')) === 'false') await reasons.click();
  await expect(answer).toContainText('the motor pulley');
  await expect(answer).not.toContainText('1.2 × 116.0');
  await page.keyboard.press('Alt+5');
  await page.getByText('Belt shape, grooves, surfaces').click();
  await pick(page.getByLabel('Motor pulley’s groove'), 'vee');
  await page.getByRole('textbox', { name: /^full angle/ }).fill('40');
  await page.getByRole('textbox', { name: /^full angle/ }).blur();
  await expect(page.getByRole('button', { name: /Undo: drive A, motor pulley’s groove/ })).toBeVisible();
});

test('a pulley read several times: the readings count together, the odd one is named, each can be taken out', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await measureBoothDeck(page);
  const path = page.getByText('Path, inner length').locator('xpath=..');
  const spread = async () => Number(/± (\d+\.\d)/.exec(await path.innerText())?.[1]);
  const before = await spread();
  for (const size of ['38.3', '38.1']) {
    await page.getByRole('button', { name: 'Read the shafts once more' }).click();
    await take(page, 'Shafts, once more', size);
  }
  await expect(async () => expect(await spread()).toBeLessThan(before)).toPass();
  await page.getByRole('button', { name: 'Read the shafts once more' }).click();
  await take(page, 'Shafts, once more', '44');
  await expect(page.getByText(/Lies more than two standard uncertainties from the others/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Remove shaft to shaft 44/ }).click();
  await expect(page.getByText(/Lies more than two standard uncertainties/)).toHaveCount(0);
  await expect(reading(page, 'Shafts, 3')).toHaveValue('38.1');
});

test('tray travel and pull, measured, take the place of the assumptions', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.getByText('Tray: travel and pull').click();
  await take(page, 'Tray travel', '18.5');
  await expect(page.getByText('18.5 / 10 turns = 1.85 a turn')).toBeVisible();
  await take(page, 'Tray pull', '120 g');
  await expect(reading(page, 'Tray pull')).toHaveValue('1.18');
  await page.keyboard.press('Alt+6');
  const answer = page.getByRole('complementary', { name: 'Recommended belt' });
  await expect(answer.getByText('assumed')).toHaveCount(0);
  await expect(answer.getByText('measured')).toBeVisible();
});

test('a reading’s own uncertainty is taken, shown, and given back', async ({ page }) => {
  await openTicket(page, 'Pennerley T9 booth deck');
  await measureBoothDeck(page);
  const spread = () =>
    page
      .getByText(/^± \d\.\d mm$/)
      .first()
      .textContent();
  const usual = await spread();
  await page.getByText('distance between the shaft centres').click();
  const good = page.getByLabel(/One reading is good to/);
  await good.fill('2');
  await good.press('Enter');
  await expect.poll(spread).not.toBe(usual);
  await good.fill('');
  await good.press('Enter');
  await expect.poll(spread).toBe(usual);
});

test('the ruler is walked by finger, a rule’s pick is looked at, and the way back leads to the recommended belt', async ({
  page,
}) => {
  await openTicket(page, 'Pennerley T9 booth deck', 'doubled flat 66.4, section 1.2');
  await measureBoothDeck(page);
  await page.keyboard.press('Alt+6');
  const ruler = page.getByRole('slider', { name: /Stretch ruler/ });
  await chanceSettled(page);
  const recommended = (await ruler.getAttribute('aria-valuetext')) ?? '';
  const box = await ruler.boundingBox();
  if (!box) throw new Error('the ruler is on the screen');
  await page.mouse.click(box.x + box.width - 60, box.y + box.height - 90);
  await expect(ruler).not.toHaveAttribute('aria-valuetext', recommended);
  await expect(page.getByText('Looked at')).toBeVisible();
  await page
    .getByRole('row', { name: /one size down/ })
    .getByRole('button')
    .click();
  await expect(ruler).toHaveAttribute('aria-valuetext', /128\.0/);
  await expect(page).toHaveURL(/belt=square-1\.2-128/);
  await page.getByRole('button', { name: 'Back to the recommended belt' }).click();
  await expect(page.getByText('Recommended belt')).toBeVisible();
});

test('the Bench groups by what is waited for; the Log finds by any word; handed back leaves the Bench', async ({
  page,
}) => {
  await openTicket(page, 'Orrismere L12 lift player');
  await page.getByRole('link', { name: /^1 Take in/ }).click();
  await page.getByRole('radio', { name: 'parts' }).click();
  await page.getByLabel('Details').fill('O-ring, due Friday');
  await page.getByLabel('Drive A: its mechanism').fill('L12 lift');
  await page.getByLabel('Whose, or where it stands').fill('Lecture hall');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Waiting for parts' })).toContainText('O-ring, due Friday');
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await page.getByLabel(/Number, machine/).fill('lecture l12');
  await expect(page.getByText('1 of 1 tickets')).toBeVisible();
  await page.getByLabel(/Number, machine/).fill('nowhere');
  await expect(page.getByText('0 of 1 tickets')).toBeVisible();
  await page.getByLabel(/Number, machine/).fill('');
  await page.getByRole('link', { name: /Orrismere/ }).click();
  await page.getByRole('link', { name: /^9 Hand back/ }).click();
  await expect(page.getByText('What was done is not written yet.')).toBeVisible();
  // What is only told is no reason to wait; what matters is passed only by writing why, and that is printed.
  await expect(page.getByRole('button', { name: 'Hand it back' })).toBeEnabled();
  await pick(page.getByLabel('Lid', { exact: true }), 'off');
  await expect(page.getByRole('region', { name: 'Before it goes' }).getByRole('listitem').first()).toHaveText(
    'The lid is off.',
  );
  await expect(page.getByRole('button', { name: 'Hand it back' })).toBeDisabled();
  await page.getByLabel(/Hand back anyway, because/).fill('the hall needs it tonight');
  await page.getByRole('button', { name: 'Hand it back' }).click();
  await page.getByRole('link', { name: 'Bench sheet, to print' }).click();
  await expect(page.getByRole('article', { name: 'Bench sheet' })).toContainText('because: the hall needs it tonight');
  await page.getByRole('link', { name: 'Bench', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'The bench is clear' })).toBeVisible();
});

test('unit and lamp are kept', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('radio', { name: 'in', exact: true }).click();
  await page.getByRole('button', { name: 'Dark', exact: true }).click();
  await expect
    .poll(() => stored(page, 'settings').then(([kept]) => (kept as { theme: string } | undefined)?.theme))
    .toBe('dark');
  await page.reload();
  await expect(page.getByRole('radio', { name: 'in', exact: true })).toBeChecked();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
});
